import type { ApplianceFamily, FamilyPlate, HeatAhead } from '../appliances';
import type { JobState, LoggedCourse } from '../job-file';
import { slopeOf, type LogSample } from '../thermal';
import type { LogFacts } from './log-facts';

/** What must be seen after a repair, in three levels; a job may be closed on the first, and says what is outstanding. */
export interface ProofRun {
  readonly log?: string;
  readonly levels: readonly ProofLevel[];
  /** What a sound unit has still to do from where it stands. */
  readonly ahead?: HeatAhead;
}

export interface ProofLevel {
  readonly id: 'readings' | 'changeover' | 'shut-off' | 'slow-climb' | 'holds';
  readonly isSeen: boolean;
  /** On the log's own clock. */
  readonly seenAtSecond?: number;
  /** Seen, and not as it must be: hotter than it was set, no rise at all, a flow that races, a tap that swings. */
  readonly wrong?: 'too-hot' | 'no-heat' | 'races' | 'swings';
}

/** A wall that rises by less in a quarter of an hour has been let go by its thermostat, in K/s. */
const stillSlope = 0.05 / 60;
const lookSeconds = 900;
/** Dials and walls differ by so much from what a thermostat truly does. Common practice. */
const dialKelvin = 8;
const tooHotCelsius = 71;

/**
 * Held against the last log that was begun after the last repair.
 * @param provedNow whether readings prove the repair: the first level.
 */
export function proofRun(
  { storage }: ApplianceFamily,
  plate: FamilyPlate,
  state: JobState,
  courses: readonly LoggedCourse[],
  facts: (course: LoggedCourse) => LogFacts | undefined,
  provedNow: boolean,
): ProofRun | undefined {
  if (!storage || state.repairsDone.length === 0) return undefined;
  const heaters = storage.heaters(plate);
  const dial = dialOf(state);
  const course = courses.findLast((each) => isSince(each, state));
  const after = course?.events.findLast(({ kind }) => kind === 'repair')?.second ?? 0;
  const since = (samples: readonly LogSample[]) => samples.filter(({ second }) => second >= after);
  const of = (...places: readonly string[]) =>
    since(course?.channels.find(({ place }) => places.includes(place))?.samples ?? []);
  const top = of('tank-top', 'upper-cover');
  const bottom = of('tank-bottom', 'lower-cover');
  const isTwo = heaters.length > 1;
  const changeover = isTwo ? changeoverAt(top, bottom) : heatAt(bottom.length > 0 ? bottom : top);
  const shutOff = shutOffAt(top, bottom, changeover, dial);
  const hottest = Math.max(...[...top, ...bottom].map(({ celsius }) => celsius), -Infinity);
  const power = course && facts(course)?.power;
  const noHeat =
    changeover === undefined &&
    power !== undefined &&
    power.warmed === 'nothing' &&
    power.toSecond - power.fromSecond > lookSeconds &&
    (top.at(-1)?.celsius ?? 100) < (dial ?? 50) - dialKelvin;
  const last = top.at(-1);
  const lastBottom = bottom.at(-1);
  return {
    ...(course ? { log: course.log } : {}),
    levels: [
      { id: 'readings', isSeen: provedNow },
      {
        id: 'changeover',
        isSeen: changeover !== undefined,
        ...(changeover === undefined ? {} : { seenAtSecond: changeover }),
        ...(noHeat ? { wrong: 'no-heat' as const } : {}),
      },
      {
        id: 'shut-off',
        isSeen: shutOff !== undefined && hottest < tooHotCelsius,
        ...(shutOff === undefined ? {} : { seenAtSecond: shutOff }),
        ...(hottest >= tooHotCelsius ? { wrong: 'too-hot' as const } : {}),
      },
    ],
    ...(last && lastBottom && shutOff === undefined
      ? {
          ahead: storage.ahead(plate, {
            topCelsius: last.celsius,
            bottomCelsius: lastBottom.celsius,
            ...(dial === undefined ? {} : { dialCelsius: dial }),
          }),
        }
      : {}),
  };
}

/** A log counts for a repair that was done before it, or while it ran. */
const isSince = ({ repairsBefore, events }: LoggedCourse, { repairsDone }: JobState): boolean =>
  repairsBefore.length === repairsDone.length ||
  events.some((each) => each.kind === 'repair' && each.repair === repairsDone.at(-1));

/** The lowest dial as it was left, or found. */
function dialOf({ settings }: JobState): number | undefined {
  const values = [...settings.values()].flatMap(({ found, left }) => {
    const value = left ?? found;
    return typeof value === 'object' && value.celsius !== undefined ? [value.celsius] : [];
  });
  return values.length > 0 ? Math.max(...values) : undefined;
}

/** The lower part begins to warm, with the top hot: the upper thermostat has handed over. */
function changeoverAt(top: readonly LogSample[], bottom: readonly LogSample[]): number | undefined {
  for (const each of windows(bottom)) {
    const slope = slopeOf(each);
    const isWarming =
      slope.kelvinPerSecond > 2 * stillSlope && slope.kelvinPerSecond > 3 * slope.spread;
    const second = each.at(-1)!.second;
    const above = top.findLast((one) => one.second <= second);
    if (isWarming && above && above.celsius > each[0]!.celsius - 2) return each[0]!.second;
  }
  return undefined;
}

/** It warms. */
function heatAt(samples: readonly LogSample[]): number | undefined {
  for (const each of windows(samples)) {
    const slope = slopeOf(each);
    if (slope.kelvinPerSecond > 2 * stillSlope && slope.kelvinPerSecond > 3 * slope.spread) {
      return each[0]!.second;
    }
  }
  return undefined;
}

/** Hot throughout, and no longer rising for a quarter of an hour, after it had been warming. */
function shutOffAt(
  top: readonly LogSample[],
  bottom: readonly LogSample[],
  changeover: number | undefined,
  dial: number | undefined,
): number | undefined {
  if (changeover === undefined) return undefined;
  const lower = bottom.length > 0 ? bottom : top;
  for (const each of windows(lower)) {
    const [first] = each;
    if (first!.second <= changeover) continue;
    const above = windowsOf(top, first!.second, each.at(-1)!.second);
    const isStill = [each, above].every(
      (all) => all.length < 3 || slopeOf(all).kelvinPerSecond < stillSlope,
    );
    const isHot = each.at(-1)!.celsius > (dial ?? 50) - dialKelvin;
    if (isStill && isHot) return first!.second;
  }
  return undefined;
}

const windowsOf = (samples: readonly LogSample[], from: number, to: number) =>
  samples.filter(({ second }) => second >= from && second <= to);

/** Stretches of a quarter of an hour, each a third of it after the last. */
function* windows(samples: readonly LogSample[]): Iterable<readonly LogSample[]> {
  const last = samples.at(-1)?.second ?? 0;
  for (let from = samples[0]?.second ?? 0; from + lookSeconds <= last; from += lookSeconds / 3) {
    const within = windowsOf(samples, from, from + lookSeconds);
    if (within.length >= 3) yield within;
  }
}
