import { afterEach, describe, expect, it, vi } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../tests/plates';
import { familyOfJob } from '../core/appliances/all';
import type { Entry } from '../core/job-file';
import { firstAnswer } from './first-answer';

const at = (hour: number) => new Date(Date.UTC(2026, 2, 2, hour)).toISOString();
const off = (hour: number): Entry => ({
  ...stamp(),
  at: at(hour),
  kind: 'action',
  action: 'power-off',
});
const dead = (hour: number): Entry => ({
  ...stamp(),
  ...provedDead(familyOfJob(emptyJob())),
  at: at(hour),
});

afterEach(() => vi.useRealTimers());

describe('the answer that comes with a page', () => {
  const job = emptyJob({ entries: [off(8)] });

  it('is worked out once for a job as it stands, and again after an entry or another limit', async () => {
    const first = await firstAnswer(job);
    expect(first!.answer.next).not.toBeNull();
    expect(await firstAnswer(structuredClone(job))).toBe(first);
    const more = { ...job, entries: [...job.entries, off(9)] };
    expect(await firstAnswer(more)).not.toBe(first);
    const limited = { ...more, constraints: { liveWork: false } };
    expect((await firstAnswer(limited))!.answer).not.toEqual((await firstAnswer(more))!.answer);
  });

  it('is for the check that the page is opened at', async () => {
    const chosen = 'lower-element-ohms';
    const first = (await firstAnswer(job, chosen))!;
    expect(first.selected!.expectation.check).toBe(chosen);
    expect(first.chosen).toBe(chosen);
    const proposed = (await firstAnswer(job))!;
    expect(proposed.selected!.expectation.check).toBe(proposed.answer.next!.check);
    expect(proposed.chosen).toBeUndefined();
  });

  it('does not outlive a proof of dead', async () => {
    vi.useFakeTimers({ toFake: ['Date'], now: new Date(at(9)) });
    const job = emptyJob({ entries: [off(8), dead(9)] });
    const early = await firstAnswer(job);
    vi.setSystemTime(new Date(at(12)));
    expect(await firstAnswer(job)).toBe(early);
    expect(early!.state.provedDeadUntil).toBe(at(13));
    vi.setSystemTime(Date.parse(at(13)) + 1);
    expect((await firstAnswer(job))!.state.provedDeadUntil).toBeUndefined();
  });
});
