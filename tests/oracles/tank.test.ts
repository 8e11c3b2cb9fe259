import { describe, expect, it } from 'vitest';
import { runTank, type TankDesign } from '../../src/core/thermal/tank';
import { celsiusOfEnthalpy, waterDensity, waterEnthalpy } from '../../src/core/thermal/water';
import { integrate } from './integrate';

/** Judge: odex (registry), Hairer's extrapolation method for ordinary differential equations, on balances written out here. */

const design: TankDesign = {
  volumeLitre: 150,
  heaters: [{ height: 0 }],
  thermostats: [],
  lossWattPerKelvin: 2.4,
  inlet: 'bottom',
};
const kilogram = 0.15 * waterDensity(35);

describe('a tank heated from its bottom is one body of water', () => {
  it.each([
    [11_700 * 0.76, 15],
    [1500, 40],
    [0, 70],
  ])('with %d W from %d °C', (watt, startCelsius) => {
    const hours = 1.5;
    const { endCelsius } = runTank(design, {
      seconds: hours * 3600,
      startCelsius,
      coldCelsius: 10,
      roomCelsius: 18,
      draws: [],
      power: () => [watt],
    });
    const solved = integrate(
      (heat) => (watt - 2.4 * (celsiusOfEnthalpy(heat) - 18)) / kilogram,
      waterEnthalpy(startCelsius),
      hours * 3600,
    );
    expect(endCelsius.at(-1)).toBeCloseTo(celsiusOfEnthalpy(solved), 1);
  });
});

it('a tank stirred from end to end runs down as it is drawn', () => {
  // Two parts by hand: without a dip tube, a plume that stirs 65 % of it, and 18 % that leaves at once (the model's own).
  const stirred = 0.65 * kilogram;
  const perSecond = (8 / 60_000) * waterDensity(45);
  const { samples } = runTank(
    { ...design, inlet: 'top', lossWattPerKelvin: 0 },
    {
      seconds: 240,
      startCelsius: 55,
      coldCelsius: 10,
      roomCelsius: 18,
      draws: [{ atSecond: 0, durationSecond: 240, litrePerMinute: 8 }],
      power: () => [0],
      probes: [0.9],
    },
  );
  const nears = (body: number) => (celsius: number) => (0.82 * perSecond * (10 - celsius)) / body;
  const solved = integrate(nears(stirred), 55, 240);
  // What is stirred grows colder than what lies below, which rises into it: the tank as a whole is the other end.
  const whole = integrate(nears(kilogram), 55, 240);
  expect(samples.at(-1)!.probeCelsius[0]).toBeGreaterThan(solved - 0.3);
  expect(samples.at(-1)!.probeCelsius[0]).toBeLessThan(whole + 0.3);
});
