import { v7 as newId } from 'uuid';
import type { ApplianceFamily } from '@/core/appliances';
import type { Entry, Value } from '@/core/job-file';
import { keyOfQuantity, parseReading, type UnitSystem } from '@/core/quantities';
import { measuredOf } from '@/features/record/words';

/** What of an entry can be put right before it is sent again: what a reading says, or the reason of a status. */
export type Mendable = 'value' | 'reason' | undefined;

export function mendableOf(entry: Entry): Mendable {
  if (entry.kind === 'reading' && entry.value) return 'value';
  if (entry.kind === 'status') return 'reason';
  return undefined;
}

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
  const quantity =
    (family.isCheckId(entry.check) ? family.check(entry.check).quantity : undefined) ??
    measuredOf(entry.value ?? {})?.quantity;
  if (!quantity) return 'This reading has no quantity. Strike it and take it again on the bench.';
  const parsed = parseReading(typed, { quantity, system });
  if (parsed.kind === 'problem') return parsed.message;
  if (parsed.kind === 'ask') return `${parsed.question} Type it without the comma.`;
  const value: Value =
    parsed.kind === 'over-range'
      ? { overRange: true }
      : { [keyOfQuantity(quantity)]: parsed.value };
  return { ...entry, id, value };
}
