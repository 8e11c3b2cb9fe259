import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import type { Entry } from '@/core/job-file';
import { mergeEntries, ownEntries, stampAfter } from './merge-entries';

const entry = (): Entry => ({ ...stamp(), kind: 'action', action: 'power-on' });

describe('entries of several devices', () => {
  it('come once each, the server’s first, in the order in which it got them', () => {
    const [one, two, three] = [entry(), entry(), entry()];
    expect(mergeEntries([[two!], [one!, two!]], [one!, three!])).toEqual([two, one, three]);
  });
});

describe('what this device wrote', () => {
  const kept = (of: Entry, counts = true) => ({ id: of.id, entry: of, counts });
  const [sent, struck, waiting, newest] = [entry(), entry(), entry(), entry()] as [
    Entry,
    Entry,
    Entry,
    Entry,
  ];

  it('keeps its order where the store was read before the newest was written', () => {
    expect(ownEntries([waiting, newest], [kept(waiting)])).toEqual([waiting, newest]);
    expect(ownEntries([newest], [])).toEqual([newest]);
  });

  it('keeps in front what has left the store for the server', () => {
    expect(ownEntries([sent, waiting], [kept(waiting), kept(newest)])).toEqual([
      sent,
      waiting,
      newest,
    ]);
  });

  it('lets go of what was struck or refused', () => {
    expect(ownEntries([struck, waiting], [kept(struck, false), kept(waiting)])).toEqual([waiting]);
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
