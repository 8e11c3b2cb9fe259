import { describe, expect, it } from 'vitest';
import { plate4500 } from '../../../../tests/plates';
import type { QuantityPrediction } from '../../diagnosis';
import {
  checkNames,
  checkWords,
  checkIds,
  faultModes,
  heaterModel,
  impliedState,
  elementOhm,
  observableOfCheck,
  repairOf,
  repairs,
  type CheckId,
  type Plate,
  type ReadingState,
} from '.';
import names from './names.json' with { type: 'json' };

const arrived: ReadingState = {
  power: 'on',
  upperDial: 'found',
  lowerDial: 'found',
  lifted: [],
  limitReset: false,
  breakerCycled: false,
};

function predict(check: CheckId, fault: string, plate: Plate = plate4500): QuantityPrediction {
  const model = heaterModel(plate);
  const index = model.hypotheses.findIndex((each) => each.fault === fault);
  const prediction = model.predict(index, observableOfCheck(check, impliedState(check, arrived)));
  if (prediction.kind !== 'quantity') throw new Error(`${check} is no reading`);
  return prediction;
}

const leads = 0.2;

describe('a good heater', () => {
  // Ohm's and Joule's laws: R = V²/P, I = P/V.
  it.each([
    [4500, 240, 12.8, 18.75],
    [5500, 240, 10.47, 22.92],
    [3800, 240, 15.16, 15.83],
    [3000, 230, 17.63, 13.04],
  ])('of %d W at %d V reads %d Ω and draws %d A', (watt, volt, ohm, ampere) => {
    expect(elementOhm(volt, watt)).toBeCloseTo(ohm, 2);
    const plate: Plate = {
      ...plate4500,
      ratedVolt: volt,
      nominalVolt: volt,
      upperWatt: watt,
      lowerWatt: watt,
    };
    expect(predict('upper-element-ohms', 'no-fault', plate).value - leads).toBeCloseTo(ohm, 1);
    // The supply wires take about one percent of the amps.
    const amps = predict('upper-element-amps', 'no-fault', plate).value;
    expect(amps / ampere).toBeGreaterThan(0.97);
    expect(amps / ampere).toBeLessThan(1);
  });

  it('reads about 13 Ω through the whole upper path, and over range to the tank', () => {
    expect(predict('upper-path-ohms', 'no-fault').value).toBeCloseTo(13, 0);
    expect(predict('upper-element-a-to-tank-ohms', 'no-fault').value).toBeGreaterThan(20e6);
  });

  it('on 208 V gives a 240 V element three quarters of its power', () => {
    // 4500 W at 240 V is 3380 W at 208 V: Joule's law.
    const plate = { ...plate4500, nominalVolt: 208 };
    const amps = predict('upper-element-amps', 'no-fault', plate).value;
    expect((amps ** 2 * 12.8) / 3380).toBeCloseTo(1, 1);
  });
});

describe('what a fault shows', () => {
  it('an open upper element reads over range screw to screw', () => {
    expect(predict('upper-element-ohms', 'upper-element.open').value).toBeGreaterThan(20e6);
  });

  it('an open leg still reads about 120 V to the tank, fed back through an element', () => {
    const fedBack = predict('supply-leg-1-to-earth-volts', 'supply.leg-1-missing').value;
    expect(fedBack).toBeGreaterThan(100);
    expect(predict('supply-volts', 'supply.leg-1-missing').value).toBeLessThan(20);
  });

  it('with one wire lifted an element is not isolated for a reading to the tank', () => {
    const model = heaterModel(plate4500);
    const index = model.hypotheses.findIndex((each) => each.fault === 'lower-element.earthed');
    const one: ReadingState = {
      ...arrived,
      power: 'off',
      lifted: [{ wire: 'w-upper-a', end: 'upper-element.a' }],
    };
    const seen = model.predict(index, observableOfCheck('upper-element-a-to-tank-ohms', one));
    expect(seen.kind === 'quantity' && seen.value).toBeLessThan(100);
    expect(predict('upper-element-a-to-tank-ohms', 'lower-element.earthed').value).toBeGreaterThan(
      20e6,
    );
  });

  it('a welded thermostat cannot be shown on a cold tank', () => {
    const model = heaterModel(plate4500);
    const cold = model.hypotheses.findIndex(
      (each) => each.fault === 'lower-thermostat.welded' && each.situation.bottomCelsius < 30,
    );
    const observable = observableOfCheck(
      'lower-contact-low-ohms',
      impliedState('lower-contact-low-ohms', arrived),
    );
    const welded = model.predict(cold, observable);
    const open = model.hypotheses.findIndex((each) => each.fault === 'lower-element.open');
    const good = model.predict(open, observable);
    expect(welded).toMatchObject({ value: expect.closeTo(0.23, 1) as number });
    expect(good).toMatchObject({ value: expect.closeTo(0.23, 1) as number });
  });

  it('a burst element shows its leak on one screw only', () => {
    const model = heaterModel(plate4500);
    const index = model.hypotheses.findIndex((each) => each.fault === 'upper-element.burst');
    const ohms = (['a', 'b'] as const).map((screw) => {
      const check: CheckId = `upper-element-${screw}-to-tank-ohms`;
      const seen = model.predict(index, observableOfCheck(check, impliedState(check, arrived)));
      return seen.kind === 'quantity' ? seen.value : 0;
    });
    expect(Math.min(...ohms)).toBeLessThan(50);
    expect(Math.max(...ohms)).toBeGreaterThan(20e6);
  });
});

describe('what a fault does to the water', () => {
  const situations = (fault: string) =>
    heaterModel(plate4500)
      .hypotheses.filter((each) => each.fault === fault)
      .map((each) => each.situation);

  it('an open lower element leaves the top third hot', () => {
    expect(situations('lower-element.open')).toEqual([
      expect.objectContaining({ topCelsius: 50, bottomCelsius: 18, limitTripped: false }),
    ]);
  });

  it('an open upper element leaves the whole tank cold', () => {
    expect(situations('upper-element.open')).toEqual([
      expect.objectContaining({ topCelsius: 18, bottomCelsius: 18 }),
    ]);
  });

  it('a welded lower thermostat overheats, and mostly the limit has tripped', () => {
    const found = situations('lower-thermostat.welded');
    const tripped = found.filter((each) => each.limitTripped);
    expect(tripped.reduce((sum, each) => sum + each.share, 0)).toBeCloseTo(0.8, 6);
    expect(found.some((each) => !each.limitTripped && each.topCelsius > 74)).toBe(true);
  });

  it('an element earthed near its live end can take the breaker out', () => {
    const found = situations('upper-element.earthed').filter((each) => each.breakerTrips);
    expect(found.length).toBeGreaterThan(0);
  });
});

describe('the table of names', () => {
  it('has a mode for every fault, and words for every check and repair', () => {
    expect(new Set(faultModes.map((each) => each.id))).toEqual(new Set(Object.keys(names.faults)));
    expect(new Set(Object.keys(checkWords))).toEqual(new Set(checkIds));
    expect(new Set(Object.keys(repairs))).toEqual(new Set(names.repairs));
    for (const repair of Object.values(repairOf)) expect(names.repairs).toContain(repair);
  });

  it('touches only terminals that exist, and lifts only wires from their own ends', () => {
    for (const check of checkIds) {
      const { between = [], state } = checkNames[check];
      for (const terminal of between) expect(names.terminals).toContain(terminal);
      for (const { wire, end } of state.lifted ?? []) {
        expect(names.conductors[wire as keyof typeof names.conductors]).toContain(end);
      }
    }
  });

  it('proves every repair by a check that exists', () => {
    for (const { proof } of Object.values(repairs)) {
      expect(proof.length).toBeGreaterThan(0);
      for (const check of proof) expect(checkIds).toContain(check);
    }
  });

  it('refuses a plate without watts', () => {
    expect(() => heaterModel({ ...plate4500, upperWatt: 0 })).toThrow(RangeError);
  });
});
