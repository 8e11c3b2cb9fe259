import { runFitted, type FittedHouse } from './fit';
import type { HouseSetting } from './house';
import { keySteps, openTurns } from './lockshield';
import { apartKelvin } from './predict';

/** A lockshield to be set. */
export interface Move {
  /** Place in the list of radiators. */
  readonly radiator: number;
  readonly fromTurns: number;
  readonly toTurns: number;
}

export type NextMoves =
  | { readonly kind: 'moves'; readonly moves: readonly Move[]; readonly setting: HouseSetting }
  | {
      readonly kind: 'stop';
      readonly why: 'even' | 'nothing-gains';
      readonly apartKelvin: number;
    };

/** Mean of top and bottom within this, true and not as read. Common practice. */
export const usualBandKelvin = 5;
/** Two readings of each alone scatter a house: it is even when it is fitted so much closer. */
const evenWithin = 0.7;
/** A valve that is not on the list yet has to be worth the walk. */
const walkKelvin = 0.15;
const leastGain = 0.05;
const mostMoves = 60;

/**
 * What to set in this round: the move that evens the house most, again on its result, until none is worth it. One radiator stays
 * fully open: the one that everything else is throttled for.
 * @param members Places of the radiators in the balance; the others stay as they are.
 */
export function nextMoves(
  house: FittedHouse,
  setting: HouseSetting,
  members: readonly number[],
  bandKelvin = usualBandKelvin,
): NextMoves {
  const apart = apartKelvin(house, setting, members);
  if (members.length < 2 || apart <= evenWithin * bandKelvin) {
    return { kind: 'stop', why: 'even', apartKelvin: apart };
  }
  let turns = [...setting.turns];
  let score = scoreOf(house, { ...setting, turns }, members);
  const listed = new Set<number>();
  for (let k = 0; k < mostMoves; k++) {
    const best = bestMove(house, { ...setting, turns }, members, listed);
    if (!best || score - best.score < leastGain) break;
    listed.add(best.radiator);
    turns = best.turns;
    score = best.score - best.walk;
  }
  const moves = [...listed]
    .sort((one, other) => one - other)
    .map((radiator) => ({
      radiator,
      fromTurns: setting.turns[radiator]!,
      toTurns: turns[radiator]!,
    }))
    .filter(({ fromTurns, toTurns }) => fromTurns !== toTurns);
  return moves.length === 0
    ? { kind: 'stop', why: 'nothing-gains', apartKelvin: apart }
    : { kind: 'moves', moves, setting: { ...setting, turns } };
}

function bestMove(
  house: FittedHouse,
  setting: HouseSetting,
  members: readonly number[],
  listed: ReadonlySet<number>,
) {
  const open = members.filter((each) => setting.turns[each]! >= openTurns);
  let best: { radiator: number; turns: number[]; score: number; walk: number } | undefined;
  for (const radiator of members) {
    const isLastOpen = open.length === 1 && open[0] === radiator;
    const walk = listed.has(radiator) ? 0 : walkKelvin;
    for (const to of keySteps) {
      if (to === setting.turns[radiator] || (isLastOpen && to < openTurns)) continue;
      const turns = [...setting.turns];
      turns[radiator] = to;
      const score = scoreOf(house, { ...setting, turns }, members) + walk;
      if (!best || score < best.score) best = { radiator, turns, score, walk };
    }
  }
  return best;
}

/** What is made small: twice the spread of the means and half of what lies between the warmest and the coldest, K. */
function scoreOf(house: FittedHouse, setting: HouseSetting, members: readonly number[]): number {
  const running = runFitted(house, setting);
  const means = members.map((k) => running[k]!.meanCelsius);
  const mean = means.reduce((sum, each) => sum + each, 0) / means.length;
  const variance = means.reduce((sum, each) => sum + (each - mean) ** 2, 0) / means.length;
  return 2 * Math.sqrt(variance) + 0.5 * (Math.max(...means) - Math.min(...means));
}
