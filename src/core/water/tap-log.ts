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

/** Features of the channels that have enough of it; in a set order. */
export function featuresOfLog({ channels, seconds }: TapLog): TapLogFeature[] {
  const from = seconds * settledShare;
  return channels.flatMap(({ place, samples }): TapLogFeature[] => {
    if (samples.length < 2) return [];
    const late = samples.filter(({ second }) => second >= from);
    const settled: TapLogFeature[] =
      late.length === 0
        ? []
        : [{ id: place, value: late.reduce((sum, each) => sum + each.celsius, 0) / late.length }];
    if (place === 'flow') {
      const rise = riseOf(samples);
      return [
        ...(rise === undefined ? [] : [{ id: 'rise' as const, value: rise }]),
        { id: 'peak', value: Math.max(...samples.map(({ celsius }) => celsius)) },
        ...settled,
      ];
    }
    return place === 'tap' && seconds >= 90
      ? [...settled, { id: 'swing', value: swingOf(samples, seconds / 3) }]
      : settled;
  });
}

/** Largest rise over ten seconds in the first minute, in K/s; undefined where it was not read often enough. */
function riseOf(samples: TapChannel['samples']): number | undefined {
  let most: number | undefined;
  for (let k = 0; k < samples.length; k++) {
    if (samples[k]!.second > 60) break;
    const end = samples.findIndex((each) => each.second >= samples[k]!.second + riseOver);
    if (end < 0) break;
    const stretch = samples.slice(k, end + 1);
    const isDense = stretch.every(
      (each, j) => j === 0 || each.second - stretch[j - 1]!.second <= riseEvery,
    );
    if (!isDense) continue;
    const rise =
      (samples[end]!.celsius - samples[k]!.celsius) / (samples[end]!.second - samples[k]!.second);
    most = Math.max(most ?? -Infinity, rise);
  }
  return most;
}

/** Largest fall after a height. */
function swingOf(samples: TapChannel['samples'], from: number): number {
  let highest = -Infinity;
  let fall = 0;
  for (const { second, celsius } of samples) {
    if (second < from) continue;
    highest = Math.max(highest, celsius);
    fall = Math.max(fall, highest - celsius);
  }
  return fall;
}

/** What a course would have been read as, at the moments of a log. @param offset what readouts of flow and tap add, in kelvin. */
export function asReadIn(
  log: TapLog,
  course: TapCourse | undefined,
  still: { readonly flowCelsius: number; readonly tapCelsius: number },
  tapShare: (celsius: number) => number,
  offset: { readonly flow: number; readonly tap: number },
): TapLog {
  const at = (row: Float64Array | undefined, second: number, else_: number): number => {
    if (!row || !course) return else_;
    const k = Math.min(row.length - 1, Math.max(0, Math.round(second / course.stepSecond) - 1));
    return second <= 0 ? else_ : row[k]!;
  };
  return {
    ...log,
    channels: log.channels.map(({ place, isReadout, samples }) => ({
      place,
      isReadout,
      samples: samples.map(({ second }) => ({
        second,
        celsius:
          place === 'flow'
            ? at(course?.flowCelsius, second, still.flowCelsius) + (isReadout ? offset.flow : 0)
            : place === 'return'
              ? at(course?.returnCelsius, second, still.flowCelsius)
              : isReadout
                ? at(course?.tapCelsius, second, still.tapCelsius) + offset.tap
                : tapShare(at(course?.tapCelsius, second, still.tapCelsius)),
      })),
    })),
  };
}

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
