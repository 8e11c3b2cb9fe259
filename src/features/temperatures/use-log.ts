'use client';

import { useCallback, useMemo, useRef } from 'react';
import { v7 as newId } from 'uuid';
import { logsOf, type JobFile, type LoggedCourse } from '@/core/job-file';
import { useFamily } from '@/features/record/family-context';
import { readOnce } from '@/features/record/read-once';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';

export interface LogHands {
  readonly courses: readonly LoggedCourse[];
  /** The log that goes on; undefined where none does. */
  readonly open: LoggedCourse | undefined;
  /** The open log, begun where there was none; undefined where that could not be entered. */
  begin(purpose?: 'watch' | 'proof', everySecond?: number): Promise<string | undefined>;
  stop(): Promise<void>;
  /** Readings on the log's own clock. */
  samples(
    place: string,
    track: { second: number[]; celsius: number[] },
    from: { source: 'hand' | 'live'; instrument?: string },
    log?: string,
  ): Promise<boolean>;
  tap(litrePerMinute: number): Promise<void>;
  lookAgain(minutes: number): Promise<void>;
  looked(): Promise<void>;
  /** Where the log's own clock stands now, in seconds. */
  now(): number;
  /** An instrument with a clock of its own tells where the log's stands. */
  setClock(second: number): void;
}

/** The temperatures that a job follows, and the hands that follow them. */
export function useLog(record: JobRecord): LogHands {
  const { job, append } = record;
  const courses = useCourses(job);
  const open = courses.findLast(({ stoppedAt }) => stoppedAt === undefined);
  const begun = useRef<{ log: Promise<string | undefined>; at: number }>(undefined);
  const clock = useRef<{ second: number; at: number }>(undefined);

  const now = useCallback(() => {
    if (clock.current) return clock.current.second;
    const from = open ? Date.parse(open.startedAt) : (begun.current?.at ?? Date.now());
    return Math.max(0, Math.round((Date.now() - from) / 100) / 10);
  }, [open]);

  const begin = useCallback(
    async (purpose: 'watch' | 'proof' = 'watch', everySecond?: number) => {
      if (open) return open.log;
      if (begun.current) return begun.current.log;
      const log = newId();
      const entered = append({
        kind: 'log',
        log,
        phase: 'started',
        purpose,
        ...(everySecond === undefined ? {} : { every: { second: everySecond } }),
      }).then((isKept) => {
        if (isKept) return log;
        // No reading belongs to a log that is nowhere: the next one begins it anew.
        begun.current = undefined;
        return undefined;
      });
      begun.current = { log: entered, at: Date.now() };
      clock.current = undefined;
      return entered;
    },
    [append, open],
  );

  const own = useCallback(
    async (rest: Omit<Extract<NewEntry, { kind: 'log' }>, 'kind' | 'log'>, log?: string) => {
      const id = log ?? (await begin());
      return id !== undefined && append({ kind: 'log', log: id, ...rest });
    },
    [append, begin],
  );

  return {
    courses,
    open,
    begin,
    async stop() {
      if (!open) return;
      await append({ kind: 'log', log: open.log, phase: 'stopped' });
      begun.current = clock.current = undefined;
    },
    samples: (place, track, from, log) => own({ phase: 'samples', place, track, ...from }, log),
    async tap(litrePerMinute) {
      await own({
        phase: litrePerMinute > 0 ? 'tap-opened' : 'tap-closed',
        ...(litrePerMinute > 0 ? { rate: { litrePerMinute } } : {}),
        ...(clock.current ? { second: clock.current.second } : {}),
      });
    },
    async lookAgain(minutes) {
      await own({
        phase: 'look-again',
        due: new Date(Date.now() + minutes * 60_000).toISOString(),
      });
    },
    async looked() {
      if (open) await own({ phase: 'looked' }, open.log);
    },
    now,
    setClock(second) {
      clock.current = { second, at: Date.now() };
    },
  };
}

function useCourses(job: JobFile): readonly LoggedCourse[] {
  const family = useFamily();
  return useMemo(() => logsOf(readOnce(job.entries, family).walked), [job.entries, family]);
}
