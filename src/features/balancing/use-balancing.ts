'use client';

import { useEffect, useMemo, useState } from 'react';
import {
  balancingSession,
  type BalancingAdvice,
  type BalancingSession,
  type BalancingWay,
} from '@/core/balancing';
import type { Entry } from '@/core/job-file';
import { diagnosisService } from '@/workers/diagnosis-client';

export interface Balancing {
  readonly session: BalancingSession;
  /** Of this session, or of the one before while this one is worked out; undefined where nothing can be. */
  readonly advice: BalancingAdvice | undefined;
  readonly isWorking: boolean;
  /** The engine’s thread gave no answer to this session. */
  readonly hasFailed: boolean;
}

/** The house that is balanced, and what to do next in it: worked out in the engine's thread. */
export function useBalancing(
  entries: readonly Entry[],
  bandKelvin: number,
  way: BalancingWay,
): Balancing {
  const session = useMemo(() => balancingSession(entries), [entries]);
  const key = useMemo(() => JSON.stringify([session, bandKelvin, way]), [session, bandKelvin, way]);
  const [answer, setAnswer] = useState<{
    key: string;
    advice: BalancingAdvice | undefined;
    hasFailed: boolean;
  }>();
  useEffect(() => {
    let isGone = false;
    const [of, band, by] = JSON.parse(key) as [BalancingSession, number, BalancingWay];
    void diagnosisService()
      .balance(restored(of), band, by)
      .then(
        (advice) => ({ advice, hasFailed: false }),
        () => ({ advice: undefined, hasFailed: true }),
      )
      .then((found) => {
        if (!isGone) setAnswer({ key, ...found });
      });
    return () => {
      isGone = true;
    };
  }, [key]);
  // What was worked out of fewer radiators does not fit the list any more.
  const isOfThese = answer?.advice?.house.listed.length === session.radiators.length;
  return {
    session,
    advice: isOfThese ? answer.advice : undefined,
    isWorking: answer?.key !== key,
    hasFailed: answer?.key === key && answer.hasFailed,
  };
}

/** A gap in a list comes back from text as null. */
function restored(session: BalancingSession): BalancingSession {
  const gaps = (list: readonly (number | undefined | null)[]) =>
    list.map((each) => each ?? undefined);
  return {
    ...session,
    rounds: session.rounds.map((each) => ({
      ...each,
      topCelsius: gaps(each.topCelsius),
      bottomCelsius: gaps(each.bottomCelsius),
    })),
  };
}
