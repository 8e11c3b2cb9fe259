import { wayTo } from './access';
import { mostDangerMinutes } from './danger';
import type { AccessFact } from './model';
import type { PlanProblem, PlanWorld } from './plan-problem';

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
  /** Groups that are still possible, those with the same verdict next to each other. */
  readonly active: Uint16Array;
  readonly activeCount: number;
  /** Weight of each active group; they sum to `mass`. */
  readonly weights: Float64Array;
  readonly mass: number;
  /** For each verdict that is still possible: where its groups end in `active`, and their weight. */
  readonly runEnd: Uint16Array;
  readonly runMass: Float64Array;
  readonly runCount: number;
  readonly access: number;
  readonly flags: number;
  /** What the checks show in the world of these flags. */
  readonly world: PlanWorld;
  readonly taken: Uint8Array;
  /** Checks that may still tell something here. */
  readonly open: Uint16Array;
  openCount: number;
  /** What each danger costs here, in minutes times the mass. */
  readonly danger: Float64Array;
  readonly depth: number;
}

/** How closely a rollout looks: branches with less expected loss than this, in minutes, are cut off. */
export const closeLook = 0.2;
export const quickLook = 0.8;
const mostDepth = 12;
/** A group that weighs less than this share of its node is dropped from it. */
const leastShare = 4e-4;

export class Rollout {
  private readonly buffers: RolloutBuffers[] = [];
  /** Branches with less expected loss than this are cut off. */
  private leastLossMinutes = closeLook;
  /** Room for the outcome bins of one check; it grows with the check that has most. */
  private binMass = new Float64Array(8);
  private binTotal = new Float64Array(8);
  private binSquares = new Float64Array(8);
  private readonly ways = new Map<number, AccessWays>();

  constructor(
    private readonly problem: PlanProblem,
    private readonly prices: RolloutPrices,
  ) {}

  root(access: number): RolloutNode {
    const { groupCount, mass, checks } = this.problem;
    const buffers = this.buffersAt(0);
    for (let g = 0; g < groupCount; g++) buffers.active[g] = g;
    buffers.weights.set(mass);
    for (let check = 0; check < checks.length; check++) buffers.open[check] = check;
    return {
      active: buffers.active,
      activeCount: groupCount,
      weights: buffers.weights,
      mass: 1,
      runEnd: buffers.runEnd,
      runMass: buffers.runMass,
      runCount: this.findRuns(buffers, groupCount),
      access,
      flags: 0,
      world: this.problem.world(0),
      taken: new Uint8Array(checks.length),
      open: buffers.open,
      openCount: checks.length,
      danger: this.dangersOf(buffers, groupCount),
      depth: 0,
    };
  }

  /** What each danger costs in a node, times its mass. */
  private dangersOf({ active, weights, danger }: RolloutBuffers, activeCount: number) {
    this.problem.dangers.forEach((minutes, d) => {
      let sum = 0;
      for (let k = 0; k < activeCount; k++) sum += weights[k]! * minutes[active[k]!]!;
      danger[d] = sum;
    });
    return danger;
  }

  /** Minutes that the dangers of a check cost in a node. */
  dangerMinutes({ danger, mass }: RolloutNode, check: number): number {
    const { dangers } = this.problem.checks[check]!;
    let sum = 0;
    for (const each of dangers) sum += danger[each]!;
    return sum / mass;
  }

  private findRuns(
    { active, weights, runEnd, runMass }: RolloutBuffers,
    activeCount: number,
  ): number {
    const { verdict } = this.problem;
    let runs = 0;
    let own = 0;
    for (let k = 0; k < activeCount; k++) {
      own += weights[k]!;
      if (k + 1 < activeCount && verdict[active[k + 1]!] === verdict[active[k]!]) continue;
      runEnd[runs] = k + 1;
      runMass[runs++] = own;
      own = 0;
    }
    return runs;
  }

  lookFrom(leastLossMinutes: number): void {
    this.leastLossMinutes = leastLossMinutes;
  }

  /** Loss of stopping here with the best verdict, times the mass of the node. */
  stopLoss({ active, mass, runEnd, runMass, runCount }: RolloutNode): number {
    const { verdict } = this.problem;
    const { wrongVerdict } = this.prices;
    let least = runCount === 0 ? 0 : Infinity;
    for (let run = 0; run < runCount; run++) {
      const set = verdict[active[runEnd[run]! - 1]!]!;
      least = Math.min(least, (mass - runMass[run]!) * wrongVerdict[set]!);
    }
    return least;
  }

  /** Minutes of access from one set of facts to what a check needs. */
  accessMinutes(access: number, check: number): number {
    return this.waysFrom(access).minutes[check]!;
  }

  private waysFrom(access: number): AccessWays {
    let found = this.ways.get(access);
    if (!found) {
      const { checks } = this.problem;
      const ways = checks.map((each) => wayTo(this.prices.facts, access, each));
      found = {
        minutes: Float64Array.from(ways, (each) => each.minutes),
        access: Int32Array.from(ways, (each) => each.access),
      };
      this.ways.set(access, found);
    }
    return found;
  }

  /**
   * Expected cost from the node on if this check is done next and the policy decides the rest. Undefined as soon as it is
   * sure to cost more than `most`.
   */
  after(node: RolloutNode, check: number, policy: Policy, most = Infinity): Outlook | undefined {
    const own = this.problem.checks[check]!;
    const access = node.depth === 0 ? own.accessMinutesNow : this.accessMinutes(node.access, check);
    let cost = (own.costMinutes + access + this.dangerMinutes(node, check)) * node.mass;
    let minutes = (own.minutes + access) * node.mass;
    let checks = node.mass;
    const { bins, shares } = node.world(check);
    node.taken[check] = 1;
    for (let bin = 0; bin < bins && cost < most; bin++) {
      const child = this.child(node, check, shares, bins, bin);
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
    const least =
      own.costMinutes + this.accessMinutes(node.access, check) + this.dangerMinutes(node, check);
    if (least * node.mass >= loss) return stopped(loss);
    return this.after(node, check, policy, loss) ?? stopped(loss);
  }

  /** The check that tells most about the verdict per minute. Checks that tell nothing here are not asked about further on. */
  readonly greedy: Policy = (node) => {
    let best: number | undefined;
    let most = 0;
    let kept = 0;
    const { checks } = this.problem;
    const access = this.waysFrom(node.access).minutes;
    const before = this.doubtOf(node);
    for (let k = 0; k < node.openCount; k++) {
      const check = node.open[k]!;
      if (node.taken[check] === 1) continue;
      const cost = checks[check]!.costMinutes + access[check]! + this.dangerMinutes(node, check);
      // Could not be the best if it took all doubt away: what it would take is not worked out.
      if (before <= most * cost) {
        node.open[kept++] = check;
        continue;
      }
      const gain = before - this.doubtAfter(node, check);
      if (gain < leastGain * before) continue;
      node.open[kept++] = check;
      const worth = gain / cost;
      if (worth > most) {
        most = worth;
        best = check;
      }
    }
    node.openCount = kept;
    return best;
  };

  /** The first check of a fixed order that still tells something; a dangerous one waits until the others tell nothing. */
  inOrder(order: readonly number[], least: number): Policy {
    return (node) => {
      const before = this.entropyOf(node);
      const tells = (check: number) =>
        node.taken[check] === 0 && before - this.entropyAfter(node, check) >= least;
      return (
        order.find(
          (check) => this.dangerMinutes(node, check) <= mostDangerMinutes && tells(check),
        ) ?? order.find(tells)
      );
    };
  }

  /** Entropy of the verdict in the node, in nats. */
  entropyOf({ mass, runMass, runCount }: RolloutNode): number {
    let sum = 0;
    for (let run = 0; run < runCount; run++) sum += minusXLogX(runMass[run]! / mass);
    return sum;
  }

  /** Expected entropy of the verdict after the check, in nats. */
  entropyAfter(node: RolloutNode, check: number): number {
    this.makeRoom(node.world(check).bins);
    const { binMass, binTotal } = this;
    let after = 0;
    binTotal.fill(0);
    for (let run = 0; run < node.runCount; run++) {
      const bins = this.binsOfRun(node, check, run);
      for (let bin = 0; bin < bins; bin++) {
        after += minusXLogX(binMass[bin]! / node.mass);
        binTotal[bin]! += binMass[bin]!;
      }
    }
    for (const total of binTotal) after -= minusXLogX(total / node.mass);
    return after;
  }

  /** Leaves the weight of every outcome bin of a check under one verdict in `binMass`. Gives the number of bins. */
  private binsOfRun(
    { active, weights, world, runEnd, runMass }: RolloutNode,
    check: number,
    run: number,
  ): number {
    const { bins, shares } = world(check);
    this.makeRoom(bins);
    const { binMass } = this;
    binMass.fill(0);
    let rest = runMass[run]!;
    for (let k = run === 0 ? 0 : runEnd[run - 1]!; k < runEnd[run]!; k++) {
      const from = active[k]! * bins;
      const weight = weights[k]!;
      for (let bin = 0; bin < bins - 1; bin++) binMass[bin]! += weight * shares[from + bin]!;
    }
    for (let bin = 0; bin < bins - 1; bin++) rest -= binMass[bin]!;
    binMass[bins - 1] = Math.max(0, rest);
    return bins;
  }

  private makeRoom(bins: number): void {
    if (bins <= this.binMass.length) return;
    this.binMass = new Float64Array(bins);
    this.binTotal = new Float64Array(bins);
    this.binSquares = new Float64Array(bins);
  }

  /** Chance that two draws from the node would differ in their verdict, times its mass: entropy without logarithms. */
  private doubtOf({ mass, runMass, runCount }: RolloutNode): number {
    let squares = 0;
    for (let run = 0; run < runCount; run++) squares += runMass[run]! * runMass[run]!;
    return mass - squares / mass;
  }

  /**
   * The same to be expected after the check. Called by the hundred thousand: written out, with nothing made. What falls
   * into the last bin is what falls into no other.
   */
  private doubtAfter(node: RolloutNode, check: number): number {
    const { active, weights, mass, world, runEnd, runMass, runCount } = node;
    const { bins, shares } = world(check);
    if (bins === 2) {
      let total = 0;
      let squares = 0;
      let otherSquares = 0;
      for (let run = 0, k = 0; run < runCount; run++) {
        let own = 0;
        for (const end = runEnd[run]!; k < end; k++) own += weights[k]! * shares[active[k]! * 2]!;
        const other = runMass[run]! - own;
        total += own;
        squares += own * own;
        otherSquares += other * other;
      }
      const otherTotal = mass - total;
      return (
        mass -
        (total > 0 ? squares / total : 0) -
        (otherTotal > 1e-15 ? otherSquares / otherTotal : 0)
      );
    }
    this.makeRoom(bins);
    const { binMass, binTotal, binSquares } = this;
    const last = bins - 1;
    for (let bin = 0; bin < bins; bin++) {
      binMass[bin] = 0;
      binTotal[bin] = 0;
      binSquares[bin] = 0;
    }
    for (let run = 0, k = 0; run < runCount; run++) {
      for (const end = runEnd[run]!; k < end; k++) {
        const from = active[k]! * bins;
        const weight = weights[k]!;
        for (let bin = 0; bin < last; bin++) binMass[bin]! += weight * shares[from + bin]!;
      }
      let rest = runMass[run]!;
      for (let bin = 0; bin < last; bin++) {
        const own = binMass[bin]!;
        rest -= own;
        binTotal[bin]! += own;
        binSquares[bin]! += own * own;
        binMass[bin] = 0;
      }
      binTotal[last]! += rest;
      binSquares[last]! += rest * rest;
    }
    let after = mass;
    for (let bin = 0; bin < bins; bin++) {
      const total = binTotal[bin]!;
      if (total > 1e-15) after -= binSquares[bin]! / total;
    }
    return after;
  }

  private child(
    node: RolloutNode,
    check: number,
    shares: Float64Array,
    bins: number,
    bin: number,
  ): RolloutNode | undefined {
    const { changes } = this.problem.checks[check]!;
    const buffers = this.buffersAt(node.depth + 1);
    const { active, weights, open } = buffers;
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
    const flags = node.flags | changes;
    const runCount = this.findRuns(buffers, count);
    const access = this.waysFrom(node.access).access[check]!;
    const world = flags === node.flags ? node.world : this.problem.world(flags);
    const danger = this.dangersOf(buffers, count);
    const made = buffers.node;
    if (!made) {
      // Written out: an object spread here costs half of the whole rollout.
      return (buffers.node = {
        active,
        activeCount: count,
        weights,
        mass,
        runEnd: buffers.runEnd,
        runMass: buffers.runMass,
        runCount,
        access,
        flags,
        world,
        taken: node.taken,
        open,
        openCount,
        danger,
        depth: node.depth + 1,
      });
    }
    // One node of a depth is done with before the next is begun: it is filled anew, not made anew.
    made.activeCount = count;
    made.mass = mass;
    made.runCount = runCount;
    made.access = access;
    made.flags = flags;
    made.world = world;
    made.taken = node.taken;
    made.openCount = openCount;
    return made;
  }

  private buffersAt(depth: number): RolloutBuffers {
    return (this.buffers[depth] ??= {
      active: new Uint16Array(this.problem.groupCount),
      weights: new Float64Array(this.problem.groupCount),
      runEnd: new Uint16Array(this.problem.groupCount),
      runMass: new Float64Array(this.problem.groupCount),
      open: new Uint16Array(this.problem.checks.length),
      danger: new Float64Array(this.problem.dangers.length),
    });
  }
}

interface RolloutBuffers extends Pick<
  RolloutNode,
  'active' | 'weights' | 'runEnd' | 'runMass' | 'open' | 'danger'
> {
  node?: { -readonly [Key in keyof RolloutNode]: RolloutNode[Key] };
}

/** From one set of facts to every check: minutes, and the facts that are so after it. */
interface AccessWays {
  readonly minutes: Float64Array;
  readonly access: Int32Array;
}

/** Outcomes rarer than this are left out of a rollout. */
const leastNodeMass = 5e-4;
/** A check that takes away less than this share of the doubt is not asked about further on. */
const leastGain = 0.05;

/** Below this a check says nothing worth walking to the unit for, in nats. */
export const leastInformation = 0.004;

const stopped = (loss: number): Outlook => ({ cost: loss, minutes: 0, checks: 0 });

const minusXLogX = (x: number) => (x > 0 ? -x * Math.log(x) : 0);
