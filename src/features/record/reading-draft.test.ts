import { describe, expect, it } from 'vitest';
import { isOfBefore, keptReading, readingDraft } from './reading-draft';

const minutes = (count: number) => count * 60_000;

describe('a reading that is typed and not entered', () => {
  const kept = keptReading('12.5', 'mira', minutes(100))('');

  it('is the one of who typed it, with when', () => {
    expect(readingDraft(kept, 'mira')).toEqual({ text: '12.5', at: minutes(100) });
  });

  it('is nobody else’s, and gone once somebody else types theirs', () => {
    expect(readingDraft(kept, 'toString')).toEqual({ text: '' });
    const other = keptReading((before) => `${before}4`, 'jonas', minutes(101))(kept);
    expect(readingDraft(other, 'jonas')).toEqual({ text: '4', at: minutes(101) });
    expect(readingDraft(other, 'mira')).toEqual({ text: '' });
  });

  it('is of when it was typed at last', () => {
    const more = keptReading((before) => `${before}5`, 'mira', minutes(103))(kept);
    expect(readingDraft(more, 'mira')).toEqual({ text: '12.55', at: minutes(103) });
  });

  it('that is cleared keeps nothing', () => {
    expect(keptReading('', 'mira', minutes(103))(kept)).toBe('');
  });

  it.each([
    '',
    '12.5',
    '"12.5"',
    'null',
    '{half',
    '{"text":"12.5"}',
    '{"by":"mira","text":"12.5"}',
  ])('is none where %o was kept, by an older version or broken', (broken) =>
    expect(readingDraft(broken, 'mira')).toEqual({ text: '' }),
  );

  it('is of before after ten minutes, or where the clock was set back', () => {
    expect(isOfBefore(minutes(100), minutes(109))).toBe(false);
    expect(isOfBefore(minutes(100), minutes(110))).toBe(true);
    expect(isOfBefore(minutes(100), minutes(99.5))).toBe(false);
    expect(isOfBefore(minutes(100), minutes(40))).toBe(true);
  });
});
