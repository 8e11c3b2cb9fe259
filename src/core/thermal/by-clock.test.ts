import { describe, expect, it } from 'vitest';
import { flowByClock, gasRateByClock, grossWatt, riseByClock } from './by-clock';

describe('measured by the clock', () => {
  it('a bucket of 5 L in 40 s is 7.5 L/min, to about a fifth of a litre', () => {
    const { value, spread } = flowByClock(5, 40);
    expect(value).toBe(7.5);
    expect(spread).toBeGreaterThan(0.1);
    expect(spread).toBeLessThan(0.3);
    // A jug of a litre in eight seconds is the same flow, and known far worse.
    expect(flowByClock(1, 8).spread).toBeGreaterThan(3 * spread);
  });

  it('3600 over the seconds of a cubic foot is the rate in cubic feet an hour', () => {
    // Metering arithmetic: 93 s a cubic foot is 38.7 ft³/h, 39,900 BTU/h at 1030 BTU/ft³.
    const foot = 0.028316846592;
    const { value } = gasRateByClock(foot, 1, 93);
    expect(value / foot).toBeCloseTo(3600 / 93, 9);
    const joule = (1030 * 1055.06) / foot;
    expect((grossWatt(value, joule) / 1055.06) * 3600).toBeCloseTo(39_871, -1);
  });

  it('gives kilowatts of cubic metres by 39.5 MJ over 3.6', () => {
    // kW gross = m³/h × MJ/m³ ÷ 3.6.
    expect(grossWatt(1, 39.5e6) / 1000).toBeCloseTo(39.5 / 3.6, 9);
  });

  it('a rise of 3.4 K in ten minutes is 0.34 K a minute', () => {
    const { value, spread } = riseByClock(20, 23.4, 600);
    expect(value).toBeCloseTo(0.34, 9);
    expect(spread).toBeCloseTo(0.042, 2);
  });

  it('of no time or nothing measured is refused', () => {
    expect(() => flowByClock(5, 0)).toThrow(RangeError);
    expect(() => gasRateByClock(0.01, 0, 30)).toThrow(RangeError);
    expect(() => riseByClock(20, 30, -1)).toThrow(RangeError);
  });
});
