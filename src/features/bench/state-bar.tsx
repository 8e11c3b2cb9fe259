'use client';

import { Link } from '@/ui/link';
import type { JobFile, JobState, ProofEnd } from '@/core/job-file';
import { familyOfJob, isWorkedDead, type Stop } from '@/core/appliances';
import { wordsOf } from '@/features/record/family-words';
import { clockTime, plateWords, terminalName, wiresLifted } from '@/features/record/words';
import { StopNote } from '@/features/record/stop-note';
import type { NewEntry } from '@/features/record/use-job-record';
import { KeptOnItsWay, KeptRow } from '@/features/device/kept-note';
import { usePresentTechnician } from '@/features/record/technician-context';
import { RunningTimers } from '@/features/procedures/running-timers';
import { Wordmark } from '@/ui/marks';
import { useIsWide } from '@/ui/screen-width';
import { useSettled } from '@/ui/settled';
import { DisconnectedSign, ElectricitySign, WarningSign } from '@/ui/signs';
import { EndedRow } from './ended-row';

export interface StateBarProps {
  readonly job: JobFile;
  readonly state: JobState | undefined;
  /** What has stopped the job, as long as it does. */
  readonly stop: Stop | undefined;
  /** False while this device does not hear what others do on the job. */
  readonly isHearing: boolean;
  /** What is wrong with this device's own store, in words. */
  readonly trouble: string | undefined;
  /** A run of a procedure that the page itself shows. */
  readonly openRun?: string;
  onMakeSafe(): void;
  /** Writes into the logbook. */
  append(entry: NewEntry): unknown;
}

/** Always on top: which job, how the power stands, what is open and lifted, what has not been sent. */
export function StateBar({
  job,
  state,
  stop,
  isHearing,
  trouble,
  openRun,
  onMakeSafe,
  append,
}: StateBarProps) {
  const { site, unit, job: head } = job;
  const family = familyOfJob(job);
  const words = wordsOf(family);
  const isAlone = useSettled(!isHearing);
  const told = useSettled(trouble);
  // What a desk alone has room for, a phone neither reads nor brings to life. Its styles hide it as well: a server may take a
  // tablet for a desk, until the page knows better.
  const isWide = useIsWide();
  // A fact without words, such as that something was read, is nobody's to look at.
  const coversOff = Object.keys(state?.facts ?? {}).filter((each) =>
    Object.hasOwn(family.words.covers, each),
  );
  return (
    <>
      <header className="sticky top-0 z-10 flex flex-wrap items-stretch border-b-2 border-rule bg-paper lg:h-14 lg:flex-nowrap">
        {isWide ? (
          <>
            <Link
              href="/"
              className="hidden items-center border-r border-hair px-4 lg:flex"
              aria-label="Ohmmeter, all jobs"
            >
              <Wordmark />
            </Link>
            <div className="hidden min-w-44 flex-1 items-center gap-4 px-4 lg:flex">
              <h1 className="shrink-0 text-[24px] font-semibold">{head.number}</h1>
              <div className="min-w-0 leading-tight">
                <div className="truncate font-semibold">
                  {site?.customer}, {site?.address}
                </div>
                <div className="truncate text-small text-ink-2">
                  {[[unit.make, unit.model].filter(Boolean).join(' '), family.title.toLowerCase()]
                    .filter(Boolean)
                    .join(' · ')}{' '}
                  · {plateWords(job)}
                </div>
              </div>
            </div>
          </>
        ) : (
          <h1 className="sr-only">
            Job {head.number}, {site?.customer}
          </h1>
        )}
        {isWorkedDead(family) && (
          <PowerState state={state} timeZone={head.timeZone} onMakeSafe={onMakeSafe} />
        )}
        {isWide && coversOff.length > 0 && (
          <div className="hidden flex-col justify-center border-l border-hair px-3 text-small leading-tight lg:flex">
            <span className="font-semibold">
              {family.catalogue.covers.size > 0 ? 'Covers off' : 'As it stands'}
            </span>
            <span className="line-clamp-2 max-w-44">
              {coversOff.map((each) => words.cover(each).replace(' cover', '')).join(', ')}
            </span>
          </div>
        )}
        {state && state.lifted.length > 0 && (
          <div className="flex flex-col justify-center border-l border-hair px-2 text-small leading-tight lg:px-3">
            <span className="font-semibold text-act">{wiresLifted(state.lifted.length)}</span>
            {isWide && (
              <span className="hidden max-w-28 truncate lg:inline">
                {state.lifted.map((each) => terminalName(each.end)).join(', ')}
              </span>
            )}
          </div>
        )}
        <div className="order-last flex basis-full border-t border-edge empty:hidden lg:order-none lg:basis-auto lg:border-t-0">
          <RunningTimers job={job} state={state} except={openRun} />
        </div>
        <div className="order-last flex basis-full border-t border-edge empty:hidden lg:order-none lg:basis-auto lg:border-t-0">
          {isAlone && <NotHearing isHearing={isHearing} />}
          <KeptRow jobId={head.id} />
        </div>
        <nav
          className="ml-auto flex items-center gap-2 border-l border-hair px-2 lg:px-3"
          aria-label="Job"
        >
          {isWide ? (
            <>
              <Link href={`/jobs/${head.id}/repair`} className="button hidden lg:inline-flex">
                Repair
              </Link>
              <Link href={`/jobs/${head.id}/procedures`} className="button hidden lg:inline-flex">
                Procedures
              </Link>
              {(family.storage ?? family.tap) && (
                <Link
                  href={`/jobs/${head.id}/temperatures`}
                  className="button hidden lg:inline-flex"
                >
                  Temperatures
                </Link>
              )}
              {family.flue && (
                <Link href={`/jobs/${head.id}/combustion`} className="button hidden lg:inline-flex">
                  Combustion
                </Link>
              )}
              {(family.storage ?? family.tap ?? family.system) && (
                <Link href={`/jobs/${head.id}/settings`} className="button hidden 2xl:inline-flex">
                  Settings
                </Link>
              )}
              <Link href={`/jobs/${head.id}/report`} className="button hidden lg:inline-flex">
                Report
              </Link>
            </>
          ) : (
            <Link href="/" className="button relative px-2">
              {head.number}
              <KeptOnItsWay className="absolute inset-x-0 bottom-0.5" />
            </Link>
          )}
        </nav>
      </header>
      <EndedRow
        job={job}
        status={state?.status}
        onTakeUp={() =>
          append({ kind: 'status', status: state?.verdict ? 'repairing' : 'diagnosing' })
        }
      />
      {stop && (
        <StopNote
          stop={stop}
          until="Nothing else is proposed until a later check shows that it is over. It is in the logbook."
        />
      )}
      {told && (
        <p
          role="alert"
          className="border-b-2 border-rule bg-heat-wash px-4 py-2 text-small font-medium"
        >
          {told}
        </p>
      )}
    </>
  );
}

function NotHearing({ isHearing }: { isHearing: boolean }) {
  return (
    <div
      className="flex min-h-11 flex-1 flex-col justify-center px-3 text-small leading-tight lg:max-w-48 lg:border-l lg:border-hair"
      role="status"
    >
      <span className="font-semibold">{isHearing ? 'Connected' : 'No connection'}</span>
      <span className="line-clamp-2">
        {isHearing ? 'what others do is seen' : 'what others do is not seen'}
      </span>
    </div>
  );
}

function PowerState({
  state,
  timeZone,
  onMakeSafe,
}: {
  state: JobState | undefined;
  timeZone: string | undefined;
  onMakeSafe(): void;
}) {
  const { name } = usePresentTechnician();
  if (!state) return <div className="min-h-14 px-3 lg:border-l lg:border-hair" />;
  if (state.power === 'off' && state.provedDeadAt) {
    // On a device where nobody said who works there it may be somebody else who reads it.
    const whose = state.provedDeadBy === undefined ? '' : ` by ${name.split(' ')[0]}`;
    return (
      <div
        className="flex min-h-14 items-center gap-2 px-3 lg:border-l lg:border-hair"
        role="status"
      >
        <DisconnectedSign />
        <span className="leading-tight">
          <span className="block font-semibold">Power OFF</span>
          <span className="text-small">
            proved dead {clockTime(state.provedDeadAt, timeZone)}
            {whose}
          </span>
        </span>
      </div>
    );
  }
  const why = whyNotProved(state);
  if (state.power === 'off') {
    return (
      <div
        className="flex min-h-14 items-center gap-2 px-3 lg:border-l lg:border-hair"
        role="status"
      >
        <WarningSign />
        <span className="leading-tight">
          <span className="block font-semibold">Off, not proved dead</span>
          {why && <span className="text-small">{why}</span>}
        </span>
        <button type="button" className="button ml-1" onClick={onMakeSafe}>
          Prove dead
        </button>
      </div>
    );
  }
  return (
    <div
      className="flex min-h-14 grow items-center gap-2 border-l-8 border-heat bg-heat-wash px-3 lg:grow-0"
      role="status"
    >
      <ElectricitySign />
      <span className="leading-tight">
        <span className="block font-semibold text-heat">
          {state.failedProof?.kind === 'live'
            ? `NOT dead: ${state.failedProof.volt} V`
            : 'Power ON'}
        </span>
        <span className="text-small">
          {state.failedProof?.kind === 'live'
            ? state.failedProof.between.map(terminalName).join(' to ')
            : state.power === 'unknown'
              ? (gapWords(state) ?? 'until proved dead')
              : 'live parts'}
        </span>
      </span>
      <button type="button" className="button ml-1 bg-sheet whitespace-nowrap" onClick={onMakeSafe}>
        Make safe
      </button>
    </div>
  );
}

/** Why a proof is missing, where one was tried or had been there. */
function whyNotProved({ failedProof, proofEndedBy }: JobState): string | undefined {
  if (failedProof?.kind === 'incomplete') {
    return failedProof.missing === 'prover' ? 'prover not tried' : 'points not read';
  }
  return proofEndedBy === undefined ? undefined : endings[proofEndedBy];
}

/** That a proof went with what nobody here knows of. */
const gapWords = ({ proofEndedBy }: JobState): string | undefined =>
  proofEndedBy === 'restored' || proofEndedBy === 'brought-in' ? endings[proofEndedBy] : undefined;

const endings: Readonly<Record<ProofEnd, string>> = {
  'power-on': 'it was on since',
  'live-reading': 'volts or amps since',
  'power-off': 'switched again since',
  'failed-proof': 'the last try failed',
  'other-person': 'proved by another person',
  left: 'the unit was left since',
  'wrong-clock': 'dated days ahead',
  restored: 'backup put back since',
  'brought-in': 'it came as a file since',
};
