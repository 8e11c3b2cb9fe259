'use client';

import { useEffect, useState } from 'react';

/** The clock moved, or nobody looked: the device slept, was locked, or was set anew. */
export interface ClockJump {
  readonly kind: 'back' | 'away';
  readonly seconds: number;
}

export interface Clock {
  /** Milliseconds, as the device's clock has it. */
  readonly now: number;
  readonly jump?: ClockJump;
}

/** What the clock may differ by from what has passed, in milliseconds: pages in the background are woken once a second. */
const leastJump = 4000;

/** The time, often enough for a clock that is watched; says where the device's clock has jumped. */
export function useClock(isRunning: boolean, everyMilliseconds = 250): Clock {
  const [clock, setClock] = useState<Clock>(() => ({ now: Date.now() }));
  useEffect(() => {
    let wall = Date.now();
    let passed = performance.now();
    const look = () => {
      const [nowWall, nowPassed] = [Date.now(), performance.now()];
      const moved = nowWall - wall - (nowPassed - passed);
      // A locked device stops what has passed, not the clock; and one that was not woken for long missed what there was to see.
      const slept = nowPassed - passed;
      [wall, passed] = [nowWall, nowPassed];
      setClock((before) => ({
        now: nowWall,
        jump:
          moved < -leastJump
            ? { kind: 'back', seconds: -moved / 1000 }
            : Math.max(moved, slept - everyMilliseconds) > leastJump
              ? { kind: 'away', seconds: (moved + slept) / 1000 }
              : before.jump,
      }));
    };
    look();
    const timer = setInterval(look, isRunning ? everyMilliseconds : 5000);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [isRunning, everyMilliseconds]);
  return clock;
}
