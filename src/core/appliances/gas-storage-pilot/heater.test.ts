import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyState } from '../../job-file/state';
import { openOhm } from '../../circuit';
import { sampleUnit } from '../../../../tests/sample-unit';
import { ends, goodElements, type Elements } from './elements';
import { faults } from './faults';
import { followed } from './followed';
import { gasModel, type GasUnit } from './model';
import { plateOf, ratedGasFlow, type GasPlate } from './plate';
import { changed } from '../kit/change';
import { gasStoragePilot as family } from '.';

const typed = { input: '11700', volume: '151' };
const plates = (['thermocouple', 'thermopile'] as const).map((valve) =>
  plateOf(sampleUnit(family, { ...typed, valve })),
);
const [thermocouple, thermopile] = plates as [GasPlate, GasPlate];

const lit = { share: 1, pilot: 'lit', isTripped: false, isCutOff: false, tankCelsius: 15 } as const;
const unitOf = (plate: GasPlate, changes: Partial<Elements> = {}): GasUnit => ({
  plate,
  elements: { ...goodElements(plate), ...changes } as Elements,
  standing: lit,
  state: { controls: { pilot: 'lit', knob: 'on', dial: 'c' }, apart: [], done: [], known: {} },
});
const run = (plate: GasPlate, changes: Partial<Elements> = {}) =>
  gasModel(plate).run(unitOf(plate, changes));

/** Middles and bands of common practice, and what follows from the plate by hand. */
describe('a good gas heater', () => {
  it('gives 12 to 15 mV under load, or 350 to 420 on a thermopile', () => {
    expect(run(thermocouple)['valve.volt']! * 1000).toBeGreaterThan(12);
    expect(run(thermocouple)['valve.volt']! * 1000).toBeLessThan(15);
    expect(run(thermopile)['valve.volt']! * 1000).toBeGreaterThan(350);
    expect(run(thermopile)['valve.volt']! * 1000).toBeLessThan(420);
  });

  it('lets go 25 to 40 s after its flame is gone, a thermopile 30 to 50', () => {
    const seconds = (plate: GasPlate) => run(plate)['let-go.seconds']!;
    expect(seconds(thermocouple)).toBeGreaterThan(25);
    expect(seconds(thermocouple)).toBeLessThan(40);
    expect(seconds(thermopile)).toBeGreaterThan(30);
    expect(seconds(thermopile)).toBeLessThan(50);
  });

  it('takes 1.07 m³ of natural gas an hour at 11.7 kW, 0.44 of LPG vapour', () => {
    // Gross heats of 39.5 and 95 MJ/m³ (from memory): by hand 11.7e3 × 3600 ÷ 39.5e6, and ÷ 95e6.
    expect(ratedGasFlow(thermocouple)).toBeCloseTo(1.066, 3);
    expect(ratedGasFlow({ ...thermocouple, fuel: 'lpg' })).toBeCloseTo(0.443, 3);
    expect(run(thermocouple)['flow']).toBeCloseTo(1.066, 2);
  });

  it('warms 151 L by 25 K in half an hour, less what sediment keeps', () => {
    // By hand: 11.7 kW × 0.76 × 1800 s ÷ (151 kg × 4.18 kJ/kg K) = 25.4 K; 26.8 for what such a tank truly holds.
    expect(run(thermocouple)['outlet.recovered']! - 15).toBeCloseTo(26.8, 0);
    const grit = run(thermocouple, { 'tank.sediment': 1 })['outlet.recovered']! - 15;
    // A fifth goes up the flue, what is left comes late, and there is less water to warm.
    expect(grit / 26.8).toBeGreaterThan(0.6);
    expect(grit / 26.8).toBeLessThan(0.85);
  });
});

describe('what a fault does to the millivolts', () => {
  it('40 mΩ of dirt at the joint halves them under load and leaves the open circuit alone', () => {
    const dirty = run(thermocouple, { 'joint.ohm': 0.042 });
    expect(dirty['valve.volt']! / run(thermocouple)['valve.volt']!).toBeCloseTo(0.5, 1);
    expect(dirty['generator.volt']).toBeCloseTo(0.0279, 4);
  });

  it('an open holder reads the same under load as open circuit, and holds nothing', () => {
    const open = run(thermocouple, { 'holder.ohm': openOhm });
    expect(open['valve.volt']! / open['generator.volt']!).toBeGreaterThan(0.98);
    const cut = run(thermocouple, { 'energy-cutoff.ohm': openOhm });
    expect(cut['valve.volt']).toBeGreaterThan(0.027);
  });

  it('a poor flame makes a good generator read low', () => {
    expect(run(thermocouple, { 'pilot.opening': 0.3 })['generator.volt']).toBeLessThan(0.016);
    expect(run(thermocouple, { 'tip.engagement': 0.3 })['generator.volt']).toBeLessThan(0.01);
  });

  it('a thermopile below 200 mV drives no main gas though the pilot stands', () => {
    const weak = run(thermopile, { 'generator.output': 0.42 });
    expect(weak['valve.volt']).toBeLessThan(0.2);
    expect(weak['hold']).toBeGreaterThan(0.9);
    expect(weak['main']).toBe(0);
  });
});

describe('every fault in every variant', () => {
  it.each(plates.map((plate) => [plate.valve, plate] as const))('of a %s settles', (_, plate) => {
    for (const { id, variants, beside = [] } of faults(plate)) {
      for (const { changes } of [...variants, ...beside]) {
        const elements = changed(goodElements(plate), changes, ends) as Elements;
        const signals = gasModel(plate).run({ ...unitOf(plate), elements });
        expect(Object.values(signals).every(Number.isFinite), id).toBe(true);
      }
    }
  });
});

describe('what a reading follows', () => {
  it('is all that moves it: whatever else is moved, it stays', () => {
    const ids = Object.keys(goodElements(thermocouple)) as (keyof Elements)[];
    const model = gasModel(thermocouple);
    const plain = model.run(unitOf(thermocouple));
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(followed.signals)),
        fc.constantFrom(...ids),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (signal, element, factor) => {
          if (followed.signals[signal]!.elements.includes(element)) return;
          const moved = { [element]: goodElements(thermocouple)[element] * factor };
          expect(model.run(unitOf(thermocouple, moved))[signal]).toBeCloseTo(plain[signal]!, 9);
        },
      ),
      { numRuns: 600, seed: 5 },
    );
  });
});

describe('the way to a check', () => {
  const state = (over: object) => ({ ...emptyState, ...over });
  const so = (...ids: string[]) => Object.fromEntries(ids.map((id) => [id, { at: '' }]));

  it('goes by the sniff, the look at the pilot and the lighting, each of which may say no', () => {
    const steps = family.accessSteps('loaded-millivolts', emptyState);
    expect(steps.flatMap((each) => (each.kind === 'take-check' ? [each.check] : []))).toEqual([
      'gas-smell-sniff',
      'pilot-look',
      'pilot-light-try',
    ]);
    const lit = state({ facts: so('no-gas-smell', 'outer-panel-off', 'pilot-seen', 'pilot-lit') });
    expect(family.accessSteps('loaded-millivolts', lit).map((each) => each.kind)).toEqual([
      'make-so',
      'make-so',
    ]);
  });

  it('asks for the one lead that is still on, and puts back the one that is off', () => {
    const [plus, minus] = family
      .accessSteps('open-circuit-millivolts', emptyState)
      .flatMap((each) => (each.kind === 'lift-wire' ? [each.lifted] : []));
    const half = state({ lifted: [plus!] });
    expect(family.accessSteps('open-circuit-millivolts', half)).toContainEqual({
      kind: 'lift-wire',
      lifted: minus,
    });
    expect(family.accessSteps('open-circuit-millivolts', half)).not.toContainEqual({
      kind: 'lift-wire',
      lifted: plus,
    });
    expect(family.accessSteps('loaded-millivolts', half)).toContainEqual({
      kind: 'refit-wire',
      lifted: plus,
    });
  });

  it('is closed once a check has shown that it is, and to who may not work on gas', () => {
    const checks = (over: object, limits: object = {}) =>
      family
        .planStart(state(over), { liveWork: true, ...limits }, undefined, thermocouple)
        .candidates.map((each) => each.checkId);
    expect(checks({})).toContain('loaded-millivolts');
    expect(checks({ facts: so('no pilot-lit') })).not.toContain('loaded-millivolts');
    const without = checks({}, { gasWork: false });
    for (const check of ['pilot-light-try', 'loaded-millivolts', 'gas-rate', 'assembly-out-look']) {
      expect(without).not.toContain(check);
    }
    expect(without).toEqual(expect.arrayContaining(['outlet-first', 'filter-look', 'floor-look']));
  });

  it('has nothing of the other variant', () => {
    const of = (plate: GasPlate) =>
      family
        .planStart(emptyState, { liveWork: true }, undefined, plate)
        .candidates.map((each) => each.checkId);
    expect(of(thermocouple)).not.toContain('status-light');
    expect(of(thermopile)).toContain('status-light');
    expect(of(thermopile)).not.toContain('known-good-thermocouple');
    expect(of(thermocouple)).not.toContain('pair-outlet-temperatures');
  });
});
