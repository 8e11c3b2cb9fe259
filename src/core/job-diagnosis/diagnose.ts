import {
  accessSteps,
  candidateChecks,
  catalogue,
  checkWords,
  familyId,
  heaterModel,
  isAllowed,
  isCheckId,
  plateOf,
  type CheckId,
  type HeaterObservable,
  type Plate,
  type TechnicianLimits,
} from '../appliances/electric-storage-two-element';
import {
  compileFamily,
  expectBands,
  judgeConsistency,
  listSuspects,
  planNext,
  updateBelief,
  type Appraisal,
  type Belief,
  type Candidate,
  type CompiledFamily,
  type Consistency,
  type ExpectedBand,
  type Suspect,
} from '../diagnosis';
import {
  foldEntries,
  walkEntries,
  type FamilyCatalogue,
  type JobFile,
  type JobState,
} from '../job-file';
import { evidenceOf } from './evidence';

export const engineVersion = 'ohmmeter-0.1.0';
/** Changes whenever a weight, a table or a price of the engine changes. */
export const parameterHash = 'two-element-2026-11-25';

/** What acting on a wrong verdict costs, in minutes of work. Common practice: the part, the trip, the trust. */
const prices = { wrongVerdictMinutes: 90 };

export interface NextCheck {
  readonly check: CheckId;
  readonly why: string;
  /** Minutes with the access it still needs. */
  readonly minutes: number;
  readonly expected: readonly ExpectedBand[];
  /** True where it is asked for a second time, because the first result fits nothing. */
  readonly repeat: boolean;
}

export interface Warning {
  readonly kind: 'fits-nothing' | 'contradiction' | 'still-fits-nothing';
  readonly entries: readonly string[];
  readonly text: string;
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
  readonly alternatives: readonly { readonly check: CheckId; readonly minutes: number }[];
  readonly warnings: readonly Warning[];
  readonly afterRepair?: AfterRepair;
}

/** The diagnosis with what it was computed from, for screens that look closer. */
export interface OpenDiagnosis {
  readonly answer: Diagnosis;
  readonly family: CompiledFamily<HeaterObservable>;
  readonly belief: Belief;
  readonly state: JobState;
  readonly plate: Plate;
}

export const catalogueOf = (family: string): FamilyCatalogue | undefined =>
  family === familyId ? catalogue : undefined;

/**
 * Diagnoses a job file of the two-element family.
 * @throws PlateError where the plate cannot be worked with.
 */
export function diagnoseJob(job: JobFile): OpenDiagnosis {
  const plate = plateOf(job);
  const family = compiledFor(plate);
  const walked = walkEntries(job.entries, catalogue);
  const state = foldEntries(job.entries, catalogue);
  const belief = updateBelief(family, evidenceOf(job, walked));
  const suspects = listSuspects(family, belief);
  const consistency = judgeConsistency(family, belief);
  const limits = limitsOf(job);
  const taken = new Set(belief.contributions.map((each) => each.observableKey));
  const candidates = candidateChecks(state, limits).filter(
    (each) => !taken.has(each.observable.key) || state.repairsDone.length > 0,
  );
  const plan = planNext(family, belief, candidates, prices);
  const doubt = doubtToSettle(consistency, state, limits, taken);
  const decided = !doubt?.follow && plan.enough && state.repairsDone.length === 0;
  const next = decided ? null : nextCheck(family, belief, state, plan.appraisals, doubt);
  return {
    family,
    belief,
    state,
    plate,
    answer: {
      suspects,
      decided,
      next,
      alternatives: plan.appraisals
        .filter((each) => each.candidate.checkId !== next?.check)
        .slice(0, 2)
        .map(({ candidate }) => ({
          check: candidate.checkId as CheckId,
          minutes: totalMinutes(candidate),
        })),
      warnings: doubt ? [doubt.warning] : [],
      afterRepair: afterRepair(family, belief, state),
    },
  };
}

const compiled = new Map<string, CompiledFamily<HeaterObservable>>();
/** Plates whose tables are kept. A technician meets few; a server many, and forgets the oldest. */
const mostCompiled = 24;

/** The family's tables for a plate, made once. */
export function compiledFor(plate: Plate): CompiledFamily<HeaterObservable> {
  const key = JSON.stringify(plate);
  let found = compiled.get(key);
  if (!found) {
    found = compileFamily(heaterModel(plate));
    compiled.set(key, found);
    const oldest = compiled.keys().next().value;
    if (compiled.size > mostCompiled && oldest !== undefined) compiled.delete(oldest);
  }
  return found;
}

function limitsOf({ constraints }: JobFile): TechnicianLimits {
  return { liveWork: constraints?.liveWork ?? true, instruments: constraints?.instruments };
}

interface DoubtToSettle {
  readonly warning: Warning;
  /** The check that would settle it, if there is one that has not been refused. */
  readonly follow?: { readonly check: CheckId; readonly repeat: boolean };
}

/** A reading that fits nothing is taken again; if it repeats, the one that would explain it is taken. */
function doubtToSettle(
  { doubts }: Consistency,
  state: JobState,
  limits: TechnicianLimits,
  taken: ReadonlySet<string>,
): DoubtToSettle | undefined {
  const worst = doubts.find((each) => !each.checkId.startsWith('call:'));
  if (!worst || !isCheckId(worst.checkId)) return undefined;
  const allTrue = doubts
    .filter((each) => !each.contradicted)
    .reduce((product, each) => product * (1 - each.probabilityWrong), 1);
  const { label, explainedBy = [] } = checkWords[worst.checkId];
  const canRepeat = !state.refused.has(worst.checkId) && isAllowed(worst.checkId, limits);
  if (worst.contradicted) {
    const rivals = doubts.filter((each) => each.checkId === worst.checkId);
    const settled = rivals.some((each) => each.taken > 1) || worst.probabilityWrong > 0.9;
    if (settled) return undefined;
    return {
      warning: {
        kind: 'contradiction',
        entries: rivals.flatMap((each) => each.entryIds),
        text: `${label}: two results that cannot both be true. Take it once more.`,
      },
      follow: canRepeat ? { check: worst.checkId, repeat: true } : undefined,
    };
  }
  if (worst.probabilityWrong <= 0.5 && allTrue >= 0.5) return undefined;
  if (worst.taken === 1) {
    return {
      warning: {
        kind: 'fits-nothing',
        entries: worst.entryIds,
        text: `${label}: this fits no single fault together with the other readings. Take it again.`,
      },
      follow: canRepeat ? { check: worst.checkId, repeat: true } : undefined,
    };
  }
  const explaining = explainedBy.find(
    (each) =>
      !state.refused.has(each) &&
      isAllowed(each, limits) &&
      !candidateChecks(state, limits).some(
        ({ checkId, observable }) => checkId === each && taken.has(observable.key),
      ),
  );
  return {
    warning: {
      kind: 'still-fits-nothing',
      entries: worst.entryIds,
      text: explaining
        ? `${label}: the same again, and it still fits nothing else. Next the reading that would explain it.`
        : `${label}: the same again, and it still fits nothing else. Look for a joint that gets hot, or two faults.`,
    },
    follow: explaining ? { check: explaining, repeat: false } : undefined,
  };
}

function nextCheck(
  family: CompiledFamily<HeaterObservable>,
  belief: Belief,
  state: JobState,
  appraisals: readonly Appraisal<HeaterObservable>[],
  doubt: DoubtToSettle | undefined,
): NextCheck | null {
  const limits = { liveWork: true };
  if (doubt?.follow) {
    const { check, repeat } = doubt.follow;
    const candidate = candidateChecks(state, limits).find((each) => each.checkId === check);
    if (candidate) {
      return {
        check,
        repeat,
        why: doubt.warning.text,
        minutes: totalMinutes(candidate),
        expected: expectBands(family, belief, candidate.observable),
      };
    }
  }
  const best = appraisals[0];
  if (!best) return null;
  const check = best.candidate.checkId as CheckId;
  const expected = expectBands(family, belief, best.candidate.observable);
  return {
    check,
    repeat: false,
    why: whyThis(best, expected, accessSteps(check, state).length),
    minutes: totalMinutes(best.candidate),
    expected,
  };
}

const totalMinutes = ({ minutes, accessMinutes }: Candidate) =>
  Math.round((minutes + accessMinutes) * 10) / 10;

/** One sentence: how it splits the field, and what it costs. */
function whyThis(
  best: Appraisal<HeaterObservable>,
  expected: readonly ExpectedBand[],
  stepsNeeded: number,
): string {
  const over = expected
    .filter((each) => each.reads.kind === 'over-range')
    .reduce((sum, each) => sum + each.probability, 0);
  const split =
    over > 0.03 && over < 0.97
      ? `It splits the field ${Math.round(over * 100)} to ${Math.round((1 - over) * 100)}`
      : `It tells most for its ${best.costMinutes.toFixed(1)} minutes`;
  return stepsNeeded === 0 ? `${split}, and nothing more has to come off.` : `${split}.`;
}

function afterRepair(
  family: CompiledFamily<HeaterObservable>,
  belief: Belief,
  { repairsDone }: JobState,
): AfterRepair | undefined {
  const rowsAfter = family.rowsAfter(repairsDone);
  if (!rowsAfter) return undefined;
  const start = family.model.healthyIndex * family.pointCount;
  let heldProbability = 0;
  for (let row = 0; row < family.rowCount; row++) {
    const after = rowsAfter[row]!;
    if (after >= start && after < start + family.pointCount) {
      heldProbability += belief.probabilities[row]!;
    }
  }
  return { repairs: repairsDone, heldProbability };
}
