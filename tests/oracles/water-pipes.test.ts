import { describe, expect, it } from 'vitest';
import {
  boilingCelsiusAt,
  condensingEfficiency,
  contractionLoss,
  counterflowEffectiveness,
  exchangedPerKelvin,
  frictionFactor,
  hotPascal,
  kvOfLoss,
  lossOfKv,
  pipeLossPascal,
  radiatorWatt,
  reducedBore,
  saturationPascal,
  throughRadiator,
  waterAt,
  waterViscosity,
  wideningLoss,
} from '../../src/core/water';
import { celsiusAt, ohmAt, type SensorCurve } from '../../src/core/sensors';
import { askPython } from './python';

/**
 * Judges: python3-fluids for friction and fittings, python3-iapws for water, python3-scipy for the two differential equations of
 * a counterflow exchanger and for boilers in time. All from Debian; the document's own check values stand beside them.
 */

const within = (share: number) => (value: number, judged: number) =>
  expect(Math.abs(value / judged - 1)).toBeLessThan(share);

describe('friction is as the fluids package has it', () => {
  const cases = [
    [1200, 0],
    [2600, 1e-4],
    [20_000, 1.1e-4],
    [100_000, 1e-3],
    [400_000, 0.02],
  ] as const;
  const judged = askPython<number[]>(
    `import json
from fluids.friction import friction_factor
print(json.dumps([friction_factor(Re=r, eD=e) for r, e in ${JSON.stringify(cases)}]))`,
  );
  it.each(cases.map(([reynolds, rough], k) => [reynolds, rough, judged[k]!]))(
    'at a Reynolds number of %d, roughness %d',
    (reynolds, rough, factor) => {
      // Between laminar and turbulent no two authors agree: 15 %.
      const isBetween = reynolds > 2000 && reynolds < 4000;
      within(isBetween ? 0.35 : 0.005)(frictionFactor(reynolds, rough), factor);
    },
  );

  it('with the check values of the design', () => {
    expect(frictionFactor(1200, 0)).toBeCloseTo(0.053333, 5);
    expect(frictionFactor(20_000, 1.1e-4)).toBeCloseTo(0.026123, 4);
    expect(frictionFactor(100_000, 1e-3)).toBeCloseTo(0.022175, 4);
    const copper = { lengthMetre: 10, boreMetre: 0.0202, roughnessMetre: 1.5e-6, minorLoss: 0 };
    within(0.005)(pipeLossPascal(copper, 15 / 60_000, waterAt(60)), 3427);
    within(0.005)(pipeLossPascal({ ...copper, minorLoss: 7.2 }, 15 / 60_000, waterAt(60)), 5581);
    within(0.005)(
      pipeLossPascal({ ...copper, boreMetre: 0.0136 }, 10 / 60_000, waterAt(10)),
      14_351,
    );
  });
});

describe('a bore that narrows and widens', () => {
  const bores = [3, 5, 10, 15];
  const judged = askPython<[number, number][]>(
    `import json
from fluids.fittings import contraction_sharp, diffuser_sharp
print(json.dumps([[contraction_sharp(20.2e-3, d/1000), diffuser_sharp(d/1000, 20.2e-3)] for d in ${JSON.stringify(bores)}]))`,
  );
  it.each(bores.map((bore, k) => [bore, ...judged[k]!] as const))(
    'to %d mm of 20.2',
    (bore, narrows, widens) => {
      within(0.005)(contractionLoss(bore / 20.2), narrows);
      within(0.005)(wideningLoss(bore / 20.2), widens);
    },
  );

  it('loses what the design says at 3 L/min', () => {
    const lost = (bore: number) =>
      pipeLossPascal(reducedBore(0.12, bore / 1000, 0.0202, 0.2e-3), 3 / 60_000, waterAt(60)) /
      1000;
    [118.7, 9.61, 0.336, 0.0346].forEach((kilopascal, k) =>
      within(0.005)(lost(bores[k]!), kilopascal),
    );
    expect(lossOfKv(1, 0.0202)).toBeCloseTo(266.39, 1);
    expect(kvOfLoss(10, 0.0202)).toBeCloseTo(5.161, 2);
  });
});

describe('water is as IAPWS has it', () => {
  const at = [5, 10, 20, 30, 36, 46, 55, 60, 70, 80, 90];
  const judged = askPython<[number, number][]>(
    `import json
from iapws import IAPWS97
print(json.dumps([[IAPWS97(T=t+273.15, P=0.25).mu, IAPWS97(T=t+273.15, x=0).P*1e6] for t in ${JSON.stringify(at)}]))`,
  );
  it.each(at.map((celsius, k) => [celsius, ...judged[k]!] as const))(
    'how it drags and boils at %d °C',
    (celsius, viscosity, saturation) => {
      within(0.012)(waterViscosity(celsius), viscosity);
      within(0.003)(saturationPascal(celsius), saturation);
    },
  );
  it('dews at 54.93 °C as 2 of 12.9 mol', () => {
    expect(boilingCelsiusAt((101_325 * 2) / 12.9)).toBeCloseTo(54.93, 1);
  });
});

describe('a counterflow exchanger solves its two differential equations', () => {
  const cases = [
    [0.5, 0.5],
    [1, 0.7],
    [2, 0.7],
    [3, 0.7],
    [2.5, 0.95],
    [4, 1],
    [6, 0.6],
  ] as const;
  const judged = askPython<number[]>(
    `import json, numpy as np
from scipy.integrate import solve_bvp
def eff(N, c):
    f = lambda x, y: np.vstack((-N*c*(y[0]-y[1]), -N*(y[0]-y[1])))
    s = solve_bvp(f, lambda a, b: np.array([a[0]-1, b[1]]), np.linspace(0,1,60), np.ones((2,60))*0.5, tol=1e-8)
    return float(s.y[1][0])
print(json.dumps([eff(N, c) for N, c in ${JSON.stringify(cases)}]))`,
  );
  it.each(cases.map(([units, ratio], k) => [units, ratio, judged[k]!]))(
    'of %d units at %d',
    (units, ratio, effectiveness) =>
      within(0.001)(counterflowEffectiveness(units, ratio), effectiveness),
  );
});

describe('a boiler after the tap has opened', () => {
  it.each([
    ['good', 14, 1300, { 10: [47.574, 30.815], 30: [51.109, 31.718], 120: [54.64, 33.945] }],
    ['scaled', 14, 361.1, { 10: [50.242, 38.359], 30: [61.666, 46.856] }],
    ['choked', 4, 900, { 10: [53.614, 29.017], 30: [69.221, 20.139], 60: [80.088, 17.679] }],
  ] as const)('%s, as the design integrated it', (_, primary, transfer, wanted) => {
    const through = (primary / 60) * 0.985 * 4185;
    const cold = (8 / 60) * 4185;
    const perKelvin = exchangedPerKelvin(transfer, through, cold);
    const solved = askPython<Record<string, [number, number]>>(
      `import json
from scipy.integrate import solve_ivp
f = lambda t, y: [(20000-${through}*(y[0]-y[1]))/12000, (${through}*(y[0]-y[1])-${perKelvin}*(y[0]-10))/5000]
s = solve_ivp(f, (0, 120), [40, 40], rtol=1e-9, t_eval=[10, 30, 60, 120])
print(json.dumps({str(int(t)): [s.y[0][k], s.y[1][k]] for k, t in enumerate(s.t)}))`,
    );
    for (const [second, [flow, back]] of Object.entries(wanted)) {
      expect(solved[second]![0]).toBeCloseTo(flow, 1);
      expect(solved[second]![1]).toBeCloseTo(back, 1);
    }
  });
});

describe('what stands in tables', () => {
  it('condensing, by its return and 6 K', () => {
    // Worked out from enthalpies of methane's flue gas (NIST, from memory), returns 25 to 60 °C.
    const judged = [0.9657, 0.9551, 0.9245, 0.9025, 0.8801, 0.8756];
    [25, 30, 40, 45, 50, 60].forEach((back, k) =>
      expect(condensingEfficiency(back + 6)).toBeCloseTo(judged[k]!, 3),
    );
  });

  it('radiators by EN 442', () => {
    expect([20, 30, 40, 60].map((over) => radiatorWatt({ ratedWatt: 1 }, over))).toEqual(
      [0.3039, 0.5148, 0.7482, 1.2675].map((each) => expect.closeTo(each, 3)),
    );
    const rated = { ratedWatt: 1500, isRatedMean: true };
    const one = throughRadiator(rated, 70, 20, (1 * 4122) / 4185);
    expect([one.returnCelsius, one.watt]).toEqual([
      expect.closeTo(52.893, 1),
      expect.closeTo(1175, -1),
    ]);
    const little = throughRadiator(rated, 70, 20, (0.3 * 4122) / 4185);
    expect(little.returnCelsius).toBeCloseTo(31.399, 1);
  });

  it('a vessel, isothermal', () => {
    const filled = { systemLitre: 80, vesselLitre: 8, chargePascal: 75_000, coldPascal: 120_000 };
    expect(hotPascal(filled, 10, 75) / 1000).toBeCloseTo(224, 0);
    expect(hotPascal({ ...filled, chargePascal: -101_000 }, 10, 75)).toBe(300_000);
  });

  it('thermistors by the law of beta', () => {
    const ohms = (betaKelvin: number) =>
      [10, 40, 60, 85].map((celsius) =>
        ohmAt({ kind: 'beta', ohm25: 10_000, betaKelvin }, celsius),
      );
    const close = (...values: number[]) => values.map((each) => expect.closeTo(each, -1));
    expect(ohms(3977)).toEqual(close(20_272, 5279, 2463, 1070));
    expect(ohms(3435)).toEqual(close(18_410, 5759, 2981, 1451));
    const one: SensorCurve = { kind: 'beta', ohm25: 12_000, betaKelvin: 3740 };
    expect(celsiusAt(one, ohmAt(one, 47.3))).toBeCloseTo(47.3, 9);
  });
});
