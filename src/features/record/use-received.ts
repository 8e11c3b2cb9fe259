'use client';

import { useEffect, useRef, useState } from 'react';
import type { Entry } from '@/core/job-file';
import { hearRestore, jobUnknown, restoredEvent } from '@/features/device/restored-event';
import { oneRoundAtATime } from '@/features/device/one-round';
import { serverPatienceMilliseconds } from '@/features/device/server-patience';

/** What other devices wrote on a job since the page came, and whether this device would hear of it. */
export interface Received {
  readonly entries: readonly Entry[];
  /** False while nobody tells what others do: what is shown is then what this device knows, and no more. */
  readonly isHearing: boolean;
}

const retryMilliseconds = 3000;
/** The server says something every 15 s (server/stream.ts): in a cellar a connection is lost, and nothing tells of it. */
const longestSilenceMilliseconds = 40_000;

/**
 * Asks for what comes to a job whenever the server says that something came, when the page comes to the front again and when
 * the connection is back. A page in the background lets go of its connection.
 */
export function useReceived(jobId: string, knownCount: number): Received {
  const [entries, setEntries] = useState<readonly Entry[]>([]);
  const [isHearing, setHearing] = useState(true);
  const count = useRef(knownCount);
  useEffect(() => {
    const ask = oneRoundAtATime(async () => {
      try {
        const response = await fetch(`/api/jobs/${jobId}/entries?after=${count.current}`, {
          cache: 'no-store',
          signal: AbortSignal.timeout(serverPatienceMilliseconds),
        });
        if (response.status === 404) hearRestore(jobUnknown);
        if (!response.ok) return setHearing(false);
        const {
          entries: fresh,
          more,
          restored,
        } = (await response.json()) as {
          entries: Entry[];
          more: boolean;
          restored?: string;
        };
        hearRestore(restored);
        setHearing(true);
        if (fresh.length === 0) return;
        count.current += fresh.length;
        setEntries((before) => [...before, ...fresh]);
        if (more) void ask();
      } catch {
        setHearing(false);
      }
    });
    let source: EventSource | undefined;
    let later: ReturnType<typeof setTimeout> | undefined;
    let silence: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      clearTimeout(silence);
      source?.close();
      source = undefined;
    };
    const heard = () => {
      clearTimeout(silence);
      silence = setTimeout(() => {
        setHearing(false);
        close();
        open();
      }, longestSilenceMilliseconds);
    };
    const open = () => {
      if (source || document.visibilityState === 'hidden') return;
      source = new EventSource(`/api/jobs/${jobId}/events`);
      heard();
      for (const each of ['open', 'beat', 'entries', 'deaf']) source.addEventListener(each, heard);
      source.addEventListener('entries', () => void ask());
      source.addEventListener('deaf', () => setHearing(false));
      source.addEventListener('error', () => {
        setHearing(false);
        // Lost, it tries again by itself; refused, as by a server that is stopping, it would never.
        if (source?.readyState !== EventSource.CLOSED) return;
        source = undefined;
        clearTimeout(later);
        later = setTimeout(open, retryMilliseconds);
      });
    };
    const turn = () => {
      if (document.visibilityState === 'hidden') close();
      else {
        open();
        void ask();
      }
    };
    const askAnew = () => {
      count.current = 0;
      void ask();
    };
    open();
    window.addEventListener(restoredEvent, askAnew);
    document.addEventListener('visibilitychange', turn);
    window.addEventListener('focus', turn);
    window.addEventListener('online', turn);
    return () => {
      clearTimeout(later);
      close();
      window.removeEventListener(restoredEvent, askAnew);
      document.removeEventListener('visibilitychange', turn);
      window.removeEventListener('focus', turn);
      window.removeEventListener('online', turn);
    };
  }, [jobId]);

  return { entries, isHearing };
}
