import { describe, expect, it } from 'vitest';
import { emptyState } from '../../job-file/state';
import type { Plate } from '../electrical';
import { electricStorageOneElement as family } from '.';

const plateOf = (volt: number, watt: number, residualCurrentDevice = false): Plate => ({
  ...family.plateOf({
    unit: {
      family: family.id,
      plate: { rated: { volt }, elements: { only: { watt } } },
    },
    site: { supply: { system: 'single-phase', nominal: { volt } } },
  }),
  residualCurrentDevice,
});
const plate = plateOf(230, 2000);
const model = family.model(plate);
const arrived = family.readingState(emptyState);
const alone = (fault: string, own = model) =>
  own.hypotheses.flatMap((each, index) =>
    each.faults.join() === fault ? [{ ...each, index }] : [],
  );
const seen = (check: string, fault = '', own = model, at = 0) => {
  const observable = family.observableOfCheck(check, family.impliedState(check, arrived));
  const prediction = own.predictor(observable)(alone(fault, own)[at]!.index);
  return prediction.kind === 'quantity' ? prediction.value : Number.NaN;
};
const looks = (check: string, fault = '') => {
  const observable = family.observableOfCheck(check, family.impliedState(check, arrived));
  const prediction = model.predictor(observable)(alone(fault)[0]!.index);
  return prediction.kind === 'outcomes' ? prediction.probabilities : {};
};

describe('a good heater with one element', () => {
  // Ohm's and Joule's laws: R = V²/P, I = P/V.
  it.each([
    [1500, 120, 9.6, 12.5],
    [2000, 230, 26.45, 8.7],
    [2500, 230, 21.16, 10.87],
  ])('of %d W at %d V reads %d Ω and draws %d A', (watt, volt, ohm, ampere) => {
    const own = family.model(plateOf(volt, watt));
    expect(seen('element-ohms', '', own) - 0.2).toBeCloseTo(ohm, 1);
    expect(seen('element-amps', '', own) / ampere).toBeGreaterThan(0.96);
    expect(seen('element-amps', '', own) / ampere).toBeLessThan(1);
  });

  it('has its live at the supply, its neutral near nothing, and nothing to the tank', () => {
    expect(seen('supply-1-to-earth-volts')).toBeGreaterThan(220);
    expect(seen('supply-2-to-earth-volts')).toBeLessThan(3);
    expect(seen('element-a-to-tank-ohms')).toBeGreaterThan(20e6);
  });

  it('shows both poles near nothing with the knob up and the water cold', () => {
    // Common practice: a pole input to output is near 0 when cold.
    for (const pole of ['pole-1-ohms', 'pole-2-ohms']) {
      expect(seen(pole, 'element.open')).toBeLessThan(0.5);
    }
  });

  it('lights its lamp while it calls', () => {
    expect(looks('lamp-look').lit).toBeGreaterThan(0.9);
  });
});

describe('what a fault shows', () => {
  it('an open element lets the lamp burn and reads over range pin to pin', () => {
    expect(seen('element-ohms', 'element.open')).toBeGreaterThan(20e6);
    expect(looks('lamp-look', 'element.open').lit).toBeGreaterThan(0.9);
  });

  it('a dead pole puts the lamp out and is open by itself', () => {
    expect(seen('pole-2-ohms', 'thermostat.pole-2-open')).toBeGreaterThan(20e6);
    expect(seen('pole-1-ohms', 'thermostat.pole-2-open')).toBeLessThan(0.5);
    expect(looks('lamp-look', 'thermostat.pole-2-open').dark).toBeGreaterThan(0.9);
  });

  it('a missing neutral leaves the full voltage on both sides to earth', () => {
    expect(seen('supply-2-to-earth-volts', 'supply.neutral-missing')).toBeGreaterThan(200);
    expect(seen('supply-volts', 'supply.neutral-missing')).toBeLessThan(20);
  });

  it('a welded thermostat runs away, and mostly the cutout has gone', () => {
    const found = alone('thermostat.welded').map((each) => each.situation);
    const tripped = found.filter((each) => each.limitTripped);
    expect(tripped.reduce((sum, each) => sum + each.share, 0)).toBeCloseTo(0.85, 6);
    expect(found.some((each) => !each.limitTripped && each.topCelsius > 74)).toBe(true);
  });

  it('damp at the flange takes an RCD out, and without one nothing but a wipe shows it', () => {
    const guarded = family.model(plateOf(230, 2000, true));
    const trips = (own: typeof model) =>
      alone('flange.damp', own).filter((each) => each.situation.trips).length;
    expect(trips(guarded)).toBeGreaterThan(0);
    expect(trips(model)).toBe(0);
    expect(looks('flange-look', 'flange.damp').damp).toBeGreaterThan(0.9);
  });

  it('an element earthed at its neutral end draws no more through the breaker', () => {
    const atNeutral = alone('element.earthed').filter(
      ({ changes }) =>
        JSON.stringify(changes['element.a-half']) === JSON.stringify({ factor: 1.66 }),
    );
    expect(atNeutral.length).toBeGreaterThan(0);
    expect(atNeutral.every((each) => each.situation.trips === undefined)).toBe(true);
  });
});
