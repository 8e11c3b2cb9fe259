import type { JobFile } from '../../job-file/generated/job-types';
import type { ElectricalDeclaration } from './declaration';
import { PlateError } from '../kit/plate-error';
import { plateLimits, type Plate } from './plate';

/**
 * The plate of a job's unit with the supply of its site.
 * @throws PlateError for a plate that no such heater has.
 */
export function plateOf(
  { elements, supplies, usualVolumeLitre }: ElectricalDeclaration,
  { unit, site }: Pick<JobFile, 'unit' | 'site'>,
): Plate {
  const { rated, elements: stated = {}, volume, wiring } = unit.plate;
  if (!rated) throw new PlateError('/unit/plate', '"rated" is missing.');
  const missing = elements.find(({ id }) => stated[id] === undefined);
  if (missing) {
    throw new PlateError(
      `/unit/plate/elements/${missing.id}`,
      `The plate does not say the watts of the ${missing.label.toLowerCase()}.`,
    );
  }
  const elementWatt = Object.fromEntries(elements.map(({ id }) => [id, stated[id]!.watt]));
  const supply = site?.supply?.system ?? supplies[0]!.system;
  const nominalVolt = site?.supply?.nominal?.volt ?? rated.volt;
  checkLimits('/unit/plate/rated/volt', rated.volt, 'volt');
  checkLimits('/site/supply/nominal/volt', nominalVolt, 'volt');
  for (const { id } of elements) {
    checkLimits(`/unit/plate/elements/${id}/watt`, elementWatt[id]!, 'watt');
  }
  if (volume) checkLimits('/unit/plate/volume/litre', volume.litre, 'litre');
  return {
    ratedVolt: rated.volt,
    elementWatt,
    supply,
    nominalVolt,
    volumeLitre: volume?.litre ?? usualVolumeLitre,
    wiring: wiring ?? 'non-simultaneous',
    residualCurrentDevice:
      site?.supply?.residualCurrentDevice ?? (supply === 'single-phase' && rated.volt > 150),
  };
}

/** @throws PlateError for a value that no such heater has. */
function checkLimits(pointer: string, value: number, unit: keyof typeof plateLimits): void {
  const [least, most] = plateLimits[unit];
  if (value >= least && value <= most) return;
  throw new PlateError(
    pointer,
    `${value} ${unit} is outside what such a heater has, ${least} to ${most}. Read the plate again.`,
  );
}
