import type { GoodReading } from '../../diagnosis/model';
import type { FamilyCatalogue } from '../../job-file/catalogue';
import type { Entry } from '../../job-file/generated/job-types';
import { quantityOf } from '../../job-file/quantity';
import type { JobState } from '../../job-file/state';
import { numberOf } from '../../quantities';

/**
 * The slip of the hand that most likely made a reading that fits nothing, in words; undefined where none comes to mind.
 * Common practice.
 */
export function likelyMistake(
  catalogue: FamilyCatalogue,
  entry: Entry | undefined,
  good: GoodReading | undefined,
  state: Pick<JobState, 'lifted'>,
): string | undefined {
  if (entry?.kind !== 'reading' || !entry.value) return undefined;
  const quantity = quantityOf(entry, catalogue);
  const { overRange } = entry.value;
  const read = quantity && numberOf(entry.value, quantity);
  const [ohm, volt, ampere] = (['resistance', 'voltage-ac', 'current-ac'] as const).map((each) =>
    each === quantity ? read : undefined,
  );
  const expected = good?.kind === 'range' ? good.nominal : undefined;
  if (ampere !== undefined && ampere < 1 && (expected ?? 0) > 2) {
    return 'A clamp round both wires of an element reads nothing: close it round one wire.';
  }
  if (ampere !== undefined && expected && Math.abs(ampere / expected / 2 - 1) < 0.08) {
    return 'Twice what one wire carries: is a wire looped through the jaws twice?';
  }
  if (overRange && expected !== undefined) {
    return 'Over range where a path should be: a probe on paint or scale, or the meter on volts.';
  }
  if (ohm === 1 && (good?.kind === 'over-range' || (expected ?? 0) > 3)) {
    return 'A lone 1 at the left of an old meter is over range, not one ohm.';
  }
  if (
    ohm !== undefined &&
    expected &&
    expected > 3 &&
    ohm < expected * 0.7 &&
    state.lifted.length === 0
  ) {
    return 'Too low with every wire on: a second path runs beside it. Lift one wire.';
  }
  if (ohm !== undefined && expected && ohm > expected * 1.15 && ohm - expected < 3) {
    return 'A little high: leads not zeroed, or a dirty probe tip.';
  }
  if (volt !== undefined && volt < 5 && (expected ?? 0) > 50) {
    return 'Nothing where volts should be: DC or the wrong range, a probe that slipped, or the breaker off.';
  }
  return undefined;
}
