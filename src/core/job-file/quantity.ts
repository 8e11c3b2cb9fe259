import type { Quantity } from '../quantities';
import type { FamilyCatalogue } from './catalogue';
import type { ReadingEntry, SeriesEntry } from './generated/job-types';

type Placed = Pick<ReadingEntry, 'check' | 'quantity' | 'around' | 'point'>;

/**
 * What a reading is of: the quantity of its check; else the one it states; else what is usually read where it was taken:
 * amperes round a conductor, ohms between two points, at a named point its own. Undefined for a check that is looked at and
 * not measured.
 */
export function quantityOf(
  entry: Placed | Pick<SeriesEntry, 'check'>,
  catalogue: Pick<FamilyCatalogue, 'check' | 'points'>,
): Quantity | undefined {
  if (entry.check !== undefined) return catalogue.check(entry.check)?.quantity;
  const { quantity, around, point } = entry as Omit<Placed, 'check'>;
  if (quantity !== undefined) return quantity;
  if (point !== undefined) return catalogue.points.get(point)?.[0];
  return around === undefined ? 'resistance' : 'current-ac';
}
