'use client';

import { v7 as newId } from 'uuid';
import type { ApplianceFamily } from '@/core/appliances';
import { effectiveEntries, type JobFile, type JobState, type ProcedureRun } from '@/core/job-file';
import { numberOf } from '@/core/quantities';
import {
  doneEntry,
  recordsOf,
  skippedEntry,
  startedEntry,
  stoppedEntry,
  tapped,
  wayOn,
  type Position,
  type Procedure,
  type StepFacts,
  type StepOutcome,
  type UnstampedEntry,
  type WayOn,
} from '@/core/procedures';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';

/** A run before its first entry. */
export const newRun = (
  procedure: string,
  { repair, within }: Pick<ProcedureRun, 'repair' | 'within'> = {},
): ProcedureRun => ({
  run: newId(),
  procedure,
  repair,
  within,
  startedAt: new Date().toISOString(),
  marks: [],
});

/** The entry that begins a run at one of its steps. */
export const beginning = (run: ProcedureRun, step: string): NewEntry =>
  startedEntry(run, step) as NewEntry;

/** What steps may lead by, from the logbook and the plate. */
export const factsOf = (family: ApplianceFamily, job: JobFile): StepFacts => ({
  readingOf(check) {
    const last = lastReading(job, check);
    const quantity = family.catalogue.check(check)?.quantity;
    return last?.value && quantity ? numberOf(last.value, quantity) : undefined;
  },
  plateValue(field) {
    const value = job.unit.plate[field];
    return typeof value === 'string' ? value : undefined;
  },
});

/** The last reading of a check that counts. */
const lastReading = (job: JobFile, check: string) => {
  const found = effectiveEntries(job.entries).findLast(
    (each) => each.kind === 'reading' && each.check === check,
  );
  return found?.kind === 'reading' ? found : undefined;
};

/** What the keys of a run do. */
export function runActions(
  family: ApplianceFamily,
  { job, append }: Pick<JobRecord, 'job' | 'append'>,
  state: JobState,
  procedure: Procedure,
  run: ProcedureRun,
  { step }: Position,
) {
  return {
    /**
     * Ends the step with what came of it. Entries that are its result go in before.
     * @returns where it led, or undefined where it could not be kept.
     */
    async finish(
      outcome: StepOutcome,
      ...results: UnstampedEntry[]
    ): Promise<(WayOn & { readonly opened?: string }) | undefined> {
      // A reading that is entered here counts for the way on as well.
      const withResults = { ...job, entries: [...job.entries, ...results.map(asEntry)] };
      const way = wayOn(procedure, run, step, outcome, factsOf(family, withResults));
      const other = way.kind === 'procedure' ? newRun(way.procedure, run) : undefined;
      const entries = [
        ...results,
        ...recordsOf(procedure, run, step, state, family.catalogue.covers),
        doneEntry(run, step, outcome, way),
        ...(other && way.kind === 'procedure' ? [startedEntry(other, way.step)] : []),
      ];
      const isKept = await append(...(entries as NewEntry[]));
      return isKept ? { ...way, opened: other?.run } : undefined;
    },
    skip: (reason: string) => append(skippedEntry(procedure, run, step, reason) as NewEntry),
    back(to: string) {
      return append(beginning(run, to));
    },
    tap: () => append(startedEntry(run, step.id, tapped) as NewEntry),
    stop: (reason: string) => append(stoppedEntry(run, step.id, reason) as NewEntry),
  };
}

const asEntry = (entry: UnstampedEntry) =>
  ({ ...entry, id: newId(), at: new Date().toISOString() }) as JobFile['entries'][number];
