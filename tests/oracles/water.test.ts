import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { heatingMinutes, heatUp } from '../../src/core/thermal/heating-time';
import { waterDensity, waterSpecificHeat } from '../../src/core/thermal/water';

/** Judge: python3-iapws (Debian), the IAPWS Industrial Formulation 1997. */
const temperatures = [1, 5, 10, 15, 20, 30, 40, 50, 60, 70, 80, 90];
const judged = JSON.parse(
  execFileSync(
    '/usr/bin/python3',
    [
      '-c',
      `import json
from iapws import IAPWS97
print(json.dumps([[w.rho, w.cp * 1000] for w in (IAPWS97(T=t + 273.15, P=0.3) for t in ${JSON.stringify(temperatures)})]))`,
    ],
    { encoding: 'utf8' },
  ),
) as [number, number][];

describe('water is as IAPWS-IF97 has it', () => {
  it.each(temperatures.map((t, k) => [t, ...judged[k]!] as const))(
    'at %d °C',
    (celsius, density, specificHeat) => {
      expect(Math.abs(waterDensity(celsius) / density - 1)).toBeLessThan(0.0005);
      expect(Math.abs(waterSpecificHeat(celsius) / specificHeat - 1)).toBeLessThan(0.001);
    },
  );

  it('outside its range is refused', () => {
    expect(() => waterDensity(120)).toThrow(RangeError);
  });
});

describe('heating up', () => {
  it('takes one kilowatt-hour per 3412 BTU', () => {
    // Plate arithmetic, common practice: 4500 W, 90 °F rise, 8.25 lb/gal and 1 BTU/(lb·°F) is 20.7 gal/h.
    const gallons = 20.7;
    const minutes = heatingMinutes({
      litre: gallons * 3.785411784,
      fromCelsius: (58 - 32) / 1.8,
      toCelsius: (148 - 32) / 1.8,
      watt: 4500,
    });
    // The pound of the trade is 8.25 to a gallon where water at 58 °F has 8.34: one percent.
    expect(minutes).toBeGreaterThan(59);
    expect(minutes).toBeLessThan(61.5);
  });

  it('hands over after about 35 minutes and shuts off after about 1¾ hours, on 189 L and 4500 W', () => {
    // Common practice.
    const times = heatUp({ volumeLitre: 189, watts: [4500, 4500] }, 15, 50);
    expect(times.changeoverMinutes).toBeGreaterThan(30);
    expect(times.changeoverMinutes).toBeLessThan(38);
    expect(times.shutOffMinutes).toBeGreaterThan(95);
    expect(times.shutOffMinutes).toBeLessThan(112);
  });
});
