import { PlateError } from './plate-error';

/** Line volts of a plate, 230 where it is silent. @throws PlateError for volts that no house feeds such a unit with. */
export function lineVoltOf(volt: unknown, unit: string): 120 | 230 {
  if (volt === undefined || volt === 230) return 230;
  if (volt === 120) return 120;
  throw new PlateError(
    '/unit/plate/rated/volt',
    `A ${unit} of this kind is fed with 120 or 230 V.`,
  );
}
