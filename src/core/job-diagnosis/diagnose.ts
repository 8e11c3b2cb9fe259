import {
  familyOfJob,
  wrongVerdictMinutes,
  type ApplianceFamily,
  type ElectricalObservable,
  type FamilyParameters,
  type Plate,
  type TechnicianLimits,
} from '../appliances';
import {
  beliefAfterRepairs,
  judgeConsistency,
  listSuspects,
  planNext,
  updateBelief,
  type Belief,
  type Candidate,
  type CompiledFamily,
  type Suspect,
} from '../diagnosis';
import { foldEntries, walkEntries, type JobFile, type JobState } from '../job-file';
import { doubtToSettle, type Warning } from './doubts';
import { evidenceOf, plannedKeys } from './evidence';
import { whatWouldChangeTheMind, type MindChanger } from './mind';
import { likelyMistake } from './mistakes';
import {
  alternativesTo,
  followed,
  nextCheck,
  rounded,
  usualFirst,
  type Alternative,
  type NextCheck,
} from './next-check';
import { goodOf } from './proof';
import { compiledFor } from './tables';
import { unreadPart, type UnreadPart } from './unread-part';

export const engineVersion = 'ohmmeter-0.2.0';

/** Checks that are asked what would change the mind. */
const mostThatChangeMinds = 12;

export interface AfterRepair {
  readonly repairs: readonly string[];
  /** Probability that nothing is wrong any more. */
  readonly heldProbability: number;
}

/** The answer for a job: what is wrong and how sure, whether that is enough, what to do next, what does not fit. */
export interface Diagnosis {
  readonly suspects: readonly Suspect[];
  readonly decided: boolean;
  readonly next: NextCheck | null;
  /** The checks that come after it in worth. */
  readonly alternatives: readonly Alternative[];
  /** The same in the family's usual order: its next check, and the minutes to expect until a verdict. */
  readonly usual?: { readonly check: string; readonly toVerdictMinutes: number };
  /** The likeliest result that would make another suspect lead. */
  readonly changesMind?: MindChanger;
  readonly warnings: readonly Warning[];
  /** Once decided: the part to be fitted, where nothing has been read on itself yet. */
  readonly unread?: UnreadPart;
  readonly afterRepair?: AfterRepair;
}

/** The diagnosis with what it was computed from, for screens that look closer. */
export interface OpenDiagnosis {
  readonly answer: Diagnosis;
  readonly family: ApplianceFamily;
  readonly tables: CompiledFamily<ElectricalObservable>;
  readonly belief: Belief;
  /** The belief about what still stands, once the repairs are taken out of it. */
  readonly standing: Belief;
  readonly state: JobState;
  readonly plate: Plate;
}

export interface DiagnosisOptions {
  readonly parameters?: FamilyParameters;
  /** One step ahead only: takes a fraction of the time, and is what answers until tables are filled. */
  readonly depth?: 'rollout' | 'one-step';
  /** Leaves out what no loop over many jobs needs: weights of entries, expected bands, the usual order. */
  readonly brief?: boolean;
}

/**
 * Diagnoses a job file.
 * @throws PlateError where the plate cannot be worked with.
 */
export function diagnoseJob(job: JobFile, options: DiagnosisOptions = {}): OpenDiagnosis {
  const family = familyOfJob(job);
  const { parameters = family.parameters, depth = 'rollout', brief = false } = options;
  const plate = family.plateOf(job);
  const tables = compiledFor(family, plate, parameters);
  const walked = walkEntries(job.entries, family.catalogue);
  const state = foldEntries(job.entries, family.catalogue);
  const belief = updateBelief(tables, evidenceOf(family, job, walked, parameters));
  const standing = beliefAfterRepairs(tables, belief, state.repairsDone);
  const start = family.planStart(state, limitsOf(job), parameters);
  const planned = plannedKeys(family, walked, state.repairsDone);
  const isOpen = openChecks(planned, belief, state);
  const candidates = start.candidates.filter(isOpen);
  const isUsual = job.constraints?.order === 'usual';
  const plan = planNext(
    tables,
    standing,
    { ...start, candidates },
    {
      wrongVerdictMinutes: priceOf(job, parameters),
      depth,
      thorough: !brief,
      usualOrder: isUsual || (!brief && depth === 'rollout') ? family.usualOrder : undefined,
    },
  );
  const entryOf = (id: string) => walked.find(({ entry }) => entry.id === id);
  const doubt = doubtToSettle(
    family,
    judgeConsistency(tables, belief),
    (check, { entryIds, observableKey }) => {
      const candidate = start.candidates.find((each) => each.checkId === check);
      const key = candidate?.observableIn(0).key;
      return (
        candidate && {
          isTaken: !isOpen(candidate),
          isSame: key === observableKey || key === planned.get(entryIds[0]!),
        }
      );
    },
    (id) => {
      const found = entryOf(id);
      if (!found) return undefined;
      return likelyMistake(
        family,
        found.entry,
        goodOf(family, job, found.entry, found.before),
        found.before,
      );
    },
  );
  const following = followed(doubt, start.candidates);
  const decided = !following && plan.enough;
  const appraisals = isUsual && plan.usual ? usualFirst(plan, plan.usual) : plan.appraisals;
  const next = decided ? undefined : (following ?? appraisals[0]);
  const suspects = brief ? [] : listSuspects(tables, standing);
  return {
    family,
    tables,
    belief,
    standing,
    state,
    plate,
    answer: {
      suspects,
      decided,
      next: next ? nextCheck(tables, standing, next, doubt, brief) : null,
      alternatives: alternativesTo(next, appraisals),
      usual: plan.usual && {
        check: plan.usual.checkId,
        toVerdictMinutes: rounded(plan.usual.outlook.minutes),
      },
      changesMind: brief
        ? undefined
        : whatWouldChangeTheMind(
            tables,
            standing,
            plan.appraisals.slice(0, mostThatChangeMinds).map((each) => each.candidate),
            suspects[0]!.repair,
          ),
      warnings: doubt ? [doubt.warning] : [],
      unread:
        decided && !brief && state.repairsDone.length === 0
          ? unreadPart(
              family,
              suspects[0]!.repair,
              suspects[0]!.faults[0]?.id,
              walked,
              candidates,
              plan.appraisals,
            )
          : undefined,
      afterRepair: afterRepair(tables, standing, state),
    },
  };
}

/** A check is open until what it looks at has been looked at since the last repair. */
function openChecks(
  planned: ReadonlyMap<string, string>,
  { contributions }: Belief,
  { repairsDone }: JobState,
): (candidate: Candidate<ElectricalObservable>) => boolean {
  const taken = new Set(planned.values());
  for (const { repairsBefore, observableKey } of contributions) {
    if (repairsBefore === repairsDone.length) taken.add(observableKey);
  }
  return (candidate) => !taken.has(candidate.observableIn(0).key);
}

/** What acting on a wrong set of repairs costs, in minutes: the dearest of them, at the technician's own price if there is one. */
function priceOf(
  { constraints }: JobFile,
  { wrongVerdict }: FamilyParameters,
): (repairs: readonly string[]) => number {
  const second = constraints?.wrongVerdict?.second;
  const price = second === undefined ? wrongVerdict : { ...wrongVerdict, minutes: second / 60 };
  return (repairs) => Math.max(...repairs.map((each) => wrongVerdictMinutes(price, each)));
}

/** The likeliest set of repairs, and how likely it is. */
export function leadingSet({ tables, standing }: OpenDiagnosis): {
  readonly repairs: readonly string[];
  readonly probability: number;
} {
  const sums = new Float64Array(tables.repairSets.length);
  for (const h of standing.active) sums[tables.setOfHypothesis[h]!]! += standing.byHypothesis[h]!;
  const best = sums.indexOf(Math.max(...sums));
  return { repairs: tables.repairSets[best]!, probability: sums[best]! };
}

function limitsOf({ constraints }: JobFile): TechnicianLimits {
  return { liveWork: constraints?.liveWork ?? true, instruments: constraints?.instruments };
}

function afterRepair(
  { model }: CompiledFamily<ElectricalObservable>,
  { byHypothesis }: Belief,
  { repairsDone }: JobState,
): AfterRepair | undefined {
  if (repairsDone.length === 0) return undefined;
  const heldProbability = model.hypotheses.reduce(
    (sum, { faults }, h) => (faults.length === 0 ? sum + byHypothesis[h]! : sum),
    0,
  );
  return { repairs: repairsDone, heldProbability };
}
