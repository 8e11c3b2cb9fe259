'use client';

import { useEffect, useRef, useState } from 'react';
import {
  cautionWords,
  elapsedSeconds,
  missingFor,
  repeatsLeft,
  timerOf,
  timerPhase,
  type Position,
  type StepOutcome,
  type UnstampedEntry,
} from '@/core/procedures';
import { schools, wayOf } from '@/core/schools';
import { useFamily } from '@/features/record/family-context';
import { CautionSign } from '@/ui/signs';
import { readySound } from './due-sound';
import { Missing } from './missing';
import { Press } from './press';
import type { RunnerProps } from './run-props';
import { SkipDialog, StopDialog } from './leave-dialogs';
import { ClockNotes, StepClock } from './step-timer';
import { StepWork } from './step-work';
import { useClock } from './use-clock';
import { runActions } from './use-run';

/** A step that is over sooner than this has the whole screen for its button, in seconds. */
const shortSeconds = 10;

/** One step, large: what to do, what may hurt, its clock, what is to be recorded, and the ways on. */
export function Runner({ position, ...props }: RunnerProps & { readonly position: Position }) {
  const { record, state, procedure, run, onOpen, onProveDead } = props;
  const family = useFamily();
  const { step, index } = position;
  const timer = timerOf(procedure, run, position);
  const clock = useClock(timer?.startedAt !== undefined, run.marks.at(-1)?.at);
  const phase = timer && timerPhase(timer, clock.now);
  const actions = runActions(family, record, state, procedure, run, position);
  const missing = missingFor(procedure, run, step, state);
  const repeats = repeatsLeft(run, step);
  const [early, setEarly] = useState('');
  const [problem, setProblem] = useState<string>();
  const [leaving, setLeaving] = useState<'skip' | 'stop'>();
  const [isBusy, setBusy] = useState(false);
  // Two taps may come before the page has drawn what the first has done; a step that is drawn already takes its own.
  const here = `${step.id} ${position.since}`;
  const busy = useRef<string>(undefined);
  // Nobody was there when it ran over: it does not tick itself, and asks what is to be seen.
  const [wasOverAtFirst] = useState(phase === 'overdue');
  const isTooEarly = phase === 'waits' || phase === 'running';
  const isLate = wasOverAtFirst && timer?.endsBy === 'time';
  const needsWords = isTooEarly || isLate;

  /** Gives false where the step has not ended: what was typed for it stands there still. */
  const finish = async (outcome: StepOutcome, ...results: UnstampedEntry[]): Promise<boolean> => {
    if (busy.current === here) {
      // Behind a silent store that takes a while: another answer is not lost without a word.
      setProblem('What was tapped before is still being entered. Tap once more when it is.');
      return false;
    }
    if (missing.length > 0) {
      setProblem('First what stands above: it does not hold now.');
      return false;
    }
    const now = clock.read();
    const isEarly = timer !== undefined && ['waits', 'running'].includes(timerPhase(timer, now));
    const needsReason = isEarly || isLate;
    if (needsReason && early.trim() === '') {
      setProblem(
        isEarly
          ? 'Its least time has not passed. Say why it is enough, or wait.'
          : 'It ran over while nobody looked. Say what is to be seen.',
      );
      return false;
    }
    busy.current = here;
    setBusy(true);
    const way = await actions.finish(
      {
        ...outcome,
        ...(needsReason ? { reason: early.trim() } : {}),
        ...(timer ? { seconds: elapsedSeconds(timer, now) } : {}),
      },
      ...results,
    );
    if (busy.current === here) {
      busy.current = undefined;
      setBusy(false);
    }
    setProblem(way ? undefined : 'Not entered: see above.');
    if (!way) return false;
    setEarly('');
    if (way.opened) onOpen(way.opened);
    return true;
  };

  // A wait that ends by its time moves on by itself, as long as somebody sees it come due.
  const isByItself =
    timer?.endsBy === 'time' &&
    (step.kind === 'wait' || step.kind === 'do') &&
    !step.results &&
    (repeats === undefined || repeats.must) &&
    missing.length === 0;
  const came = useRef(phase);
  const goOn = useRef<() => void>(undefined);
  useEffect(() => {
    goOn.current = () => void finish({});
  });
  useEffect(() => {
    const was = came.current;
    came.current = phase;
    if (isByItself && was === 'running' && phase === 'ready') goOn.current?.();
  }, [phase, isByItself]);

  const school = step.way && schools.find(({ id }) => id === step.way!.school);
  const ways = record.job.constraints?.schools;
  const isOtherWay = school !== undefined && wayOf(school, ways).id !== step.way!.is;
  const isShort = timer !== undefined && timer.mostSeconds <= shortSeconds;
  const before = procedure.steps[index - 1];
  return (
    <section
      aria-label={procedure.title}
      className="mx-auto w-full max-w-2xl px-4 pb-6"
      data-means={here}
    >
      <p className="flex items-baseline justify-between gap-3 pt-3 text-small text-ink-2">
        <span className="font-semibold text-ink">{procedure.title}</span>
        <span>
          step {index + 1} of {procedure.steps.length}
        </span>
      </p>
      <Progress of={procedure.steps.length} at={index} />
      <h2 className="mt-3 text-[26px] leading-tight font-semibold" aria-live="polite">
        {step.text}
      </h2>
      {step.note && <p className="mt-1 text-ink-2">{step.note}</p>}
      <ul className="mt-2 space-y-1.5">
        {(step.caution ?? []).map((each) => (
          <li key={each} className="flex items-center gap-2.5 text-small">
            <CautionSign sign={cautionWords[each].sign} />
            {cautionWords[each].words}
          </li>
        ))}
      </ul>
      <Missing {...props} missing={missing} onProveDead={onProveDead} />
      {timer && <StepClock timer={timer} clock={clock} timeZone={record.job.job.timeZone} />}
      {isOtherWay && (
        <>
          <p className="mt-3 font-medium">
            {school!.question}: {wayOf(school!, ways).label}, on this job.{' '}
            {wayOf(school!, ways).why}
          </p>
          <Press
            isWhole={false}
            onPress={() => void actions.skip(`${wayOf(school!, ways).label}: house rule`)}
          >
            Leave it out
          </Press>
        </>
      )}
      {phase === 'waits' ? (
        <Press isWhole={isShort} onPress={() => tapped(actions.tap)}>
          Begin
        </Press>
      ) : (
        <>
          <StepWork
            key={here}
            {...props}
            position={position}
            isReady={!isTooEarly}
            isWhole={isShort}
            repeats={repeats}
            onFinish={finish}
          />
          {timer && (
            <>
              {/* Its place stays when the least has passed: the page must not move under a finger. */}
              <label className={`mt-3 block font-medium ${needsWords ? '' : 'invisible'}`}>
                {isLate && !isTooEarly
                  ? 'What is to be seen now?'
                  : 'Sooner than its least: why is it enough?'}
                <input
                  className="field mt-1"
                  value={early}
                  maxLength={300}
                  onChange={(event) => setEarly(event.target.value)}
                />
              </label>
              <ClockNotes
                timer={timer}
                isRunning={phase === 'running'}
                title={`${procedure.title}: ${step.text}`}
              />
            </>
          )}
        </>
      )}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-rule pl-3 font-medium">
          {problem}
        </p>
      )}
      <div className="mt-5 grid grid-cols-3 gap-2">
        <button
          type="button"
          className="button"
          disabled={!before || isBusy}
          onClick={() => before && void actions.back(before.id)}
        >
          Back
        </button>
        <button
          type="button"
          className="button"
          disabled={step.skip === false || isBusy}
          title={step.skip === false ? 'This step is not left out.' : undefined}
          onClick={() => setLeaving('skip')}
        >
          Leave out
        </button>
        <button
          type="button"
          className="button border-2 border-heat font-semibold text-heat"
          onClick={() => setLeaving('stop')}
        >
          Stop, make safe
        </button>
      </div>
      {step.skip === false && (
        <p className="mt-1 text-center text-small text-ink-2">This step is not left out.</p>
      )}
      <p className="mt-3 text-center">
        <button type="button" className="button w-full" onClick={() => onOpen(undefined)}>
          Put it down: other work goes on
        </button>
      </p>
      <SkipDialog
        isOpen={leaving === 'skip'}
        only={typeof step.skip === 'string' ? step.skip : undefined}
        onClose={() => setLeaving(undefined)}
        onSkip={(reason) => {
          setLeaving(undefined);
          void actions.skip(reason);
        }}
      />
      <StopDialog
        isOpen={leaving === 'stop'}
        {...{ state, run }}
        onClose={() => setLeaving(undefined)}
        onStop={async (reason) => {
          setLeaving(undefined);
          if (await actions.stop(reason)) onOpen(undefined);
        }}
      />
    </section>
  );
}

function tapped(tap: () => Promise<boolean>): void {
  readySound();
  void tap();
}

function Progress({ of, at }: { of: number; at: number }) {
  return (
    <div className="mt-1 flex gap-0.5" aria-hidden="true">
      {Array.from({ length: of }, (_, k) => (
        <span
          key={k}
          className={`h-1.5 flex-1 ${k < at ? 'bg-ink' : k === at ? 'bg-act' : 'bg-well'}`}
        />
      ))}
    </div>
  );
}
