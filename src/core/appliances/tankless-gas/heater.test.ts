import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { changed } from '../kit/change';
import { ends, goodElements, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { run, type TanklessUnit } from './model';
import namesFile from './names.json' with { type: 'json' };
import { plateOf, type TanklessPlate } from './plate';
import { tanklessGas as family } from '.';

const plate = plateOf(sampleUnit(family, { input: '44000' }));
const condensing = plateOf(sampleUnit(family, { input: '44000', condensing: 'true' }));

const states = Object.fromEntries(
  Object.entries(
    namesFile.checks as Record<string, { state?: { controls?: Record<string, string> } }>,
  ).map(([id, { state }]) => [id, state?.controls ?? {}]),
);
const unitOf = (
  check: string,
  changes: Partial<Elements> = {},
  of: TanklessPlate = plate,
): TanklessUnit => ({
  plate: of,
  elements: { ...goodElements(of), ...changes },
  standing: { share: 1 },
  state: { controls: states[check] ?? {}, apart: [], done: [], known: {} },
});
const read = (check: string, signal: string, changes?: Partial<Elements>) =>
  run(unitOf(check, changes))[signal]!;

/** 5 to 95 % of good heaters of 44 kW at 12 ± 4 °C cold, as the design's own study has them. Common practice. */
describe('a good heater reads as good ones do', () => {
  it.each([
    ['tap-flow', 'outlet.flow', 10.1, 14.2],
    ['tap-temperature', 'outlet.celsius', 44.8, 52.7],
    ['display-flow', 'shown.flow', 10.1, 14.2],
    ['seconds-to-hot', 'hot.seconds', 9.1, 18.5],
    ['service-port-flow', 'heater.flow', 14, 19.9],
    ['service-port-temperature', 'outlet.celsius', 35.3, 49.4],
    ['inlet-pressure-static', 'cold-port.pascal', 224e3, 404e3],
    ['inlet-pressure-running', 'cold-port.pascal', 198e3, 354e3],
    ['gas-pressure-static', 'gas.static', 1560, 1930],
    ['gas-pressure-running', 'gas.running', 1390, 1820],
    ['burner-pressure', 'gas.burner', 732, 884],
    ['gas-rate', 'gas.flow', 3.64, 4.32],
    ['flame-current', 'flame.ampere', 2.77e-6, 7.17e-6],
    ['co2', 'flue.co2', 6.33, 7.34],
  ])('%s', (check, signal, least, most) => {
    expect(read(check, signal)).toBeGreaterThan(least);
    expect(read(check, signal)).toBeLessThan(most);
  });

  it('and burns 4.06 m³ an hour of natural gas at 44 kW gross, by hand 44 × 3.6 ÷ 39', () => {
    expect(read('gas-rate', 'gas.flow')).toBeCloseTo((44 * 3.6) / 39, 2);
  });

  it('lifts what flows by what it puts in: kW = L/min × K × 0.0697', () => {
    const signals = run(unitOf('service-port-temperature'));
    const rise = signals['outlet.celsius']! - 12;
    expect((signals['heater.flow']! * rise * 0.0697) / (44 * 0.85)).toBeCloseTo(1, 1);
  });
});

describe('what a fault does to the water', () => {
  it('a blocked strainer leaves too little to fire', () => {
    const blocked = run(unitOf('fire-attempt-tap', { 'strainer.conductance': 1 }));
    expect(blocked['heater.flow']).toBeLessThan(2);
    expect(blocked['stage.nothing']).toBeGreaterThan(0.7);
  });

  it('a mixer that crosses takes the flow from the heater and cools the tap', () => {
    const crossed = run(unitOf('tap-temperature', { 'crossing.conductance': 14 }));
    expect(crossed['heater.flow']).toBeLessThan(0.6 * read('tap-flow', 'heater.flow'));
    expect(crossed['outlet.celsius']).toBeLessThan(40);
    expect(crossed['past.flow']).toBeGreaterThan(crossed['heater.flow']!);
  });

  it('crossed lines flow at the tap, show nothing, and give no water at the port', () => {
    const crossed = { 'lines.crossed': 1 };
    const tap = run(unitOf('fire-attempt-tap', crossed));
    expect(tap['heater.flow']).toBeGreaterThan(8);
    expect(tap['shown.flow']).toBe(0);
    expect(tap['stage.nothing']).toBeGreaterThan(0.95);
    expect(read('service-port-flow', 'heater.flow', crossed)).toBe(0);
  });

  it('nothing downstream can matter at the service port', () => {
    const changes = { 'crossing.conductance': 20, 'tap.conductance': 1, 'house.conductance': 2 };
    expect(read('service-port-flow', 'heater.flow', changes)).toBeCloseTo(
      read('service-port-flow', 'heater.flow'),
      6,
    );
  });

  it('gas that sags under load lowers the rise by the root of its pressure', () => {
    const good = read('service-port-temperature', 'outlet.celsius') - 12;
    const low = read('service-port-temperature', 'outlet.celsius', { 'gas.running': 0.25 }) - 12;
    expect(low / good).toBeCloseTo(Math.sqrt((0.25 * 1740) / 1250), 1);
  });

  it('a sensor that reads high leaves the tap as much too cold, but for what two minutes do not settle', () => {
    const high = read('tap-temperature', 'outlet.celsius', { 'outlet-sensor.kelvin': 9 });
    expect(read('tap-temperature', 'outlet.celsius') - high).toBeGreaterThan(7.5);
  });

  it('heavy scale cuts the burner out with the tap open', () => {
    expect(read('outlet-over-two-minutes', 'cuts', { 'exchanger.scale': 1.8 })).toBeGreaterThan(0);
    expect(read('outlet-over-two-minutes', 'cuts')).toBe(0);
  });
});

describe('every fault in every variant and state', () => {
  it.each([
    ['plain', plate],
    ['condensing', condensing],
  ])('of a %s one settles on numbers', (_, of) => {
    const kinds = [...new Set(Object.values(states).map((each) => JSON.stringify(each)))];
    for (const { id, variants, beside = [] } of faults(of)) {
      for (const { changes } of [...variants, ...beside]) {
        for (const controls of kinds) {
          const unit = unitOf('', {}, of);
          const signals = run({
            ...unit,
            elements: changed(goodElements(of), changes, ends) as Elements,
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
    const ids = Object.keys(good) as (keyof Elements)[];
    const looked = Object.keys(states);
    fc.assert(
      fc.property(
        fc.constantFrom(...looked),
        fc.constantFrom(...ids),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (check, element, factor) => {
          const [plain, moved] = [
            run(unitOf(check)),
            run(unitOf(check, { [element]: good[element] * factor || factor })),
          ];
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
