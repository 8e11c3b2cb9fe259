import { describe, expect, it } from 'vitest';
import { emptyState } from '../job-file/state';
import type { JobState } from '../job-file';
import { closingProblem } from './closing';
import type { RepairProof } from './proof';

const lifted = [{ wire: 'w-upper-a', end: 'upper-element.a' }];
const given = (verdict: RepairProof['verdict'], state: Partial<JobState> = {}) => ({
  state: { ...emptyState, repairsDone: ['replace-upper-element'], ...state },
  proof: { items: [], bad: [], verdict },
  stop: undefined,
});

describe('closing as repaired', () => {
  const repaired = (reason?: string) => ({ status: 'closed-repaired', reason }) as const;

  it('takes a proof, or a reason', () => {
    expect(closingProblem(given('proved'), repaired())).toBeUndefined();
    expect(closingProblem(given('unproved'), repaired())).toMatch(/No proving reading/);
    expect(closingProblem(given('unproved'), repaired('no water in the house'))).toBeUndefined();
    expect(closingProblem(given('contradicted'), repaired())).toMatch(/not what a good unit/);
    expect(closingProblem(given('contradicted'), repaired('customer asked'))).toBeUndefined();
  });

  it('takes no blank for a reason', () => {
    for (const blank of ['', '   ', '\t\n']) {
      expect(closingProblem(given('unproved'), repaired(blank)), JSON.stringify(blank)).toMatch(
        /No proving reading/,
      );
    }
  });

  it('is refused with a wire hanging free, whatever is proved and whatever is said', () => {
    const open = given('proved', { lifted });
    expect(closingProblem(open, repaired())).toMatch(/1 wire is still lifted.*it back/);
    expect(closingProblem(open, repaired('it is fine'))).toMatch(/still lifted/);
    const two = given('proved', { lifted: [...lifted, { wire: 'w-upper-b', end: 'x' }] });
    expect(closingProblem(two, repaired('it is fine'))).toMatch(/2 wires are.*them back/);
  });

  it('without a repair takes a reason', () => {
    const none = given('unproved', { repairsDone: [] });
    expect(closingProblem(none, repaired())).toMatch(/No repair is done/);
    expect(closingProblem(none, repaired('breaker was off'))).toBeUndefined();
  });
});

describe('closing as not repaired, or to wait', () => {
  it.each(['closed-not-repaired', 'waiting-for-part'] as const)('%s takes a reason', (status) => {
    expect(closingProblem(given('unproved'), { status })).toMatch(/Say why/);
    expect(closingProblem(given('unproved'), { status, reason: 'part comes' })).toBeUndefined();
  });

  it('says that a wire hangs free, and lets it where a reason is given', () => {
    const open = given('unproved', { lifted });
    const status = 'closed-not-repaired';
    expect(closingProblem(open, { status })).toMatch(/still lifted/);
    expect(closingProblem(open, { status, reason: 'capped and labelled' })).toBeUndefined();
  });

  it('asks nothing of any other status', () => {
    expect(closingProblem(given('unproved', { lifted }), { status: 'repairing' })).toBeUndefined();
  });
});
