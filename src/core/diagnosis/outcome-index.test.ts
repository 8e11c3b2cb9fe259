import { describe, expect, it } from 'vitest';
import { OutcomeIndex, toFourDigits } from './outcome-index';

describe('a chance to four digits', () => {
  it('is what is written out so and read again, for any size', () => {
    const goldenShare = 0.6180339887498949;
    const sizes = Array.from(
      { length: 20_000 },
      (_, k) => ((k * goldenShare) % 1) * 10 ** -(k % 9),
    );
    const ends = [0, 1, 0.1, 0.01, 0.001, 0.9999, 0.99995, 0.099995, 0.12345, 0.098765, 5e-324];
    for (const share of [...sizes, ...ends]) {
      expect(toFourDigits(share)).toBe(Number(share.toPrecision(4)));
    }
  });
});

describe('looks that are found again', () => {
  const counted = () => {
    const index = new OutcomeIndex();
    let count = 0;
    return (look: Readonly<Record<string, number>>) => index.found(look, () => count++);
  };

  it('are one by their names and chances, in whatever order they are told', () => {
    const find = counted();
    expect(find({ lit: 0.7, dark: 0.3 })).toBe(0);
    expect(find({ dark: 0.3, lit: 0.7 })).toBe(0);
    expect(find({ lit: 0.70001, dark: 0.29999 })).toBe(0);
    expect(find({ lit: 0.701, dark: 0.299 })).toBe(1);
  });

  it('are apart where the same chances belong to other names, or to fewer', () => {
    const find = counted();
    const all: Readonly<Record<string, number>>[] = [
      { lit: 0.7, dark: 0.3 },
      { lit: 0.3, dark: 0.7 },
      { on: 0.7, off: 0.3 },
      { lit: 0.7 },
    ];
    expect(all.map(find)).toEqual([0, 1, 2, 3]);
    expect(all.map(find)).toEqual([0, 1, 2, 3]);
  });

  it('are told with rounded chances, in the order of the first of them', () => {
    const made: unknown[] = [];
    const index = new OutcomeIndex();
    const make = (rounded: unknown) => made.push(rounded);
    index.found({ lit: 2 / 3, dark: 1 / 3 }, make);
    index.found({ dark: 1 / 3, lit: 2 / 3 }, make);
    expect(made).toEqual([{ lit: 0.6667, dark: 0.3333 }]);
  });
});
