import { v7 as newId } from 'uuid';
import type { ApplianceFamily } from '@/core/appliances';
import { quantityOf, type Entry, type Value } from '@/core/job-file';
import { keyOfQuantity, parseReading, type Quantity, type UnitSystem } from '@/core/quantities';
import { measuredOf } from '@/features/record/words';

/** What of an entry can be put right before it is sent again: what a reading says, or the reason of a status. */
export type Mendable = 'value' | 'reason' | undefined;

export function mendableOf(entry: Entry): Mendable {
  // What is read together is put right together, on the bench.
  if (entry.kind === 'reading' && entry.value && !entry.values) return 'value';
  if (entry.kind === 'status') return 'reason';
  return undefined;
}

/** What a reading is of, and so in which unit a bare number is taken; undefined where it says nothing of it. */
export const quantityRead = (entry: Entry, family: ApplianceFamily): Quantity | undefined =>
  entry.kind === 'reading'
    ? (quantityOf(entry, family.catalogue) ?? measuredOf(entry.value ?? {})?.quantity)
    : undefined;

/** The entry with what was typed in the place of what it said, or why that cannot be. */
export function mended(
  entry: Entry,
  typed: string,
  family: ApplianceFamily,
  system: UnitSystem,
): Entry | string {
  const id = newId();
  if (entry.kind === 'status') return { ...entry, id, reason: typed.trim() };
  if (entry.kind !== 'reading') return { ...entry, id };
  const quantity = quantityRead(entry, family);
  if (!quantity) return 'This reading has no quantity. Strike it and take it again on the bench.';
  const parsed = parseReading(typed, { quantity, system, loneOneIsDoubtful: true });
  if (parsed.kind === 'problem') return parsed.message;
  if (parsed.kind === 'ask') return `${parsed.question} ${parsed.instead}`;
  const value: Value =
    parsed.kind === 'over-range'
      ? { overRange: true }
      : { [keyOfQuantity(quantity)]: parsed.value };
  // What the old one was worked out from says nothing of the new one.
  const { byClock: _clock, spread: _spread, ...rest } = entry;
  return { ...rest, id, value };
}
