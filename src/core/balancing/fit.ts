import {
  houseBeliefs,
  houseSlopes,
  returnCelsius,
  runHouse,
  valueCount,
  type HouseSetting,
  type HouseValues,
  type ListedRadiator,
  type RunningRadiator,
  type WaterSlopes,
} from './house';
import { surfaceShares } from './surface';
import { factorOf, solve } from '../linear/symmetric';

/** All that was read once, with each lockshield where it stood; by place in the list, nothing where none was read. */
export interface ReadRound extends HouseSetting {
  readonly topCelsius: readonly (number | undefined)[];
  readonly bottomCelsius: readonly (number | undefined)[];
  /** At the boiler. */
  readonly returnCelsius?: number;
}

/** A house as the readings of all rounds make it, with how well it is known. */
export interface FittedHouse {
  readonly listed: readonly ListedRadiator[];
  readonly values: HouseValues;
  /** Spread of what is believed of each value, natural logarithm, in the order of the slopes. */
  readonly spreads: Float64Array;
  /** Cholesky's factor of what is known of the values, each in its own spread: its inverse is their covariance. */
  readonly known: Float64Array;
}

/** Spread of a surface reading, K: what is common to the instrument cancels, since only differences are evened. Common practice. */
const surfaceSpread = 1;
/** And of the return at the boiler, where pipes meet. */
const returnSpread = 2;
/** A reading that lies further off counts as so far: one off chrome does not bend a house. In spreads. */
const mostOff = 3;

const { headBar, shared, resistance, turnsToOpen, outputShare } = houseBeliefs;

/** Middle and spread of each value, in the order of the slopes. */
const beliefsOf = (count: number) => [
  headBar,
  shared,
  ...[resistance, turnsToOpen, outputShare].flatMap((each) =>
    new Array<typeof each>(count).fill(each),
  ),
];

/** Offsets in spreads of what is believed; the values that they stand for. */
function valuesAt(offset: Float64Array, count: number): HouseValues {
  const beliefs = beliefsOf(count);
  const value = (place: number) =>
    Math.exp(beliefs[place]!.middle + beliefs[place]!.spread * offset[place]!);
  return {
    headBar: value(0),
    shared: value(1),
    radiators: Array.from({ length: count }, (_, k) => ({
      resistance: value(2 + k),
      turnsToOpen: value(2 + count + k),
      outputShare: value(2 + 2 * count + k),
    })),
  };
}

/**
 * Fits a house to all readings of all rounds, each with the turns it was taken at: damped least squares (Levenberg 1944,
 * Marquardt 1963) with what is believed beforehand.
 */
export function fitHouse(
  listed: readonly ListedRadiator[],
  rounds: readonly ReadRound[],
): FittedHouse {
  const count = listed.length;
  let offset = new Float64Array(valueCount(count));
  // What is far off at first is not taken for a slip: only the second pass caps it.
  for (const cap of [Infinity, mostOff]) offset = descend(listed, rounds, offset, cap);
  const values = valuesAt(offset, count);
  const { normal } = equations(listed, rounds, values, offset, mostOff);
  return {
    listed,
    values,
    spreads: Float64Array.from(beliefsOf(count), ({ spread }) => spread),
    known: factorOf(normal, offset.length),
  };
}

/** The house as it runs when it is set so. */
export function runFitted(house: FittedHouse, setting: HouseSetting): RunningRadiator[] {
  return runHouse(house.listed, house.values, setting);
}

/** A reading: what such a house shows less what was read, in spreads, and how that moves with the offsets. */
interface Misfit {
  readonly off: number;
  readonly slopes: Float64Array;
}

function misfits(
  listed: readonly ListedRadiator[],
  rounds: readonly ReadRound[],
  values: HouseValues,
): Misfit[] {
  const spreads = beliefsOf(listed.length).map(({ spread }) => spread);
  return rounds.flatMap((round) => {
    const running = runHouse(listed, values, round);
    const slopes = houseSlopes(listed, values, round);
    const found: Misfit[] = listed.flatMap(({ widthMetre }, k) => {
      const shares = surfaceShares(widthMetre);
      const { byIn, byOut } = slopes[k]!;
      const misfit = (
        read: number | undefined,
        shown: number,
        { ofIn, ofOut }: (typeof shares)['top'],
      ): Misfit[] =>
        read === undefined
          ? []
          : [
              {
                off: (shown - read) / surfaceSpread,
                slopes: byIn.map(
                  (each, v) => ((ofIn * each + ofOut * byOut[v]!) * spreads[v]!) / surfaceSpread,
                ),
              },
            ];
      const { topCelsius, bottomCelsius } = running[k]!;
      return [
        ...misfit(round.topCelsius[k], topCelsius, shares.top),
        ...misfit(round.bottomCelsius[k], bottomCelsius, shares.bottom),
      ];
    });
    if (round.returnCelsius === undefined) return found;
    const off = (returnCelsius(running) - round.returnCelsius) / returnSpread;
    return [...found, { off, slopes: returnSlopes(running, slopes, spreads) }];
  });
}

function returnSlopes(
  running: readonly RunningRadiator[],
  slopes: readonly WaterSlopes[],
  spreads: readonly number[],
): Float64Array {
  const flow = running.reduce((sum, { cubicMetrePerHour }) => sum + cubicMetrePerHour, 0);
  const back = returnCelsius(running);
  return Float64Array.from(spreads, (spread, v) => {
    const moved = running.reduce(
      (sum, { cubicMetrePerHour, outCelsius }, k) =>
        sum +
        cubicMetrePerHour * slopes[k]!.byOut[v]! +
        (outCelsius - back) * slopes[k]!.byFlow[v]!,
      0,
    );
    return ((moved / flow) * spread) / returnSpread;
  });
}

/** What a reading costs that is so far off: past the cap hardly more. Geman and McClure 1987. */
const costOf = (off: number, cap: number) =>
  cap === Infinity ? off ** 2 : off ** 2 / (1 + (off / cap) ** 2);
const weightOf = (off: number, cap: number) =>
  cap === Infinity ? 1 : (1 + (off / cap) ** 2) ** -2;

/** Normal equations of readings and beliefs together, with what they cost. */
function equations(
  listed: readonly ListedRadiator[],
  rounds: readonly ReadRound[],
  values: HouseValues,
  offset: Float64Array,
  cap: number,
) {
  const size = offset.length;
  const normal = new Float64Array(size * size);
  const slope = Float64Array.from(offset);
  let cost = offset.reduce((sum, each) => sum + each ** 2, 0);
  for (let k = 0; k < size; k++) normal[k * size + k] = 1;
  for (const { off, slopes } of misfits(listed, rounds, values)) {
    const weight = weightOf(off, cap);
    cost += costOf(off, cap);
    for (let one = 0; one < size; one++) {
      const weighed = weight * slopes[one]!;
      slope[one]! += weighed * off;
      if (weighed === 0) continue;
      for (let other = 0; other <= one; other++) {
        normal[one * size + other]! += weighed * slopes[other]!;
      }
    }
  }
  return { normal, slope, cost };
}

const mostRounds = 40;
/** No value is moved by more than so many of its spreads at once. */
const longestStep = 2;

function descend(
  listed: readonly ListedRadiator[],
  rounds: readonly ReadRound[],
  from: Float64Array,
  cap: number,
): Float64Array<ArrayBuffer> {
  const at = (offset: Float64Array) =>
    equations(listed, rounds, valuesAt(offset, listed.length), offset, cap);
  let offset = Float64Array.from(from);
  let now = at(offset);
  let damping = 1e-2;
  for (let round = 0; round < mostRounds; round++) {
    const before = now.cost;
    while (damping < 1e8) {
      const move = solve(damped(now.normal, offset.length, damping), now.slope);
      const next = offset.map(
        (each, k) => each - Math.max(-longestStep, Math.min(longestStep, move[k]!)),
      );
      const there = at(next);
      if (there.cost < now.cost) {
        [offset, now] = [next, there];
        damping = Math.max(1e-6, damping / 5);
        break;
      }
      damping *= 4;
    }
    if (before - now.cost < 1e-3) break;
  }
  return offset;
}

function damped(normal: Float64Array, size: number, damping: number): Float64Array {
  const stiffer = normal.slice();
  for (let k = 0; k < size; k++) stiffer[k * size + k]! *= 1 + damping;
  return factorOf(stiffer, size);
}
