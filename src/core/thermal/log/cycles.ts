import { lossFromCooling } from '../standing-loss';
import { median, slopeOf } from './slope';
import {
  celsiusAt,
  cleanChannel,
  type Dropped,
  type LogChannel,
  type LogSample,
} from './temperature-log';

/** A stretch in which something goes one way. */
export interface Stretch {
  readonly way: 'warms' | 'cools' | 'drawn' | 'stands';
  readonly fromSecond: number;
  readonly toSecond: number;
}

/** What a log of a wall tells of the thermostat that feels it. */
export interface Cycles {
  readonly stretches: readonly Stretch[];
  /** Temperatures at which heating stopped, and began again without a draw. */
  readonly cutOutCelsius: readonly number[];
  readonly cutInCelsius: readonly number[];
  /** The middle of each; undefined where it was not seen. */
  readonly setCelsius?: number;
  readonly differentialKelvin?: number;
  /** How far the hottest reading lies above where it usually stops. */
  readonly overshootKelvin?: number;
  /** From where it cooled by itself for an hour and more, in W/K. */
  readonly lossWattPerKelvin?: number;
  readonly dropped: readonly Dropped[];
}

/** Slopes over so long are looked at, in seconds; a gap longer than that is nothing. */
const window = 480;
/** Faster than these it warms, is drawn, cools, in K/s. */
const warmsFrom = 0.06 / 60;
const drawnFrom = -0.35 / 60;
const coolsFrom = -0.0015 / 60;

/** Heating, standing and draws in a log of one wall, and what follows for its thermostat. */
export function cyclesOf(
  log: LogChannel,
  tank: { readonly litre: number; readonly roomCelsius: number },
): Cycles {
  const { channel, dropped } = cleanChannel(log, tank.roomCelsius);
  const { samples } = channel;
  const stretches = stretchesOf(samples);
  const cutOutCelsius: number[] = [];
  const cutInCelsius: number[] = [];
  stretches.forEach((each, k) => {
    if (each.way !== 'warms' || each.toSecond - each.fromSecond < window) return;
    const next = stretches[k + 1];
    // A draw that ends the warming says nothing of a thermostat; nor does the end of the log.
    if (next && (next.way === 'cools' || next.way === 'stands')) {
      cutOutCelsius.push(highestOf(samples, each.toSecond - window, each.toSecond + 2 * window));
    }
    const before = stretches[k - 1];
    if (before?.way === 'cools' && before.toSecond - before.fromSecond > 2 * window) {
      cutInCelsius.push(lowestOf(samples, each.fromSecond - 2 * window, each.fromSecond + window));
    }
  });
  const setCelsius = cutOutCelsius.length > 0 ? median(cutOutCelsius) : undefined;
  const from = cutInCelsius.length > 0 ? median(cutInCelsius) : undefined;
  const losses = stretches.flatMap((each) => lossIn(samples, each, tank));
  return {
    stretches,
    cutOutCelsius,
    cutInCelsius,
    dropped,
    ...(setCelsius === undefined ? {} : { setCelsius }),
    ...(setCelsius === undefined || from === undefined
      ? {}
      : { differentialKelvin: setCelsius - from }),
    ...(setCelsius === undefined
      ? {}
      : { overshootKelvin: Math.max(0, Math.max(...cutOutCelsius) - setCelsius) }),
    ...(losses.length > 0 ? { lossWattPerKelvin: median(losses) } : {}),
  };
}

/** Which heater worked in a stretch of both probes: what warms tells it. */
export function heaterAtWork(
  top: readonly LogSample[],
  bottom: readonly LogSample[],
): 'upper' | 'lower' | 'none' | 'unknown' {
  if (top.length < 3 || bottom.length < 3) return 'unknown';
  const [above, below] = [slopeOf(top), slopeOf(bottom)];
  const rises = (slope: typeof above) =>
    slope.kelvinPerSecond > warmsFrom && slope.kelvinPerSecond > 3 * slope.spread;
  if (rises(below)) return 'lower';
  return rises(above) ? 'upper' : 'none';
}

function stretchesOf(samples: readonly LogSample[]): Stretch[] {
  const stretches: Stretch[] = [];
  if (samples.length < 3) return stretches;
  const step = 120;
  const [first, last] = [samples[0]!.second, samples.at(-1)!.second];
  for (let second = first; second <= last; second += step) {
    const before = celsiusAt(samples, Math.max(first, second - window / 2), window);
    const after = celsiusAt(samples, Math.min(last, second + window / 2), window);
    const span = Math.min(last, second + window / 2) - Math.max(first, second - window / 2);
    if (before === undefined || after === undefined || span <= 0) continue;
    const slope = (after - before) / span;
    const way =
      slope > warmsFrom
        ? 'warms'
        : slope < drawnFrom
          ? 'drawn'
          : slope < coolsFrom
            ? 'cools'
            : 'stands';
    const open = stretches.at(-1);
    const isNext = open !== undefined && second - open.toSecond <= window;
    if (isNext && (open.way === way || (way === 'stands' && open.way === 'cools'))) {
      stretches[stretches.length - 1] = { ...open, toSecond: second };
    } else stretches.push({ way, fromSecond: second, toSecond: second });
  }
  return stretches;
}

function highestOf(samples: readonly LogSample[], from: number, to: number): number {
  return median(
    samples
      .filter(({ second }) => second >= from && second <= to)
      .map(({ celsius }) => celsius)
      .sort((one, other) => other - one)
      .slice(0, 3),
  );
}

function lowestOf(samples: readonly LogSample[], from: number, to: number): number {
  return median(
    samples
      .filter(({ second }) => second >= from && second <= to)
      .map(({ celsius }) => celsius)
      .sort((one, other) => one - other)
      .slice(0, 3),
  );
}

function lossIn(
  samples: readonly LogSample[],
  { way, fromSecond, toSecond }: Stretch,
  { litre, roomCelsius }: { readonly litre: number; readonly roomCelsius: number },
): number[] {
  if (way !== 'cools' || toSecond - fromSecond < 3600) return [];
  const fromCelsius = celsiusAt(samples, fromSecond + window);
  const toCelsius = celsiusAt(samples, toSecond - window);
  if (fromCelsius === undefined || toCelsius === undefined) return [];
  if (!(fromCelsius > toCelsius + 0.3 && toCelsius > roomCelsius + 5)) return [];
  const hours = (toSecond - fromSecond - 2 * window) / 3600;
  return [lossFromCooling(litre, { fromCelsius, toCelsius, roomCelsius, hours })];
}
