import { describe, expect, it } from 'vitest';
import { plate4500 } from '../../../../tests/plates';
import { electricStorageTwoElement as family } from '../electric-storage-two-element';
import { dangersOf, usualDangerMinutes } from './dangers';
import { breakerAmpere } from './plate';
import { tripChance } from './situation';

const running = (legAmpere: number, earthAmpere = 0) => ({
  watt: {},
  legAmpere,
  earthAmpere,
  shellVolt: 0,
});

describe('whether the protection holds', () => {
  it('follows IEC 60898 (from memory): a breaker holds at 1.13 times its rating and goes well above', () => {
    const rating = breakerAmpere(plate4500);
    const chance = (times: number) => tripChance(plate4500, running(times * rating)).chance;
    expect(chance(1)).toBe(0);
    expect(chance(1.05)).toBe(0);
    expect(chance(1.45)).toBeGreaterThan(0.5);
    expect(chance(5)).toBeGreaterThan(0.9);
    // Never less with more current.
    const chances = [0.5, 1, 1.12, 1.3, 1.5, 2.1, 10].map(chance);
    expect([...chances].sort((one, other) => one - other)).toEqual(chances);
  });

  it('follows IEC 61008 (from memory): 30 mA goes surely, less than half of it never', () => {
    const guarded = { ...plate4500, residualCurrentDevice: true };
    const chance = (milliampere: number) => tripChance(guarded, running(19, milliampere / 1000));
    expect(chance(31)).toMatchObject({ trips: 'residual-current' });
    expect(chance(31).chance).toBeGreaterThan(0.95);
    expect(chance(14).chance).toBe(0);
    expect(chance(22).chance).toBeGreaterThan(0);
    expect(chance(22).chance).toBeLessThan(chance(31).chance);
  });

  it('asks no residual-current device that is not there', () => {
    expect(tripChance(plate4500, running(19, 5)).chance).toBe(0);
  });

  it('is scaled to the breaker of the plate', () => {
    const small = { ...plate4500, elementWatt: { upper: 1500, lower: 1500 } };
    expect(breakerAmpere(small)).toBeLessThan(breakerAmpere(plate4500));
    const ampere = breakerAmpere(small) * 2.5;
    expect(tripChance(small, running(ampere)).chance).toBeGreaterThan(
      tripChance(plate4500, running(ampere)).chance,
    );
  });
});

describe('the dangers of power', () => {
  const model = family.model(plate4500);
  const dangers = dangersOf(family, plate4500, model.hypotheses, usualDangerMinutes);
  const of = (name: keyof typeof dangers, fault: string) =>
    model.hypotheses.flatMap(({ faults }, h) =>
      faults.join() === fault ? [dangers[name][h]!] : [],
    );

  it('have a price under every hypothesis, and none on a good unit', () => {
    for (const each of Object.values(dangers)) {
      expect(each).toHaveLength(model.hypotheses.length);
      expect(each[model.healthyIndex]).toBe(0);
    }
  });

  it('are current to earth where an element leaks, and nowhere that nothing leaks', () => {
    expect(of('current-to-earth', 'upper-element.earthed').every((each) => each > 0)).toBe(true);
    expect(of('current-to-earth', 'upper-element.open').every((each) => each === 0)).toBe(true);
    expect(of('current-to-earth', 'dials.low').every((each) => each === 0)).toBe(true);
  });

  it('are a live shell only where a leak meets an open earth bond', () => {
    const live = model.hypotheses.filter((_, h) => dangers['shell-live'][h]! > 0);
    expect(live.length).toBeGreaterThan(0);
    for (const { faults } of live) {
      expect(faults).toContain('earth-bond.open');
      expect(faults.length).toBe(2);
    }
    expect(of('shell-live', 'earth-bond.open').every((each) => each === 0)).toBe(true);
  });

  it('are to trip again just where it tripped before', () => {
    model.hypotheses.forEach(({ situation }, h) => {
      expect(dangers['trips-again'][h]! > 0).toBe(situation.trips !== undefined);
    });
  });

  it('cost what the firm says they do', () => {
    const free = dangersOf(family, plate4500, model.hypotheses, {
      ...usualDangerMinutes,
      'trips-again': 0,
    });
    expect(Math.max(...free['trips-again'])).toBe(0);
    expect(Math.max(...free['shell-live'])).toBe(usualDangerMinutes['shell-live']);
  });
});
