import { fitHouse, type FittedHouse, type ReadRound } from './fit';
import type { HouseSetting } from './house';
import { balancingFindings, type BalancingFinding } from './named';
import { byFeel, nextMoves, valueOf, type Aim, type Move } from './next-moves';
import { apartKelvin, predictChanges, type PredictedChange } from './predict';
import { fittableRounds, type BalancingSession } from './session';

/** How the next move is chosen: the schools. */
export type BalancingWay = 'measured' | 'by-drop' | 'by-feel';

/** What to do next in a house, and what everything else will do then. */
export interface BalancingAdvice {
  readonly house: FittedHouse;
  readonly round: ReadRound;
  /** Places of the radiators that are in the balance and were read. */
  readonly members: readonly number[];
  /** Those that have not been read in this round, and are in the balance. */
  readonly unread: readonly number[];
  /** How far what this way makes even, means or drops, lies apart now, fitted, K; and by the first round. */
  readonly apartKelvin: number;
  readonly apartAtFirstKelvin: number;
  readonly moves: readonly Move[];
  /** By radiator: all of them, whether moved or not. */
  readonly predicted: readonly PredictedChange[];
  readonly apartAfterKelvin: number;
  readonly stop?: 'even' | 'nothing-gains';
  readonly findings: readonly BalancingFinding[];
}

const aims: Readonly<Record<BalancingWay, Aim>> = {
  measured: 'means',
  'by-feel': 'means',
  'by-drop': 'drops',
};

/** @returns undefined until a round has its flow at the boiler and two radiators read. */
export function balancingAdvice(
  session: BalancingSession,
  bandKelvin: number,
  way: BalancingWay = 'measured',
): BalancingAdvice | undefined {
  const rounds = fittableRounds(session);
  const round = rounds.at(-1);
  if (!round) return undefined;
  const { radiators } = session;
  const inBalance = radiators.flatMap((each, k) => (each.aside === undefined ? [k] : []));
  const isRead = (k: number) =>
    rounds.some((each) => each.topCelsius[k] !== undefined && each.bottomCelsius[k] !== undefined);
  const members = inBalance.filter(isRead);
  if (members.length < 2) return undefined;
  const house = fitHouse(radiators, rounds);
  const now = { ...round, turns: radiators.map((each) => each.turns) };
  const chosen =
    way === 'by-feel'
      ? byFeel(now, members, bandKelvin)
      : nextMoves(house, now, members, bandKelvin, aims[way]);
  const to = chosen.kind === 'moves' ? chosen.setting : now;
  const apart = (setting: HouseSetting) => apartKelvin(house, setting, members, valueOf[aims[way]]);
  return {
    house,
    round,
    members,
    unread: inBalance.filter((k) => round.topCelsius[k] === undefined),
    apartKelvin: apart(now),
    apartAtFirstKelvin: apart(rounds[0]!),
    moves: chosen.kind === 'moves' ? chosen.moves : [],
    predicted: predictChanges(house, now, to),
    apartAfterKelvin: apart(to),
    ...(chosen.kind === 'stop' ? { stop: chosen.why } : {}),
    findings: balancingFindings(house, round, members),
  };
}
