import { describe, expect, it } from 'vitest';
import { lamp, look, ohms } from '../../../tests/lamp';
import { compileFamily, expectBands, updateBelief } from '.';
import type { Evidence } from '.';

const family = compileFamily(lamp);

describe('what each suspect would read', () => {
  const bands = (...evidence: Evidence[]) =>
    expectBands(family, updateBelief(family, evidence), { key: 'ohms' });

  it('is its own stretch of the scale, as likely as the suspect is', () => {
    const found = bands();
    const of = (repair: string) => found.filter((each) => each.repair === repair);
    expect(of('replace-lamp')).toHaveLength(1);
    expect(of('replace-lamp')[0]!.reads.kind).toBe('over-range');
    expect(of('replace-lamp')[0]!.probability).toBeCloseTo(0.3, 3);
    const [good] = of('none');
    expect(good!.probability).toBeCloseTo(0.6, 3);
    expect(good!.reads).toMatchObject({ kind: 'range' });
    if (good!.reads.kind !== 'range') return;
    // 40 Ω and 5 % to either side, with the meter's own 2 %.
    expect(good!.reads.centre).toBeCloseTo(40, 0);
    expect(good!.reads.from).toBeGreaterThan(35);
    expect(good!.reads.from).toBeLessThan(38);
    expect(good!.reads.to).toBeGreaterThan(42);
    expect(good!.reads.to).toBeLessThan(45);
  });

  it('narrows with what another reading has told of the same part', () => {
    const width = (found: ReturnType<typeof bands>) => {
      const { reads } = found.find((each) => each.repair === 'none')!;
      return reads.kind === 'range' ? reads.to - reads.from : NaN;
    };
    expect(width(bands(ohms('1', 42), ohms('2', 42.1)))).toBeLessThan(0.8 * width(bands()));
  });

  it('ends where the meter does, however far a straight line draws it out', () => {
    const narrow = compileFamily({
      ...lamp,
      predictor: (observable) => {
        const predict = lamp.predictor(observable);
        return (index) => {
          const found = predict(index);
          return found.kind === 'outcomes'
            ? found
            : { ...found, meter: { ...found.meter, most: 41, overRangeAbove: undefined } };
        };
      },
    });
    const ranges = expectBands(narrow, updateBelief(narrow, []), { key: 'ohms' }).flatMap(
      ({ reads }) => (reads.kind === 'range' ? [reads] : []),
    );
    expect(ranges.length).toBeGreaterThan(0);
    for (const { from, to } of ranges) {
      expect(from).toBeLessThanOrEqual(to);
      expect(to).toBeLessThanOrEqual(41);
    }
  });

  it('leaves out what has next to no chance', () => {
    const found = bands(ohms('1', 'over-range'), look('2', 'dark'));
    expect(found.every((each) => each.probability > 0.002)).toBe(true);
    expect(found[0]!.repair).toBe('replace-lamp');
  });
});
