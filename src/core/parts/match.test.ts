import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import { emptyJob } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { mismatches } from '.';

const electric = familyOf('electric-storage-two-element')!;
const gas = familyOf('gas-storage-pilot')!;
const element = electric.partRequirements(
  'element',
  electric.plateOf(emptyJob()),
  'replace-lower-element',
);
const right = {
  volt: { volt: 240 },
  watt: { watt: 4500 },
  fixing: 'same',
  length: 'same',
  gasket: 'same',
};
const missed = (says: Parameters<typeof mismatches>[1]) =>
  mismatches(element, says).map((each) => each.says);

describe('a new element', () => {
  it('matches by volts, watts, thread, length and gasket', () => {
    expect(missed(right)).toEqual([]);
  });

  it.each([
    ['other volts', { volt: { volt: 120 } }, ['volt']],
    ['more watts', { watt: { watt: 5500 } }, ['watt']],
    ['another thread', { fixing: 'other' }, ['fixing']],
    ['watts in volts', { watt: { volt: 4500 } }, ['watt']],
    ['an over range', { watt: { overRange: true as const } }, ['watt']],
  ])('is refused with %s', (_, says, keys) => {
    expect(missed({ ...right, ...says })).toEqual(keys);
  });

  it('is refused for what nobody has said', () => {
    expect(missed({})).toEqual(['volt', 'watt', 'fixing', 'length', 'gasket']);
  });
});

describe('other parts', () => {
  it('carry at least the amps of the plate: 4500 W at 240 V are 18.75 A (Joule)', () => {
    const thermostat = electric.partRequirements(
      'thermostat',
      electric.plateOf(emptyJob()),
      undefined,
    );
    const amps = thermostat.find(({ says }) => says === 'ampere')!;
    expect(amps.kind === 'number' && amps.wanted).toBeCloseTo(18.75);
    const says = { volt: { volt: 240 }, poles: 'same', fixing: 'same' };
    expect(mismatches(thermostat, { ...says, ampere: { ampere: 30 } })).toEqual([]);
    expect(mismatches(thermostat, { ...says, ampere: { ampere: 15 } })).toHaveLength(1);
  });

  it('are of the gas and the generator that the plate names', () => {
    const plate = gas.plateOf(
      sampleUnit(gas, { valve: 'thermopile', input: '11700', volume: '151' }),
    );
    const valve = gas.partRequirements('gas-valve', plate, undefined);
    const says = { gas: 'natural-gas', generator: 'thermopile', thread: 'same' };
    expect(mismatches(valve, says)).toEqual([]);
    expect(mismatches(valve, { ...says, gas: 'lpg' }).map((each) => each.says)).toEqual(['gas']);
    expect(gas.partRequirements('paper-hat', plate, undefined)).toEqual([]);
  });
});
