'use client';

import type { ReactNode } from 'react';
import { clockTime } from '@/features/record/words';
import { useLasting } from '@/ui/lasting';
import { useSettled } from '@/ui/settled';
import { useIsWide } from '@/ui/screen-width';
import { clockWords } from './clock-words';
import { useOutbox } from './use-outbox';

/** What is on its way for less is not told: the page would move under the finger with every entry. */
const shortMilliseconds = 1000;

/** What waits, and whether the server is just taking it; undefined where there is nothing to tell. */
function useToldOutbox() {
  const outbox = useOutbox();
  const { waiting, refused, isReachable } = outbox;
  const isOnItsWay = waiting > 0 && refused === 0 && isReachable;
  const isSlow = useLasting(isOnItsWay, shortMilliseconds);
  if (waiting + refused === 0 || (isOnItsWay && !isSlow)) return undefined;
  return { ...outbox, isOnItsWay };
}

/** What waits on this device, in the bar of a page that is not of one job. */
export const KeptNote = ({ jobId }: { jobId?: string }) => (
  <>
    <KeptOnItsWay className="absolute top-11 left-4" />
    <KeptRow jobId={jobId} />
  </>
);

/** What a job's button has room for. */
const most = 999;

/**
 * How many entries the server is taking, on a phone: a slow server has it come and go with every entry, so that it stands in
 * the bar where it moves nothing.
 */
export function KeptOnItsWay({ className = '' }: { className?: string }) {
  const told = useToldOutbox();
  const isWide = useIsWide();
  if (!told?.isOnItsWay || isWide) return null;
  return (
    <span role="status" className={`text-[12px] leading-none whitespace-nowrap ${className}`}>
      {told.waiting > most ? `${most}+` : told.waiting} kept
      <span className="sr-only"> on this device, being sent</span>
    </span>
  );
}

/**
 * What waits on this device: how many entries, of which job, since when. Says nothing where nothing waits, nor of what the
 * server is just taking; on a phone it has a line of its own. On the page of a job its own trouble comes first.
 */
export const KeptRow = ({ jobId = '' }: { jobId?: string }) => (
  <>
    <ClockRow />
    <WaitingRow jobId={jobId} />
  </>
);

/** Who dates entries by a wrong clock is told: a proof of dead may seem newer than what came after it. */
function ClockRow() {
  const { clockAheadMilliseconds } = useOutbox();
  const words = useSettled(clockWords(clockAheadMilliseconds));
  return words && <Row first={words}>not as the server’s: set it right</Row>;
}

function WaitingRow({ jobId }: { jobId: string }) {
  const told = useToldOutbox();
  const isWide = useIsWide();
  const isShown = useSettled(told !== undefined && (isWide || !told.isOnItsWay));
  if (!isShown) return null;
  if (!told) return <Row first="All sent" />;
  const { byJob, waiting, refused, since, isReachable, serverSays } = told;
  const own = byJob[jobId];
  const jobs = Object.values(byJob);
  const problem = own?.problem ?? jobs.find((each) => each.problem)?.problem;
  const others = own ? jobs.length - 1 : jobs.length;
  const shownProblem = own || jobId === '' ? problem : undefined;
  return (
    <Row
      first={waiting > 0 ? `${waiting} kept on this device` : `${refused} not taken by the server`}
    >
      {shownProblem ??
        serverSays?.split('. ')[0] ??
        (isReachable ? 'being sent' : waiting === 1 ? 'goes by itself' : 'go by themselves')}
      {!shownProblem && since !== undefined && `, since ${clockTime(new Date(since), undefined)}`}
      {others > 0 && `, ${others} ${own ? 'other ' : ''}${others === 1 ? 'job' : 'jobs'}`}
    </Row>
  );
}

const Row = ({ first, children }: { first: string; children?: ReactNode }) => (
  <div role="status" className="max-w-64 border-l border-hair">
    <a
      href="/waiting"
      className="flex min-h-11 flex-col justify-center px-3 text-small leading-tight"
    >
      <span className="font-semibold">{first}</span>
      {children && <span className="line-clamp-2 underline underline-offset-4">{children}</span>}
    </a>
  </div>
);
