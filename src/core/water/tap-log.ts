import { factorOf, solveLower } from '../linear/symmetric';
import type { TapCourse } from './tap-run';

/** Temperatures that were followed while a tap ran: where, and when since it was opened. */
export interface TapChannel {
  readonly place: 'flow' | 'return' | 'tap';
  /** A display's readout, with its sensor's error in it; and not a probe on the pipe. */
  readonly isReadout: boolean;
  readonly samples: readonly { readonly second: number; readonly celsius: number }[];
}

export interface TapLog {
  readonly channels: readonly TapChannel[];
  readonly seconds: number;
  /** Flow temperature as the tap was opened, where it was read. */
  readonly startCelsius?: number;
}

/** What a log of a tap comes to: a number each, worked out alike of what was read and of what a model would have shown. */
export interface TapLogFeature {
  readonly id: 'rise' | 'peak' | 'flow' | 'return' | 'tap' | 'swing';
  readonly value: number;
}

/** A rise is told from readings no further apart than this, in seconds, over as long as this or a little more. */
const riseEvery = 7;
const riseOver = 10;
/** Settling takes two thirds of it; and no log is too short to tell anything but this, in seconds. */
const settledShare = 2 / 3;
const leastSeconds = 35;
const leastSamples = 4;

export const tellsOfTap = ({ channels, seconds }: TapLog): boolean =>
  seconds >= leastSeconds &&
  channels.some(({ place, samples }) => place !== 'return' && samples.length >= leastSamples);

/** Temperatures of a log's channels, at the moments of its samples. */
type Celsius = readonly ArrayLike<number>[];

/** Features of the channels that have enough of it; in a set order. */
export const featuresOfLog = (log: TapLog): TapLogFeature[] =>
  featureReader(log)(
    log.channels.map(({ samples }) => Float64Array.from(samples, ({ celsius }) => celsius)),
  );

/** Tells the features of other temperatures at the moments of a log: which samples make which is the same for all of them. */
export function featureReader({
  channels,
  seconds,
}: TapLog): (celsius: Celsius) => TapLogFeature[] {
  const readers = channels.flatMap(({ place, samples }, channel) => {
    if (samples.length < 2) return [];
    const from = (second: number) => samples.flatMap((each, k) => (each.second >= second ? k : []));
    const late = from(seconds * settledShare);
    const settled: Reader[] =
      late.length === 0 ? [] : [{ id: place, channel, tell: (row) => meanOf(row, late) }];
    if (place === 'flow') {
      const rises = risesOf(samples);
      return [
        ...(rises.length === 0
          ? []
          : [{ id: 'rise', channel, tell: (row) => steepest(row, rises) } satisfies Reader]),
        { id: 'peak', channel, tell: highest } satisfies Reader,
        ...settled,
      ];
    }
    if (place !== 'tap' || seconds < 90) return settled;
    const warm = from(seconds / 3);
    return [
      ...settled,
      { id: 'swing', channel, tell: (row) => fallOf(row, warm) } satisfies Reader,
    ];
  });
  return (celsius) =>
    readers.map(({ id, channel, tell }) => ({ id, value: tell(celsius[channel]!) }));
}

interface Reader {
  readonly id: TapLogFeature['id'];
  readonly channel: number;
  readonly tell: (row: ArrayLike<number>) => number;
}

function meanOf(row: ArrayLike<number>, places: readonly number[]): number {
  let sum = 0;
  for (const k of places) sum += row[k]!;
  return sum / places.length;
}

function highest(row: ArrayLike<number>): number {
  let most = -Infinity;
  for (let k = 0; k < row.length; k++) most = Math.max(most, row[k]!);
  return most;
}

/** From which sample to which a rise over ten seconds can be told in the first minute: none where it was not read often enough. */
function risesOf(samples: TapChannel['samples']) {
  const found: { readonly from: number; readonly to: number; readonly seconds: number }[] = [];
  for (let from = 0; from < samples.length; from++) {
    if (samples[from]!.second > 60) break;
    const to = samples.findIndex((each) => each.second >= samples[from]!.second + riseOver);
    if (to < 0) break;
    const stretch = samples.slice(from, to + 1);
    const isDense = stretch.every(
      (each, j) => j === 0 || each.second - stretch[j - 1]!.second <= riseEvery,
    );
    if (isDense) found.push({ from, to, seconds: samples[to]!.second - samples[from]!.second });
  }
  return found;
}

/** Largest rise, in K/s. */
function steepest(row: ArrayLike<number>, rises: ReturnType<typeof risesOf>): number {
  let most = -Infinity;
  for (const { from, to, seconds } of rises)
    most = Math.max(most, (row[to]! - row[from]!) / seconds);
  return most;
}

/** Largest fall after a height. */
function fallOf(row: ArrayLike<number>, places: readonly number[]): number {
  let height = -Infinity;
  let fall = 0;
  for (const k of places) {
    height = Math.max(height, row[k]!);
    fall = Math.max(fall, height - row[k]!);
  }
  return fall;
}

/** What a course would have been read as, at the moments of a log. */
export interface ReadCourse {
  readonly course: TapCourse | undefined;
  readonly still: { readonly flowCelsius: number; readonly tapCelsius: number };
  /** What comes out of the tap of what the heater gives. */
  readonly tapShare: (celsius: number) => number;
  /** What readouts of flow and tap add, in kelvin. */
  readonly readoutKelvin: { readonly flow: number; readonly tap: number };
}

/** Temperatures of a course as they would have been read in each channel of a log. */
export const readIn = (
  { channels }: TapLog,
  { course, still, tapShare, readoutKelvin }: ReadCourse,
): Float64Array[] =>
  channels.map(({ place, isReadout, samples }) => {
    const isTap = place === 'tap';
    const row = isTap
      ? course?.tapCelsius
      : place === 'flow'
        ? course?.flowCelsius
        : course?.returnCelsius;
    const without = isTap ? still.tapCelsius : still.flowCelsius;
    const added = isReadout && place !== 'return' ? readoutKelvin[place] : 0;
    const last = (row?.length ?? 0) - 1;
    const read = new Float64Array(samples.length);
    for (let k = 0; k < read.length; k++) {
      const { second } = samples[k]!;
      const celsius =
        row && course && second > 0
          ? row[Math.min(last, Math.max(0, Math.round(second / course.stepSecond) - 1))]!
          : without;
      read[k] = isTap && !isReadout ? tapShare(celsius) : celsius + added;
    }
    return read;
  });

/** How well each feature is read, and how far a good model is off it: one standard deviation. Common practice. */
const featureSpread: Readonly<Record<TapLogFeature['id'], number>> = {
  rise: 0.11,
  peak: 3,
  flow: 3,
  return: 3.5,
  tap: 2,
  swing: 2,
};

/**
 * Log-likelihood of what was read under what a model has, with what the model's own unknowns make of it: features of one log
 * are not independent. @param slopes of every unknown, by its spread, for each feature. A feature that only one has is left out.
 */
export function likelihoodOf(
  seen: readonly TapLogFeature[],
  expected: readonly TapLogFeature[],
  slopes: readonly (readonly number[])[],
): number {
  const size = seen.length;
  const off = seen.map(({ value }, k) => value - expected[k]!.value);
  const spread = seen.map(({ id }, k) =>
    Math.hypot(featureSpread[id], id === 'rise' ? 0.1 * expected[k]!.value : 0),
  );
  const covariance = Float64Array.from({ length: size * size }, (_, at) => {
    const [row, column] = [Math.floor(at / size), at % size];
    return slopes.reduce(
      (sum, each) => sum + each[row]! * each[column]!,
      row === column ? Math.max(1e-9, spread[row]! ** 2) : 0,
    );
  });
  const lower = factorOf(covariance, size);
  const logDeterminant = spread.reduce((sum, _, k) => sum + 2 * Math.log(lower[k * size + k]!), 0);
  const solved = solveLower(lower, Float64Array.from(off));
  const square = solved.reduce((sum, each) => sum + each ** 2, 0);
  // Nothing that was read is impossible: far off is as good as very far off.
  return -0.5 * Math.min(square, farOff) - 0.5 * logDeterminant;
}
const farOff = 60;
