import { asLogged, type ApplianceFamily } from '../appliances';
import type { Evidence } from '../diagnosis';
import type { Observable } from '../diagnosis/model';
import {
  logsOf,
  type Entry,
  type JobFile,
  type JobState,
  type LoggedCourse,
  type ObservationEntry,
  type ReadingEntry,
  type WalkedEntry,
} from '../job-file';
import { resultOf } from './result';

/** Entry id under which the complaint and the answers of the call count as evidence. */
export const callEntryId = (question: string) => `call:${question}`;

/** A code on a display, or a light pattern, is the result of the family's check of codes; one that it does not know tells nothing. */
export function codeAsResult({ codes, check }: ApplianceFamily, walked: WalkedEntry): WalkedEntry {
  const { entry } = walked;
  if (entry.kind !== 'code' || codes === undefined) return walked;
  const { code, saw, display: _, pack, ...rest } = entry;
  // A code of another pack is evidence by what its pack says that the control saw, and by nothing else.
  const value = saw ?? (pack === undefined ? code : undefined);
  if (value === undefined || !check(codes.check).values?.includes(value)) return walked;
  return { ...walked, entry: { ...rest, kind: 'observation', check: codes.check, value } };
}

/** Everything in a job that bears on what is wrong, as evidence for the engine. */
export function evidenceOf(
  family: ApplianceFamily,
  job: JobFile,
  walked: readonly WalkedEntry[],
  parameters = family.parameters,
): Evidence[] {
  const errorRateOf = (check: string | undefined) => family.errorRateOf(check, parameters);
  return [
    ...callEvidence(family, job.complaint, parameters.errorRates.answer),
    ...walked.flatMap(({ entry, before }) =>
      entryEvidence(family, job, entry, before, errorRateOf),
    ),
    ...family.settingEvidence(walked, errorRateOf, family.plateOf(job)),
    ...logEvidence(family, walked, parameters.errorRates.reading),
  ];
}

function callEvidence(
  family: ApplianceFamily,
  complaint: JobFile['complaint'],
  errorRate: number,
): Evidence[] {
  return family.questionIds.flatMap((question) => {
    const answer = question === 'complaint' ? complaint?.kind : complaint?.answers?.[question];
    const outcome = answer === undefined ? '' : String(answer);
    if (!family.questions[question]!.values.includes(outcome)) return [];
    return [
      {
        entryId: callEntryId(question),
        checkId: callEntryId(question),
        observable: family.observableOfQuestion(question),
        result: { kind: 'outcome' as const, outcome },
        repairsBefore: [],
        errorRate,
      },
    ];
  });
}

function entryEvidence(
  family: ApplianceFamily,
  job: JobFile,
  entry: Entry,
  before: JobState,
  errorRateOf: (check: string | undefined) => number,
): Evidence[] {
  if (entry.kind !== 'observation' && entry.kind !== 'reading') return [];
  const looked = family.observableOf(entry, before);
  const observable = looked && asWellAsKnown(looked, entry);
  const result = resultOf(job, entry, family);
  if (!observable || !result) return [];
  return [
    {
      entryId: entry.id,
      checkId: entry.check ?? observable.key,
      observable,
      result,
      repairsBefore: before.repairsDone,
      errorRate: errorRateOf(family.isCheckId(entry.check) ? entry.check : undefined),
    },
  ];
}

/** A result that was worked out from a clock is known no better than that. */
function asWellAsKnown(observable: Observable, entry: ObservationEntry | ReadingEntry): Observable {
  const [spread] = entry.kind === 'reading' ? Object.values(entry.spread ?? {}) : [];
  if (spread === undefined) return observable;
  return {
    ...observable,
    key: `${observable.key} ± ${spread}`,
    isOneOff: true,
    ownSpread: spread,
  };
}

/**
 * Temperatures that were followed, as evidence: each log once, and in two where a repair was done meanwhile. Its weight is told
 * at its first entry.
 */
function logEvidence(
  { storage, tap }: ApplianceFamily,
  walked: readonly WalkedEntry[],
  errorRate: number,
): Evidence[] {
  if (!storage && !tap) return [];
  return logsOf(walked).flatMap((course) => {
    const own = walked.find(({ entry }) => entry.id === course.entryIds[0])!;
    return partsOf(course).flatMap((part): Evidence[] => {
      const ofTank = storage?.observableOfLog(course, own.before, part);
      const observables = [
        ...(ofTank ? [ofTank] : []),
        ...(tap?.observablesOfLog(course, own.before, part) ?? []),
      ];
      return observables.map((observable) => ({
        entryId: own.entry.id,
        checkId: observable.key,
        observable,
        result: asLogged,
        repairsBefore: [...course.repairsBefore, ...part.repairs],
        errorRate,
      }));
    });
  });
}

/** A course from one repair to the next. */
function partsOf({ events }: LoggedCourse) {
  const repairs = events.filter((each) => each.kind === 'repair');
  return Array.from({ length: repairs.length + 1 }, (_, k) => ({
    fromSecond: k === 0 ? undefined : repairs[k - 1]!.second,
    untilSecond: repairs[k]?.second,
    repairs: repairs.slice(0, k).map(({ repair }) => repair),
  }));
}

/** What each result since the last repair looked at, by entry, as a plan would name it. */
export function plannedKeys(
  family: ApplianceFamily,
  walked: readonly WalkedEntry[],
  repairsDone: readonly string[],
): ReadonlyMap<string, string> {
  return new Map(
    walked.flatMap(({ entry, before }) => {
      if (before.repairsDone.length !== repairsDone.length) return [];
      const isResult =
        entry.kind === 'observation' || (entry.kind === 'reading' && entry.value !== undefined);
      const key = isResult ? family.plannedKeyOf(entry, before) : undefined;
      return key === undefined ? [] : [[entry.id, key] as const];
    }),
  );
}
