import type { GoodReading } from '../../../diagnosis/model';
import type { FamilyCatalogue } from '../../../job-file/catalogue';
import type { Entry } from '../../../job-file/generated/job-types';
import { quantityOf } from '../../../job-file/quantity';
import { numberOf } from '../../../quantities';

/** The slip of the hand that most likely made a reading of small volts or ohms that fits nothing. Common practice. */
export function likelyMistake(
  catalogue: FamilyCatalogue,
  entry: Entry,
  good: GoodReading | undefined,
): string | undefined {
  if (entry.kind !== 'reading' || !entry.value || good?.kind !== 'range') return undefined;
  const quantity = quantityOf(entry, catalogue);
  const expected = good.nominal;
  if (quantity === 'resistance' && entry.value.overRange) {
    return 'Over range where a path should be: a probe on dirt or paint, or the meter on volts.';
  }
  if (quantity !== 'voltage-dc' || expected <= 0) return undefined;
  const share = (numberOf(entry.value, quantity) ?? NaN) / expected;
  if (share < -0.3) return 'Below nothing: the probes were the other way round.';
  if (share > 200) return 'A thousand times too much: volts were entered for millivolts.';
  if (Math.abs(share) < 0.005) {
    return 'A thousandth of it or nothing: the range was volts or AC, or the flame had not warmed the tip for a minute.';
  }
  return undefined;
}
