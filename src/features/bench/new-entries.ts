import type { AccessStep, ApplianceFamily } from '@/core/appliances';
import {
  entryFinder,
  type Entry,
  type JobFile,
  type LiftedEnd,
  type ReadingEntry,
  type Value,
} from '@/core/job-file';
import { keyOfQuantity, numberOf, type ParsedReading } from '@/core/quantities';
import type { NewEntry } from '@/features/record/use-job-record';
import { needleOf } from './reading-display';

/** What the bench's keys and steps become in the logbook. */

export function valueOf(
  family: ApplianceFamily,
  check: string,
  parsed: ParsedReading,
): Value | undefined {
  if (parsed.kind === 'over-range') return { overRange: true };
  const { quantity } = family.check(check);
  return parsed.kind === 'value' && quantity
    ? { [keyOfQuantity(quantity)]: parsed.value }
    : undefined;
}

/** The entry as it would be made, under an id that no entry has. */
export function trialEntry(entry: NewEntry): Entry {
  return {
    id: '00000000-0000-4000-8000-000000000000',
    at: '9999-01-01T00:00:00.000Z',
    ...entry,
  } as Entry;
}

export function entryOfStep(step: AccessStep): NewEntry {
  switch (step.kind) {
    case 'power-on':
      return { kind: 'action', action: 'power-on' };
    case 'open-cover':
      return { kind: 'action', action: 'open', target: step.cover };
    case 'lift-wire':
      return { kind: 'action', action: 'lift-wire', ...step.lifted };
    case 'refit-wire':
      return { kind: 'action', action: 'refit-wire', ...step.lifted };
    case 'power-off-and-prove':
      return { kind: 'action', action: 'power-off' };
    case 'make-so':
    case 'end-so':
      return { kind: 'action', action: step.kind, fact: step.fact };
    case 'take-check':
      throw new RangeError(`${step.check} is a check of its own`);
  }
}

/** Where more wires hang free than the check asks for, the entry says so: it is read in the state that was. */
export function withState(
  family: ApplianceFamily,
  entry: NewEntry,
  check: string,
  lifted: readonly LiftedEnd[],
): NewEntry {
  const implied = family.check(check).state?.lifted;
  const same =
    implied === undefined ||
    (implied.length === lifted.length &&
      implied.every((each) =>
        lifted.some((other) => other.wire === each.wire && other.end === each.end),
      ));
  return same ? entry : withLifted(entry, lifted);
}

/** The entry with the wires that hung free when it was taken. */
export function withLifted(entry: NewEntry, lifted: readonly LiftedEnd[]): NewEntry {
  if (entry.kind !== 'reading' && entry.kind !== 'observation') return entry;
  return { ...entry, state: { ...entry.state, lifted: [...lifted] } };
}

/** The last reading of a check that counts. The logbook is not gone through for it: the bench draws at every entry. */
function lastReading(entries: readonly Entry[], check: string): ReadingEntry | undefined {
  const isOfCheck = (each: Entry | null): each is ReadingEntry =>
    each?.kind === 'reading' && each.check === check;
  if (!entries.some((each) => each.kind === 'correction')) return entries.findLast(isOfCheck);
  const find = entryFinder(entries);
  for (const each of entries.filter(isOfCheck).reverse()) {
    const now = find(each.id)?.now ?? null;
    if (isOfCheck(now)) return now;
  }
  return undefined;
}

/** The earlier result of a check that is taken again, as it counts: corrected, and not one that was struck. */
export function earlierNeedle(family: ApplianceFamily, job: JobFile, check: string) {
  const earlier = lastReading(job.entries, check);
  const { quantity } = family.check(check);
  if (!earlier?.value || !quantity) return undefined;
  const kept = numberOf(earlier.value, quantity);
  return needleOf(
    earlier.value.overRange
      ? { kind: 'over-range' }
      : kept === undefined
        ? undefined
        : { kind: 'value', value: kept },
  );
}
