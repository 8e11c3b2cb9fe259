'use client';

import { useEffect, useRef } from 'react';
import {
  clockWords,
  dueTimes,
  elapsedSeconds,
  timerPhase,
  type StepTimer,
  type TimerPhase,
} from '@/core/procedures';
import { clockTime } from '@/features/record/words';
import { ReadingRuler } from '@/ui/reading-ruler';
import type { RulerScale } from '@/ui/ruler-scale';
import { handOutCalendar } from '@/features/service/hand-out-calendar';
import { ring } from './due-sound';
import type { Clock, ClockJump } from './use-clock';
import { useWakeLock } from './use-wake-lock';

/** A wait that is shorter needs no calendar. */
const leastForCalendar = 120;

/**
 * The clock of a step on its ruler: least and most as the band, what has passed as the needle. As high at any time: what is
 * below must not move under a finger that is on its way.
 */
export function StepClock({
  timer,
  clock,
  timeZone,
}: {
  timer: StepTimer;
  clock: Clock;
  timeZone: string | undefined;
}) {
  const phase = timerPhase(timer, clock.now);
  const seconds = elapsedSeconds(timer, clock.now);
  useRing(phase);
  useWakeLock(phase === 'running' || phase === 'ready');
  const { leastSeconds: least, mostSeconds: most } = timer;
  const due = dueTimes(timer);
  const hasJumped = clock.jump !== undefined && timer.startedAt !== undefined;
  return (
    <div className="my-3">
      <p
        className="flex min-h-16 items-baseline gap-4"
        role="timer"
        aria-label={`Clock: ${clockWords(seconds)}`}
      >
        <span
          className={`text-[44px] leading-none font-semibold ${phase === 'overdue' ? 'text-heat' : phase === 'ready' ? 'text-act' : ''}`}
        >
          {clockWords(seconds)}
        </span>
        <span className="leading-tight">
          {phaseWords(phase, timer)}
          <span className="block text-small text-ink-2">
            {clockWords(least)} to {clockWords(most)}
            {due &&
              least >= leastForCalendar &&
              `: at ${clockTime(due.due.toISOString(), timeZone)}`}
          </span>
        </span>
      </p>
      <div className="grid items-center *:[grid-area:1/1]">
        <div className={hasJumped ? 'invisible' : ''}>
          <ReadingRuler
            scale={timerScale(most)}
            good={{ from: least, to: most }}
            needle={timer.startedAt === undefined ? undefined : seconds}
            size="phone"
            label={`Between ${clockWords(least)} and ${clockWords(most)}; it stands at ${clockWords(seconds)}`}
          />
        </div>
        {hasJumped && (
          <p role="alert" className="border-l-4 border-rule pl-3 text-small font-medium">
            {jumpWords(clock.jump!)}
          </p>
        )}
      </div>
    </div>
  );
}

/** What a long clock has to say while it runs, below the work; its place stays when it has run. */
export function ClockNotes({
  timer,
  isRunning,
  title,
}: {
  timer: StepTimer;
  isRunning: boolean;
  title: string;
}) {
  const due = dueTimes(timer);
  return (
    <div className={isRunning ? '' : 'invisible'}>
      {timer.isBackground && (
        <p className="mt-1 text-small">Other work may go on meanwhile: put it down below.</p>
      )}
      {due && timer.leastSeconds >= leastForCalendar && (
        <p className="mt-1 flex flex-wrap items-center gap-2 text-small text-ink-2">
          <span className="flex-1">
            A web page cannot ring while the phone is locked. The time is kept, and shown when you
            are back.
          </span>
          <button
            type="button"
            className="button"
            onClick={() =>
              void handOutCalendar('ohmmeter-due', 'Ohmmeter', [
                { id: `${timer.startedAt}-${title}`, at: due.due, title },
              ])
            }
          >
            Into the calendar
          </button>
        </p>
      )}
    </div>
  );
}

function jumpWords({ kind, seconds }: ClockJump): string {
  switch (kind) {
    case 'back':
      return `The clock of this device went back by ${clockWords(seconds)}. What it shows may be too little: look before you go on.`;
    case 'behind':
      return `The clock of this device is ${clockWords(seconds)} behind the logbook. It counts from what was written last, so it may show too little.`;
    case 'away':
      return `Nobody looked for ${clockWords(seconds)}, or the clock was set. Look before you go on.`;
  }
}

function phaseWords(phase: TimerPhase, { overdue, leastSeconds, startedAt }: StepTimer): string {
  switch (phase) {
    case 'waits':
      return 'Tap when it begins';
    case 'running':
      return startedAt === undefined ? '' : leastSeconds > 15 ? 'Wait' : 'Hold';
    case 'ready':
      return 'Now';
    case 'overdue':
      return overdue ? `Over: ${overdue}` : 'Over its most';
  }
}

/** Rings when a clock that runs here comes due, and when it passes its most; not for what passed while nobody looked. */
function useRing(phase: TimerPhase): void {
  const before = useRef(phase);
  useEffect(() => {
    const was = before.current;
    before.current = phase;
    if (was === phase || was === 'waits') return;
    if (phase === 'ready' || phase === 'overdue') void ring();
  }, [phase]);
}

/** From nothing to a quarter past the most. */
function timerScale(most: number): RulerScale {
  const end = most * 1.25;
  const step =
    [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800].find((each) => end / each <= 7) ?? 3600;
  return {
    place: (value) => Math.min(1, Math.max(0, value / end)),
    hasOverRange: false,
    ticks: Array.from({ length: Math.floor(end / step) + 1 }, (_, k) => ({
      at: (k * step) / end,
      size: 'ten' as const,
      // The first would stand half outside.
      label: k === 0 ? undefined : step < 60 ? String(k * step) : clockWords(k * step),
    })),
  };
}
