import type { JobFile } from '../../job-file/generated/job-types';
import type { Plate } from './topology';

/** Volume taken where the plate does not say, in litres: the size most often met. Common practice. */
const usualVolumeLitre = 189;

/** Why a plate cannot be worked with, and at which key of the unit. */
export class PlateError extends Error {
  override name = 'PlateError';
  constructor(
    readonly pointer: string,
    message: string,
  ) {
    super(message);
  }
}

/**
 * The plate of a job's unit and the supply of its site.
 * @throws PlateError where an element's watts are missing.
 */
export function plateOf({ unit, site }: Pick<JobFile, 'unit' | 'site'>): Plate {
  const { rated, elements, volume } = unit.plate;
  const missing = (['upper', 'lower'] as const).find((each) => elements[each] === undefined);
  if (missing) {
    throw new PlateError(
      `/unit/plate/elements/${missing}`,
      `The plate does not say the watts of the ${missing} element.`,
    );
  }
  return {
    ratedVolt: rated.volt,
    upperWatt: elements.upper!.watt,
    lowerWatt: elements.lower!.watt,
    supply: site?.supply?.system ?? 'split-phase',
    nominalVolt: site?.supply?.nominal?.volt ?? rated.volt,
    volumeLitre: volume?.litre ?? usualVolumeLitre,
  };
}
