import { describe, expect, it } from 'vitest';
import { provedDead, stamp } from '../../../tests/plates';
import { foldEntries, type Entry, type JobState } from '../job-file';
import { emptyState } from '../job-file/state';
import { entriesOfStep } from '../practice/run-job';
import { wayTo } from '../diagnosis';
import { electricFamilies as families } from '../../../tests/electric-families';
import type { AccessStep } from '.';

/** A second a step: nobody leaves the unit between two of them. */
let seconds = 0;
const clock = {
  newId: () => stamp().id,
  after: () => new Date(Date.UTC(2026, 2, 2, 8) + 1000 * seconds++).toISOString(),
};

/** The way to a check: what comes first, what it costs, and that it leads there. */
describe.each(families)('access on $id', (family) => {
  seconds = 0;
  const { checkIds, names, checks } = family;
  const steps = (check: string, state: JobState) => family.accessSteps(check, state);
  const done = (list: readonly AccessStep[], before: readonly Entry[]): Entry[] => [
    ...before.map((each) => ({ ...each, at: clock.after() })),
    ...list.flatMap((each) => entriesOfStep(each, clock, () => provedDead(family).points!)),
  ];
  const stateOf = (entries: readonly Entry[]) => foldEntries(entries, family.catalogue);
  /** Every state in which a check leaves the unit when its steps are all that was done. */
  const prepared = checkIds.map((check) => {
    const entries = done(steps(check, emptyState), []);
    return { check, entries, state: stateOf(entries) };
  });

  it('opens nothing and touches no wire before the power is off and proved, for a dead check', () => {
    for (const check of checkIds) {
      const kinds = steps(check, emptyState).map((each) => each.kind);
      if (names.checks[check]!.state?.power !== 'off') continue;
      expect(kinds[0], check).toBe('power-off-and-prove');
      expect(
        kinds.filter((each) => each === 'power-off-and-prove'),
        check,
      ).toHaveLength(1);
    }
  });

  it('takes covers off only once it is proved dead, and turns the power on after that', () => {
    const on = stateOf([{ ...stamp(), kind: 'action', action: 'power-on' } as Entry]);
    for (const check of checkIds) {
      const kinds = steps(check, on).map((each) => each.kind);
      if (!kinds.includes('open-cover')) continue;
      expect(kinds[0], check).toBe('power-off-and-prove');
      const isLive = names.checks[check]!.state?.power === 'on';
      expect(kinds.includes('power-on'), check).toBe(isLive);
      if (isLive) expect(kinds.at(-1), check).toBe('power-on');
    }
  });

  it('lifts and refits wires only while the power is off', () => {
    for (const { entries } of prepared) {
      for (const check of checkIds) {
        let state = stateOf(entries);
        let all = entries;
        for (const step of steps(check, state)) {
          const isHandsOn = step.kind === 'lift-wire' || step.kind === 'refit-wire';
          if (isHandsOn) expect(state.power, `${check}: ${step.kind}`).toBe('off');
          all = done([step], all);
          state = stateOf(all);
        }
      }
    }
  });

  it('leads from every check to every other: after the steps none is left', () => {
    for (const { check: from, entries, state } of prepared) {
      for (const check of checkIds) {
        const after = stateOf(done(steps(check, state), entries));
        expect(steps(check, after), `${from}, then ${check}`).toEqual([]);
      }
    }
  });

  it('costs in a plan what the steps cost', () => {
    for (const { check: from, state } of prepared) {
      const { candidates, facts, access } = family.planStart(
        state,
        { liveWork: true },
        family.parameters,
      );
      for (const { checkId, accessMinutes, need } of candidates) {
        const planned = wayTo(facts, access, need).minutes;
        expect(planned, `${from}, then ${checkId}`).toBeCloseTo(accessMinutes, 9);
      }
    }
  });

  it('offers nothing live without permission, and nothing that needs what is not at hand', () => {
    const offered = (liveWork: boolean, instruments?: readonly string[]) =>
      family
        .planStart(emptyState, { liveWork, instruments }, family.parameters)
        .candidates.map((each) => each.checkId);
    expect(offered(false).filter((each) => checks[each]!.caution === 'live')).toEqual([]);
    expect(offered(true).some((each) => checks[each]!.caution === 'live')).toBe(true);
    const bare = offered(true, []);
    expect(bare.every((each) => names.checks[each]!.kind === 'observation')).toBe(true);
    expect(bare.every((each) => checks[each]!.instrument === undefined)).toBe(true);
    const withMeter = offered(true, ['multimeter']);
    expect(withMeter.some((each) => names.checks[each]!.quantity === 'resistance')).toBe(true);
    expect(withMeter.every((each) => checks[each]!.instrument === undefined)).toBe(true);
  });

  it('gives every reading with the power on a caution', () => {
    for (const [check, { kind, state, quantity }] of Object.entries(names.checks)) {
      const isElectric = quantity === 'voltage-ac' || quantity === 'current-ac';
      if (kind !== 'reading' || !isElectric) continue;
      expect(state?.power, check).toBe('on');
      expect(checks[check]!.caution, check).toBe('live');
    }
  });
});
