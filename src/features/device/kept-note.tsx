'use client';

import { useEffect, useState } from 'react';
import { clockTime } from '@/features/record/words';
import { useOutbox } from './use-outbox';

/** What is on its way for less is not told: the page would move under the finger with every entry. */
const shortMilliseconds = 1000;

/** True once something has been so without a break for a while. */
function useLasting(is: boolean): boolean {
  const [hasLasted, setLasted] = useState(false);
  useEffect(() => {
    if (!is) return;
    const timer = setTimeout(() => setLasted(true), shortMilliseconds);
    return () => {
      clearTimeout(timer);
      setLasted(false);
    };
  }, [is]);
  return is && hasLasted;
}

/**
 * What waits on this device, on every page: how many entries, of which job, since when. Says nothing where nothing waits, nor
 * of what the server is just taking. On the page of a job its own trouble comes first.
 */
export function KeptNote({ jobId = '' }: { jobId?: string }) {
  const { byJob, waiting, refused, since, isReachable } = useOutbox();
  const isOnItsWay = waiting > 0 && refused === 0 && isReachable;
  const isSlow = useLasting(isOnItsWay);
  if (waiting + refused === 0 || (isOnItsWay && !isSlow)) return null;
  const own = byJob[jobId];
  const jobs = Object.values(byJob);
  const problem = own?.problem ?? jobs.find((each) => each.problem)?.problem;
  const others = own ? jobs.length - 1 : jobs.length;
  const shownProblem = own || jobId === '' ? problem : undefined;
  return (
    <div role="status" className="max-w-64 border-l border-hair">
      <a
        href="/waiting"
        className="flex min-h-11 flex-col justify-center px-3 text-small leading-tight"
      >
        <span className="font-semibold">
          {waiting > 0 ? `${waiting} kept on this device` : `${refused} not taken by the server`}
        </span>
        <span className="line-clamp-2 underline underline-offset-4">
          {shownProblem ??
            (isReachable ? 'being sent' : waiting === 1 ? 'goes by itself' : 'go by themselves')}
          {!shownProblem &&
            since !== undefined &&
            `, since ${clockTime(new Date(since), undefined)}`}
          {others > 0 && `, ${others} ${own ? 'other ' : ''}${others === 1 ? 'job' : 'jobs'}`}
        </span>
      </a>
    </div>
  );
}
