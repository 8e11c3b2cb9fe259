import type { ApplianceFamily, FamilyPlate } from '../appliances';
import type { LoggedCourse } from '../job-file';
import {
  cleanChannel,
  cyclesOf,
  heaterAtWork,
  powerFromRise,
  usualLossWattPerKelvin,
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
  /** Of the wall at the bottom and at the top. */
  readonly bottom?: Cycles;
  readonly top?: Cycles;
  readonly dropped: readonly Dropped[];
}

/** A stretch is looked at from this long on, and no further back than that, in seconds. */
const shortest = 480;
const longest = 1500;
const roomCelsius = 19;

/** @param measuredLitre where the volume was measured and not read off the plate. */
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
  const stretch = lastStill(course, top, bottom);
  const inStretch = (samples: readonly LogSample[]) =>
    samples.filter(({ second }) => second >= stretch!.from && second <= stretch!.to);
  const found =
    stretch && inStretch(top).length >= 3 && inStretch(bottom).length >= 3
      ? powerFromRise(
          { top: inStretch(top), bottom: inStretch(bottom) },
          {
            litre: tank.litre,
            heaterHeights: heaters.map(({ height }) => height),
            lossWattPerKelvin: usualLossWattPerKelvin(tank.litre),
            roomCelsius,
          },
        )
      : undefined;
  return {
    log: course.log,
    dropped,
    ...(found
      ? {
          power: {
            ...found,
            fromSecond: stretch!.from,
            toSecond: stretch!.to,
            heater: found.warmed === 'top' ? heaters[0] : heaters.at(-1),
          },
          heater: heaterAtWork(inStretch(top), inStretch(bottom)),
        }
      : {}),
    ...(bottom.length > 5
      ? { bottom: cyclesOf({ place: 'tank-bottom', samples: bottom }, tank) }
      : {}),
    ...(top.length > 5 ? { top: cyclesOf({ place: 'tank-top', samples: top }, tank) } : {}),
  };
}

/** The last stretch in which nothing was done to the unit and no tap ran, as far back as one power is likely. */
function lastStill(
  { events }: LoggedCourse,
  top: readonly LogSample[],
  bottom: readonly LogSample[],
): { readonly from: number; readonly to: number } | undefined {
  const ends = [top.at(-1)?.second, bottom.at(-1)?.second].filter((each) => each !== undefined);
  if (ends.length < 2) return undefined;
  const last = Math.min(...ends);
  const marks = [0, ...events.map(({ second }) => second), last].sort((one, other) => one - other);
  for (let k = marks.length - 1; k > 0; k--) {
    const [from, to] = [marks[k - 1]!, marks[k]!];
    const tap = events.findLast((each) => each.kind === 'tap' && each.second <= from);
    const isDrawn = tap?.kind === 'tap' && tap.litrePerMinute > 0;
    // What was just done takes a minute to settle.
    if (!isDrawn && to - from >= shortest) {
      return { from: Math.max(from + (from > 0 ? 60 : 0), to - longest), to };
    }
  }
  return undefined;
}
