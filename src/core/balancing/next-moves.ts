import { runFitted, type FittedHouse, type ReadRound } from './fit';
import type { HouseSetting, RunningRadiator } from './house';
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

/** What is made even: the mean temperatures, or what each radiator takes from its water. */
export type Aim = 'means' | 'drops';

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
  aim: Aim = 'means',
): NextMoves {
  const apart = apartKelvin(house, setting, members, valueOf[aim]);
  if (members.length < 2 || apart <= evenWithin * bandKelvin) {
    return { kind: 'stop', why: 'even', apartKelvin: apart };
  }
  let turns = [...setting.turns];
  let score = scoreOf(house, { ...setting, turns }, members, aim);
  const listed = new Set<number>();
  for (let k = 0; k < mostMoves; k++) {
    const best = bestMove(house, { ...setting, turns }, members, listed, aim);
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
  aim: Aim,
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
      const score = scoreOf(house, { ...setting, turns }, members, aim) + walk;
      if (!best || score < best.score) best = { radiator, turns, score, walk };
    }
  }
  return best;
}

/** What each way makes even. */
export const valueOf: Readonly<Record<Aim, (running: RunningRadiator) => number>> = {
  means: ({ meanCelsius }) => meanCelsius,
  drops: ({ inCelsius, outCelsius }) => inCelsius - outCelsius,
};

/** What is made small: twice the spread and half of what lies between the most and the least, K. */
function scoreOf(
  house: FittedHouse,
  setting: HouseSetting,
  members: readonly number[],
  aim: Aim,
): number {
  const running = runFitted(house, setting);
  const means = members.map((k) => valueOf[aim](running[k]!));
  const mean = means.reduce((sum, each) => sum + each, 0) / means.length;
  const variance = means.reduce((sum, each) => sum + (each - mean) ** 2, 0) / means.length;
  return 2 * Math.sqrt(variance) + 0.5 * (Math.max(...means) - Math.min(...means));
}

/** Where a quarter turn begins to tell: from there on down. */
const firstByFeel = 1.5;
const leastByFeel = 0.25;

/** By feel: the hottest as read, a quarter turn; half a turn where it is far out. No sums, and no word on the others. */
export function byFeel(
  round: ReadRound,
  members: readonly number[],
  bandKelvin = usualBandKelvin,
): NextMoves {
  const read = members.flatMap((radiator) => {
    const [top, bottom] = [round.topCelsius[radiator], round.bottomCelsius[radiator]];
    return top === undefined || bottom === undefined
      ? []
      : [{ radiator, mean: (top + bottom) / 2 }];
  });
  const sorted = read.sort((one, other) => other.mean - one.mean);
  const apart = sorted.length > 1 ? sorted[0]!.mean - sorted.at(-1)!.mean : 0;
  if (apart <= bandKelvin) return { kind: 'stop', why: 'even', apartKelvin: apart };
  const middle = sorted[Math.floor(sorted.length / 2)]!.mean;
  const hottest = sorted.find(({ radiator }) => round.turns[radiator]! > leastByFeel);
  if (!hottest || hottest.mean <= middle) {
    return { kind: 'stop', why: 'nothing-gains', apartKelvin: apart };
  }
  const fromTurns = round.turns[hottest.radiator]!;
  const less = hottest.mean - middle > 8 ? 0.5 : 0.25;
  const toTurns = fromTurns > firstByFeel ? firstByFeel : Math.max(leastByFeel, fromTurns - less);
  const turns = [...round.turns];
  turns[hottest.radiator] = toTurns;
  return {
    kind: 'moves',
    moves: [{ radiator: hottest.radiator, fromTurns, toTurns }],
    setting: { ...round, turns },
  };
}
