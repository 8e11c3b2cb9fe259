import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import {
  airFree,
  carbonDioxideOf,
  carbonMonoxideRatio,
  condensateLitrePerKilowattHour,
  condensedShare,
  dewPointCelsius,
  excessAirShown,
  excessAirTrue,
  flueLossPercent,
  fuels,
  gradeAnalysis,
  burnerProblem,
  findingOf,
  type BurnerLook,
  isPastStop,
  outcomeOf,
  oxygenOf,
  patternOf,
  saturationPascal,
  workOut,
  type Analysis,
} from '.';

const gas = fuels['natural-gas'];
const { lpg, oil } = fuels;

/** By the reaction, with dry air of 20.95 % oxygen, worked out by another program for the design. */
describe('excess air', () => {
  it.each([
    [gas, 3, 10.03, 15.0, 16.8],
    [gas, 5, 8.91, 28.1, 31.4],
    [gas, 9, 6.67, 67.4, 75.6],
    [lpg, 3, 11.76, 15.3, 16.8],
    [lpg, 5, 10.45, 28.7, 31.4],
    [lpg, 9, 7.83, 69.0, 75.6],
    [oil, 4, 12.41, 22.0, 23.7],
    [oil, 6, 10.95, 37.5, 40.3],
  ] as const)('of %s at %d %% oxygen', (fuel, oxygen, carbonDioxide, truly, shown) => {
    expect(carbonDioxideOf(fuel, oxygen)).toBeCloseTo(carbonDioxide, 1);
    expect(100 * excessAirTrue(fuel, oxygen)).toBeCloseTo(truly, 0);
    expect(100 * excessAirShown(oxygen)).toBeCloseTo(shown, 1);
    expect(oxygenOf(fuel, carbonDioxideOf(fuel, oxygen))).toBeCloseTo(oxygen, 9);
  });

  it('balances atom by atom', () => {
    // CH4 + 2λ O2: oxygen that is left over, by hand.
    const lambda = 1 + excessAirTrue(gas, 5);
    const nitrogen = 2 * lambda * (79.05 / 20.95);
    const left = 2 * (lambda - 1);
    expect((100 * left) / (left + nitrogen + 1)).toBeCloseTo(5, 3);
  });

  it('is refused where there is no flue gas', () => {
    for (const oxygen of [-1, 20.9, 25, Number.NaN]) {
      expect(() => excessAirShown(oxygen)).toThrow(RangeError);
      expect(() => carbonDioxideOf(gas, oxygen)).toThrow(RangeError);
    }
    expect(() => oxygenOf(gas, 12.5)).toThrow(RangeError);
    expect(() => oxygenOf(gas, 0)).toThrow(RangeError);
  });
});

describe('dew point and what condenses', () => {
  /** By cantera 3.2.0 (gri30 and its water), in the design. */
  it.each([
    [gas, 3, 56.5],
    [gas, 4, 55.5],
    [gas, 5, 54.5],
    [gas, 9, 49.4],
    [lpg, 3, 52.2],
    [lpg, 5, 50.1],
    [oil, 4, 46.7],
  ] as const)('dew point of %s at %d %%', (fuel, oxygen, celsius) => {
    expect(Math.abs(dewPointCelsius(fuel, oxygen) - celsius)).toBeLessThan(0.6);
  });

  it.each([
    [30, 0.76, 97.2, 107.8],
    [40, 0.57, 94.8, 105.2],
    [50, 0.25, 91.2, 101.2],
    [55, 0, 88.6, 98.3],
  ])('methane at 4.5 %% and %d °C', (flueCelsius, share, gross, net) => {
    expect(Math.abs(condensedShare(gas, 4.5, flueCelsius) - share)).toBeLessThan(0.02);
    const result = workOut(gas, {
      oxygenPercent: 4.5,
      carbonMonoxidePpm: 20,
      flueCelsius,
      airCelsius: 20,
      returnCelsius: 30,
    });
    expect(Math.abs(result.netPercent - net)).toBeLessThan(0.4);
    expect(Math.abs(result.grossPercent - gross)).toBeLessThan(0.4);
  });

  it('takes steam as IAPWS-IF97 has it', () => {
    const celsius = [20, 35, 50, 60];
    const judged = JSON.parse(
      execFileSync(
        '/usr/bin/python3',
        [
          '-c',
          `import json
from iapws import IAPWS97
print(json.dumps([IAPWS97(T=t + 273.15, x=1).P * 1e6 for t in ${JSON.stringify(celsius)}]))`,
        ],
        { encoding: 'utf8' },
      ),
    ) as number[];
    celsius.forEach((each, k) => {
      expect(Math.abs(saturationPascal(each) / judged[k]! - 1)).toBeLessThan(0.006);
    });
  });

  it('leaves about 0.08 L a kilowatt-hour at 40 °C', () => {
    expect(condensateLitrePerKilowattHour(gas, condensedShare(gas, 4.5, 40))).toBeCloseTo(0.08, 2);
  });

  it('says nothing of condensing where nobody read the return, or it is too warm', () => {
    const hot: Analysis = {
      oxygenPercent: 4.5,
      carbonMonoxidePpm: 20,
      flueCelsius: 45,
      airCelsius: 20,
    };
    expect(workOut(gas, hot).condensedShare).toBe(0);
    expect(workOut(gas, { ...hot, returnCelsius: 53 }).condensedShare).toBe(0);
    expect(workOut(gas, { ...hot, returnCelsius: 40 }).condensedShare).toBeGreaterThan(0.3);
  });

  it('never gives more than the fuel has', () => {
    for (const fuel of Object.values(fuels)) {
      for (let flueCelsius = 5; flueCelsius < 60; flueCelsius += 5) {
        const { netPercent, grossPercent } = workOut(fuel, {
          oxygenPercent: 1,
          carbonMonoxidePpm: 5,
          flueCelsius,
          airCelsius: 30,
          returnCelsius: 5,
        });
        expect(grossPercent).toBeLessThanOrEqual(100);
        expect(netPercent).toBeLessThanOrEqual(100 * fuel.grossByNet + 1e-9);
      }
    }
  });
});

/** 1. BImSchV (from memory): Siegert; and the design’s enthalpies by cantera, which it stays near. */
describe('flue loss', () => {
  it.each([
    [gas, 3, 180, 20, 7.31, 7.4],
    [gas, 5, 60, 20, 2.01, 2.01],
    [gas, 9, 200, 20, 11.52, 11.65],
    [gas, 4.5, 75, 20, 2.7, 2.7],
    [lpg, 3, 180, 20, 6.88, 7.17],
    [lpg, 5, 60, 20, 1.9, 1.95],
  ] as const)('of %s at %d %%, %d and %d °C', (fuel, oxygen, flue, air, siegert, enthalpy) => {
    const loss = flueLossPercent(fuel, oxygen, flue, air);
    expect(Math.abs(loss - siegert)).toBeLessThan(0.03);
    expect(Math.abs(loss / enthalpy - 1)).toBeLessThan(0.05);
  });
});

describe('carbon monoxide', () => {
  it.each([
    [50, 9, 87.8],
    [100, 5, 131.4],
    [30, 4.5, 38.2],
  ])('%d ppm at %d %% without air', (ppm, oxygen, free) => {
    // ANSI Z21 practice.
    expect(airFree(ppm, oxygen)).toBeCloseTo(free, 1);
  });

  it.each([
    [100, 0.0011],
    [360, 0.004],
  ])('%d ppm by 9 %%', (ppm, ratio) => {
    expect(carbonMonoxideRatio(ppm, 9)).toBeCloseTo(ratio, 4);
  });
});

describe('limits and patterns', () => {
  const premix = (
    oxygenPercent: number,
    carbonMonoxidePpm: number,
    more: Partial<Analysis> = {},
  ) => {
    const analysis = { oxygenPercent, carbonMonoxidePpm, flueCelsius: 55, airCelsius: 20, ...more };
    const result = workOut(gas, analysis);
    return { analysis, result, outcome: outcomeOf('premix-condensing', result, analysis) };
  };

  it('tells an analysis by the first thing that is wrong with it', () => {
    expect(premix(4.7, 40).outcome).toBe('right');
    expect(premix(7.4, 40).outcome).toBe('lean');
    expect(premix(3.1, 40).outcome).toBe('rich');
    expect(premix(3.1, 500).outcome).toBe('co-high');
    expect(premix(20.5, 0).outcome).toBe('no-flame');
    expect(premix(4.7, 40, { flueCelsius: 98, returnCelsius: 45 }).outcome).toBe('flue-hot');
    expect(premix(4.7, 40, { flueCelsius: 70, returnCelsius: 60 }).outcome).toBe('right');
  });

  it('stops where somebody may be hurt, and nowhere else', () => {
    const stops = (oxygen: number, ppm: number, ambient: number) =>
      gradeAnalysis('premix-condensing', premix(oxygen, ppm).result, {
        flueCelsius: 55,
        ambientCarbonMonoxidePpm: ambient,
      })
        .filter(({ grade }) => grade === 'stop')
        .map(({ figure }) => figure);
    expect(stops(4.7, 60, 0)).toEqual([]);
    expect(stops(2.4, 60, 0)).toEqual(['oxygen']);
    expect(stops(4.7, 330, 0)).toEqual(['air-free']);
    expect(stops(4.7, 60, 10)).toEqual(['ambient']);
    expect(stops(4.7, 60, 9)).toEqual([]);
  });

  it('stops on however little was entered, by the fuel that burns', () => {
    const lpg = fuels.lpg;
    const past = (fuel: typeof gas, read: Partial<Analysis>) =>
      isPastStop('premix-condensing', fuel, read);
    // 12.5 % is more than natural gas can give, and right for LPG.
    expect(past(lpg, { carbonDioxidePercent: 12.5, carbonMonoxidePpm: 40 })).toBe(true);
    expect(past(lpg, { carbonDioxidePercent: 11.2, carbonMonoxidePpm: 40 })).toBe(false);
    expect(past(lpg, { carbonDioxidePercent: 11.2, carbonMonoxidePpm: 390 })).toBe(true);
    expect(past(gas, { carbonDioxidePercent: 12.5, carbonMonoxidePpm: 390 })).toBe(false);
    expect(past(gas, { carbonDioxidePercent: 12.5, carbonMonoxidePpm: 401 })).toBe(true);
    // Carbon monoxide by itself, without temperatures, with oxygen that is only air.
    expect(past(gas, { carbonMonoxidePpm: 401 })).toBe(true);
    expect(past(gas, { carbonMonoxidePpm: 400 })).toBe(false);
    expect(past(gas, { oxygenPercent: 15, carbonMonoxidePpm: 150 })).toBe(true);
    expect(past(gas, { oxygenPercent: 20.9, carbonMonoxidePpm: 401 })).toBe(true);
    expect(past(gas, { oxygenPercent: Infinity, carbonMonoxidePpm: Infinity })).toBe(true);
    expect(past(gas, { oxygenPercent: 2.4 })).toBe(true);
    expect(past(gas, { ambientCarbonMonoxidePpm: 10 })).toBe(true);
    expect(past(gas, {})).toBe(false);
  });

  it('names a crack where the flame is cold and thin', () => {
    const { result } = premix(7.6, 420);
    const pattern = patternOf('premix-condensing', result, { isFlueHot: false });
    expect(pattern?.suspects[0]!.words).toMatch(/burner cracked/);
    expect(patternOf('premix-condensing', premix(4.7, 40).result, { isFlueHot: false })).toBe(
      undefined,
    );
  });

  it('says which of oxygen and carbon dioxide was worked out', () => {
    expect(premix(4.7, 40).result.computed).toBe('carbon-dioxide');
    const both = workOut(gas, {
      oxygenPercent: 4.7,
      carbonDioxidePercent: 9,
      carbonMonoxidePpm: 1,
      flueCelsius: 60,
      airCelsius: 20,
    });
    expect(both.computed).toBeUndefined();
    expect(both.carbonDioxidePercent).toBe(9);
    expect(() => workOut(gas, { carbonMonoxidePpm: 1, flueCelsius: 60, airCelsius: 20 })).toThrow(
      RangeError,
    );
  });
});

/** Common practice: the worst burner counts for the set. */
describe('burners that are out', () => {
  const look = (burner: number, more: Partial<BurnerLook> = {}): BurnerLook => ({
    burner,
    ports: 'open',
    crack: 'none',
    rust: 'none',
    ...more,
  });
  it('come to the worst of them', () => {
    expect(findingOf([look(1), look(2)])).toBe('sound');
    expect(findingOf([look(1, { gasket: 'reused', isLoose: true })])).toBe('sound');
    expect(findingOf([look(1), look(2, { ports: 'some-closed' })])).toBe('dirty');
    expect(findingOf([look(1, { rust: 'surface' }), look(2, { crack: 'hairline' })])).toBe(
      'cracked-or-closed',
    );
    expect(findingOf([look(1, { ports: 'grown-together' })])).toBe('cracked-or-closed');
    expect(findingOf([look(1, { rust: 'through' })])).toBe('cracked-or-closed');
  });
  it('are no sheet with one burner twice, or with another finding', () => {
    expect(burnerProblem([look(1), look(1)], 'sound')).toMatch(/two rows/);
    expect(burnerProblem([look(1, { crack: 'open' })], 'sound')).toMatch(/cracked-or-closed/);
    expect(burnerProblem([look(1), look(2)], 'sound')).toBeUndefined();
  });
});
