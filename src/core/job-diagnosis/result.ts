import { resultQuantity, usualLeadOhm, type ApplianceFamily } from '../appliances';
import type { EvidenceResult } from '../diagnosis';
import { quantityOf, type Entry, type JobFile, type ReadingEntry } from '../job-file';
import { numberOf, type Quantity } from '../quantities';

/**
 * What an entry gave, as the engine weighs it and the report judges it: the value of its own quantity, with the resistance
 * of the leads brought to that of usual ones, which is what every expected reading has in it. Undefined for an entry that
 * gave nothing.
 */
export function resultOf(
  { instruments, unit }: Pick<JobFile, 'instruments' | 'unit'>,
  entry: Entry,
  { catalogue, combined, classed }: Pick<ApplianceFamily, 'catalogue' | 'combined' | 'classed'>,
): EvidenceResult | undefined {
  if (entry.kind === 'observation') return { kind: 'outcome', outcome: entry.value };
  if (entry.kind !== 'reading') return undefined;
  if (entry.values) {
    const outcome = classed?.(entry, unit.plate);
    if (outcome !== undefined) return { kind: 'outcome', outcome };
    const value = combined(entry, unit.plate);
    return value === undefined ? undefined : { kind: 'number', value };
  }
  if (!entry.value) return undefined;
  const quantity = quantityOf(entry, catalogue);
  if (quantity === undefined) return undefined;
  const { overRange, above } = entry.value;
  if (overRange) return { kind: 'over-range', above: above && numberOf(above, quantity) };
  const number = numberOf(entry.value, quantity);
  if (number === undefined) return undefined;
  return {
    kind: 'number',
    value:
      quantity === 'resistance' ? withUsualLeads(number, leadOhmOf(instruments, entry)) : number,
  };
}

/** What the one number is of that an entry comes to: of two temperatures their difference. Undefined for what is no reading. */
export function judgedQuantity(
  entry: Entry,
  { catalogue, check, isCheckId }: Pick<ApplianceFamily, 'catalogue' | 'check' | 'isCheckId'>,
): Quantity | undefined {
  if (entry.kind !== 'reading') return undefined;
  return isCheckId(entry.check) ? resultQuantity(check(entry.check)) : quantityOf(entry, catalogue);
}

/** What a meter would have shown with usual leads. */
export const withUsualLeads = (ohm: number, leadOhm: number | undefined): number =>
  leadOhm === undefined ? ohm : Math.max(0, ohm - (leadOhm - usualLeadOhm));

function leadOhmOf(
  instruments: JobFile['instruments'],
  { leads, instrument }: ReadingEntry,
): number | undefined {
  return leads?.ohm ?? instruments?.find((each) => each.id === instrument)?.leads?.ohm;
}
