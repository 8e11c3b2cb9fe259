import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import type { Entry } from '@/core/job-file';
import { mergeEntries, stampAfter } from './merge-entries';

const entry = (): Entry => ({ ...stamp(), kind: 'action', action: 'power-on' });

describe('entries of several devices', () => {
  it('come once each, the server’s first, in the order in which it got them', () => {
    const [one, two, three] = [entry(), entry(), entry()];
    expect(mergeEntries([[two!], [one!, two!]], [one!, three!])).toEqual([two, one, three]);
  });
});

describe('the time of a new entry', () => {
  const now = Date.UTC(2026, 2, 2, 9);
  const at = (time: number) => ({ at: new Date(time).toISOString() });
  const hour = 3_600_000;

  it('is now where all before is older', () => {
    expect(stampAfter([at(now - hour)], now)).toBe(now);
  });

  it('is after the newest that is known, though a clock was an hour ahead', () => {
    expect(stampAfter([at(now + hour), at(now)], now)).toBe(now + hour + 1);
  });

  it('follows no clock that is days ahead', () => {
    expect(stampAfter([at(now + 72 * hour)], now)).toBe(now);
  });
});
