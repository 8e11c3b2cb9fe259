import type { Plate } from '../../job-file/generated/job-types';
import { PlateError } from './plate-error';
import type { NumberField } from './plate-field';

/**
 * What a plate says of a number, in the unit that its field keeps it in; undefined where it may be silent and is.
 * @param range of the field, where the rest of the plate does not narrow it.
 * @throws PlateError where it is missing and has to be there, in another unit, or out of range.
 */
export function plateNumber(
  plate: Plate,
  { pointer, isOptional }: Pick<NumberField, 'pointer' | 'isOptional'>,
  [least, most]: NumberField['range'],
): number | undefined {
  const [key, unit] = pointer.split('/').slice(-2) as [string, string];
  const said = plate[key];
  if (said === undefined && isOptional) return undefined;
  const value = said !== null && typeof said === 'object' ? (said as PlateValue)[unit] : undefined;
  if (value === undefined) {
    const example = `"${key}": {"${unit}": ${least}}`;
    const message =
      said === undefined
        ? `The plate does not say its ${key}: ${example}.`
        : `A plate says its ${key} in another unit: ${example}.`;
    throw new PlateError(`/unit/plate/${key}`, message);
  }
  if (typeof value === 'number' && value >= least && value <= most) return value;
  throw new PlateError(
    pointer,
    `${String(value)} ${unit} is outside what such a unit has, ${least} to ${most}. Read the plate again.`,
  );
}

type PlateValue = Readonly<Record<string, unknown>>;

/** The same of a field that has to be there. */
export const neededNumber = (plate: Plate, field: NumberField): number =>
  plateNumber(plate, { ...field, isOptional: false }, field.range)!;

/** The same of one that may be silent: said in another unit, it says nothing. */
export function saidNumber(plate: Plate, field: NumberField): number | undefined {
  const [key, unit] = field.pointer.split('/').slice(-2) as [string, string];
  const said = plate[key];
  const isSaid = said !== null && typeof said === 'object' && Object.hasOwn(said, unit);
  return isSaid ? plateNumber(plate, field, field.range) : undefined;
}
