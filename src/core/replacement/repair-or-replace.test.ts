import { describe, expect, it } from 'vitest';
import { repairOrReplace, tankDies, type RepairOrReplaceInput } from '.';

const input: RepairOrReplaceInput = {
  burnsGas: false,
  ageYears: 6,
  tankLeaks: false,
  repair: { id: 'replace-element', minutes: 60, partPrice: 25 },
  alsoDue: [{ title: 'Flush the tank', minutes: 40 }],
  failures: [
    { words: 'element', weight: 3, minutes: 60, partPrice: 25 },
    { words: 'thermostat', weight: 1, minutes: 30, partPrice: 20 },
  ],
  prices: { hour: 60, heater: 1200 },
};

describe('repair or replace', () => {
  it('has a tank die by a Weibull distribution: half by its usual life', () => {
    expect(tankDies(0, 12, 12)).toBeCloseTo(0.5, 6);
    // Its hazard grows with age.
    expect(tankDies(12, 12, 2)).toBeGreaterThan(tankDies(6, 12, 2));
    expect(tankDies(6, 12, 0)).toBe(0);
  });

  it('adds up: work by the hour, part, what is due', () => {
    const found = repairOrReplace(input);
    expect(found.repairNow).toBe(85);
    expect(found.alsoDue).toBe(40);
    const mean = (3 * 85 + 1 * 50) / 4;
    expect(found.expectedFailures).toBeCloseTo(
      (1 - found.tankDies) * found.expectedFailureCount * mean,
      6,
    );
    expect(found.keep).toBeCloseTo(85 + 40 + found.expectedFailures + found.tankDies * 1200, 6);
    expect(found.replace).toBe(200);
    expect(found.nextFailures[0]).toEqual({ words: 'element', share: 0.75 });
  });

  it("goes by the firm's price of a part, and says what is old and what must go", () => {
    const own = repairOrReplace({
      ...input,
      prices: { ...input.prices, parts: { 'replace-element': 100 } },
    });
    expect(own.repairNow).toBe(160);
    expect(repairOrReplace({ ...input, ageYears: 10 }).isOld).toBe(true);
    expect(repairOrReplace({ ...input, tankLeaks: true })).toMatchObject({
      mustReplace: true,
      tankDies: 1,
    });
    expect(repairOrReplace({ ...input, ageYears: undefined }).ageYears).toBeUndefined();
  });
});
