import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { featuresOf, runTap } from '../../water';
import { changed } from '../kit/change';
import { ends, goodElements, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { run, type CombiUnit } from './model';
import namesFile from './names.json' with { type: 'json' };
import { plateOf } from './plate';
import { combiBoiler as family } from '.';

const plate = plateOf(sampleUnit(family, { input: '26500' }));
const states = Object.fromEntries(
  Object.entries(
    namesFile.checks as Record<string, { state?: { controls?: Record<string, string> } }>,
  ).map(([id, { state }]) => [id, state?.controls ?? {}]),
);
const unitOf = (check: string, changes: Partial<Elements> = {}): CombiUnit => ({
  plate,
  elements: { ...goodElements(plate), ...changes },
  standing: { share: 1, limit: 'cuts' },
  state: { controls: states[check] ?? {}, apart: [], done: [], known: {} },
});
const read = (check: string, signal: string, changes?: Partial<Elements>) =>
  run(unitOf(check, changes))[signal]!;

/** 5 to 95 % of good boilers of 26.5 kW gross at 12 ± 4 °C cold, as the design's own study has them. Common practice. */
describe('a good boiler reads as good ones do', () => {
  it.each([
    ['display-flow-temperature-peak', 'flow.peak', 54.3, 63.1],
    ['tap-flow', 'tap.flow', 6.7, 9.8],
    ['display-tap-flow', 'shown.flow', 6.6, 9.8],
    ['tap-temperature', 'tap.celsius', 42.3, 51.4],
    ['tap-test-low-difference', 'tap.difference', -1.6, 1.6],
    ['tap-test-middle-difference', 'tap.difference', -1.6, 1.6],
    ['tap-test-high-difference', 'tap.difference', -2.2, 1.6],
    ['flow-return-difference-tap', 'tap.flow-return', 17.4, 25.6],
    ['flow-return-difference-heating', 'heating.flow-return', 11.1, 16.1],
    ['display-flow-temperature-heating', 'heating.shown', 56.5, 69.3],
    ['radiator-mean-temperature', 'radiators.celsius', 51, 61.2],
    ['heating-pipe-temperature-with-tap', 'tap.heating-pipe', 20, 24],
    ['pressure-gauge', 'gauge.pascal', 95_200, 157_000],
    ['pressure-hot', 'hot.pascal', 151_000, 195_000],
    ['vessel-charge', 'vessel.pascal', 70_400, 99_600],
    ['gas-pressure-static', 'gas.static', 1960, 2240],
    ['gas-pressure-running', 'gas.running', 1830, 2150],
    ['gas-rate', 'gas.flow', 1.75, 2.5],
    ['flame-current', 'flame.ampere', 3.1e-6, 8.1e-6],
    ['co2', 'flue.co2', 8.66, 9.33],
  ])('%s', (check, signal, least, most) => {
    expect(read(check, signal)).toBeGreaterThan(least);
    expect(read(check, signal)).toBeLessThan(most);
  });

  it('lets its flow temperature rise by 0.7 to 1.05 K a second at a tap', () => {
    // The design's study has 0.71 to 0.94 with a colder start; 0.92 at full output, worked out there.
    expect(read('flow-temperature-rise', 'flow.rise') / 60).toBeGreaterThan(0.7);
    expect(read('flow-temperature-rise', 'flow.rise') / 60).toBeLessThan(1.05);
  });

  it('moves 14 L/min round its loop: 60 kPa over 0.306 kPa at 1 L/min, by hand √196', () => {
    expect(read('tap-flow', 'loop.flow')).toBeCloseTo(14, 0);
  });
});

/** What tells the plates from the loop: flow and return both hot, or the return cold. */
describe('heat that is not taken away', () => {
  it('scaled plates: flow and return hot, usual difference, the rise no faster than 1.6 K/s', () => {
    const scaled = run(unitOf('flow-temperature-rise', { 'plate.scale': 3 }));
    expect(scaled['flow.peak']).toBeGreaterThan(79);
    expect(scaled['return.celsius']).toBeGreaterThan(50);
    expect(scaled['tap.flow-return']).toBeLessThan(26);
    expect(scaled['flow.rise']! / 60).toBeLessThan(1.6);
    expect(scaled.cuts).toBeGreaterThan(0);
  });

  it('a choked hose: flow hot, return cold, 35 K and more apart', () => {
    const choked = run(unitOf('flow-return-difference-tap', { 'hose.millimetre': 4 }));
    expect(choked['loop.flow']).toBeLessThan(6);
    expect(choked['tap.flow-return']).toBeGreaterThan(35);
    expect(choked['return.celsius']).toBeLessThan(30);
  });

  it('a pump that stands: twice as fast, and it bumps', () => {
    const stuck = run(unitOf('flow-temperature-rise', { 'pump.head': 0.05 }));
    expect(stuck['flow.rise']! / 60).toBeGreaterThan(1.6);
    expect(stuck['tap.celsius']).toBeLessThan(25);
  });

  it('a filter that is blocked shows on the heating and not at the tap', () => {
    const blocked = { 'filter.loss': 6 };
    expect(read('flow-return-difference-heating', 'heating.flow-return', blocked)).toBeGreaterThan(
      30,
    );
    expect(read('flow-return-difference-tap', 'tap.flow-return', blocked)).toBeCloseTo(
      read('flow-return-difference-tap', 'tap.flow-return'),
      6,
    );
  });

  it('a diverter that passes warms the heating pipe while the tap runs lukewarm', () => {
    const passing = { 'diverter.strays': 0.5 };
    expect(read('heating-pipe-temperature-with-tap', 'tap.heating-pipe', passing)).toBeGreaterThan(
      35,
    );
    expect(read('tap-temperature', 'tap.celsius', passing)).toBeLessThan(
      read('tap-temperature', 'tap.celsius') - 3,
    );
  });
});

describe('a sensor out of step', () => {
  it('is off by the same at all three settings', () => {
    const off = (['low', 'middle', 'high'] as const).map((each) =>
      read(`tap-test-${each}-difference`, 'tap.difference', { 'tap-sensor.kelvin': 8 }),
    );
    for (const each of off) {
      expect(each).toBeLessThan(-5);
      expect(each).toBeGreaterThan(-8.5);
    }
    expect(Math.max(...off) - Math.min(...off)).toBeLessThan(2);
  });

  it('while gas that sags is right at the low setting and short at the high one', () => {
    const low = { 'gas.running': 0.16 };
    expect(read('tap-test-low-difference', 'tap.difference', low)).toBeGreaterThan(-2);
    expect(read('tap-test-high-difference', 'tap.difference', low)).toBeLessThan(-4);
  });
});

describe('the filled side', () => {
  it('a flat vessel goes to the relief once it is hot', () => {
    const flat = { 'vessel.pascal': 3000, 'vessel.cushion': 0.06, 'primary.pascal': 6.5e4 };
    expect(read('pressure-hot', 'hot.pascal', flat)).toBeGreaterThan(2.7e5);
  });
});

it('half a second a step is as good as an eighth', () => {
  const heater = {
    tapBodyJoulePerKelvin: 3000,
    primary: {
      litrePerMinute: 14,
      flowBodyJoulePerKelvin: 12_000,
      returnBodyJoulePerKelvin: 5000,
      transferWattPerKelvin: 400,
      straysShare: 0,
      straysCelsius: 20,
    },
    burner: { mostWatt: 23_600, leastWatt: 5600 },
    startSecond: 6,
    limit: { celsius: 85, kind: 'eases' as const },
    setCelsius: 48,
    tapOffsetKelvin: 0,
    flowOffsetKelvin: 0,
    inletOffsetKelvin: 0,
    flowGain: 1,
  };
  const at = (stepSecond: number) =>
    featuresOf(
      runTap(heater, {
        litrePerMinute: 8,
        coldCelsius: 12,
        startFlowCelsius: 32,
        startTapCelsius: 12,
        seconds: 120,
        stepSecond,
      }),
    );
  const [coarse, fine] = [at(0.5), at(0.125)];
  expect(coarse.riseKelvinPerSecond).toBeCloseTo(fine.riseKelvinPerSecond, 1);
  expect(Math.abs(coarse.peakCelsius - fine.peakCelsius)).toBeLessThan(1.5);
  expect(Math.abs(coarse.tapCelsius - fine.tapCelsius)).toBeLessThan(1);
});

describe('every fault in every variant and state', () => {
  it('settles on numbers', () => {
    const kinds = [...new Set(Object.values(states).map((each) => JSON.stringify(each)))];
    for (const { id, variants, beside = [] } of faults(plate)) {
      for (const { changes } of [...variants, ...beside]) {
        for (const controls of kinds) {
          const unit = unitOf('');
          const signals = run({
            ...unit,
            elements: changed(goodElements(plate), changes, ends) as Elements,
            state: { ...unit.state, controls: JSON.parse(controls) as Record<string, string> },
          });
          expect(Object.values(signals).every(Number.isFinite), `${id} ${controls}`).toBe(true);
        }
      }
    }
  });
});

describe('what a reading follows', () => {
  it('is all that moves it: whatever else is moved, it stays', () => {
    const good = goodElements(plate);
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(states)),
        fc.constantFrom(...(Object.keys(good) as (keyof Elements)[])),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (check, element, factor) => {
          const plain = run(unitOf(check));
          const moved = run(unitOf(check, { [element]: good[element] * factor || factor }));
          for (const [signal, { elements, gates = [] }] of Object.entries(followed.signals)) {
            if (elements.includes(element) || gates.some((each) => moved[each] !== plain[each])) {
              continue;
            }
            expect(moved[signal], `${signal} by ${element} at ${check}`).toBeCloseTo(
              plain[signal]!,
              9,
            );
          }
        },
      ),
      { numRuns: 400, seed: 5 },
    );
  });
});
