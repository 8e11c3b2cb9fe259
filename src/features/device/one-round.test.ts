import { describe, expect, it } from 'vitest';
import { oneRoundAtATime } from './one-round';

/** Work whose rounds end when they are told to. */
function held() {
  const ends: (() => void)[] = [];
  const fails: ((reason: Error) => void)[] = [];
  const ask = oneRoundAtATime(
    () =>
      new Promise<void>((resolve, reject) => {
        ends.push(resolve);
        fails.push(reject);
      }),
  );
  return { ask, ends, fails, settle: () => new Promise((resolve) => setTimeout(resolve)) };
}

describe('work in rounds', () => {
  it('runs once more for all who asked while it ran', async () => {
    const { ask, ends, settle } = held();
    void ask();
    void ask();
    void ask();
    expect(ends).toHaveLength(1);
    ends[0]!();
    await settle();
    expect(ends).toHaveLength(2);
    ends[1]!();
    await settle();
    expect(ends).toHaveLength(2);
  });

  it('runs again after a round that failed', async () => {
    const { ask, ends, fails } = held();
    const first = ask();
    fails[0]!(new Error('no signal'));
    await expect(first).rejects.toThrow('no signal');
    void ask();
    expect(ends).toHaveLength(2);
  });
});
