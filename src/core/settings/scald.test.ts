import { describe, expect, it } from 'vitest';
import { adultBurnSeconds } from './scald';

describe('time to a burn', () => {
  // US CPSC publication 5098, from memory.
  it.each([
    [48.9, 300],
    [54.45, 30],
    [60, 5],
    [65.6, 2],
  ])('at %d °C is about %d s', (celsius, seconds) => {
    const burn = adultBurnSeconds(celsius)!;
    expect(burn / seconds).toBeGreaterThan(0.9);
    expect(burn / seconds).toBeLessThan(1.1);
  });

  it('gets shorter as the water gets hotter, and has no figure where water is only warm', () => {
    expect(adultBurnSeconds(45)).toBeUndefined();
    expect(adultBurnSeconds(52)!).toBeGreaterThan(adultBurnSeconds(56)!);
  });
});
