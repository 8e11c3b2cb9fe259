import {
  compileFamily,
  planNext,
  updateBelief,
  wayTo,
  type Evidence,
  type FamilyModel,
  type PlanStart,
} from '../diagnosis';
import type { ApplianceFamily } from '../appliances';
import { emptyState } from '../job-file/state';
import type { Benched } from './units';

/**
 * A family reduced to what exact dynamic programming can go through: a few faults, a few checks that tell without
 * error, and access. It judges the planner and nothing else.
 */
export interface ReducedModel {
  readonly faults: readonly string[];
  /** They sum to 1. */
  readonly weights: readonly number[];
  readonly verdicts: readonly string[];
  readonly checks: readonly ReducedCheck[];
  readonly facts: PlanStart['facts'];
  readonly wrongVerdictMinutes: number;
}

export interface ReducedCheck {
  readonly checkId: string;
  readonly minutes: number;
  readonly sets: number;
  readonly clears: number;
  /** Which outcome each fault gives. */
  readonly outcomes: readonly number[];
}

export function reduce(
  { family, parameters, unit, site }: Benched,
  faults: readonly string[],
  checks: readonly string[],
): ReducedModel {
  const model = family.model(family.plateOf({ unit, site }), parameters);
  const rows = faults.map((fault) =>
    model.hypotheses.findIndex(
      (each) => each.faults.join() === (fault === 'no-fault' ? '' : fault),
    ),
  );
  const total = faults.reduce((sum, each) => sum + parameters.faultWeights[each]!, 0);
  const start = family.planStart(emptyState, { liveWork: true }, parameters);
  return {
    faults,
    weights: faults.map((each) => parameters.faultWeights[each]! / total),
    verdicts: faults.map((each) => family.names.faults[each]!),
    checks: checks.map((checkId) => {
      const candidate = start.candidates.find((each) => each.checkId === checkId)!;
      const predict = model.predictor(candidate.observableIn(0));
      return {
        checkId,
        minutes: candidate.minutes + candidate.hazardMinutes,
        sets: candidate.need.sets,
        clears: candidate.need.clears,
        outcomes: outcomesOf(rows.map(predict)),
      };
    }),
    facts: start.facts,
    wrongVerdictMinutes: parameters.wrongVerdict.minutes,
  };
}

/** Predictions that lie apart by more than a quarter are different outcomes; the likeliest answer stands for a look. */
function outcomesOf(
  predictions: readonly ReturnType<ReturnType<ReturnType<ApplianceFamily['model']>['predictor']>>[],
): number[] {
  const keys = predictions.map((each) =>
    each.kind === 'quantity'
      ? String(Math.round(Math.asinh(each.value) * 2))
      : Object.entries(each.probabilities).sort((one, other) => other[1] - one[1])[0]![0],
  );
  const distinct = [...new Set(keys)];
  return keys.map((key) => distinct.indexOf(key));
}

/** Expected cost of the best policy there is, in minutes: exact, by dynamic programming over what may still be so. */
export function bestPossible(model: ReducedModel): number {
  const known = new Map<number, number>();
  const cost = (left: number, access: number): number => {
    const key = left * 2 ** 24 + access;
    const found = known.get(key);
    if (found !== undefined) return found;
    let best = stopCost(model, left);
    for (const check of model.checks) {
      const parts = split(model, left, check);
      if (parts.length < 2) continue;
      const way = wayTo(model.facts, access, check);
      let own = massOf(model, left) * (check.minutes + way.minutes);
      for (const part of parts) {
        if (own >= best) break;
        own += cost(part, way.access);
      }
      best = Math.min(best, own);
    }
    known.set(key, best);
    return best;
  };
  return cost((1 << model.faults.length) - 1, 0);
}

/** Expected cost of what the planner does on the same model, followed through every outcome. */
export function plannersCost(model: ReducedModel): number {
  const family = compileFamily(asFamily(model));
  const cost = (left: number, access: number, evidence: readonly Evidence[]): number => {
    const belief = updateBelief(family, evidence);
    const taken = new Set(evidence.map((each) => each.checkId));
    const plan = planNext(
      family,
      belief,
      {
        access,
        facts: model.facts,
        candidates: model.checks
          .filter((each) => !taken.has(each.checkId))
          .map((each) => ({
            checkId: each.checkId,
            minutes: each.minutes,
            hazardMinutes: 0,
            accessMinutes: wayTo(model.facts, access, each).minutes,
            errorRate: 0,
            need: { sets: each.sets, clears: each.clears },
            changes: 0,
            observableIn: () => ({ key: each.checkId }),
          })),
      },
      { wrongVerdictMinutes: () => model.wrongVerdictMinutes, depth: 'rollout' },
    );
    const next = plan.appraisals[0];
    if (plan.enough || !next) return stopCost(model, left);
    const check = model.checks.find((each) => each.checkId === next.candidate.checkId)!;
    const way = wayTo(model.facts, access, check);
    let sum = massOf(model, left) * (check.minutes + way.minutes);
    for (const part of split(model, left, check)) {
      const outcome = String(check.outcomes[Math.log2(part & -part)]);
      sum += cost(part, way.access, [
        ...evidence,
        {
          entryId: String(evidence.length),
          checkId: check.checkId,
          observable: { key: check.checkId },
          result: { kind: 'outcome', outcome },
          repairsBefore: [],
          errorRate: 0,
        },
      ]);
    }
    return sum;
  };
  return cost((1 << model.faults.length) - 1, 0, []);
}

function asFamily(model: ReducedModel): FamilyModel {
  return {
    hypotheses: model.faults.map((fault, k) => ({
      id: fault,
      faults: [fault],
      repairs: [model.verdicts[k]!],
      weight: model.weights[k]!,
      grid: 'fine',
    })),
    unknowns: [],
    repairOf: Object.fromEntries(model.faults.map((each, k) => [each, model.verdicts[k]!])),
    healthyIndex: 0,
    predictor({ key }) {
      const { outcomes } = model.checks.find((each) => each.checkId === key)!;
      const values = [...new Set(outcomes)];
      return (index) => ({
        kind: 'outcomes',
        probabilities: Object.fromEntries(
          values.map((each) => [String(each), each === outcomes[index] ? 1 : 0]),
        ),
      });
    },
    afterRepairs: (index) => [index],
  };
}

const massOf = ({ weights }: ReducedModel, left: number): number =>
  weights.reduce((sum, each, k) => (left & (1 << k) ? sum + each : sum), 0);

function stopCost({ weights, verdicts, wrongVerdictMinutes }: ReducedModel, left: number): number {
  const byVerdict = new Map<string, number>();
  let total = 0;
  weights.forEach((each, k) => {
    if ((left & (1 << k)) === 0) return;
    total += each;
    byVerdict.set(verdicts[k]!, (byVerdict.get(verdicts[k]!) ?? 0) + each);
  });
  return (total - Math.max(0, ...byVerdict.values())) * wrongVerdictMinutes;
}

function split({ faults }: ReducedModel, left: number, { outcomes }: ReducedCheck): number[] {
  const parts = new Map<number, number>();
  for (let k = 0; k < faults.length; k++) {
    if (left & (1 << k)) parts.set(outcomes[k]!, (parts.get(outcomes[k]!) ?? 0) | (1 << k));
  }
  return [...parts.values()];
}
