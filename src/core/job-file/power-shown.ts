import { numberOf } from '../quantities';
import type { FamilyCatalogue } from './catalogue';
import type { ObservationEntry, ReadingEntry, SeriesEntry } from './generated/job-types';
import { quantityOf } from './quantity';

/** Volts below which a leg counts as dead, by a prover tried before and after. Common practice. */
export const deadBelowVolt = 5;

/**
 * What a result says of the power: what was stated with it, what its check needs, or what the reading itself shows. Amps
 * flow and volts stand only with the power on, ohms are taken with it off. Undefined where it says nothing.
 */
export function powerShownBy(
  entry: ReadingEntry | ObservationEntry | SeriesEntry,
  catalogue: FamilyCatalogue,
): 'on' | 'off' | undefined {
  const check = entry.check === undefined ? undefined : catalogue.check(entry.check);
  const known = entry.state?.power ?? check?.power;
  const quantity = entry.kind === 'observation' ? undefined : quantityOf(entry, catalogue);
  // Volts that were read are there, whatever was stated beside them.
  if (entry.kind === 'reading' && Math.abs(voltsOf(entry, quantity) ?? 0) >= deadBelowVolt) {
    return 'on';
  }
  if (known !== undefined) return known;
  if (quantity === 'resistance') return 'off';
  return quantity === 'current-ac' ? 'on' : undefined;
}

const voltsOf = ({ value }: ReadingEntry, quantity: ReturnType<typeof quantityOf>) =>
  quantity === 'voltage-ac' ? numberOf(value, quantity) : undefined;
