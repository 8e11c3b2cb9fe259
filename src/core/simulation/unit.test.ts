import { describe, expect, it } from 'vitest';
import { arrived, plate4500 } from '../../../tests/plates';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { seededRandom, simulatedTwoElement, simulateUnit, type SimulationOptions } from '.';

const simulate = (seed: number, options: SimulationOptions) =>
  simulateUnit(simulatedTwoElement, plate4500, seededRandom(seed), options);

function answers(fault: string, check: string, count = 40): (number | string)[] {
  return Array.from({ length: count }, (_, seed) => {
    const unit = simulate(seed, { faults: [fault] });
    const answer = unit.answer(check, family.impliedState(check, arrived));
    return answer.kind === 'number'
      ? answer.value
      : answer.kind === 'over-range'
        ? 'OL'
        : answer.kind === 'values'
          ? JSON.stringify(answer.values)
          : answer.outcome;
  });
}

describe('a simulated unit', () => {
  it('answers every check with every fault', () => {
    for (const [fault] of simulatedTwoElement.weights) {
      const unit = simulate(3, { faults: [fault] });
      for (const check of family.checkIds) {
        const answer = unit.answer(check, family.impliedState(check, arrived));
        if (answer.kind === 'number') expect(Number.isFinite(answer.value)).toBe(true);
        if (answer.kind === 'outcome') expect(answer.outcome).not.toBe('');
      }
    }
  });

  it('that is good reads about 13 Ω on its elements, as common practice sees', () => {
    const ohms = answers('no-fault', 'upper-element-ohms') as number[];
    const mean = ohms.reduce((sum, each) => sum + each, 0) / ohms.length;
    expect(mean).toBeGreaterThan(12.6);
    expect(mean).toBeLessThan(13.8);
  });

  it('that is good draws 16 to 21 A, the band of common practice', () => {
    for (const ampere of answers('no-fault', 'upper-element-amps') as number[]) {
      expect(ampere).toBeGreaterThan(15);
      expect(ampere).toBeLessThan(21.5);
    }
  });

  it('with an open element reads over range on it, and not on the other', () => {
    expect(new Set(answers('lower-element.open', 'lower-element-ohms'))).toEqual(new Set(['OL']));
    expect(answers('lower-element.open', 'upper-element-ohms')).not.toContain('OL');
  });

  it('with a dead leg reads about 120 V on it all the same, fed back', () => {
    for (const volt of answers('supply.leg-2-missing', 'supply-leg-2-to-earth-volts') as number[]) {
      expect(volt).toBeGreaterThan(90);
    }
  });

  it('slips as often as it is told to', () => {
    const unit = simulate(8, { faults: ['no-fault'], wrongReadings: 0.3 });
    const state = family.impliedState('upper-element-ohms', arrived);
    const wrong = Array.from({ length: 400 }, () =>
      unit.answer('upper-element-ohms', state),
    ).filter((each) => each.kind !== 'number' || each.value < 11 || each.value > 16);
    expect(wrong.length / 400).toBeGreaterThan(0.2);
    expect(wrong.length / 400).toBeLessThan(0.4);
  });

  it('refuses a fault that no heater has', () => {
    expect(() => simulate(1, { faults: ['mood.bad'] })).toThrow(/mood/);
  });
});
