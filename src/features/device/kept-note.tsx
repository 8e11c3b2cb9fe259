'use client';

import { clockTime } from '@/features/record/words';
import { useOutbox } from './use-outbox';

/**
 * What waits on this device, on every page: how many entries, of which job, since when. Says nothing where nothing waits. On
 * the page of a job its own trouble comes first.
 */
export function KeptNote({ jobId = '' }: { jobId?: string }) {
  const { byJob, waiting, refused, since, isReachable } = useOutbox();
  if (waiting + refused === 0) return null;
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
