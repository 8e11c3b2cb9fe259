import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import { diagnoseJob, expectCheck } from '.';

describe('what a check should read', () => {
  it('follows the plate', () => {
    const good = (watt: number) =>
      expectCheck(diagnoseJob(emptyJob({}, watt)), 'upper-element-ohms').good;
    expect(good(4500)).toMatchObject({ kind: 'range', nominal: expect.closeTo(12.8, 1) as number });
    expect(good(5500)).toMatchObject({
      kind: 'range',
      nominal: expect.closeTo(10.47, 1) as number,
    });
  });

  it('covers what an element may be by its standard: 5 % more power to 10 % less', () => {
    // IEC 60335-1 clause 10, from memory: ohms −5 % to +11 %; here with the tolerance of meter and leads.
    const { good } = expectCheck(diagnoseJob(emptyJob()), 'upper-element-ohms');
    expect(good.kind === 'range' && good.from).toBeLessThan(12.8 * 0.97);
    expect(good.kind === 'range' && good.to).toBeGreaterThan(12.8 * 1.1);
    expect(good.kind === 'range' && good.to).toBeLessThan(12.8 * 1.2);
  });

  it('to the tank is over range', () => {
    const { good } = expectCheck(diagnoseJob(emptyJob()), 'upper-element-a-to-tank-ohms');
    expect(good).toEqual({ kind: 'over-range' });
  });
});
