'use client';

import { useMemo, useState, type ReactNode } from 'react';
import type { Stop } from '@/core/appliances';
import type { BenchAnswer } from '@/core/job-diagnosis';
import { isClosed, type JobFile, type JobState } from '@/core/job-file';
import type { UnitSystem } from '@/core/quantities';
import { ProveDeadDialog } from '@/features/bench/prove-dead-dialog';
import { StateBar } from '@/features/bench/state-bar';
import { useBenchAnswer } from '@/features/bench/use-bench';
import { useJobState } from '@/features/bench/use-job-state';
import { useStop } from '@/features/bench/use-stop';
import { JobFamily, useFamily } from '@/features/record/family-context';
import { useJobRecord } from '@/features/record/use-job-record';
import { PatternDefinitions } from '@/ui/patterns';
import { Closing } from './closing';
import { ProofList } from './proof-list';
import { RepairSteps } from './repair-steps';
import { SettingsFields } from './settings-fields';
import type { FirmTerms, StageProps } from './stage-props';
import { VerdictSection } from './verdict-section';

export interface RepairPageProps {
  readonly initial: JobFile;
  readonly system: UnitSystem;
  readonly firm: FirmTerms;
}

/** From the verdict through the repair to its proof, and the closing of the job. */
export function RepairPage(props: RepairPageProps) {
  return (
    <JobFamily job={props.initial}>
      <OpenRepair {...props} />
    </JobFamily>
  );
}

function OpenRepair({ initial, system, firm }: RepairPageProps) {
  const record = useJobRecord(initial);
  const { job, isReady, append } = record;
  const worked = useBenchAnswer(job, isReady, undefined);
  const { isFresh, isQuick, failure } = worked;
  const [isProving, setProving] = useState(false);
  // Told by the logbook at once: the verdict of a slow phone comes seconds later.
  const state = useJobState(job, useFamily());
  const stopTold = useStop(job);
  const stop = stopTold ?? worked.answer?.answer.stop;
  const answer = useMemo(
    () => worked.answer && asItStands(worked.answer, state, stop),
    [worked.answer, state, stop],
  );
  return (
    <div className="flex min-h-dvh flex-col">
      <PatternDefinitions />
      <StateBar
        job={job}
        state={state}
        stop={stop}
        isHearing={record.isHearing}
        trouble={record.trouble}
        onMakeSafe={() => setProving(true)}
        append={append}
      />
      {failure !== undefined && (
        <p className="p-5 text-lead" role="alert">
          The verdict could not be worked out: {failure} Nothing of the job is lost; the logbook has
          it all. Load the page again.
        </p>
      )}
      {answer ? (
        <Stages
          {...{ record, answer, system, firm }}
          isSettled={isFresh && (!isQuick || failure !== undefined)}
        />
      ) : (
        failure === undefined && (
          <p className="p-5 text-lead" role="status">
            Working out the verdict
          </p>
        )
      )}
      <ProveDeadDialog
        isOpen={isProving}
        job={job}
        onClose={() => setProving(false)}
        onTried={(entries) => append(...entries)}
      />
    </div>
  );
}

/**
 * An answer with what is newer than it and keeps hands off: a danger, a proof that holds no more. That a danger is over is the
 * next answer's to say, and so is everything else.
 */
const asItStands = (
  answer: BenchAnswer,
  { power, failedProof, proofEndedBy, provedDeadAt, provedDeadBy, provedDeadUntil }: JobState,
  stop: Stop | undefined,
): BenchAnswer => ({
  ...answer,
  state: {
    ...answer.state,
    power,
    failedProof,
    proofEndedBy,
    provedDeadAt,
    provedDeadBy,
    provedDeadUntil,
  },
  answer: { ...answer.answer, stop },
});

function Stages(props: StageProps) {
  const { answer, record } = props;
  const { state } = answer;
  const { repairs } = useFamily();
  const last = state.repairsDone.at(-1);
  // The verdict at hand comes before the repair that is done: there is a second, and a third, as often as needed.
  const repair = state.verdict?.repair ?? last;
  const isOver = isClosed(state.status);
  return (
    <main className="mx-auto grid w-full max-w-[1280px] flex-1 lg:grid-cols-3">
      <Section number="1" title="Verdict" isNow={!state.verdict && last === undefined}>
        <VerdictSection {...props} />
      </Section>
      <Section number="2" title="Repair" isNow={state.verdict !== undefined}>
        {repair !== undefined && Object.hasOwn(repairs, repair) ? (
          <RepairSteps key={`${repair} ${state.repairsDone.length}`} {...props} repair={repair} />
        ) : (
          <p className="text-ink-2">
            Act on a verdict first. The repair, its parts and its cautions follow from it.
          </p>
        )}
      </Section>
      <Section
        number="3"
        title="Proof, settings, closing"
        isNow={last !== undefined && !state.verdict && !isOver}
      >
        {last !== undefined && Object.hasOwn(repairs, last) && (
          <ProofList job={record.job} answer={answer} system={props.system} />
        )}
        <SettingsFields record={record} state={state} system={props.system} />
        <Closing record={record} answer={answer} />
      </Section>
    </main>
  );
}

function Section({
  number,
  title,
  isNow,
  children,
}: {
  number: string;
  title: string;
  isNow: boolean;
  children: ReactNode;
}) {
  return (
    <section
      className="border-b border-hair px-5 py-4 lg:border-r lg:border-b-0 lg:last:border-r-0"
      aria-current={isNow ? 'step' : undefined}
    >
      <h2 className="mb-3 flex items-baseline gap-3 border-b-2 border-rule pb-1 text-title font-semibold">
        <span className={isNow ? 'text-act' : 'text-ink-2'}>{number}</span>
        {title}
      </h2>
      {children}
    </section>
  );
}
