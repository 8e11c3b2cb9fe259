import { setProbabilities, type Belief } from './belief';
import type { CompiledFamily } from './compile';
import type { Candidate, Observable, PlanStart } from './model';
import { planProblem } from './plan-problem';
import {
  closeLook,
  leastInformation,
  quickLook,
  Rollout,
  type Outlook,
  type Policy,
} from './rollout';

/** What a check is worth from the present belief. */
export interface Appraisal<O extends Observable = Observable> {
  readonly candidate: Candidate<O>;
  /** Expected information about the verdict, in nats. */
  readonly information: number;
  /** Minutes of access and work, with its dangers priced in. */
  readonly costMinutes: number;
  /** What is to be expected from here on if it is done next; only for the shortlist. */
  readonly outlook?: Outlook;
}

export interface Plan<O extends Observable = Observable> {
  /** Best first. */
  readonly appraisals: readonly Appraisal<O>[];
  /** Probability of the likeliest set of repairs. */
  readonly lead: number;
  /** Expected cost of acting on it now, in minutes. */
  readonly stopLossMinutes: number;
  /** True where another check costs more than it saves. */
  readonly enough: boolean;
  /** The same for the family's usual order, from here on; undefined where none of its checks is left. */
  readonly usual?: { readonly checkId: string; readonly outlook: Outlook };
}

export interface PlanChoices {
  /** What acting on a wrong verdict costs, in minutes, by set of repairs. */
  readonly wrongVerdictMinutes: (repairs: readonly string[]) => number;
  /** Rollouts; otherwise one step ahead only, which takes a fraction of the time. */
  readonly depth: 'rollout' | 'one-step';
  /** Follows every check of the shortlist to its end, to tell what the second best would have cost. */
  readonly thorough?: boolean;
  /** Checks in the family's usual order, where its expected minutes are wanted. */
  readonly usualOrder?: readonly string[];
}

/** Checks that are rolled out: the best by information per cost, and the best one step ahead. */
const shortlistByWorth = 4;
const shortlistByLookahead = 2;
/** Of the shortlist, the checks that are looked at closely. */
const looksClosely = 3;
/** Going on costs a little less than a rollout says: it plans once, and the technician's plan is made anew after every entry. */
const goingOnShare = 0.95;
/** Costs that differ by less are as good as equal. */
const hardlyShare = 0.02;
const hardlyMinutes = 0.2;
/** The share of the loss by a fault in no list that going on may yet save: it dwindles with readings that fit. */
const unlistedLoss = 0.2;
/** Below this it is no reason to go on. */
const leastUnlisted = 0.1;
/** And from here on nothing in the list is worth another check. */
const surelyUnlisted = 0.9;
/** With nothing left to learn, a verdict needs at least this. */
const leastLead = 0.8;
/** In a fixed order, a check that tells less than this is skipped, in nats. */
const leastInUsualOrder = 0.05;

/**
 * Ranks the candidates by the expected cost of doing them next, and says whether to stop.
 * Ties are broken by check id, so that worker, server and command line agree.
 */
export function planNext<O extends Observable>(
  family: CompiledFamily<O>,
  belief: Belief,
  start: PlanStart<O>,
  choices: PlanChoices,
): Plan<O> {
  const problem = planProblem(family, belief, start);
  const wrongVerdict = Float64Array.from(family.repairSets, choices.wrongVerdictMinutes);
  const rollout = new Rollout(problem, { wrongVerdict, facts: start.facts });
  const root = rollout.root(start.access);
  const stopLossMinutes = rollout.stopLoss(root);
  const lead = Math.max(...setProbabilities(family, belief));
  const doubtMinutes =
    belief.unlisted < leastUnlisted
      ? 0
      : unlistedLoss * belief.unlisted * Math.max(...wrongVerdict);
  const isUnlisted = belief.unlisted >= surelyUnlisted;
  const before = rollout.entropyOf(root);
  const appraised = start.candidates.map((candidate, check): Appraised<O> => ({
    check,
    candidate,
    information: Math.max(0, before - rollout.entropyAfter(root, check)),
    costMinutes:
      candidate.accessMinutes +
      candidate.minutes +
      candidate.hazardMinutes +
      rollout.dangerMinutes(root, check),
  }));
  const useful = appraised
    .filter((each) => each.information >= leastInformation)
    .sort(
      (one, other) =>
        other.information / other.costMinutes - one.information / one.costMinutes ||
        one.candidate.checkId.localeCompare(other.candidate.checkId),
    );
  const usual = choices.usualOrder && usualOutlook(rollout, root, appraised, choices.usualOrder);
  if (choices.depth === 'one-step' || useful.length === 0) {
    const best = useful[0];
    return {
      appraisals: useful.map(withoutIndex),
      lead,
      stopLossMinutes,
      enough:
        isUnlisted ||
        (best ? doubtMinutes + stopLossMinutes <= best.costMinutes : lead >= leastLead),
      usual,
    };
  }

  const stopHere: Policy = () => undefined;
  const costAhead = ({ check }: { check: number }) => rollout.after(root, check, stopHere)!.cost;
  const lookahead = useful
    .slice(shortlistByWorth)
    .map((each) => ({ each, cost: costAhead(each) }))
    .sort((one, other) => one.cost - other.cost)
    .slice(0, shortlistByLookahead)
    .map(({ each }) => each);
  root.openCount = useful.length;
  useful.forEach(({ check }, k) => (root.open[k] = check));
  const roll = (list: readonly Appraised<O>[], leastLossMinutes: number) => {
    rollout.lookFrom(leastLossMinutes);
    let least = Infinity;
    return list
      .flatMap((each) => {
        const outlook = rollout.after(
          root,
          each.check,
          rollout.greedy,
          choices.thorough ? Infinity : least,
        );
        if (!outlook) return [];
        least = Math.min(least, outlook.cost);
        return [{ ...each, outlook }];
      })
      .sort(
        (one, other) =>
          one.outlook.cost - other.outlook.cost ||
          one.candidate.checkId.localeCompare(other.candidate.checkId),
      );
  };
  const quick = roll([...useful.slice(0, shortlistByWorth), ...lookahead], quickLook);
  // What tells most a minute is always looked at closely.
  const close = quick.slice(0, looksClosely);
  const telling = quick.find((each) => each.check === useful[0]!.check);
  if (telling && !close.includes(telling)) close.push(telling);
  const rolled = firstOfEquals(roll(close, closeLook));
  const ids = new Set(rolled.map((each) => each.check));
  return {
    appraisals: [...rolled, ...useful.filter((each) => !ids.has(each.check))].map(withoutIndex),
    lead,
    stopLossMinutes,
    enough:
      isUnlisted ||
      doubtMinutes + stopLossMinutes <=
        goingOnShare * Math.min(...rolled.map((each) => each.outlook.cost)),
    usual,
  };
}

/** Of those whose cost hardly differs, the one that tells most a minute comes first: a rollout is no finer than that. */
function firstOfEquals<O extends Observable>(
  rolled: (Appraised<O> & { readonly outlook: Outlook })[],
): (Appraised<O> & { readonly outlook: Outlook })[] {
  const least = rolled[0]!.outlook.cost;
  const worth = ({ information, costMinutes }: Appraised<O>) => information / costMinutes;
  const first = rolled
    .filter((each) => each.outlook.cost <= least * (1 + hardlyShare) + hardlyMinutes)
    .reduce((best, each) => (worth(each) > worth(best) ? each : best));
  return [first, ...rolled.filter((each) => each !== first)];
}

function usualOutlook<O extends Observable>(
  rollout: Rollout,
  root: ReturnType<Rollout['root']>,
  appraised: readonly Appraised<O>[],
  order: readonly string[],
): Plan<O>['usual'] {
  const places = order.flatMap((id) => {
    const found = appraised.find((each) => each.candidate.checkId === id);
    return found ? [found.check] : [];
  });
  const policy = rollout.inOrder(places, leastInUsualOrder);
  const first = policy(root);
  if (first === undefined) return undefined;
  return {
    checkId: appraised[first]!.candidate.checkId,
    outlook: rollout.after(root, first, policy)!,
  };
}

interface Appraised<O extends Observable> extends Appraisal<O> {
  readonly check: number;
}

function withoutIndex<O extends Observable>({ check: _, ...rest }: Appraised<O>): Appraisal<O> {
  return rest;
}
