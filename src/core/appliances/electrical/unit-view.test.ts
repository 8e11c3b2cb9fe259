import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../../tests/plates';
import { electricFamilies } from '../../../../tests/electric-families';
import {
  breakerCycled,
  readDialOf,
  resetPressed,
  switchCoder,
  switchPositions,
  unitView,
  waterOf,
  type UnitState,
} from '.';

/** The circuit of a unit under a hypothesis, found the plain way and the fast way. */
describe.each(electricFamilies)('the circuit of $id', (family) => {
  const elements = Object.fromEntries(family.elements.map(({ id }) => [id, { watt: 2500 }]));
  const plate = family.plateOf(
    emptyJob({ unit: { family: family.id, plate: { rated: { volt: 240 }, elements } } }),
  );
  const { hypotheses, healthyIndex } = family.model(plate);
  const view = unitView(family, plate);
  const codesIn = switchCoder(family, hypotheses);
  const { conductors, terminals } = family.names;
  const ids = family.thermostats.map((each) => each.id);
  const celsius = fc.constantFrom(18, 36, 50, 62, 75, 90);
  const perThermostat = <Value>(keyOf: (k: number) => string, value: fc.Arbitrary<Value>) =>
    fc
      .tuple(...ids.map(() => value))
      .map((all) => Object.fromEntries(ids.map((_, k) => [keyOf(k), all[k]!])));
  const keyOfDial = (k: number) => family.thermostats[k]!.stateKey;
  const controls = fc
    .tuple(
      fc.constantFrom('on', 'off'),
      fc.constantFrom('found', 'tripped'),
      perThermostat(keyOfDial, fc.constantFrom('high', 'low', 'found')),
    )
    .map(([power, limit, dials]) => ({ power, limit, ...dials }));
  const maybe = <Value>(keyOf: (id: string) => string, value: fc.Arbitrary<Value>) =>
    fc.option(
      perThermostat((k) => keyOf(ids[k]!), value),
      { nil: {} },
    );
  const anyState: fc.Arbitrary<UnitState> = fc.record({
    controls,
    apart: fc
      .subarray(Object.keys(conductors), { maxLength: 3 })
      .map((wires) => wires.map((wire) => ({ wire, end: conductors[wire]![0] }))),
    done: fc.subarray([resetPressed, breakerCycled]),
    known: fc
      .tuple(maybe(waterOf, celsius), maybe(readDialOf, celsius))
      .map(([water, dials]) => ({ ...water, ...dials })),
  });
  const anyHypothesis = fc.nat({ max: hypotheses.length - 1 });
  const pair = fc.tuple(fc.constantFrom(...terminals), fc.constantFrom(...terminals));

  it('has its switches where water, dials, limit and breaker put them, said the plain way', () => {
    const differential = 2;
    fc.assert(
      fc.property(anyHypothesis, anyState, (index, state) => {
        const hypothesis = hypotheses[index]!;
        const { situation, supply } = hypothesis;
        const found = switchPositions(family, hypothesis, state);
        const isDead =
          supply === 'no-supply' ||
          (supply === 'breaker-open' && !state.done.includes(breakerCycled));
        expect(found.breaker).toBe(
          state.controls.power === 'on' && !isDead && situation.trips === undefined ? 'on' : 'off',
        );
        expect(found.limit).toBe(
          state.controls.limit === 'tripped' ||
            (situation.limitTripped && !state.done.includes(resetPressed))
            ? 'tripped'
            : 'closed',
        );
        for (const { id, water, stateKey } of family.thermostats) {
          const supposed = water === 'top' ? situation.topCelsius : situation.bottomCelsius;
          const dial = state.controls[stateKey] as 'high' | 'low' | 'found';
          const asFound =
            state.known[readDialOf(id)] ?? hypothesis.dialCelsius[id] ?? family.dialCelsius.usual;
          const set = dial === 'found' ? asFound + differential : family.dialCelsius[dial];
          const feels = state.known[waterOf(id)] ?? supposed;
          expect(found.thermostats[id]).toBe(feels > set ? 'satisfied' : 'calling');
        }
        expect([...found.lifted].sort()).toEqual(state.apart.map((each) => each.wire).sort());
      }),
      { numRuns: 400, seed: 10 },
    );
  });

  it('is the same solved once and solved again in the same memory, in any state', () => {
    fc.assert(
      fc.property(anyHypothesis, anyState, pair, (index, state, [from, to]) => {
        const hypothesis = hypotheses[index]!;
        const plain = view.solve(hypothesis, state);
        const [ohm, volt] = [
          plain.probeResistance(from, to).value,
          plain.probeVoltage(from, to).value,
        ];
        const fast = view.solveOpen(
          view.ohmsOf(hypothesis),
          view.opener(state)(codesIn(state)[index]!),
        );
        expect(fast.probeResistance(from, to).value).toBeCloseTo(ohm, 6);
        expect(fast.probeVoltage(from, to).value).toBeCloseTo(volt, 6);
      }),
      { numRuns: 300, seed: 11 },
    );
  });

  it('reads the same both ways round, and nothing from a terminal to itself', () => {
    fc.assert(
      fc.property(anyHypothesis, anyState, pair, (index, state, [from, to]) => {
        const circuit = view.solve(hypotheses[index]!, state);
        const [there, back] = [
          circuit.probeResistance(from, to),
          circuit.probeResistance(to, from),
        ];
        expect(there.value).toBeCloseTo(back.value, 6);
        expect(circuit.probeResistance(from, from).value).toBeCloseTo(0, 9);
        expect(circuit.probeVoltage(from, from).value).toBeCloseTo(0, 9);
      }),
      { numRuns: 150, seed: 12 },
    );
  });

  it('carries nothing and heats nothing with the power off, and less the more is lifted', () => {
    const healthy = hypotheses[healthyIndex]!;
    fc.assert(
      fc.property(anyHypothesis, anyState, (index, state) => {
        const put = (to: object) => ({ ...state, controls: { ...state.controls, ...to } });
        const dead = view.solve(hypotheses[index]!, put({ power: 'off' }));
        for (const { id } of family.branches) expect(dead.currentThrough(id)).toBeLessThan(1e-6);
        const live = put({ power: 'on', limit: 'found' });
        const watts = (apart: UnitState['apart']) => {
          const solved = view.solve(healthy, { ...live, apart });
          return family.branches
            .filter((each) => each.element)
            .reduce((sum, { id }) => sum + solved.powerIn(id), 0);
        };
        // A hair more where the drop on a shared contact is gone.
        expect(watts(state.apart)).toBeLessThanOrEqual(watts([]) + 0.1);
      }),
      { numRuns: 100, seed: 13 },
    );
  });

  it('gives the plate its watts where all is good and one element is on (Joule, by hand)', () => {
    const dials = Object.fromEntries(ids.map((_, k) => [keyOfDial(k), 'high']));
    const state: UnitState = {
      controls: { power: 'on', ...dials },
      apart: [],
      done: [resetPressed, breakerCycled],
      known: {},
    };
    const watts = view.water.design(hypotheses[healthyIndex]!, state).power((1 << ids.length) - 1);
    const watt = watts.reduce((sum, each) => sum + each, 0);
    const rated = 2500 * (plate.nominalVolt / plate.ratedVolt) ** 2;
    // Contacts and joints take a little of the volts; nothing else does.
    expect(watt).toBeGreaterThan(rated * 0.94);
    expect(watt).toBeLessThanOrEqual(rated * 1.001);
  });
});
