import {
  familyOfJob,
  wrongVerdictMinutes,
  type FamilyParameters,
  type Stop,
  type TechnicianLimits,
} from '../appliances';
import {
  coursesOf,
  expectedDanger,
  judgeConsistency,
  listSuspects,
  mostDangerMinutes,
  planNext,
  standingAfter,
  type Belief,
  type Candidate,
  type CompiledFamily,
  type Plan,
  type PlanStart,
  type Suspect,
} from '../diagnosis';
import {
  gasWorkAllowed,
  liveWorkAllowed,
  readLogbook,
  stateFor,
  type JobFile,
  type JobState,
} from '../job-file';
import { doubtToSettle, type DoubtToSettle, type Warning } from './doubts';
import { codeAsResult, evidenceOf, plannedKeys } from './evidence';
import { goodOf } from './judged';
import { leadingFault } from './leading';
import { whatWouldChangeTheMind, type MindChanger } from './mind';
import { beforeIt, isWayOpen } from './before-it';
import {
  alternativesTo,
  followed,
  nextCheck,
  rounded,
  usualFirst,
  type Alternative,
  type NextCheck,
} from './next-check';
import type { OpenDiagnosis } from './open-diagnosis';
import { compiledFor } from './tables';
import { stopNow } from './stop';
import { leftOutBy } from '../schools';
import { mostDirectMinutes, readsPartsFirst, unreadPart, type UnreadPart } from './unread-part';

export const engineVersion = 'ohmmeter-0.3.2';

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
  /** What ends it, above everything else: smelled gas, carbon monoxide. Nothing is proposed but making safe. */
  readonly stop?: Stop;
  /** Once decided: the part to be fitted, where nothing has been read on itself yet. */
  readonly unread?: UnreadPart;
  readonly afterRepair?: AfterRepair;
}

export interface DiagnosisOptions {
  readonly parameters?: FamilyParameters;
  /** Tables to ask instead of those that are kept for its plate. */
  readonly tables?: CompiledFamily;
  /** One step ahead only: takes a fraction of the time, and is what answers until tables are filled. */
  readonly depth?: 'rollout' | 'one-step';
  /** The time now: a proof of dead that nobody has stayed with does not hold any more. */
  readonly now?: string;
  /** Who is at the unit: what another person proved, or made so by hand, does not hold for them. */
  readonly by?: string;
  /** Leaves out what no loop over many jobs needs: weights of entries, expected bands, the usual order. */
  readonly brief?: boolean;
  /** Judges no more than so many of the last results. */
  readonly judgeMost?: number;
}

/** The diagnosis with what it was computed from, for screens that look closer. */
export interface AnsweredDiagnosis extends OpenDiagnosis {
  readonly answer: Diagnosis;
}

/**
 * Diagnoses a job file.
 * @throws PlateError where the plate cannot be worked with.
 */
export function diagnoseJob(job: JobFile, options: DiagnosisOptions = {}): AnsweredDiagnosis {
  const open = openDiagnosis(job, options);
  return { ...open, answer: answerOf(open, job, options) };
}

/** The logbook gone through, without the engine: each entry that counts, a code as the result that it stands for. */
export function walkedOf(
  { unit, entries }: Pick<JobFile, 'unit' | 'entries'>,
  { now, by }: Pick<DiagnosisOptions, 'now' | 'by'> = {},
): Pick<OpenDiagnosis, 'walked' | 'state'> {
  const family = familyOfJob({ unit });
  const { walked, state } = readLogbook(entries, family.catalogue, now);
  return {
    walked: walked.map((each) => codeAsResult(family, each)),
    state: stateFor(state, family.catalogue, by),
  };
}

/** The belief that a job's entries lead to, without a plan. */
export function openDiagnosis(
  job: JobFile,
  {
    parameters: given,
    tables: asked,
    now,
    by,
  }: Pick<DiagnosisOptions, 'parameters' | 'tables' | 'now' | 'by'> = {},
): OpenDiagnosis {
  const family = familyOfJob(job);
  const parameters = given ?? family.parameters;
  const plate = family.plateOf(job);
  const tables = asked ?? compiledFor(family, plate, parameters);
  const { walked, state } = walkedOf(job, { now, by });
  const evidence = evidenceOf(family, job, walked, parameters);
  const courses = coursesOf(tables, evidence, state.repairsDone);
  const { belief } = courses[0]!;
  const standing = standingAfter(tables, courses);
  return { family, parameters, tables, courses, belief, standing, state, walked, plate };
}

function answerOf(
  open: OpenDiagnosis,
  job: JobFile,
  { depth = 'rollout', brief = false }: DiagnosisOptions,
): Diagnosis {
  const { family, parameters, tables, courses, belief, standing, state, walked } = open;
  const stop = stopNow(family, job, walked);
  const leftOut = leftOutBy(job.constraints?.schools);
  const whole = family.planStart(state, limitsOf(job), parameters, open.plate);
  const start = {
    ...whole,
    candidates: stop
      ? []
      : whole.candidates.filter(
          ({ checkId }) =>
            !leftOut.has(checkId) &&
            !family.isBarred(checkId, job.complaint) &&
            isWayOpen(family, checkId, state),
        ),
  };
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
  const doubt = doubtOf(open, start, planned, isOpen);
  const following = followed(doubt, start.candidates);
  const isEnough = !stop && !following && plan.enough;
  const unread = isEnough ? unreadOf(open, candidates, plan) : undefined;
  const direct =
    unread && readsPartsFirst(job) && unread.minutes <= mostDirectMinutes
      ? candidates.find((each) => each.checkId === unread.check)
      : undefined;
  const decided = isEnough && !direct;
  const appraisals = isUsual && plan.usual ? usualFirst(plan, plan.usual) : plan.appraisals;
  const wanted = direct ? asWanted(direct, plan) : (following ?? appraisals[0]);
  const next = decided || stop ? undefined : wanted;
  const suspects = brief ? [] : listSuspects(tables, standing, courses);
  return {
    suspects,
    decided,
    stop,
    next: next
      ? beforeIt(
          open,
          nextCheck(
            tables,
            standing,
            next,
            { doubt, confirms: direct && leadingFault(open).repair },
            brief,
          ),
        )
      : null,
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
    unread: decided ? unread : undefined,
    afterRepair: afterRepair(tables, standing, state),
  };
}

/** What does not fit, and the check that would settle it. */
function doubtOf(
  open: OpenDiagnosis,
  start: PlanStart,
  planned: ReadonlyMap<string, string>,
  isOpen: (candidate: Candidate) => boolean,
): DoubtToSettle | undefined {
  const { family, tables, courses, standing, state, walked } = open;
  return doubtToSettle(
    family,
    judgeConsistency(tables, courses),
    state.repairsDone.length,
    (check, { entryIds, observableKey }) => {
      // What is dangerous by now settles no doubt: something else is asked for.
      const candidate = start.candidates.find(
        (each) =>
          each.checkId === check && expectedDanger(tables, standing, each) <= mostDangerMinutes,
      );
      const key = candidate?.observableIn(0).key;
      return (
        candidate && {
          isTaken: !isOpen(candidate),
          isSame: key === observableKey || key === planned.get(entryIds[0]!),
        }
      );
    },
    (id) => {
      const found = walked.find(({ entry }) => entry.id === id);
      return (
        found &&
        family.likelyMistake(found.entry, goodOf(open, found.entry, found.before), found.before)
      );
    },
  );
}

/** The part that the verdict would have fitted, if nothing has read it on itself since the last repair. */
function unreadOf(
  open: OpenDiagnosis,
  candidates: readonly Candidate[],
  plan: Plan,
): UnreadPart | undefined {
  const { family, state, walked } = open;
  const { repair, fault } = leadingFault(open);
  const since = walked.filter(
    ({ before }) => before.repairsDone.length === state.repairsDone.length,
  );
  return unreadPart(family, repair, fault, since, candidates, plan.appraisals);
}

const asWanted = (candidate: Candidate, { appraisals }: Plan) =>
  appraisals.find((each) => each.candidate.checkId === candidate.checkId) ?? {
    candidate,
    information: 0,
    costMinutes: candidate.minutes + candidate.accessMinutes,
  };

/** A check is open until what it looks at has been looked at since the last repair. */
function openChecks(
  planned: ReadonlyMap<string, string>,
  { contributions }: Belief,
  { repairsDone }: JobState,
): (candidate: Candidate) => boolean {
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

function limitsOf(job: JobFile): TechnicianLimits {
  return {
    liveWork: liveWorkAllowed(job),
    gasWork: gasWorkAllowed(job),
    instruments: job.constraints?.instruments,
  };
}

function afterRepair(
  { model }: CompiledFamily,
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
