import { describe, expect, it } from 'vitest';
import type { Entry } from '@/core/job-file';
import { isStale, keptProof, proofDraft, timesOnIn } from './proof-draft';

const at = Date.parse('2026-12-01T10:00:00Z');
const kept = keptProof({ prover: 'before-and-after', texts: ['0', '0', ''] }, 'one', at, 1);
const blank = { texts: ['', '', ''] };

describe('a proof of dead as it is typed', () => {
  it('survives a reload, for who typed it', () => {
    expect(proofDraft(kept, 'one', 3)).toEqual({
      at,
      timesOn: 1,
      prover: 'before-and-after',
      texts: ['0', '0', ''],
    });
  });

  it('is nobody else’s', () => {
    expect(proofDraft(kept, 'another', 3)).toEqual(blank);
  });

  it.each(['', '{half', '["0","0","0"]', 'null', '{"by":"one","at":"now"}', '{"by":"one","at":1}'])(
    'is blank where the device has %j',
    (text) => {
      expect(proofDraft(text, 'one', 3)).toEqual(blank);
    },
  );

  it('is too old after ten minutes, and where the clock was set back', () => {
    const draft = proofDraft(kept, 'one', 3);
    expect(isStale(draft, at + 9 * 60_000, 1)).toBe(false);
    expect(isStale(draft, at + 10 * 60_000, 1)).toBe(true);
    expect(isStale(draft, at - 1000, 1)).toBe(true);
    expect(isStale(proofDraft('', 'one', 3), at, 1)).toBe(false);
  });

  it('is of before once somebody has switched the unit on, or read it live', () => {
    const entries = [
      { kind: 'action', action: 'power-on' },
      { kind: 'action', action: 'power-off' },
      { kind: 'reading', check: 'supply-volts', value: { volt: 240 }, state: { power: 'on' } },
      { kind: 'skip', check: 'supply-volts', reason: 'cannot' },
    ] as Entry[];
    expect(timesOnIn(entries)).toBe(2);
    expect(isStale(proofDraft(kept, 'one', 3), at, 2)).toBe(true);
  });
});
