'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { AccessStep, ApplianceFamily } from '@/core/appliances';
import { parseReading, type ParsedReading, type UnitSystem } from '@/core/quantities';
import { useReadingDraft } from '@/features/record/use-reading-draft';
import { usePresentTechnician } from '@/features/record/technician-context';
import type { JobRecord, NewEntry } from '@/features/record/use-job-record';
import { useMeter } from '@/features/record/use-meter';
import { entryOfStep, trialEntry, valueOf, withLifted, withState } from './new-entries';
import { refusalOf } from './refusal';
import { takenAspect, withTaken, type Load } from './taken';
import { useBenchAnswer, useLoadedExpectation, usePreview, type AnsweredJob } from './use-bench';
import { useHeldTap, useTakenOnceFresh } from './use-held-tap';

/** A check, and the one that is taken before it. */
interface WaitingCheck {
  readonly check: string;
  readonly after: string;
}

export type SkipReason = 'cannot' | 'skipped' | 'not-sure';

/** What a tap enters for the check at hand. */
type Tap =
  | { readonly kind: 'found'; readonly entry: NewEntry }
  | { readonly kind: 'skip'; readonly reason: SkipReason; readonly words?: string }
  /** What was asked about its steps: done, or taken as it is. */
  | { readonly kind: 'asked'; readonly isDone: boolean; readonly steps: readonly AccessStep[] };

/** A result that waits for what is said of its steps. */
interface PendingResult {
  readonly check: string;
  readonly entry: NewEntry;
}

const tappedTooLate =
  'Not entered: something else came in while you tapped. Look at the check that stands here now, and tap again.';

/** The check at hand: what is typed for it, what that would mean, and how it becomes an entry. */
export function useCheckEntry(
  family: ApplianceFamily,
  { job, isReady, append }: JobRecord,
  system: UnitSystem,
  first: AnsweredJob | undefined,
  coming: Promise<AnsweredJob | undefined> | undefined,
) {
  const asked = useSearchParams().get('check') ?? '';
  const [chosen, setChosen] = useState(family.isCheckId(asked) ? asked : undefined);
  /** A proposed check whose steps have been begun stays, even if the next step would make another one cheaper. */
  const [begun, setBegun] = useState<string>();
  /** Checks that wait for another one to open the way to them, the innermost last. */
  const [waiting, setWaiting] = useState<readonly WaitingCheck[]>([]);
  /** What has just been taken to open the way to the check that is chosen. */
  const [opened, setOpened] = useState<string>();
  /** True while a result is on its way into the record: the check that it was for is done with, and takes no second one. */
  const [isEntering, setEntering] = useState(false);
  const answered = useBenchAnswer(job, isReady, chosen ?? begun, first, coming);
  const { answer, failure } = answered;
  const isFresh = answered.isFresh && !isEntering;
  const [problem, setProblem] = useState<string>();
  const [from, setFrom] = useState<string>();
  const [pending, setPending] = useState<PendingResult>();
  const { meter, set: setMeter } = useMeter();
  const [load, setLoad] = useState<Load>();
  const { id: by } = usePresentTechnician();
  const held = useHeldTap<Tap>();

  // The check that stands here is the one that the answer is for: its steps and its bands belong to it.
  const check = answer?.selected?.expectation.check;
  const [text, setText, typedAt] = useReadingDraft(`${job.job.id} ${check ?? ''}`);
  /** What is typed for a check of several values, each in its field. */
  const several = useReadingDraft(`${job.job.id} ${check ?? ''} values`);
  const quantity = check === undefined ? undefined : family.check(check).quantity;
  const parsed = useMemo<ParsedReading | undefined>(
    () =>
      text === '' || !quantity
        ? undefined
        : parseReading(text, { quantity, system, loneOneIsDoubtful: true }),
    [text, quantity, system],
  );
  const value = check !== undefined && parsed ? valueOf(family, check, parsed) : undefined;
  const taken = (entry: NewEntry) => withTaken(family, entry, meter, load);
  const trial =
    check !== undefined && value ? trialEntry(taken({ kind: 'reading', check, value })) : undefined;
  const preview = usePreview(job, isFresh ? trial : undefined);
  const expectation = useLoadedExpectation(job, check, load) ?? answer?.selected?.expectation;

  const steps = answer?.selected?.steps ?? [];
  const refusal = check === undefined ? undefined : refusalOf(family, job, check, steps);

  // It said no: the way stays closed, and what is best next is asked for instead.
  const isClosed =
    isFresh &&
    opened !== undefined &&
    steps.some((each) => each.kind === 'take-check' && each.check === opened);
  if (isClosed) {
    setChosen(undefined);
    setOpened(undefined);
    setWaiting([]);
  }

  // Another check came in its place, with steps of its own: what is said of those is not said of this one's.
  if (isFresh && pending && pending.check !== check) {
    setPending(undefined);
    setProblem(tappedTooLate);
  }

  const record = async (...entries: NewEntry[]) => {
    const isKept = await append(...entries);
    setProblem(isKept ? undefined : 'Not entered. What is typed stands here still: see above.');
    return isKept;
  };
  const isLive = check !== undefined && family.check(check).state?.power === 'on';
  const finish = async (...entries: NewEntry[]) => {
    setPending(undefined);
    setEntering(true);
    held.settle();
    const isKept = await record(...entries);
    setEntering(false);
    if (!isKept) {
      held.settled();
      return;
    }
    setText('');
    // Taken again, it is read again: what was entered is not there to be entered once more.
    several[1]('');
    setFrom(undefined);
    setLoad(undefined);
    const last = waiting.at(-1);
    const goesOn = last !== undefined && last.after === check;
    setChosen(goesOn ? last.check : undefined);
    setOpened(goesOn ? last.after : undefined);
    setWaiting(goesOn ? waiting.slice(0, -1) : []);
    setBegun(undefined);
    // The address alone: nothing of the page comes from the server anew, which may not be there.
    if (asked) window.history.replaceState(null, '', `/jobs/${job.job.id}`);
  };
  /** Gives true where the power has to come off first. */
  const enter = (found: NewEntry): boolean => {
    if (check === undefined || !answer) return false;
    if (!isFresh) {
      held.hold({ check, by, tap: { kind: 'found', entry: found } });
      return false;
    }
    const entry = taken(found);
    if (refusal) {
      setProblem(refusal);
      return steps.some((each) => each.kind === 'power-off-and-prove');
    }
    if (steps.length > 0) setPending({ check, entry });
    else void finish(withState(family, entry, check, answer.state.lifted));
    return false;
  };
  const skip = (reason: SkipReason, words?: string) => {
    if (check === undefined) return;
    if (isFresh) void finish({ kind: 'skip', check, reason, ...(words && { words }) });
    else held.hold({ check, by, tap: { kind: 'skip', reason, words } });
  };
  const finishAsked = (isDone: boolean) => {
    if (!pending || check === undefined || !answer) return;
    if (!isFresh) return held.hold({ check, by, tap: { kind: 'asked', isDone, steps } });
    const { entry } = pending;
    // What was found live since it was asked bars it as it would have before.
    if (refusal) {
      setPending(undefined);
      return setProblem(refusal);
    }
    if (isDone) {
      const refitted = steps.flatMap((each) =>
        each.kind === 'refit-wire' ? [each.lifted.wire] : [],
      );
      const lifted = [
        ...answer.state.lifted.filter((each) => !refitted.includes(each.wire)),
        ...steps.flatMap((each) => (each.kind === 'lift-wire' ? [each.lifted] : [])),
      ];
      void finish(...steps.map(entryOfStep), withState(family, entry, check, lifted));
    } else {
      // A live reading was taken behind covers that somebody had taken off, and with the power on.
      const open = isLive ? steps.filter((each) => each.kind === 'open-cover') : [];
      void finish(...open.map(entryOfStep), withLifted(entry, answer.state.lifted));
    }
  };
  useTakenOnceFresh(held, isFresh, ({ tap, isLate, ...meant }) => {
    if (isLate || meant.check !== check || meant.by !== by) setProblem(tappedTooLate);
    else if (tap.kind === 'found') enter(tap.entry);
    else if (tap.kind === 'skip') skip(tap.reason, tap.words);
    // Other steps than were seen are asked about anew.
    else if (JSON.stringify(tap.steps) === JSON.stringify(steps)) finishAsked(tap.isDone);
  });

  return {
    answer,
    isFresh,
    isQuick: answered.isQuick,
    newer: answered.newer,
    failure,
    check,
    expectation,
    quantity,
    begun,
    text,
    typedAt,
    several,
    parsed,
    value,
    preview,
    steps,
    refusal,
    problem,
    pending,
    isLive,
    aspect: check === undefined ? undefined : takenAspect(family, check),
    meter,
    setMeter,
    load,
    setLoad,
    cancelPending: () => setPending(undefined),
    change(next: string) {
      held.drop();
      setProblem(undefined);
      setFrom(undefined);
      setText(next);
    },
    /** What an instrument held, with its name: what is changed by hand afterwards is no longer the instrument's. */
    drop(next: string, instrument: string) {
      held.drop();
      setProblem(undefined);
      setText(next);
      setFrom(instrument);
    },
    from,
    choose(other: string) {
      held.drop();
      setWaiting([]);
      setOpened(undefined);
      setLoad(undefined);
      setBegun(undefined);
      setChosen(other);
    },
    /** Another check first, that says whether the way to this one is open; then this one again. */
    chooseFirst(other: string) {
      held.drop();
      if (check !== undefined) setWaiting([...waiting, { check, after: other }]);
      setOpened(undefined);
      setLoad(undefined);
      setBegun(undefined);
      setChosen(other);
    },
    begin: () => setBegun(check),
    record,
    enter,
    enterReading(): boolean {
      if (check === undefined) return false;
      if (parsed?.kind === 'problem') setProblem(parsed.message);
      else if (value) {
        return enter({
          kind: 'reading',
          check,
          value,
          ...(from === undefined ? {} : { instrument: from }),
        });
      }
      return false;
    },
    skip: (reason: SkipReason) => skip(reason),
    /** The verdict stands without a reading on the part itself; the logbook says so. */
    trust: () => skip('skipped', 'part taken without being read on itself'),
    /** The steps were done after all: they go in before the result. */
    finishWithSteps: () => finishAsked(true),
    finishAsItIs: () => finishAsked(false),
  };
}

export type CheckEntry = ReturnType<typeof useCheckEntry>;
