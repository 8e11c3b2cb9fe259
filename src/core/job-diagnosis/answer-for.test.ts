import { describe, expect, it } from 'vitest';
import { electricFamilies } from '../../../tests/electric-families';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import type { Entry } from '../job-file';
import { answerFor, benchAnswer } from '.';

/** Each who works on a circuit proves it dead for themselves: common practice of electrical safety (EN 50110-1). */
describe.each(electricFamilies)('an answer for who comes after on $id', (family) => {
  const entries = [
    { ...stamp(), kind: 'action', action: 'power-off', by: 'p1' },
    { ...stamp(), ...provedDead(family), by: 'p1' },
  ] as Entry[];
  // Each takes the watts of its own elements.
  const elements = { upper: { watt: 3000 }, lower: { watt: 3000 }, only: { watt: 3000 } };
  const job = emptyJob({
    entries,
    unit: { family: family.id, plate: { rated: { volt: 230 }, elements } },
    site: { supply: { system: 'single-phase', nominal: { volt: 230 } } },
  });
  const check = family.checkIds.find(
    (each) =>
      family.check(each).state?.power === 'off' && family.check(each).quantity === 'resistance',
  )!;
  const answer = benchAnswer(job, check, { depth: 'one-step' });

  it('begins with a proof of their own, and counts its minutes', () => {
    const theirs = answerFor(answer, job, 'p2');
    expect(answer.selected!.steps.map(({ kind }) => kind)).not.toContain('power-off-and-prove');
    expect(theirs.selected!.steps[0]!.kind).toBe('power-off-and-prove');
    expect(theirs.selected!.minutes).toBeGreaterThan(answer.selected!.minutes);
    expect(theirs.answer).toBe(answer.answer);
  });

  it('has the state and the steps that are worked out for them from the start', () => {
    const worked = benchAnswer(job, check, { depth: 'one-step', by: 'p2' });
    const { state, selected } = answerFor(answer, job, 'p2');
    expect(state).toEqual(worked.state);
    expect(selected!.steps).toEqual(worked.selected!.steps);
    expect(selected!.minutes).toBe(worked.selected!.minutes);
  });

  it('is the same for who proved it', () => {
    expect(answerFor(answer, job, 'p1')).toBe(answer);
  });
});
