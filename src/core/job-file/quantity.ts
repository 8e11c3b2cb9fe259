import type { Quantity } from '../quantities';
import type { FamilyCatalogue } from './catalogue';
import type { ReadingEntry, SeriesEntry } from './generated/job-types';

/**
 * What a reading is of: the quantity of its check; else the one it states; else amperes round a conductor, and ohms between
 * two points. Undefined for a check that is looked at and not measured.
 */
export function quantityOf(
  entry: Pick<ReadingEntry, 'check' | 'quantity' | 'around'> | Pick<SeriesEntry, 'check'>,
  catalogue: Pick<FamilyCatalogue, 'check'>,
): Quantity | undefined {
  if (entry.check !== undefined) return catalogue.check(entry.check)?.quantity;
  if (!('quantity' in entry || 'around' in entry)) return 'resistance';
  return entry.quantity ?? (entry.around === undefined ? 'resistance' : 'current-ac');
}
