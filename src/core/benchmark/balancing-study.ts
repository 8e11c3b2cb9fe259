import {
  byFeel,
  fitHouse,
  nextMoves,
  openTurns,
  predictChanges,
  type ReadRound,
} from '../balancing';
import { seededRandom } from '../simulation';
import { drawHouse, houseNumbers, settledHouse, thermometerFor } from '../simulation/house';

/** How a house is balanced: by the model, or by the hottest and a quarter turn. */
export type Balancer = 'model' | 'by-feel';

export interface BalancedHouse {
  readonly startKelvin: number;
  readonly endKelvin: number;
  readonly visits: number;
  readonly rounds: number;
  readonly minutes: number;
  readonly isDone: boolean;
  /** By round, radiator by radiator: what was predicted of its mean and what came, K. */
  readonly predictions: readonly {
    readonly round: number;
    readonly isTouched: boolean;
    readonly predicted: number;
    readonly came: number;
    readonly spread: number;
  }[];
}

/** Minutes of each kind of work. Common practice. */
const minutesOf = { list: 12, listEach: 0.3, boiler: 1, readEach: 0.6, set: 1.3, settle: 6 };
const limitMinutes = 240;

/** One simulated house, balanced to the end. */
export function balanceHouse(seed: number, balancer: Balancer): BalancedHouse {
  const random = seededRandom(seed);
  const house = drawHouse(random);
  const read = thermometerFor(house, random);
  const listed = house.radiators.map(({ id, ratedWatt, widthMetre }) => ({
    id,
    ratedWatt,
    widthMetre,
    roomCelsius: 20,
  }));
  const members = listed.map((_, k) => k);
  let said = listed.map((): number => openTurns);
  let set = said;
  let now = settledHouse(house, set);
  const startKelvin = apart(now);
  let minutes = minutesOf.list + minutesOf.listEach * listed.length;
  let visits = 0;
  const rounds: ReadRound[] = [];
  const predictions: BalancedHouse['predictions'][number][] = [];
  for (;;) {
    const seen = now.map(read);
    minutes += minutesOf.boiler + minutesOf.readEach * listed.length;
    rounds.push({
      flowCelsius: house.flowCelsius + 0.7 * random.normal(),
      returnCelsius: backAt(now) + random.normal(),
      turns: said,
      topCelsius: seen.map(({ topCelsius }) => topCelsius),
      bottomCelsius: seen.map(({ bottomCelsius }) => bottomCelsius),
    });
    const last = rounds.at(-1)!;
    const fitted = balancer === 'model' ? fitHouse(listed, rounds) : undefined;
    const next = fitted ? nextMoves(fitted, last, members) : byFeel(last, members);
    const isLate = minutes > limitMinutes;
    if (next.kind === 'stop' || isLate) {
      const isDone = next.kind === 'stop';
      const endKelvin = apart(settledHouse(house, set));
      return {
        startKelvin,
        endKelvin,
        visits,
        rounds: rounds.length,
        minutes,
        isDone,
        predictions,
      };
    }
    const predicted = fitted && predictChanges(fitted, last, next.setting);
    const before = settledHouse(house, set);
    const moved = new Set(next.moves.map(({ radiator }) => radiator));
    visits += moved.size;
    minutes += minutesOf.set * moved.size + minutesOf.settle;
    said = [...next.setting.turns];
    set = said.map((turns, k) =>
      moved.has(k) && turns < openTurns
        ? turns * Math.exp(houseNumbers.turnMissed * random.normal())
        : moved.has(k)
          ? turns
          : set[k]!,
    );
    const settled = settledHouse(house, set);
    predicted?.forEach(({ fromCelsius, toCelsius, spread }, k) =>
      predictions.push({
        round: rounds.length,
        isTouched: moved.has(k),
        predicted: toCelsius - fromCelsius,
        came: meanOf(settled[k]!) - meanOf(before[k]!),
        spread,
      }),
    );
    // Six minutes are a compromise: what has not settled yet is read as it is.
    const left = Math.exp((-60 * minutesOf.settle) / house.settlesInSeconds);
    const was = now;
    now = settled.map((each, k) => ({
      ...each,
      inCelsius: each.inCelsius + (was[k]!.inCelsius - each.inCelsius) * left,
      outCelsius: each.outCelsius + (was[k]!.outCelsius - each.outCelsius) * left,
    }));
  }
}

type Settled = ReturnType<typeof settledHouse>;

const meanOf = ({ inCelsius, outCelsius }: Settled[number]) => (inCelsius + outCelsius) / 2;

function apart(settled: Settled): number {
  const means = settled.map(meanOf);
  return Math.max(...means) - Math.min(...means);
}

function backAt(settled: Settled): number {
  const flow = settled.reduce((sum, { litrePerMinute }) => sum + litrePerMinute, 0);
  return settled.reduce((sum, each) => sum + each.litrePerMinute * each.outCelsius, 0) / flow;
}
