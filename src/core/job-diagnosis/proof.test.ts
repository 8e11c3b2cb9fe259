import { describe, expect, it } from 'vitest';
import { answer, job, reading } from '../../../tests/electric-job';
import { stamp } from '../../../tests/plates';
import type { Entry } from '../job-file';
import { closingProblem, diagnoseJob, openDiagnosis, proofOf } from '.';

const bothLifted = ['a', 'b'].map((end) => ({
  wire: `w-upper-${end}`,
  end: `upper-element.${end}`,
}));

describe('after the repair', () => {
  const proof = (...entries: Entry[]) => proofOf(openDiagnosis(job(entries)), job(entries));
  const found = reading('upper-element-ohms', { overRange: true, above: { ohm: 2e6 } });
  const replaced: Entry = {
    ...stamp(),
    kind: 'action',
    action: 'replace',
    repair: 'replace-upper-element',
  };

  it('a right reading proves it, and the chance that it held goes up', () => {
    const right = reading('upper-element-amps', { ampere: 18.6 });
    const { items, verdict } = proof(found, replaced, right);
    expect(verdict).toBe('proved');
    expect(items.find((each) => each.check === 'upper-element-amps')).toMatchObject({ good: true });
    const before = answer([found, replaced]).afterRepair!.heldProbability;
    expect(answer([found, replaced, right]).afterRepair!.heldProbability).toBeGreaterThan(
      before - 1e-9,
    );
  });

  it('a wrong one does not, and the fault is looked for again', () => {
    const wrong = reading('upper-element-amps', { ampere: 0 });
    const { items, verdict } = proof(found, replaced, wrong);
    expect(verdict).toBe('contradicted');
    expect(items.find((each) => each.check === 'upper-element-amps')).toMatchObject({
      good: false,
    });
    const held = answer([found, replaced, wrong]).afterRepair!.heldProbability;
    expect(held).toBeLessThan(answer([found, replaced]).afterRepair!.heldProbability);
  });

  it('a reading from before the repair proves nothing', () => {
    const early = reading('upper-element-amps', { ampere: 18.6 });
    const { items, verdict } = proof(early, found, { ...replaced, ...stamp() });
    expect(items.every((each) => !each.entry)).toBe(true);
    expect(verdict).toBe('unproved');
  });

  it('a bad reading bars it, however many good ones stand beside it', () => {
    const ohms = reading('upper-element-ohms', { ohm: 12.8 });
    const amps = reading('upper-element-amps', { ampere: 0 });
    const twoPoints: Entry = {
      ...stamp(),
      kind: 'reading',
      between: ['upper-element.a', 'tank'],
      quantity: 'resistance',
      value: { ohm: 3 },
      state: { power: 'off', lifted: bothLifted },
    };
    for (const bad of [amps, twoPoints]) {
      const found = proof(replaced, ohms, bad);
      expect(found.bad.map((each) => each.id)).toEqual([bad.id]);
      const open = diagnoseJob(job([replaced, ohms, bad]));
      const given = { state: open.state, proof: found, stop: undefined };
      expect(closingProblem(given, { status: 'closed-repaired' })).toMatch(/not what a good unit/);
      expect(
        closingProblem(given, { status: 'closed-repaired', reason: 'the customer asked' }),
      ).toBeUndefined();
    }
    // Taken again and good, it no longer speaks against it.
    expect(
      proof(replaced, ohms, amps, reading('upper-element-amps', { ampere: 18.6 })).verdict,
    ).toBe('proved');
  });

  describe('of the lower element, whose turn comes when the top is hot', () => {
    const foundOpen = reading('lower-element-ohms', { overRange: true, above: { ohm: 2e6 } });
    const newLower: Entry = { ...replaced, ...stamp(), repair: 'replace-lower-element' };
    const amps = (ampere: number) => reading('lower-element-amps', { ampere });

    it('is not given by no amps: they are good on a cold tank, and would be so with the old part', () => {
      const { items, verdict, bad } = proof(foundOpen, newLower, amps(0));
      expect(items.find((each) => each.check === 'lower-element-amps')).toMatchObject({
        good: true,
        proves: false,
      });
      expect(bad).toEqual([]);
      expect(verdict).toBe('unproved');
      // What feeds the lower circuit was seen to be good: nothing else is wrong because it waits for its turn.
      const upper = reading('upper-element-amps', { ampere: 18.5 });
      expect(
        answer([foundOpen, upper, newLower, amps(0)]).afterRepair!.heldProbability,
      ).toBeGreaterThan(0.8);
    });

    it('is given by its amps once the water has warmed up, though it was cold when it was found', () => {
      const cold = reading('outlet-first', { celsius: 16 });
      const upperToo = reading('upper-element-ohms', { overRange: true, above: { ohm: 2e6 } });
      const newUpper: Entry = { ...replaced, ...stamp() };
      const before = [cold, upperToo, foundOpen, newUpper, { ...newLower, ...stamp() }];
      const { items, verdict } = proof(...before, amps(18.4));
      expect(items.find((each) => each.check === 'lower-element-amps')).toMatchObject({
        good: true,
        proves: true,
      });
      expect(verdict).toBe('proved');
    });
  });

  it('water that is still cold speaks against nothing', () => {
    const ohms = reading('upper-element-ohms', { ohm: 12.8 });
    const cold = reading('outlet-first', { celsius: 17 });
    expect(proof(replaced, ohms, cold).verdict).toBe('proved');
  });

  it('a new part that reads as bad as the old one is the suspect, not the meter', () => {
    const open = (id: string) =>
      reading(id, { overRange: true, above: { ohm: 2e6 } }, { state: { lifted: bothLifted } });
    const again = [found, replaced, open('upper-element-ohms'), open('upper-element-ohms')];
    const { suspects, warnings, afterRepair } = answer(again);
    expect(suspects[0]).toMatchObject({ repair: 'replace-upper-element' });
    expect(suspects[0]!.probability).toBeGreaterThan(0.8);
    expect(afterRepair!.heldProbability).toBeLessThan(0.1);
    expect(warnings).toEqual([]);
  });

  it('a second fault gets a second verdict and a second repair', () => {
    const lower = reading('lower-element-ohms', { overRange: true, above: { ohm: 2e6 } });
    const good = reading('upper-element-ohms', { ohm: 12.9 });
    const stored = (repair: string): Entry => ({
      ...stamp(),
      kind: 'verdict',
      engine: 'test',
      parameters: 'test',
      repair,
      suspects: [],
    });
    const entries = [
      found,
      stored('replace-upper-element'),
      { ...replaced, ...stamp() },
      good,
      lower,
    ];
    const after = diagnoseJob(job(entries));
    expect(after.state.verdict).toBeUndefined();
    expect(after.state.rounds).toHaveLength(1);
    expect(after.answer.suspects[0]!.repair).toBe('replace-lower-element');
    const second = [...entries, stored('replace-lower-element')];
    expect(diagnoseJob(job(second)).state.verdict?.repair).toBe('replace-lower-element');
    const done: Entry = {
      ...stamp(),
      kind: 'action',
      action: 'replace',
      repair: 'replace-lower-element',
    };
    const { state } = diagnoseJob(job([...second, done]));
    expect(state.rounds.map((each) => each.repair)).toEqual([
      'replace-upper-element',
      'replace-lower-element',
    ]);
    expect(state.rounds[1]!.verdict?.repair).toBe('replace-lower-element');
  });
});
