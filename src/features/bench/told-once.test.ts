import { describe, expect, it } from 'vitest';
import { toldOnce } from './told-once';

describe('lines that say the same', () => {
  it('stand there once, where the first of them was, with how often', () => {
    const lines = [
      { entry: 'a', words: '12.5 Ω' },
      { entry: 'b', words: 'OL' },
      { entry: 'c', words: '12.5 Ω' },
    ];
    const told = toldOnce(lines, ({ words }) => words);
    expect(told.map(({ line, times }) => [line.entry, times])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
  });

  it('are told apart by words that any object would know', () => {
    expect(toldOnce(['toString', '__proto__'], (line) => line)).toHaveLength(2);
  });
});
