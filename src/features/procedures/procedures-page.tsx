'use client';

import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { Stop } from '@/core/appliances';
import type { JobFile, JobState } from '@/core/job-file';
import { positionOf, type Procedure } from '@/core/procedures';
import type { UnitSystem } from '@/core/quantities';
import type { FirmIntervals } from '@/core/service';
import { ProveDeadDialog } from '@/features/bench/prove-dead-dialog';
import { StateBar } from '@/features/bench/state-bar';
import { useJobState } from '@/features/bench/use-job-state';
import { useStop } from '@/features/bench/use-stop';
import { JobFamily, useFamily, useWords } from '@/features/record/family-context';
import { JointFindingsOfJob } from '@/features/record/joint-findings';
import { useJobRecord, type JobRecord } from '@/features/record/use-job-record';
import { Tick } from '@/ui/marks';
import { WarningSign } from '@/ui/signs';
import { HeldRun } from './held-run';
import { NoisePanel } from './noise-panel';
import { endWords, ProcedureList } from './procedure-list';
import { Runner } from './runner';

/** Work step by step: the list, or the run that the address names. It needs no diagnosis, and no signal. */
export function ProceduresPage(props: {
  initial: JobFile;
  system: UnitSystem;
  intervals: FirmIntervals;
}) {
  return (
    <JobFamily job={props.initial}>
      <Procedures {...props} />
    </JobFamily>
  );
}

function Procedures({
  initial,
  system,
  intervals,
}: {
  initial: JobFile;
  system: UnitSystem;
  intervals: FirmIntervals;
}) {
  const record = useJobRecord(initial);
  const { job, append } = record;
  const family = useFamily();
  const parameters = useSearchParams();
  const asked = parameters.get('run') ?? undefined;
  const [own, setOwn] = useState<string | undefined>(asked);
  const [isProving, setProving] = useState(false);
  const state = useJobState(job, family);
  const stop = useStop(job);
  const open = (run: string | undefined) => {
    setOwn(run);
    // The address alone: nothing of the page comes from the server anew.
    window.history.replaceState(
      null,
      '',
      `/jobs/${job.job.id}/procedures${run === undefined ? '' : `?run=${run}`}`,
    );
    window.scrollTo(0, 0);
  };
  return (
    <div className="flex min-h-dvh flex-col bg-sheet">
      <StateBar
        job={job}
        state={state}
        stop={stop}
        isHearing={record.isHearing}
        trouble={record.trouble}
        openRun={own}
        onMakeSafe={() => setProving(true)}
        append={record.append}
      />
      <main className="flex-1">
        {record.isReady ? (
          <Shown
            {...{ record, state, stop, system, intervals }}
            check={parameters.get('check') ?? undefined}
            run={own}
            onOpen={open}
            onProveDead={() => setProving(true)}
          />
        ) : (
          <p className="p-5 text-lead" role="status">
            Reading what this device has
          </p>
        )}
      </main>
      <ProveDeadDialog
        isOpen={isProving}
        job={job}
        onClose={() => setProving(false)}
        onTried={(entries) => append(...entries)}
      />
    </div>
  );
}

function Shown({
  run: id,
  ...props
}: {
  record: JobRecord;
  state: JobState;
  stop: Stop | undefined;
  system: UnitSystem;
  intervals: FirmIntervals;
  check: string | undefined;
  run: string | undefined;
  onOpen(run: string | undefined): void;
  onProveDead(): void;
}) {
  const { state, stop, record, onOpen } = props;
  const family = useFamily();
  /** The run that goes on, and under what, because somebody here has said that it is safe. */
  const [goesOn, setGoesOn] = useState<string>();
  const run = id !== undefined && Object.hasOwn(state.runs, id) ? state.runs[id] : undefined;
  const procedure = run && family.procedures.find((each) => each.id === run.procedure);
  const position = run && procedure && positionOf(procedure, run);
  if (!run || !procedure) {
    return (
      <>
        {id !== undefined && (
          <p role="status" className="mx-auto max-w-2xl px-4 pt-4 font-medium">
            That run is not on this job, or has not reached this device.
          </p>
        )}
        <ProcedureList
          {...{ record, state }}
          intervals={props.intervals}
          check={props.check}
          onOpen={onOpen}
        />
        <NoisePanel job={record.job} />
      </>
    );
  }
  const isNoise = procedure.id === 'locate-noise';
  const under = stop && `${run.run} ${stop.entry}`;
  if (position && stop && !procedure.makesSafe && goesOn !== under) {
    return (
      <HeldRun {...props} {...{ procedure, run, position, stop }} onGoOn={() => setGoesOn(under)} />
    );
  }
  if (position) {
    return (
      <>
        <Runner
          key={`${run.run} ${position.step.id} ${position.since}`}
          {...props}
          {...{ procedure, run, position }}
        />
        {isNoise && <NoisePanel job={record.job} />}
      </>
    );
  }
  return (
    <>
      <Ended {...props} {...{ run, procedure }} />
      {isNoise && <NoisePanel job={record.job} />}
    </>
  );
}

function Ended({
  record,
  run,
  procedure: { title, checks = [] },
  state,
  system,
  onOpen,
}: {
  record: JobRecord;
  run: JobState['runs'][string];
  procedure: Procedure;
  state: JobState;
  system: UnitSystem;
  onOpen(run: string | undefined): void;
}) {
  const words = useWords();
  const outer = run.within === undefined ? undefined : state.runs[run.within];
  const isWhole = run.ends === 'done';
  const leftOut = run.marks.filter((each) => each.phase === 'skipped');
  return (
    <section className="mx-auto w-full max-w-2xl px-4 py-5">
      <h2 className="flex items-center gap-3 text-title font-semibold">
        {isWhole ? <Tick /> : <WarningSign />} {title}: {endWords(run)}
      </h2>
      {run.ends === 'stopped' && <p className="mt-2 text-lead">{run.marks.at(-1)?.reason}</p>}
      {checks.length > 1 && <JointFindingsOfJob job={record.job} system={system} />}
      {leftOut.length > 0 && (
        <>
          <h3 className="mt-3 font-semibold">Left out</h3>
          <ul className="list-disc pl-5">
            {leftOut.map((each) => (
              <li key={each.at}>
                {words.step(run.procedure, each.step)}{' '}
                <span className="text-ink-2">{each.reason}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-5 grid gap-2">
        {outer && outer.ends === undefined && (
          <button
            type="button"
            className="button button-act min-h-14 text-lead"
            onClick={() => onOpen(outer.run)}
          >
            On with: {words.procedure(outer.procedure)}
          </button>
        )}
        <button
          type="button"
          className="button min-h-14 text-lead"
          onClick={() => onOpen(undefined)}
        >
          All procedures
        </button>
      </div>
    </section>
  );
}
