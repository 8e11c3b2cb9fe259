import { describe, expect, it } from 'vitest';
import { judgeThreePoints } from './three-points';

/** Common practice for a boiler set to 36, 48 and 60 °C: right is 35 to 36, 45 to 50, 60 to 65 °C, within about 2 K. */
const at = (low: number, middle: number, high: number) =>
  judgeThreePoints({ low: low - 36, middle: middle - 48, high: high - 60 });

describe('three points at the tap, judged together', () => {
  it('finds nothing in three that are each within 2 K, and the thermometer', () => {
    expect(at(35, 47, 61).kind).toBe('right');
    expect(at(36, 50, 62.8).kind).toBe('right');
  });

  it('tells a sensor out of step from a want of heat by whether all are off by the same', () => {
    const offset = at(30.5, 42, 53.8);
    expect(offset.kind).toBe('offset');
    expect(offset.kind === 'offset' && offset.kelvin).toBeCloseTo(-5.9, 1);
    expect(at(36, 46, 49).kind).toBe('short');
    expect(at(36, 41, 48).kind).toBe('short');
  });

  it('calls no sensor wrong where only the lowest is hot: the least output is too much for the draw', () => {
    expect(at(43, 48.5, 60).kind).toBe('least-output');
  });

  it('asks for the odd one again where they agree on nothing', () => {
    expect(at(36, 40, 61).kind).toBe('uneven');
    expect(at(41, 43, 60).kind).toBe('uneven');
  });

  it('leaves two points that differ by the reading of a thermometer as the same', () => {
    expect(at(39.2, 51.3, 64.4).kind).toBe('offset');
    expect(at(40.9, 51.5, 62.3).kind).toBe('offset');
  });

  it('refuses what is no number', () => {
    expect(() => judgeThreePoints({ low: Number.NaN, middle: 0, high: 0 })).toThrow(RangeError);
  });
});
