import type { ApplianceFamily, FamilyPlate } from '../appliances';
import type { LoggedCourse } from '../job-file';
import {
  cleanChannel,
  cyclesOf,
  heaterAtWork,
  powerFromRise,
  riseByClock,
  slopeOf,
  unrecordedDraws,
  usualLossWattPerKelvin,
  type ByClock,
  type Cycles,
  type Dropped,
  type LogSample,
  type PowerFound,
} from '../thermal';

/** What a log tells by itself, before any suspect is asked. */
export interface LogFacts {
  readonly log: string;
  /** The power that went in over the last stretch without a draw, beside what the plate says of the heater that it fits. */
  readonly power?: PowerFound & {
    readonly fromSecond: number;
    readonly toSecond: number;
    readonly heater?: { readonly label: string; readonly watt: number };
  };
  readonly heater?: 'upper' | 'lower' | 'none' | 'unknown';
  /** How fast each place went from one reading by hand to the next, in K/min. */
  readonly rises: readonly ({ readonly place: string } & ByClock)[];
  /** Of the wall at the bottom and at the top. */
  readonly bottom?: Cycles;
  readonly top?: Cycles;
  readonly dropped: readonly Dropped[];
  /** Walls fell as only a draw makes them fall, and no tap is written down: on the log's own clock. */
  readonly unrecordedDraws: readonly { readonly from: number; readonly to: number }[];
}

/** A stretch is looked at from this long on, and no further back than that, in seconds. */
const shortest = 480;
const longest = 1500;
const roomCelsius = 19;

/**
 * What a log tells by itself, without a model of what may be wrong: how fast each wall rose, the power that it takes, and when
 * it was shut off and called again.
 * @returns undefined where the family stores no water.
 */
export function logFacts(
  { storage }: ApplianceFamily,
  plate: FamilyPlate,
  course: LoggedCourse,
): LogFacts | undefined {
  if (!storage) return undefined;
  const cleaned = course.channels.map((each) => cleanChannel(each, roomCelsius));
  const samplesAt = (...places: readonly string[]): readonly LogSample[] => {
    for (const place of places) {
      const found = cleaned.find(({ channel }) => channel.place === place);
      if (found && found.channel.samples.length > 0) return found.channel.samples;
    }
    return [];
  };
  const top = samplesAt('tank-top', 'upper-cover');
  const bottom = samplesAt('tank-bottom', 'lower-cover');
  const dropped = cleaned.flatMap((each) => each.dropped);
  const tank = { litre: storage.litre(plate), roomCelsius };
  const heaters = storage.heaters(plate);
  const within = (samples: readonly LogSample[], { from, to }: StillStretch) =>
    samples.filter(({ second }) => second >= from && second <= to);
  const powerIn = (stretch: StillStretch): PowerFound | undefined => {
    const [above, below] = [within(top, stretch), within(bottom, stretch)];
    if (above.length < 3 || below.length < 3) return undefined;
    // A thermostat that let go in the middle leaves half a power, which nothing has.
    if (!isEven(above) || !isEven(below)) return undefined;
    return powerFromRise(
      { top: above, bottom: below },
      {
        litre: tank.litre,
        heaterHeights: heaters.map(({ height }) => height),
        lossWattPerKelvin: usualLossWattPerKelvin(tank.litre),
        roomCelsius,
      },
    );
  };
  // The last in which anything warmed; of a tank that only stands, the last of all.
  const tried = stillStretches(course, top, bottom).flatMap((stretch) => {
    const power = powerIn(stretch);
    return power ? [{ stretch, power }] : [];
  });
  const told = tried.find(({ power }) => power.warmed !== 'nothing') ?? tried[0];
  return {
    log: course.log,
    rises: course.channels.flatMap(({ place, source, samples }) => {
      const rise = source === 'hand' ? lastRise(samples) : undefined;
      return rise ? [{ place, ...rise }] : [];
    }),
    dropped,
    unrecordedDraws: unrecordedDraws({
      channels: cleaned.map(({ channel }) => channel),
      taps: course.events.filter((each) => each.kind === 'tap'),
    }),
    ...(told
      ? {
          power: {
            ...told.power,
            fromSecond: told.stretch.from,
            toSecond: told.stretch.to,
            heater: told.power.warmed === 'top' ? heaters[0] : heaters.at(-1),
          },
          heater: heaterAtWork(within(top, told.stretch), within(bottom, told.stretch)),
        }
      : {}),
    ...(bottom.length > 5
      ? { bottom: cyclesOf({ place: 'tank-bottom', samples: bottom }, tank) }
      : {}),
    ...(top.length > 5 ? { top: cyclesOf({ place: 'tank-top', samples: top }, tank) } : {}),
  };
}

/** Two readings nearer in time than this tell no rise, in seconds. */
const apartSeconds = 45;

function lastRise(samples: readonly LogSample[]): ByClock | undefined {
  const last = samples.at(-1);
  const before = last && samples.findLast(({ second }) => last.second - second >= apartSeconds);
  return before && riseByClock(before.celsius, last.celsius, last.second - before.second);
}

/** Readings of one heat rise as fast at the end as at the start. */
function isEven(samples: readonly LogSample[]): boolean {
  if (samples.length < 6) return true;
  const middle = samples.length >> 1;
  const [one, other] = [slopeOf(samples.slice(0, middle)), slopeOf(samples.slice(middle))];
  const difference = Math.abs(one.kelvinPerSecond - other.kelvinPerSecond);
  const larger = Math.max(Math.abs(one.kelvinPerSecond), Math.abs(other.kelvinPerSecond));
  return difference < Math.max(unevenShare * larger, 4 * Math.hypot(one.spread, other.spread));
}

const unevenShare = 0.2;

interface StillStretch {
  readonly from: number;
  readonly to: number;
}

/** How far back each stretch lies from the one after it, in seconds; and how many are looked at. */
const stepBack = 300;
const mostStretches = 60;

/** Stretches in which nothing was done to the unit and no tap ran, as long as one power is likely, the last first. */
function stillStretches(
  { events }: LoggedCourse,
  top: readonly LogSample[],
  bottom: readonly LogSample[],
): StillStretch[] {
  const ends = [top.at(-1)?.second, bottom.at(-1)?.second].filter((each) => each !== undefined);
  if (ends.length < 2) return [];
  const last = Math.min(...ends);
  const marks = [0, ...events.map(({ second }) => second), last].sort((one, other) => one - other);
  const found: StillStretch[] = [];
  for (let k = marks.length - 1; k > 0; k--) {
    // What was just done takes a minute to settle.
    const from = marks[k - 1]! + (marks[k - 1]! > 0 ? 60 : 0);
    const tap = events.findLast((each) => each.kind === 'tap' && each.second <= marks[k - 1]!);
    if (tap?.kind === 'tap' && tap.litrePerMinute > 0) continue;
    for (let to = marks[k]!; to - from >= shortest; to -= stepBack) {
      if (found.length >= mostStretches) return found;
      found.push({ from: Math.max(from, to - longest), to });
    }
  }
  return found;
}
