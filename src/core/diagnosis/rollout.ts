import type { AccessFact } from './model';
import type { PlanCheck, PlanProblem } from './plan-problem';

/**
 * Expected cost of going on from a belief: minutes, danger and the chance of a wrong verdict times its price.
 * A rollout assumes one way of choosing checks from each outcome on, and stops wherever stopping costs less.
 */
export interface Outlook {
  readonly cost: number;
  /** Minutes of work in it, without danger and loss. */
  readonly minutes: number;
  readonly checks: number;
}

export interface RolloutPrices {
  /** Cost of acting on a verdict where it is wrong, by verdict. */
  readonly wrongVerdict: Float64Array;
  readonly facts: readonly AccessFact[];
}

/** How the next check is chosen inside a rollout; undefined to stop. */
export type Policy = (node: RolloutNode) => number | undefined;

export interface RolloutNode {
  readonly active: Uint16Array;
  readonly activeCount: number;
  /** Weight of each active group; they sum to `mass`. */
  readonly weights: Float64Array;
  readonly mass: number;
  readonly access: number;
  readonly flags: number;
  readonly taken: Uint8Array;
  /** Checks that may still tell something here. */
  readonly open: Uint16Array;
  openCount: number;
  readonly depth: number;
}

/** How closely a rollout looks: branches with less expected loss than this, in minutes, are cut off. */
export const closeLook = 0.2;
export const quickLook = 0.8;
const mostDepth = 12;
/** A group that weighs less than this share of its node is dropped from it. */
const leastShare = 4e-4;

/** Room for the outcome bins of one check. */
const mostBins = 12;

export class Rollout {
  private readonly buffers: RolloutBuffers[] = [];
  /** Branches with less expected loss than this are cut off. */
  private leastLossMinutes = closeLook;
  private readonly binMass = new Float64Array(mostBins);
  private readonly binTotal = new Float64Array(mostBins);
  private readonly binSquares = new Float64Array(mostBins);
  private readonly accessCosts = new Map<number, Float64Array>();

  constructor(
    private readonly problem: PlanProblem,
    private readonly prices: RolloutPrices,
  ) {}

  root(access: number): RolloutNode {
    const { groupCount, mass, checks } = this.problem;
    return {
      active: Uint16Array.from({ length: groupCount }, (_, g) => g),
      activeCount: groupCount,
      weights: Float64Array.from(mass),
      mass: 1,
      access,
      flags: 0,
      taken: new Uint8Array(checks.length),
      open: Uint16Array.from(checks, (_, check) => check),
      openCount: checks.length,
      depth: 0,
    };
  }

  lookFrom(leastLossMinutes: number): void {
    this.leastLossMinutes = leastLossMinutes;
  }

  /** Loss of stopping here with the best verdict, times the mass of the node. */
  stopLoss({ active, activeCount, weights, mass }: RolloutNode): number {
    const { verdict } = this.problem;
    const { wrongVerdict } = this.prices;
    let least = activeCount === 0 ? 0 : Infinity;
    let own = 0;
    for (let k = 0; k < activeCount; k++) {
      const set = verdict[active[k]!]!;
      own += weights[k]!;
      if (k + 1 < activeCount && verdict[active[k + 1]!] === set) continue;
      least = Math.min(least, (mass - own) * wrongVerdict[set]!);
      own = 0;
    }
    return least;
  }

  /** Minutes of access from one set of facts to what a check needs. */
  accessMinutes(access: number, check: number): number {
    let costs = this.accessCosts.get(access);
    if (!costs) {
      costs = Float64Array.from(this.problem.checks, ({ sets, clears }) =>
        this.prices.facts.reduce((sum, { setMinutes, clearMinutes }, k) => {
          const bit = 1 << k;
          if (sets & ~access & bit) return sum + setMinutes;
          return clears & access & bit ? sum + clearMinutes : sum;
        }, 0),
      );
      this.accessCosts.set(access, costs);
    }
    return costs[check]!;
  }

  /**
   * Expected cost from the node on if this check is done next and the policy decides the rest. Undefined as soon as it is
   * sure to cost more than `most`.
   */
  after(node: RolloutNode, check: number, policy: Policy, most = Infinity): Outlook | undefined {
    const own = this.problem.checks[check]!;
    const access = node.depth === 0 ? own.accessMinutesNow : this.accessMinutes(node.access, check);
    let cost = (own.costMinutes + access) * node.mass;
    let minutes = (own.minutes + access) * node.mass;
    let checks = node.mass;
    const { shares, binCount } = this.problem.world(node.flags);
    const bins = binCount[check]!;
    node.taken[check] = 1;
    for (let bin = 0; bin < bins && cost < most; bin++) {
      const child = this.child(node, own, shares[check]!, bins, bin);
      if (!child) continue;
      const outlook = this.value(child, policy);
      cost += outlook.cost;
      minutes += outlook.minutes;
      checks += outlook.checks;
    }
    node.taken[check] = 0;
    return cost < most ? { cost, minutes, checks } : undefined;
  }

  /** Expected cost from the node on under the policy, stopping wherever that is cheaper. */
  value(node: RolloutNode, policy: Policy): Outlook {
    const loss = this.stopLoss(node);
    if (loss <= this.leastLossMinutes || node.depth >= mostDepth) return stopped(loss);
    const check = policy(node);
    if (check === undefined) return stopped(loss);
    const own = this.problem.checks[check]!;
    if ((own.costMinutes + this.accessMinutes(node.access, check)) * node.mass >= loss)
      return stopped(loss);
    return this.after(node, check, policy, loss) ?? stopped(loss);
  }

  /** The check that tells most about the verdict per minute. Checks that tell nothing here are not asked about further on. */
  readonly greedy: Policy = (node) => {
    let best: number | undefined;
    let most = 0;
    let kept = 0;
    const { checks } = this.problem;
    const before = this.doubtOf(node);
    for (let k = 0; k < node.openCount; k++) {
      const check = node.open[k]!;
      if (node.taken[check] === 1) continue;
      const gain = before - this.doubtAfter(node, check);
      if (gain < leastGain * before) continue;
      node.open[kept++] = check;
      const worth = gain / (checks[check]!.costMinutes + this.accessMinutes(node.access, check));
      if (worth > most) {
        most = worth;
        best = check;
      }
    }
    node.openCount = kept;
    return best;
  };

  /** The first check of a fixed order that still tells something. */
  inOrder(order: readonly number[], least: number): Policy {
    return (node) => {
      const before = this.entropyOf(node);
      return order.find(
        (check) => node.taken[check] === 0 && before - this.entropyAfter(node, check) >= least,
      );
    };
  }

  /** Entropy of the verdict in the node, in nats. */
  entropyOf({ active, activeCount, weights, mass }: RolloutNode): number {
    const { verdict } = this.problem;
    let sum = 0;
    let own = 0;
    for (let k = 0; k < activeCount; k++) {
      own += weights[k]!;
      if (k + 1 < activeCount && verdict[active[k + 1]!] === verdict[active[k]!]) continue;
      sum += minusXLogX(own / mass);
      own = 0;
    }
    return sum;
  }

  /** Expected entropy of the verdict after the check, in nats. */
  entropyAfter(node: RolloutNode, check: number): number {
    const { binMass } = this;
    let after = 0;
    const bins = this.overVerdicts(node, check, (bin) => {
      after += minusXLogX(binMass[bin]! / node.mass);
    });
    for (let bin = 0; bin < bins; bin++) after -= minusXLogX(this.binTotal[bin]! / node.mass);
    return after;
  }

  /** Goes through the bins of every verdict in the node, and leaves the sums in `binTotal`. Gives the number of bins. */
  private overVerdicts(
    { active, activeCount, weights, flags }: RolloutNode,
    check: number,
    visit: (bin: number) => void,
  ): number {
    const { verdict } = this.problem;
    const { binMass, binTotal } = this;
    const world = this.problem.world(flags);
    const bins = world.binCount[check]!;
    const shares = world.shares[check]!;
    binTotal.fill(0);
    binMass.fill(0);
    for (let k = 0; k < activeCount; k++) {
      const group = active[k]!;
      for (let bin = 0; bin < bins; bin++)
        binMass[bin]! += weights[k]! * shares[group * bins + bin]!;
      if (k + 1 < activeCount && verdict[active[k + 1]!] === verdict[group]) continue;
      for (let bin = 0; bin < bins; bin++) {
        visit(bin);
        binTotal[bin]! += binMass[bin]!;
        binMass[bin] = 0;
      }
    }
    return bins;
  }

  /** Chance that two draws from the node would differ in their verdict, times its mass: entropy without logarithms. */
  private doubtOf({ active, activeCount, weights, mass }: RolloutNode): number {
    const { verdict } = this.problem;
    let squares = 0;
    let own = 0;
    for (let k = 0; k < activeCount; k++) {
      own += weights[k]!;
      if (k + 1 < activeCount && verdict[active[k + 1]!] === verdict[active[k]!]) continue;
      squares += own * own;
      own = 0;
    }
    return mass - squares / mass;
  }

  /** The same to be expected after the check. Called by the hundred thousand: written out, with nothing made. */
  private doubtAfter(
    { active, activeCount, weights, mass, flags }: RolloutNode,
    check: number,
  ): number {
    const { verdict } = this.problem;
    const { binMass, binTotal, binSquares } = this;
    const world = this.problem.world(flags);
    const bins = world.binCount[check]!;
    const shares = world.shares[check]!;
    for (let bin = 0; bin < bins; bin++) {
      binMass[bin] = 0;
      binTotal[bin] = 0;
      binSquares[bin] = 0;
    }
    let set = verdict[active[0]!]!;
    for (let k = 0; k < activeCount; k++) {
      const group = active[k]!;
      if (verdict[group] !== set) {
        set = verdict[group]!;
        for (let bin = 0; bin < bins; bin++) {
          const own = binMass[bin]!;
          binTotal[bin]! += own;
          binSquares[bin]! += own * own;
          binMass[bin] = 0;
        }
      }
      const weight = weights[k]!;
      const from = group * bins;
      for (let bin = 0; bin < bins; bin++) binMass[bin]! += weight * shares[from + bin]!;
    }
    let after = mass;
    for (let bin = 0; bin < bins; bin++) {
      const own = binMass[bin]!;
      const total = binTotal[bin]! + own;
      if (total > 0) after -= (binSquares[bin]! + own * own) / total;
    }
    return after;
  }

  private child(
    node: RolloutNode,
    { sets, clears, changes }: PlanCheck,
    shares: Float64Array,
    bins: number,
    bin: number,
  ): RolloutNode | undefined {
    const { active, weights, open } = this.buffersAt(node.depth + 1);
    let mass = 0;
    for (let k = 0; k < node.activeCount; k++) {
      const weight = node.weights[k]! * shares[node.active[k]! * bins + bin]!;
      weights[k] = weight;
      mass += weight;
    }
    if (mass < leastNodeMass) return undefined;
    let count = 0;
    let kept = 0;
    for (let k = 0; k < node.activeCount; k++) {
      const weight = weights[k]!;
      if (weight < leastShare * mass) continue;
      active[count] = node.active[k]!;
      weights[count++] = weight;
      kept += weight;
    }
    const scale = mass / kept;
    for (let k = 0; k < count; k++) weights[k]! *= scale;
    // What changes the unit may make any check worth asking about again.
    const openCount = changes === 0 ? node.openCount : this.problem.checks.length;
    if (changes === 0) for (let k = 0; k < openCount; k++) open[k] = node.open[k]!;
    else for (let k = 0; k < openCount; k++) open[k] = k;
    return {
      active,
      activeCount: count,
      weights,
      mass,
      access: (node.access | sets) & ~clears,
      flags: node.flags | changes,
      taken: node.taken,
      open,
      openCount,
      depth: node.depth + 1,
    };
  }

  private buffersAt(depth: number): RolloutBuffers {
    return (this.buffers[depth] ??= {
      active: new Uint16Array(this.problem.groupCount),
      weights: new Float64Array(this.problem.groupCount),
      open: new Uint16Array(this.problem.checks.length),
    });
  }
}

interface RolloutBuffers {
  readonly active: Uint16Array;
  readonly weights: Float64Array;
  readonly open: Uint16Array;
}

/** Outcomes rarer than this are left out of a rollout. */
const leastNodeMass = 5e-4;
/** A check that takes away less than this share of the doubt is not asked about further on. */
const leastGain = 0.05;

/** Below this a check says nothing worth walking to the unit for, in nats. */
export const leastInformation = 0.004;

const stopped = (loss: number): Outlook => ({ cost: loss, minutes: 0, checks: 0 });

const minusXLogX = (x: number) => (x > 0 ? -x * Math.log(x) : 0);
