'use client';

import { useEffect, useRef, useState } from 'react';

/** The clock moved, or nobody looked: the device slept, was locked, or was set anew; or it is behind what is written. */
export interface ClockJump {
  readonly kind: 'back' | 'away' | 'behind';
  readonly seconds: number;
}

export interface Clock {
  /** Milliseconds: the device's clock, never before what stands in the logbook. */
  readonly now: number;
  readonly jump?: ClockJump;
}

/** The clock as it was last shown, and as it stands. */
export interface ReadableClock extends Clock {
  /** What `now` is at this moment: what is done counts from then, not from when the clock was last drawn. */
  read(): number;
}

/** What the clock may differ by from what has passed, in milliseconds: pages in the background are woken once a second. */
const leastJump = 4000;

/**
 * The time, often enough for a clock that is watched; says where the device's clock has jumped.
 * @param written The last thing that was written, perhaps by another device: a clock that is behind it counts from there.
 */
export function useClock(
  isRunning: boolean,
  written?: string,
  everyMilliseconds = 250,
): ReadableClock {
  const [clock, setClock] = useState<Clock>(() => ({ now: timeAfter(written, Date.now()) }));
  const behindBy = useRef(0);
  useEffect(() => {
    let wall = Date.now();
    let passed = performance.now();
    const behind = timeAfter(written, wall) - wall;
    behindBy.current = behind;
    const look = () => {
      const [nowWall, nowPassed] = [Date.now(), performance.now()];
      const moved = nowWall - wall - (nowPassed - passed);
      // A locked device stops what has passed, not the clock; and one that was not woken for long missed what there was to see.
      const slept = nowPassed - passed - everyMilliseconds;
      [wall, passed] = [nowWall, nowPassed];
      const jump = jumpOf(moved, slept);
      setClock((before) => ({
        now: nowWall + behind,
        jump:
          jump ?? (behind > leastJump ? { kind: 'behind', seconds: behind / 1000 } : before.jump),
      }));
    };
    look();
    const timer = setInterval(look, isRunning ? everyMilliseconds : 5000);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [isRunning, written, everyMilliseconds]);
  return { ...clock, read: () => Date.now() + behindBy.current };
}

const timeAfter = (written: string | undefined, now: number): number =>
  written === undefined ? now : Math.max(now, Date.parse(written));

function jumpOf(moved: number, slept: number): ClockJump | undefined {
  if (moved < -leastJump) return { kind: 'back', seconds: -moved / 1000 };
  const away = Math.max(moved, 0) + Math.max(slept, 0);
  return away > leastJump ? { kind: 'away', seconds: away / 1000 } : undefined;
}
