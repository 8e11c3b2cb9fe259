import type { Hypothesis } from '../diagnosis/model';
import { diagnoseJob, proofOf, type OpenDiagnosis } from '../job-diagnosis';
import { logsOf, type JobFile, type LoggedCourse } from '../job-file';
import { usualShower, type ShowerWish } from '../thermal';
import { logFacts, type LogFacts } from './log-facts';
import { proofRun, type ProofRun } from './proof-run';
import { tapExplained, type TapExplained } from './tap-explained';
import { tapProof } from './tap-proof';

/** Everything that a job's temperatures tell: by themselves, under each leading suspect, and of its repair. */
export interface TemperatureAnswer {
  readonly courses: readonly LoggedCourse[];
  readonly facts: readonly LogFacts[];
  readonly explanations: readonly Explanation[];
  readonly proof?: ProofRun;
}

/** Would this explain it? A leading suspect's shower, and its run of the last log. */
export interface Explanation {
  /** None for a good unit. */
  readonly faults: readonly string[];
  readonly repair?: string;
  /** Those of its faults that another repair cures, with that repair. */
  readonly also?: readonly { readonly repair: string; readonly fault: string }[];
  readonly probability: number;
  /** Of a tank; nothing where the tap is warmed as it runs. */
  readonly shower: readonly { readonly minute: number; readonly celsius: number }[];
  /** Two minutes at an open tap, where that is what warms it. */
  readonly tap?: TapExplained;
  /** Until it is too cold to shower; undefined where it stays hot. */
  readonly hotMinutes?: number;
  readonly log?: {
    readonly log: string;
    readonly offKelvin: number;
    readonly channels: readonly {
      readonly place: string;
      readonly samples: readonly { readonly second: number; readonly celsius: number }[];
    }[];
  };
}

/** Suspects that are drawn, beside a good unit: more than that nobody tells apart on a phone. */
const mostSuspects = 3;

/** @param wish what the customer draws: the flow and the temperature at the head. */
export function temperatureAnswer(
  job: JobFile,
  wish: ShowerWish = usualShower,
): TemperatureAnswer | undefined {
  const open = diagnoseJob(job, { depth: 'one-step', brief: true });
  const { family, plate, state, walked } = open;
  if (!family.storage && !family.tap) return undefined;
  const courses = logsOf(walked);
  const factsOf = (course: LoggedCourse) => logFacts(family, plate, course);
  const isProved = proofOf(open, job).verdict === 'proved';
  const proof = family.tap
    ? tapProof(family.tap, plate, open.tables.model, state, courses, isProved)
    : proofRun(family, plate, state, courses, factsOf, isProved);
  return {
    courses,
    facts: courses.flatMap((each) => factsOf(each) ?? []),
    explanations: explanationsOf(open, courses, wish),
    ...(proof ? { proof } : {}),
  };
}

function explanationsOf(
  open: OpenDiagnosis,
  courses: readonly LoggedCourse[],
  wish: ShowerWish,
): Explanation[] {
  const { family, plate, tables, standing, walked } = open;
  const { hypotheses, healthyIndex, repairOf } = tables.model;
  const byRepair = new Map<string, { hypothesis: Hypothesis; probability: number; best: number }>();
  standing.byHypothesis.forEach((weight, index) => {
    const hypothesis = hypotheses[index] as Hypothesis;
    if (hypothesis.faults.length === 0 || !(weight > 0)) return;
    const repair = repairOf[hypothesis.faults[0]!] ?? '';
    const known = byRepair.get(repair);
    if (!known) byRepair.set(repair, { hypothesis, probability: weight, best: weight });
    else {
      known.probability += weight;
      if (weight > known.best) Object.assign(known, { hypothesis, best: weight });
    }
  });
  const leading = [...byRepair]
    .sort(([, one], [, other]) => other.probability - one.probability)
    .slice(0, mostSuspects);
  const course = courses.at(-1);
  const before = course && walked.find(({ entry }) => entry.id === course.entryIds[0])?.before;
  const observable = course && before && family.storage?.observableOfLog(course, before);
  const drawn = course && before && family.tap?.observablesOfLog(course, before).at(-1);
  const explain = (hypothesis: Hypothesis, probability: number, repair?: string): Explanation => {
    const also = hypothesis.faults.flatMap((fault) => {
      const other = repairOf[fault];
      return other === undefined || other === repair ? [] : [{ repair: other, fault }];
    });
    const common = {
      faults: hypothesis.faults,
      ...(repair === undefined ? {} : { repair }),
      ...(repair === undefined || also.length === 0 ? {} : { also }),
      probability,
    };
    if (family.tap) {
      return {
        ...common,
        shower: [],
        tap: tapExplained(family.tap, plate, hypothesis),
        ...(drawn
          ? { log: { log: course.log, ...family.tap.explain(plate, hypothesis, drawn) } }
          : {}),
      };
    }
    const { samples } = family.storage!.shower(plate, hypothesis, wish);
    const shower = samples.map((each) => ({
      minute: each.second / 60,
      celsius: each.mixedCelsius ?? each.outletCelsius,
    }));
    const end = shower.find(({ celsius }) => celsius < wish.wantedCelsius - 2);
    return {
      ...common,
      shower,
      ...(end ? { hotMinutes: end.minute } : {}),
      ...(observable ? { log: runOf(open, hypothesis, course, observable) } : {}),
    };
  };
  return [
    ...leading.map(([repair, { hypothesis, probability }]) =>
      explain(hypothesis, probability, repair),
    ),
    explain(hypotheses[healthyIndex] as Hypothesis, standing.byHypothesis[healthyIndex]!),
  ];
}

function runOf(
  { family, plate }: OpenDiagnosis,
  hypothesis: Hypothesis,
  course: LoggedCourse,
  observable: NonNullable<
    ReturnType<NonNullable<OpenDiagnosis['family']['storage']>['observableOfLog']>
  >,
): NonNullable<Explanation['log']> {
  const {
    run,
    offKelvin,
    fromSecond: first,
  } = family.storage!.explain(plate, hypothesis, observable);
  const walls = course.channels.filter(({ place }) => /^tank-|-cover$/.test(place));
  return {
    log: course.log,
    offKelvin,
    channels: [
      ...walls.map(({ place }, k) => ({
        place,
        samples: run.samples.map(({ second, probeCelsius }) => ({
          second: first + second,
          celsius: probeCelsius[k]!,
        })),
      })),
      ...(course.channels.some(({ place }) => place === 'outlet')
        ? [
            {
              place: 'outlet',
              samples: run.samples.map(({ second, outletCelsius }) => ({
                second: first + second,
                celsius: outletCelsius,
              })),
            },
          ]
        : []),
    ],
  };
}
