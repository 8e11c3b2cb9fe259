import type { BalancingAdvice, BalancingSession } from '@/core/balancing';

/** Where a house stands, and so what comes next. */
export type BalancingStage =
  | { readonly kind: 'list' }
  | { readonly kind: 'open' }
  | { readonly kind: 'warm'; readonly until: number }
  | { readonly kind: 'boiler' }
  | { readonly kind: 'read'; readonly left: readonly number[] }
  | { readonly kind: 'wait' }
  | { readonly kind: 'set'; readonly left: readonly number[] }
  | { readonly kind: 'settle'; readonly until: number }
  | { readonly kind: 'stop'; readonly why: 'even' | 'nothing-gains' }
  | { readonly kind: 'ended' };

/** Warming up takes longer in a larger house. Common practice. */
const warmUpSeconds = (radiators: number) => (radiators > 10 ? 900 : 600);
const settleSeconds = 360;

const secondsAfter = (at: string, seconds: number) => Date.parse(at) + seconds * 1000;

/**
 * @param advice What was worked out last; undefined where nothing can be.
 * @param isWorking It is of the entry before, and the present is being worked out.
 * @param now Milliseconds.
 */
export function stageOf(
  session: BalancingSession,
  advice: BalancingAdvice | undefined,
  isWorking: boolean,
  now: number,
): BalancingStage {
  const { radiators, rounds, warmingSince, setSince, ended } = session;
  if (ended) return { kind: 'ended' };
  if (radiators.length < 2) return { kind: 'list' };
  if (warmingSince === undefined && rounds.length === 0) return { kind: 'open' };
  const round = rounds.at(-1);
  if (!round && warmingSince !== undefined) {
    const until = secondsAfter(warmingSince, warmUpSeconds(radiators.length));
    if (now < until) return { kind: 'warm', until };
  }
  const isOfNow =
    round !== undefined && radiators.every(({ turns }, k) => round.turns[k] === turns);
  const toRead = radiators.flatMap((each, k) =>
    each.aside === undefined && (!isOfNow || round.topCelsius[k] === undefined) ? [k] : [],
  );
  if (!isOfNow && round) {
    // Valves of the list that are still to be set come before the wait.
    const left = leftOf(session, advice);
    if (left.length > 0) return { kind: 'set', left };
    if (isWorking) return { kind: 'wait' };
    const until = setSince === undefined ? 0 : secondsAfter(setSince, settleSeconds);
    if (now < until) return { kind: 'settle', until };
  }
  if (!isOfNow || round.flowCelsius === undefined) return { kind: 'boiler' };
  if (toRead.length > 0) return { kind: 'read', left: toRead };
  if (isWorking || !advice) return { kind: 'wait' };
  if (advice.stop) return { kind: 'stop', why: advice.stop };
  return { kind: 'set', left: leftOf(session, advice) };
}

/** Radiators of the list whose lockshield does not stand yet where it asks for. */
const leftOf = ({ radiators }: BalancingSession, advice: BalancingAdvice | undefined): number[] =>
  (advice?.moves ?? []).flatMap(({ radiator, toTurns }) =>
    radiators[radiator]!.turns === toTurns ? [] : [radiator],
  );
