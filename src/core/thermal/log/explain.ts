import { runTank, type Power, type TankCourse, type TankDesign, type TankResult } from '../tank';
import { cleanChannel, type LogChannel } from './temperature-log';

/** A log as it is to be explained: what was read where, and what was done meanwhile. */
export interface WatchedLog {
  /** Where it begins, on the clock of the whole that it is a part of. */
  readonly fromSecond: number;
  readonly channels: readonly LogChannel[];
  readonly seconds: number;
  readonly taps: readonly { readonly second: number; readonly litrePerMinute: number }[];
  readonly switches: readonly { readonly atSecond: number; readonly isOn: boolean }[];
  readonly dials: NonNullable<TankCourse['dials']>;
  readonly resets: readonly number[];
}

/** One way that a tank may be: what heats it, and where its dials may stand. */
export interface TankCase {
  readonly design: TankDesign;
  readonly power: Power;
  readonly limitTripped: boolean;
  /** How it stands where the log does not say, from the bottom up. */
  readonly standing: readonly number[];
  readonly coldCelsius: number;
}

export interface Explained {
  /** Natural logarithm of how likely the log is, up to what is the same for every case. */
  readonly logLikelihood: number;
  /** How far the best run lies off, over all readings, in kelvin. */
  readonly offKelvin: number;
  /** The run that comes nearest. */
  readonly run: TankResult;
}

/** Where each place of a log is in the model, as a share of the tank's height. */
export const placeHeights: Readonly<Record<string, number>> = {
  'tank-top': 0.93,
  'tank-bottom': 0.17,
  'upper-cover': 0.68,
  'lower-cover': 0.14,
};

/** Dials err and probes sit badly: the same for every reading of a course. In kelvin; common practice. */
const dialOffsets = [-4, 0, 4] as const;
/** What the model leaves out, over so long, in kelvin; a stretch counts once. */
const modelSpread = 2.4;
const stretchSeconds = 900;
const probeSpread = 1.2;
/** One stretch that fits nothing proves no more than this, as a natural logarithm: a probe may have slipped. */
const mostPerStretch = 6;
const roomCelsius = 19;

/**
 * How well a tank explains a log: it is run with every dial and every boundary of hot and cold at the start that the log leaves
 * open, and what it gives is held against what was read. One explainer is asked of many tanks: those that differ only in heat
 * that a run never asks for share it.
 */
export function explainerOf(log: WatchedLog): (tank: TankCase) => Explained {
  const runs = sharedRuns(log);
  return ({ design, ...tank }) => {
    let best: Held | undefined;
    const likelihoods: number[] = [];
    for (const startCelsius of startsOf(log, tank.standing)) {
      for (const offset of design.thermostats.length > 0 ? dialOffsets : [0]) {
        const set: TankDesign = {
          ...design,
          thermostats: design.thermostats.map((each) => ({
            ...each,
            cutOutCelsius: each.cutOutCelsius + offset,
          })),
        };
        for (const calling of callingsAtFirst(set, startCelsius)) {
          const held = runs({ ...tank, design: set }, startCelsius, calling);
          likelihoods.push(held.logLikelihood);
          if (!best || held.logLikelihood > best.logLikelihood) best = held;
        }
      }
    }
    return { ...best!, logLikelihood: meanOfLogs(likelihoods) };
  };
}

/** As `explainerOf` says, of one tank. */
export const explainLog = (log: WatchedLog, tank: TankCase): Explained => explainerOf(log)(tank);

type Held = ReturnType<typeof weigh> & { readonly run: TankResult };

/**
 * Runs of tanks, each known by what it was asked and how it answered: by all that is the same for any heat, and then by the
 * heat of one thermostats' calling after the other. Two that answered alike so far are asked the same next, so that what
 * is behind a way is the next calling that is asked for, or the run that it ended in.
 */
function sharedRuns(log: WatchedLog) {
  const step = Math.max(30, log.seconds / 240);
  const draws = drawsOf(log);
  const probes = probesOf(log).map(({ height }) => height);
  const readings = readingsOf(log);
  const coldest = coldestOf(log);
  const known = new Map<string, number | Held>();

  return (
    { design, power, ...tank }: TankCase,
    startCelsius: readonly number[],
    calling: number,
  ) => {
    // Nothing in a tank is colder than what comes into it.
    const coldCelsius = Math.max(1, Math.min(coldest, tank.coldCelsius));
    const { limitTripped } = tank;
    const begin = JSON.stringify([design, startCelsius, calling, coldCelsius, limitTripped]);
    let way = begin;
    for (let next = known.get(way); next !== undefined; next = known.get(way)) {
      if (typeof next !== 'number') return next;
      way += answered(next, power(next));
    }
    const asked = new Map<number, readonly number[]>();
    const run = runTank(design, {
      seconds: Math.max(60, log.seconds),
      startCelsius,
      calling,
      coldCelsius,
      roomCelsius,
      draws,
      power: (at) => {
        const watts = asked.get(at) ?? power(at);
        asked.set(at, watts);
        return watts;
      },
      limitTripped,
      switches: log.switches,
      dials: log.dials,
      resets: log.resets,
      sampleEverySecond: Math.max(60, step),
      longestStepSecond: step,
      probes,
    });
    const held: Held = { ...weigh(readings, run), run };
    way = begin;
    for (const [at, watts] of asked) {
      known.set(way, at);
      way += answered(at, watts);
    }
    known.set(way, held);
    return held;
  };
}

const answered = (calling: number, watts: readonly number[]) => `;${calling}=${watts.join('+')}`;

const meanOfLogs = (values: readonly number[]): number => {
  const most = Math.max(...values);
  return (
    most + Math.log(values.reduce((sum, each) => sum + Math.exp(each - most), 0) / values.length)
  );
};

const probesOf = ({ channels }: WatchedLog) =>
  channels.flatMap(({ place }) => {
    const height = placeHeights[place];
    return height === undefined ? [] : [{ place, height }];
  });

const coldestOf = ({ channels }: WatchedLog): number =>
  channels
    .filter(({ place }) => place !== 'room')
    .reduce(
      (least, { samples }) => samples.reduce((min, { celsius }) => Math.min(min, celsius), least),
      Infinity,
    );

/** A thermostat between its two points may call or not, as it was before: both are tried, all of them together. */
function callingsAtFirst({ thermostats }: TankDesign, startCelsius: readonly number[]): number[] {
  let [called, free] = [0, 0];
  thermostats.forEach(({ height, cutOutCelsius, differentialKelvin }, k) => {
    const celsius =
      startCelsius[Math.min(startCelsius.length - 1, Math.floor(height * startCelsius.length))]!;
    if (celsius <= cutOutCelsius - differentialKelvin) called |= 1 << k;
    else if (celsius < cutOutCelsius) free |= 1 << k;
  });
  return free === 0 ? [called] : [called, called | free];
}

function drawsOf({ taps, seconds }: WatchedLog) {
  return taps.flatMap(({ second, litrePerMinute }, k) => {
    if (!(litrePerMinute > 0)) return [];
    const until = taps[k + 1]?.second ?? seconds;
    return until > second
      ? [{ atSecond: second, durationSecond: until - second, litrePerMinute }]
      : [];
  });
}

/** How the tank may have stood at first: by its probes, with the boundary of hot and cold wherever it may have been. */
function startsOf({ channels }: WatchedLog, standing: readonly number[]): (readonly number[])[] {
  const first = (...places: readonly string[]) => {
    for (const place of places) {
      const sample = channels.find((each) => each.place === place)?.samples[0];
      if (sample && sample.second < 900) return sample.celsius;
    }
    return undefined;
  };
  const top = first('tank-top', 'upper-cover') ?? standing.at(-1)!;
  const bottom = first('tank-bottom', 'lower-cover');
  const splits = bottom === undefined ? [] : Math.abs(top - bottom) < 4 ? [0.5] : [0.3, 0.5, 0.66];
  const within = (celsius: number) => Math.max(1, Math.min(94, celsius));
  if (bottom === undefined) {
    const lift = top - standing.at(-1)!;
    return [standing.map((each) => within(each + (each > 25 ? lift : 0)))];
  }
  return splits.map((split) =>
    Array.from({ length: 30 }, (_, k) =>
      within((k + 0.5) / 30 < split ? Math.min(bottom, top) : top),
    ),
  );
}

/** What a run is held against: the channels that it has something for, without what no water can do. */
interface Reading {
  /** Which of the run's probes; -1 for the outlet. */
  readonly probe: number;
  readonly samples: LogChannel['samples'];
}

function readingsOf(log: WatchedLog): readonly Reading[] {
  const probes = probesOf(log);
  return log.channels.flatMap((each) => {
    const probe = probes.findIndex(({ place }) => place === each.place);
    if (probe < 0 && each.place !== 'outlet') return [];
    return [{ probe, samples: cleanChannel(each).channel.samples }];
  });
}

/** Holds a run against what was read: stretch by stretch, as what the model leaves out lasts a while. */
function weigh(
  readings: readonly Reading[],
  run: TankResult,
): { logLikelihood: number; offKelvin: number } {
  let logLikelihood = 0;
  let squares = 0;
  let count = 0;
  for (const { probe, samples } of readings) {
    const offs = new Map<number, number[]>();
    for (const { second, celsius } of samples) {
      const predicted = predictedAt(run, second, probe);
      if (predicted === undefined) continue;
      const stretch = Math.floor(second / stretchSeconds);
      const same = offs.get(stretch);
      if (same) same.push(celsius - predicted);
      else offs.set(stretch, [celsius - predicted]);
    }
    if (offs.size === 0) continue;
    const means = [...offs.values()].map(
      (all) => all.reduce((sum, each) => sum + each, 0) / all.length,
    );
    // A probe that sits badly is off throughout: that much is taken from every stretch.
    const mean = means.reduce((sum, each) => sum + each, 0) / means.length;
    const known = probeSpread ** 2 / (probeSpread ** 2 + modelSpread ** 2 / means.length);
    const offset = mean * known;
    logLikelihood -= offset ** 2 / (2 * probeSpread ** 2);
    for (const each of means) {
      logLikelihood -= Math.min(mostPerStretch, (each - offset) ** 2 / (2 * modelSpread ** 2));
      squares += each ** 2;
      count += 1;
    }
  }
  return { logLikelihood, offKelvin: count > 0 ? Math.sqrt(squares / count) : 0 };
}

/** What the run gives there and then. At the outlet only while water runs: a pipe that stands tells of the room. */
function predictedAt({ samples }: TankResult, second: number, probe: number): number | undefined {
  const every = samples.length > 1 ? samples[1]!.second - samples[0]!.second : 1;
  const k = Math.min(samples.length - 1, Math.max(0, Math.floor(second / every)));
  const [before, after] = [samples[k]!, samples[Math.min(samples.length - 1, k + 1)]!];
  const share = Math.max(0, Math.min(1, (second - before.second) / every));
  if (probe >= 0) {
    return before.probeCelsius[probe]! * (1 - share) + after.probeCelsius[probe]! * share;
  }
  if (before.litrePerMinute === 0) return undefined;
  return before.outletCelsius * (1 - share) + after.outletCelsius * share;
}

/** Whether there is enough to be explained: readings of a wall over ten minutes, or of a tap that runs. */
export function tellsSomething({ channels, taps, seconds }: WatchedLog): boolean {
  const wall = channels.some(
    ({ place, samples }) =>
      placeHeights[place] !== undefined &&
      samples.length >= 3 &&
      samples.at(-1)!.second - samples[0]!.second >= 600,
  );
  const outlet = channels.find(({ place }) => place === 'outlet');
  const drawn =
    outlet !== undefined &&
    taps.some(({ litrePerMinute }) => litrePerMinute > 0) &&
    outlet.samples.filter(({ second }) => isDrawn(taps, second)).length >= 3;
  return seconds >= 60 && (wall || drawn);
}

const isDrawn = (taps: WatchedLog['taps'], second: number): boolean =>
  (taps.findLast((each) => each.second <= second)?.litrePerMinute ?? 0) > 0;
