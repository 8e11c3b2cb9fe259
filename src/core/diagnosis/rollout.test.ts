import { describe, expect, it } from 'vitest';
import type { PlanProblem, PlanWorld } from './plan-problem';
import { Rollout, type Policy } from './rollout';

/**
 * Four groups with three verdicts, and three checks: one of two outcomes, one of three, and one that changes the unit.
 * Judged by enumerating outcomes in the test, with nothing of the engine.
 */
const mass = [0.4, 0.3, 0.2, 0.1];
const verdict = [0, 1, 1, 2];
const two = { bins: 2, shares: Float64Array.of(0.9, 0.1, 0.2, 0.8, 0.3, 0.7, 0.5, 0.5) };
const three = {
  bins: 3,
  shares: Float64Array.of(0.8, 0.1, 0.1, 0.1, 0.8, 0.1, 0.2, 0.6, 0.2, 0.05, 0.05, 0.9),
};
const blind = { bins: 2, shares: Float64Array.of(0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5) };
const told = { bins: 2, shares: Float64Array.of(0.95, 0.05, 0.1, 0.9, 0.1, 0.9, 0.9, 0.1) };
const world: PlanWorld = (at) => [two, three, blind][at]!;
/** Once the reset is pressed, the third check tells the groups apart. */
const pressed: PlanWorld = (at) => [two, three, told][at]!;
const check = (checkId: string, minutes: number, rest: Partial<PlanProblem['checks'][number]>) => ({
  checkId,
  minutes,
  costMinutes: minutes,
  sets: 0,
  clears: 0,
  changes: 0,
  accessMinutesNow: 0,
  dangers: [],
  ...rest,
});
const problem: PlanProblem = {
  groupCount: 4,
  mass: Float64Array.from(mass),
  verdict: Uint16Array.from(verdict),
  checks: [
    check('two', 1, {}),
    check('three', 2, { sets: 1, accessMinutesNow: 3 }),
    check('press', 0.5, { changes: 1 }),
  ],
  dangers: [],
  world: (flags) => (flags === 0 ? world : pressed),
};
const prices = {
  wrongVerdict: Float64Array.of(60, 60, 90),
  facts: [{ id: 'cover', setMinutes: 3, clearMinutes: 1 }],
};
const rollout = new Rollout(problem, prices);
const stopHere: Policy = () => undefined;

/** Weight of each verdict among weighted groups. */
const byVerdict = (weights: readonly number[]) =>
  [0, 1, 2].map((set) => weights.reduce((sum, w, g) => sum + (verdict[g] === set ? w : 0), 0));
const lossOf = (weights: readonly number[]) => {
  const total = weights.reduce((sum, each) => sum + each, 0);
  return Math.min(...byVerdict(weights).map((own, set) => (total - own) * [60, 60, 90][set]!));
};
/** Groups as each outcome of a check leaves them. */
const outcomesOf = (inWorld: PlanWorld, at: number, weights = mass) => {
  const { bins, shares } = inWorld(at);
  return Array.from({ length: bins }, (_, bin) =>
    weights.map((w, g) => w * shares[g * bins + bin]!),
  );
};

describe('a rollout', () => {
  it('loses by stopping what the cheapest verdict gets wrong', () => {
    // By hand: verdict 1 has 0.5, the other half is wrong at 60 min.
    expect(rollout.stopLoss(rollout.root(0))).toBeCloseTo(30, 12);
  });

  it.each([
    [0, 1],
    [1, 2 + 3],
  ])('expects of check %i, then a verdict, what averaging its outcomes gives', (at, cost) => {
    const left = outcomesOf(world, at).reduce((sum, each) => sum + lossOf(each), 0);
    expect(rollout.after(rollout.root(0), at, stopHere)!.cost).toBeCloseTo(cost + left, 9);
  });

  it('gives up a check as soon as it is sure to cost more than another', () => {
    expect(rollout.after(rollout.root(0), 1, stopHere, 4.9)).toBeUndefined();
    expect(rollout.after(rollout.root(0), 0, stopHere, 1000)).toBeDefined();
  });

  it('follows a second check behind the first, with its access paid once', () => {
    rollout.lookFrom(0);
    const thenTwo: Policy = ({ depth }) => (depth === 1 ? 0 : undefined);
    const expected = outcomesOf(world, 1).reduce((sum, after) => {
      const total = after.reduce((all, each) => all + each, 0);
      const further = outcomesOf(world, 0, after).reduce((all, each) => all + lossOf(each), total);
      return sum + Math.min(lossOf(after), further);
    }, 5);
    expect(rollout.after(rollout.root(0), 1, thenTwo)!.cost).toBeCloseTo(expected, 9);
    expect(rollout.accessMinutes(0, 1)).toBe(3);
    expect(rollout.accessMinutes(1, 1)).toBe(0);
  });

  it('reads a check that comes after a change in the world that the change has made', () => {
    rollout.lookFrom(0);
    const pressThenPress: Policy = ({ depth, taken }) => {
      if (depth !== 1) return undefined;
      taken[2] = 0;
      return 2;
    };
    const blindly = outcomesOf(world, 2).reduce((sum, each) => sum + lossOf(each), 0.5);
    expect(rollout.after(rollout.root(0), 2, stopHere)!.cost).toBeCloseTo(blindly, 9);
    expect(rollout.after(rollout.root(0), 2, pressThenPress)!.cost).toBeLessThan(blindly - 5);
  });

  it('counts information as the entropy of the verdict that a check takes away', () => {
    const entropy = (weights: readonly number[]) => {
      const total = weights.reduce((sum, each) => sum + each, 0);
      return byVerdict(weights).reduce(
        (sum, each) => sum - (each > 0 ? (each / total) * Math.log(each / total) : 0),
        0,
      );
    };
    const root = rollout.root(0);
    expect(rollout.entropyOf(root)).toBeCloseTo(entropy(mass), 12);
    for (const at of [0, 1, 2]) {
      const after = outcomesOf(world, at).reduce(
        (sum, each) => sum + each.reduce((all, w) => all + w, 0) * entropy(each),
        0,
      );
      expect(rollout.entropyAfter(root, at)).toBeCloseTo(after, 9);
    }
  });

  it('goes on, greedily, with the check that takes most doubt away a minute', () => {
    // Doubt: the chance that two draws differ in their verdict. Worked out here by enumeration.
    const doubt = (weights: readonly number[]) => {
      const total = weights.reduce((sum, each) => sum + each, 0);
      return total - byVerdict(weights).reduce((sum, each) => sum + each ** 2, 0) / total;
    };
    const worth = [1, 5, 0.5].map((cost, at) => {
      const after = outcomesOf(world, at).reduce((sum, each) => sum + doubt(each), 0);
      return (doubt(mass) - after) / cost;
    });
    const best = worth.indexOf(Math.max(...worth));
    expect(rollout.greedy(rollout.root(0))).toBe(best);
    // What tells nothing here is not asked about further on.
    const root = rollout.root(0);
    rollout.greedy(root);
    expect([...root.open.slice(0, root.openCount)]).not.toContain(2);
  });
});
