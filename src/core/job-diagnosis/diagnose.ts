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
  expectBands,
  judgeConsistency,
  listSuspects,
  planNext,
  updateBelief,
  type Appraisal,
  type Belief,
  type CompiledFamily,
  type ExpectedBand,
  type Plan,
  type Suspect,
} from '../diagnosis';
import { foldEntries, walkEntries, type JobFile, type JobState } from '../job-file';
import { doubtToSettle, type DoubtToSettle, type Warning } from './doubts';
import { evidenceOf } from './evidence';
import { whatWouldChangeTheMind, type MindChanger } from './mind';
import { likelyMistake } from './mistakes';
import { goodOf } from './proof';
import { compiledFor } from './tables';

export const engineVersion = 'ohmmeter-0.2.0';

/** Checks that are asked what would change the mind. */
const mostThatChangeMinds = 12;

export interface NextCheck {
  readonly check: string;
  readonly why: string;
  /** Minutes with the access it still needs. */
  readonly minutes: number;
  readonly expected: readonly ExpectedBand[];
  /** True where it is asked for a second time, because the first result fits nothing. */
  readonly repeat: boolean;
  /** What is to be expected until a verdict, this check included; absent for a repeat. */
  readonly toVerdict?: { readonly minutes: number; readonly checks: number };
}

export interface Alternative {
  readonly check: string;
  readonly minutes: number;
  readonly toVerdictMinutes?: number;
}

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
  const takenKeys = new Set(
    belief.contributions
      .filter((each) => each.repairsBefore === state.repairsDone.length)
      .map((each) => each.observableKey),
  );
  const isOpen = (each: (typeof start.candidates)[number]) =>
    !takenKeys.has(each.observableIn(0).key);
  const prices = job.constraints?.wrongVerdict?.second;
  const price =
    prices === undefined
      ? parameters.wrongVerdict
      : { ...parameters.wrongVerdict, minutes: prices / 60 };
  const isUsual = job.constraints?.order === 'usual';
  const wantsUsual = isUsual || (!brief && depth === 'rollout');
  const plan = planNext(
    tables,
    standing,
    { ...start, candidates: start.candidates.filter(isOpen) },
    {
      wrongVerdictMinutes: (repairs) =>
        Math.max(...repairs.map((each) => wrongVerdictMinutes(price, each))),
      depth,
      thorough: !brief,
      usualOrder: wantsUsual ? family.usualOrder : undefined,
    },
  );
  const entryOf = (id: string) => walked.find(({ entry }) => entry.id === id);
  const doubt = doubtToSettle(
    family,
    judgeConsistency(tables, belief),
    (check) => {
      const candidate = start.candidates.find((each) => each.checkId === check);
      return (
        candidate && { observableKey: candidate.observableIn(0).key, isTaken: !isOpen(candidate) }
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
      alternatives: appraisals
        .filter((each) => each.candidate.checkId !== next?.candidate.checkId)
        .slice(0, 2)
        .map((each) => ({
          check: each.candidate.checkId,
          minutes: totalMinutes(each),
          toVerdictMinutes: each.outlook && rounded(each.outlook.minutes),
        })),
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
      afterRepair: afterRepair(tables, standing, state),
    },
  };
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

type HeaterAppraisal = Appraisal<ElectricalObservable>;

/** The check that a doubt asks for, if it can be done. */
function followed(
  doubt: DoubtToSettle | undefined,
  candidates: readonly HeaterAppraisal['candidate'][],
): (HeaterAppraisal & { readonly repeat: boolean }) | undefined {
  if (!doubt?.follow) return undefined;
  const { check, repeat } = doubt.follow;
  const candidate = candidates.find((each) => each.checkId === check);
  return candidate && { candidate, repeat, information: 0, costMinutes: costOf(candidate) };
}

const costOf = ({ minutes, accessMinutes, hazardMinutes }: HeaterAppraisal['candidate']) =>
  minutes + accessMinutes + hazardMinutes;

function usualFirst(
  { appraisals }: Plan<ElectricalObservable>,
  { checkId, outlook }: NonNullable<Plan['usual']>,
): HeaterAppraisal[] {
  const first = appraisals.find((each) => each.candidate.checkId === checkId);
  if (!first) return [...appraisals];
  return [{ ...first, outlook }, ...appraisals.filter((each) => each !== first)];
}

function nextCheck(
  tables: CompiledFamily<ElectricalObservable>,
  standing: Belief,
  next: HeaterAppraisal & { readonly repeat?: boolean },
  doubt: DoubtToSettle | undefined,
  brief: boolean,
): NextCheck {
  const { candidate, outlook, repeat } = next;
  const expected = brief ? [] : expectBands(tables, standing, candidate.observableIn(0));
  return {
    check: candidate.checkId,
    repeat: repeat ?? false,
    why: repeat !== undefined && doubt ? doubt.warning.text : whyThis(next, expected),
    minutes: totalMinutes(next),
    expected,
    toVerdict: outlook && {
      minutes: rounded(outlook.minutes),
      checks: Math.max(1, Math.round(outlook.checks)),
    },
  };
}

const totalMinutes = ({ candidate }: HeaterAppraisal) =>
  rounded(candidate.minutes + candidate.accessMinutes);

const rounded = (minutes: number) => Math.round(minutes * 10) / 10;

/** One sentence: how it splits the field, and what it costs. */
function whyThis(best: HeaterAppraisal, expected: readonly ExpectedBand[]): string {
  const over = expected
    .filter((each) => each.reads.kind === 'over-range')
    .reduce((sum, each) => sum + each.probability, 0);
  const split =
    over > 0.03 && over < 0.97
      ? `It splits the field ${Math.round(over * 100)} to ${Math.round((1 - over) * 100)}`
      : `It tells most for its ${best.costMinutes.toFixed(1)} minutes`;
  return best.candidate.accessMinutes === 0
    ? `${split}, and nothing more has to come off.`
    : `${split}.`;
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
