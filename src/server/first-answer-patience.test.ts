import { expect, it, vi } from 'vitest';
import { emptyJob } from '../../tests/plates';
import { firstAnswer } from './first-answer';

const { waited } = vi.hoisted(() => ({ waited: [] as number[] }));

// A thread that never answers, and a clock that only notes how long it is asked to wait.
vi.mock('./threads', () => ({ inThread: () => new Promise(() => undefined) }));
vi.mock('node:timers/promises', () => ({
  setTimeout: (milliseconds: number) => {
    waited.push(milliseconds);
    return Promise.resolve(undefined);
  },
}));

it('lets a page go without its answer after its patience, and with a long logbook waits much longer', async () => {
  expect(await firstAnswer(emptyJob())).toBeUndefined();
  expect(await firstAnswer(emptyJob(), { isLong: true })).toBeUndefined();
  const [usual, long] = waited;
  // The device is soon done with a short logbook by itself, and takes many seconds for a long one.
  expect(usual).toBeLessThan(2000);
  expect(long).toBeGreaterThan(5 * usual!);
});
