'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { familyOfJob } from '@/core/appliances';
import { judgeDeadProof, type Constraints, type Entry, type JobFile } from '@/core/job-file';
import { mergeEntries, ownEntries, stampAfter } from './merge-entries';
import { keepJob, keptBeside, type KeptBeside } from '@/features/device/kept-jobs';
import { sendSoon } from '@/features/device/outbox';
import { sendAll, sendStraight } from '@/features/device/send';
import {
  counts,
  inTime,
  keepEntries,
  keptEntries,
  longestWaitMilliseconds,
  StoreSilent,
  watchStore,
  type Keeping,
} from '@/features/device/store';
import {
  isUnread,
  keptByServer,
  notKept,
  notKeptInTime,
  perhapsKept,
  slowToKeep,
  takenAfterAll,
  toldTrouble,
  type Reading,
} from './store-trouble';
import { usePresentTechnician } from './technician-context';
import { useConstraints } from './use-constraints';
import { useReceived } from './use-received';

/** An entry before it has its id and time. */
export type NewEntry = Entry extends infer Each
  ? Each extends Entry
    ? Omit<Each, 'id' | 'at'> & { readonly at?: string }
    : never
  : never;

export interface JobRecord {
  /** The job with everything that this device knows, sent or not. */
  readonly job: JobFile;
  /** False until this device's own entries have been read, or its store has given no answer. */
  readonly isReady: boolean;
  /** True where this device came with entries that the page's job does not have. */
  readonly cameWithMore: boolean;
  /** False while this device does not hear what others do on the job. */
  readonly isHearing: boolean;
  /**
   * Keeps the entries on this device, then sends; where the device cannot keep them, sends them straight away. Gives false
   * where neither has them, and says so in `trouble`.
   */
  append(...added: NewEntry[]): Promise<boolean>;
  /** What is wrong with this device's own store, in words; undefined where it keeps what it is given. */
  readonly trouble: string | undefined;
  /** Sets what the technician may and can do; gives the reason where it was refused. */
  constrain(constraints: Constraints): Promise<string | undefined>;
}

const none: readonly never[] = [];

/** Asks the store while the page still comes to life; what is wrong with it who watches it hears. */
const readAhead = (jobId: string, pageCount: number) =>
  typeof indexedDB === 'undefined'
    ? undefined
    : { jobId, pageCount, kept: keptBeside(jobId, pageCount).catch(() => undefined) };

/** The same twice within so long is one tap of a hand in a glove: nobody does the same thing to a unit again that soon. */
const doubleTapMilliseconds = 700;

interface Tap {
  readonly said: string;
  readonly at: number;
  readonly made: readonly Entry[];
  readonly entered: Promise<boolean>;
  /** Until it is over, the same once more is the same: a store may be silent for many seconds, and who waits taps again. */
  isOver: boolean;
}

/** Entries that neither this device nor the server seemed to take. */
interface Untaken {
  /** What was to be entered, and by whom. */
  readonly said: string;
  readonly made: readonly Entry[];
  /** How many entries the job had. */
  readonly after: number;
}

/** A job's logbook as this device has it: its own store first, the server after. */
export function useJobRecord(initial: JobFile): JobRecord {
  const jobId = initial.job.id;
  const technician = usePresentTechnician();
  const pageCount = initial.entries.length;
  const { entries: received, isHearing } = useReceived(jobId, pageCount);
  const { constraints, set: constrain } = useConstraints(initial);
  const [ahead] = useState(() => readAhead(jobId, pageCount));
  const [own, setOwn] = useState<readonly Entry[]>([]);
  /** What the server had told this device of the job, where this page is older and does not have it. */
  const [since, setSince] = useState<readonly Entry[]>([]);
  /** What the server has from this page, and this device could not keep. */
  const [straight, setStraight] = useState<readonly Entry[]>([]);
  const [reading, setReading] = useState<Reading>('begun');
  const [came, setCame] = useState<readonly Entry[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const [untakenIds, setUntakenIds] = useState<readonly string[]>(none);
  /** What of this device's own counts for nothing, as its store has it at this moment. */
  const uncounted = useRef<readonly string[]>(none);

  // Also told of what another tab of this browser writes, without the server.
  useEffect(() => {
    let isFirst = true;
    let isGone = false;
    const tell = (kept: KeptBeside) => {
      const read = kept.own.map((each) => ({ ...each, counts: counts(each) }));
      // What has left the store the server has; until this page hears so from the server it still counts here.
      setOwn((before) => withSameIds(before, ownEntries(before, read)));
      uncounted.current = read.filter((each) => !each.counts).map(({ id }) => id);
      if (!isFirst) return;
      isFirst = false;
      setSince((before) => withSameIds(before, kept.since));
      const counted = read.filter((each) => each.counts).map((each) => each.entry);
      setCame((before) => withSameIds(before, [...kept.since, ...counted]));
      setReading('read');
    };
    if (ahead?.jobId === jobId && ahead.pageCount === pageCount) {
      void ahead.kept.then((kept) => {
        if (kept && isFirst && !isGone) tell(kept);
      });
    }
    const end = watchStore(
      // What came by others since the page was made is of interest once: from then on this page hears of it.
      async () =>
        isFirst ? keptBeside(jobId, pageCount) : { own: await keptEntries(jobId), since: none },
      tell,
      // Without a store of its own the device works on what the server has.
      (trouble) => setReading((before) => (before === 'read' ? 'closed' : trouble)),
    );
    return () => {
      isGone = true;
      end();
    };
  }, [jobId, pageCount, ahead]);

  const doubted = isUnread(reading);
  const entries = useMemo(() => {
    const all = mergeEntries([initial.entries, since, received, straight], own);
    return doubted ? withoutProofsOf(initial, all) : all;
  }, [initial, since, received, straight, own, doubted]);
  const latest = useRef(entries);
  useEffect(() => {
    latest.current = entries;
  });

  const lastTap = useRef<Tap>(undefined);
  /** What was told not to be entered, which of the server is not certain: its answer may be lost. */
  const untaken = useRef<Untaken>(undefined);
  const make = useCallback(
    (said: string, by: string, added: readonly NewEntry[]): readonly Entry[] => {
      const before = latest.current;
      // The same once more, with nothing between, is what was tried before: should the server have it, it has it once.
      if (untaken.current?.said === said && untaken.current.after === before.length)
        return untaken.current.made;
      const start = stampAfter(before, Date.now());
      return added.map(
        (each, index) =>
          ({
            ...each,
            id: newId(),
            at: each.at ?? new Date(start + index).toISOString(),
            by,
          }) as Entry,
      );
    },
    [],
  );
  const enter = useCallback(
    async (said: string, made: readonly Entry[]) => {
      latest.current = [...latest.current, ...made];
      const keeping = keepEntries(jobId, made);
      untaken.current = undefined;
      setUntakenIds(none);
      try {
        await inTime(keeping.kept);
        setTrouble(undefined);
      } catch (error) {
        const isSilent = error instanceof StoreSilent;
        // What still waits here was written before it, and is the server's before it; of a silent store nothing is to be had.
        if (!isSilent) await inTime(sendAll()).catch(() => undefined);
        const outcome = await sendStraight(jobId, made);
        if (outcome.kind === 'all-sent') {
          setTrouble(keptByServer);
          setStraight((before) => [...before, ...made]);
          return true;
        }
        const end = isSilent ? await waitOn(keeping, () => setTrouble(slowToKeep)) : 'not-kept';
        setTrouble(
          end === 'kept'
            ? undefined
            : end === 'perhaps'
              ? perhapsKept
              : `${isSilent ? notKeptInTime : notKept} ${outcome.message}`,
        );
        if (end !== 'kept') {
          latest.current = latest.current.filter((each) => !made.some(({ id }) => id === each.id));
          untaken.current = { said, made, after: latest.current.length };
          setUntakenIds(made.map(({ id }) => id));
          return false;
        }
      }
      setOwn((before) => [...before, ...made.filter(({ id }) => before.every((e) => e.id !== id))]);
      sendSoon();
      return true;
    },
    [jobId],
  );
  const append = useCallback(
    (...added: NewEntry[]): Promise<boolean> => {
      const said = JSON.stringify([technician.id, added]);
      const at = performance.now();
      const last = lastTap.current;
      const isBounce =
        last?.said === said &&
        (!last.isOver || at - last.at < doubleTapMilliseconds) &&
        // What was kept and then refused, or struck, can be said again at once as well.
        !last.made.some(({ id }) => uncounted.current.includes(id));
      if (isBounce) return last.entered;
      const made = make(said, technician.id, added);
      const entered = enter(said, made);
      const tap: Tap = { said, at, made, entered, isOver: false };
      lastTap.current = tap;
      // What was not entered can be tapped again at once.
      void entered
        .finally(() => (tap.isOver = true))
        .then((isEntered) => {
          if (!isEntered && lastTap.current === tap) lastTap.current = undefined;
        });
      return entered;
    },
    [technician.id, make, enter],
  );

  const isTaken =
    trouble !== undefined &&
    untakenIds.length > 0 &&
    untakenIds.every((id) => received.some((each) => each.id === id));
  const asServed = useMemo(
    () => ({
      ...initial,
      constraints,
      entries: [...mergeEntries([initial.entries, since, received], [])],
    }),
    [initial, constraints, since, received],
  );
  useKeptJob(asServed);
  const known = useMemo(() => new Set(initial.entries.map((each) => each.id)), [initial]);
  const cameWithMore = came.some((each) => !known.has(each.id));
  const job = useMemo(
    () => ({ ...initial, constraints, entries: [...entries] }),
    [initial, constraints, entries],
  );

  return {
    job,
    isReady: reading !== 'begun',
    cameWithMore,
    isHearing,
    append,
    trouble: isTaken ? takenAfterAll : toldTrouble(trouble, reading),
    constrain,
  };
}

/**
 * Without the proofs of dead that hold: what ended them may be among what this device keeps and does not show. What a try
 * found live stays.
 */
function withoutProofsOf({ entries: earlier, ...head }: JobFile, all: readonly Entry[]) {
  const { catalogue } = familyOfJob(head);
  const proofs = new Set(
    earlier.flatMap((each) =>
      each.kind === 'action' &&
      each.action === 'proved-dead' &&
      judgeDeadProof(each, catalogue).kind === 'proved'
        ? [each.id]
        : [],
    ),
  );
  return all.filter(({ id }) => !proofs.has(id));
}

/** The list before where it holds the same entries as the one after: entries never change, and nothing is drawn anew. */
const withSameIds = (before: readonly Entry[], after: readonly Entry[]): readonly Entry[] =>
  before.length === after.length && before.every(({ id }, k) => id === after[k]!.id)
    ? before
    : after;

/** Waits on for a store that was silent, and gives up in the end, so that what is told of it stays so. */
async function waitOn(
  keeping: Keeping,
  tell: () => void,
): Promise<'kept' | 'not-kept' | 'perhaps'> {
  tell();
  try {
    await inTime(keeping.kept, longestWaitMilliseconds);
    return 'kept';
  } catch (error) {
    return !(error instanceof StoreSilent) || keeping.giveUp() ? 'not-kept' : 'perhaps';
  }
}

/** Several entries that come together are kept together. */
const keepDelayMilliseconds = 500;

/** Keeps the job on this device as the server has it, so that its pages open without the server. */
function useKeptJob(asServed: JobFile): void {
  useEffect(() => {
    const timer = setTimeout(() => void keepJob(asServed), keepDelayMilliseconds);
    return () => clearTimeout(timer);
  }, [asServed]);
}
