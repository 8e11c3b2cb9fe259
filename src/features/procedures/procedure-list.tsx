'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { gasWorkAllowed, type JobState, type ProcedureRun } from '@/core/job-file';
import { positionOf, stoppedEntry, wentThrough, type Procedure } from '@/core/procedures';
import type { FirmIntervals } from '@/core/service';
import { useFamily, useWords } from '@/features/record/family-context';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { useOneAtATime } from '@/features/record/use-one-at-a-time';
import { clockTime } from '@/features/record/words';
import { DueList } from './due-list';
import { readySound } from './due-sound';
import { RunClock } from './running-timers';
import { StartDialog } from './start-dialog';
import { beginning, newRun } from './use-run';

/** What goes on, what the repair at hand asks for, and everything else that can be done step by step. */
export function ProcedureList({
  record,
  state,
  intervals,
  check,
  onOpen,
}: {
  record: JobRecord;
  state: JobState;
  intervals: FirmIntervals;
  /** The check that somebody comes from. */
  check: string | undefined;
  onOpen(run: string): void;
}) {
  const family = useFamily();
  const words = useWords();
  const { job } = record;
  const runs = Object.values(state.runs);
  const going = runs.filter((each) => each.ends === undefined);
  const ended = runs.filter((each) => each.ends !== undefined).slice(-8);
  const repair = state.verdict?.repair ?? state.repairsDone.at(-1);
  const forRepair = family.procedures.filter((each) => repair && each.repairs?.includes(repair));
  const forCheck = family.procedures.filter(
    (each) => check !== undefined && !forRepair.includes(each) && each.checks?.includes(check),
  );
  const others = family.procedures.filter(
    (each) => !forRepair.includes(each) && !forCheck.includes(each),
  );
  const [asking, setAsking] = useState<Procedure>();
  const repairsOf = (procedure: Procedure): readonly string[] =>
    forRepair.includes(procedure)
      ? [repair!]
      : dependsOnRepair(procedure)
        ? (procedure.repairs ?? [])
        : [];
  const start = (procedure: Procedure) => {
    readySound();
    const repairs = repairsOf(procedure);
    if (procedure.school !== undefined || repairs.length > 1) setAsking(procedure);
    else begin(procedure, repairs[0]);
  };
  const oneAtATime = useOneAtATime();
  const begin = (procedure: Procedure, of: string | undefined, leftBecause?: string) => {
    setAsking(undefined);
    const run = newRun(procedure.id, of === undefined ? {} : { repair: of });
    const first = procedure.steps[0]!.id;
    const entries = [
      beginning(run, first),
      ...(leftBecause === undefined ? [] : [stoppedEntry(run, first, leftBecause) as NewEntry]),
    ];
    oneAtATime(procedure.id, async () => (await record.append(...entries)) && onOpen(run.run));
  };
  const shared = { onStart: start, mayGas: gasWorkAllowed(job) };
  return (
    <div className="mx-auto w-full max-w-2xl px-4 pb-8">
      <h2 className="pt-4 text-title font-semibold">Step by step</h2>
      {family.radiators && (
        <Link href={`/jobs/${job.job.id}/balancing`} className="button mt-2">
          Radiators: balance them
        </Link>
      )}
      {family.mixing && (
        <Link href={`/jobs/${job.job.id}/mixing`} className="button mt-2">
          Mixing valve: set it step by step
        </Link>
      )}
      {going.length > 0 && (
        <section aria-labelledby="runs-going" className="mt-3">
          <h3 id="runs-going" className="font-semibold">
            Going on
          </h3>
          <ul>
            {going.map((each) => (
              <li key={each.run} className="border-b border-hair py-2">
                <button
                  type="button"
                  className="button min-h-16 w-full justify-between border-2 border-act text-left"
                  onClick={() => {
                    readySound();
                    onOpen(each.run);
                  }}
                >
                  <span className="min-w-0">
                    <span className="block font-semibold text-act">
                      {titleOf(family.procedures, each)}
                    </span>
                    <span className="line-clamp-1 text-small">
                      {stepOf(family.procedures, each)}
                    </span>
                  </span>
                  <RunClock run={each} />
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {forRepair.length > 0 && (
        <List
          title={`For the repair: ${family.repairs[repair!]!.order}`}
          of={forRepair}
          {...shared}
        />
      )}
      {forCheck.length > 0 && (
        <List title={`For the check: ${words.check(check)}`} of={forCheck} {...shared} />
      )}
      <DueList
        {...{ job, intervals }}
        mayStart={(id) =>
          shared.mayGas || family.procedures.find((each) => each.id === id)?.work !== 'gasWork'
        }
        onStart={(id) => {
          const procedure = family.procedures.find((each) => each.id === id);
          if (procedure) start(procedure);
        }}
      />
      <List title="All" of={others} {...shared} />
      {asking && (
        <StartDialog
          procedure={asking}
          repairs={repairsOf(asking)}
          {...{ record }}
          onClose={() => setAsking(undefined)}
          onStart={(of, leftBecause) => begin(asking, of, leftBecause)}
        />
      )}
      <p className="mt-5 flex flex-wrap gap-2">
        <Link href={`/jobs/${job.job.id}`} className="button">
          Bench
        </Link>
        <Link href={`/jobs/${job.job.id}/repair`} className="button">
          Repair
        </Link>
        <Link href={`/jobs/${job.job.id}/report`} className="button">
          Report
        </Link>
      </p>
      {ended.length > 0 && (
        <section aria-labelledby="runs-ended" className="mt-4">
          <h3 id="runs-ended" className="font-semibold">
            On this job so far
          </h3>
          <ul>
            {ended.map((each) => (
              <li key={each.run} className="flex justify-between border-b border-hair py-1.5">
                <span>{titleOf(family.procedures, each)}</span>
                <span className="text-ink-2">
                  {endWords(each)} {clockTime(each.endedAt!, job.job.timeZone)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function List({
  title,
  of,
  mayGas,
  onStart,
}: {
  title: string;
  of: readonly Procedure[];
  mayGas: boolean;
  onStart(procedure: Procedure): void;
}) {
  return (
    <section aria-label={title} className="mt-4">
      <h3 className="font-semibold">{title}</h3>
      <ul>
        {of.map((each) => {
          const isBarred = each.work === 'gasWork' && !mayGas;
          return (
            <li key={each.id} className="flex items-center gap-3 border-b border-hair py-1.5">
              <span className="min-w-0 flex-1 leading-tight">
                {each.title}
                <span className="block text-small text-ink-2">
                  {isBarred
                    ? 'Gas work, and it is not allowed on this job.'
                    : `${each.steps.length} steps${minutesOf(each)}`}
                </span>
              </span>
              <button
                type="button"
                className="button"
                disabled={isBarred}
                aria-label={`Start: ${each.title}`}
                onClick={() => onStart(each)}
              >
                Start
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Waits alone: what hands need nobody has measured. */
function minutesOf({ steps }: Procedure): string {
  const seconds = steps.reduce((sum, each) => sum + (each.seconds?.least ?? 0), 0);
  return seconds < 60 ? '' : `, ${Math.round(seconds / 60)} min of waiting`;
}

/** Its wires, its part or its readings are those of one repair or another. */
const dependsOnRepair = ({ steps }: Procedure): boolean =>
  steps.some(({ wires, part, checks = [] }) => wires || part || checks.length > 1);

const titleOf = (procedures: readonly Procedure[], { procedure }: ProcedureRun): string =>
  procedures.find((each) => each.id === procedure)?.title ?? procedure;

function stepOf(procedures: readonly Procedure[], run: ProcedureRun): string {
  const procedure = procedures.find((each) => each.id === run.procedure);
  return (procedure && positionOf(procedure, run)?.step.text) ?? '';
}

const endings: Readonly<Record<string, string>> = {
  [wentThrough]: 'gone through',
  stopped: 'stopped',
  diagnose: 'back to the diagnosis',
  leave: 'left the house',
  'find-leak': 'find the leak first',
  'clean-arrestor': 'clean the screen',
};

export const endWords = ({ ends }: ProcedureRun): string =>
  endings[ends ?? ''] ?? `went on: ${ends}`;
