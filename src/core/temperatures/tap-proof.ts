import type { FamilyPlate, TapWater } from '../appliances';
import type { FamilyModel } from '../diagnosis/model';
import type { JobState, LoggedCourse } from '../job-file';
import type { ProofLevel, ProofRun } from './proof-run';
import { tapExplained } from './tap-explained';

/** A good unit's flow may rise and peak so much more than the model's before it is no slow climb. Common practice. */
const moreRise = 0.3;
const morePeak = 11;
/** A tap that falls by less, and is warmer than this, holds. */
const leastSwing = 4;
const leastCelsius = 36;
/** Followed for as long as this it has been seen, in seconds. */
const longEnough = 90;

/** What must be seen at a tap after a repair, ticked off from the last draw that was followed since. */
export function tapProof(
  tap: TapWater,
  plate: FamilyPlate,
  { hypotheses, healthyIndex }: Pick<FamilyModel, 'hypotheses' | 'healthyIndex'>,
  { repairsDone }: JobState,
  courses: readonly LoggedCourse[],
  provedNow: boolean,
): ProofRun | undefined {
  if (repairsDone.length === 0) return undefined;
  const course = courses.findLast(
    (each) =>
      each.repairsBefore.length === repairsDone.length ||
      each.events.some(({ kind }) => kind === 'repair'),
  );
  const good = tapExplained(tap, plate, hypotheses[healthyIndex]!);
  const draw = course && lastDraw(course);
  return {
    ...(course ? { log: course.log } : {}),
    levels: [
      { id: 'readings', isSeen: provedNow },
      ...(tap.hasFlow ? [slowClimb(draw, good)] : []),
      holds(draw),
    ],
  };
}

interface Draw {
  readonly from: number;
  readonly until: number;
  samples(
    ...places: readonly string[]
  ): readonly { readonly second: number; readonly celsius: number }[];
}

/** From the last opening of a tap after the last repair to its end. */
function lastDraw({ channels, events }: LoggedCourse): Draw | undefined {
  const repaired = events.findLast(({ kind }) => kind === 'repair')?.second ?? -Infinity;
  const opened = events.findLast(
    (each) => each.kind === 'tap' && each.litrePerMinute > 0 && each.second >= repaired,
  );
  if (!opened) return undefined;
  const until =
    events.find(({ kind, second }) => kind === 'tap' && second > opened.second)?.second ?? Infinity;
  return {
    from: opened.second,
    until,
    samples: (...places) =>
      (channels.find(({ place }) => places.includes(place))?.samples ?? []).filter(
        ({ second }) => second >= opened.second && second <= until,
      ),
  };
}

function slowClimb(draw: Draw | undefined, good: ReturnType<typeof tapExplained>): ProofLevel {
  const samples = draw?.samples('flow-pipe', 'readout-flow') ?? [];
  const first = samples[0];
  const last = samples.at(-1);
  if (!draw || !first || !last || last.second - draw.from < longEnough) {
    return { id: 'slow-climb', isSeen: false };
  }
  const peak = Math.max(...samples.map(({ celsius }) => celsius));
  const rise = Math.max(
    0,
    ...samples.flatMap((each) => {
      const after = samples.find(({ second }) => second >= each.second + 10);
      return after && after.second - each.second <= 16
        ? [(after.celsius - each.celsius) / (after.second - each.second)]
        : [];
    }),
  );
  const isSlow =
    peak < good.peakFlowCelsius! + morePeak && rise < good.riseKelvinPerSecond! + moreRise;
  return isSlow
    ? { id: 'slow-climb', isSeen: true, seenAtSecond: last.second }
    : { id: 'slow-climb', isSeen: false, wrong: 'races' };
}

function holds(draw: Draw | undefined): ProofLevel {
  const samples = (draw?.samples('outlet', 'hot-pipe', 'readout-outlet') ?? []).filter(
    ({ second }) => second >= draw!.from + 40,
  );
  const last = samples.at(-1);
  if (!draw || !last || last.second - draw.from < longEnough) return { id: 'holds', isSeen: false };
  let highest = -Infinity;
  let swing = 0;
  for (const { celsius } of samples) {
    highest = Math.max(highest, celsius);
    swing = Math.max(swing, highest - celsius);
  }
  if (swing >= leastSwing) return { id: 'holds', isSeen: false, wrong: 'swings' };
  if (last.celsius < leastCelsius) return { id: 'holds', isSeen: false, wrong: 'no-heat' };
  return { id: 'holds', isSeen: true, seenAtSecond: last.second };
}
