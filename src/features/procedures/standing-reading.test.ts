import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import type { Entry } from '@/core/job-file';
import { standingReading } from './standing-reading';

const at = (minute: number) => new Date(Date.UTC(2026, 11, 1, 10, minute)).toISOString();
const entry = (minute: number, rest: object) =>
  ({ id: `e${minute}`, at: at(minute), ...rest }) as Entry;
const read = (minute: number) =>
  entry(minute, { kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.8 } });
const standing = (entries: Entry[], since?: string) =>
  standingReading(emptyJob({ entries }), 'upper-element-ohms', since)?.id;

describe('a reading that stands for the one of a step', () => {
  it('is the last of its check', () => {
    expect(standing([read(1), read(2)])).toBe('e2');
    expect(standing([])).toBeUndefined();
  });

  it.each([
    { kind: 'part', part: 'element', action: 'fitted', repair: 'replace-upper-element' },
    { kind: 'action', action: 'replace', repair: 'replace-upper-element' },
  ])('is none of before a part was exchanged: %o', (exchange) => {
    expect(standing([read(1), entry(2, exchange)])).toBeUndefined();
    expect(standing([read(1), entry(2, exchange), read(3)])).toBe('e3');
  });

  it('is none of before the wait that the step is there for', () => {
    expect(standing([read(1)], at(2))).toBeUndefined();
    expect(standing([read(3)], at(2))).toBe('e3');
  });
});
