import { describe, expect, it } from 'vitest';
import { arrived, emptyJob, plate4500 } from '../../../../tests/plates';
import type { QuantityPrediction } from '../../diagnosis';
import { elementOhm, type Plate, type UnitState } from '../electrical';
import { electricStorageTwoElement as family } from '.';

const model = family.model(plate4500);

/** What the check reads where the one fault, or none, is alone. */
function predict(check: string, fault: string, plate: Plate = plate4500): QuantityPrediction {
  const own = plate === plate4500 ? model : family.model(plate);
  const index = own.hypotheses.findIndex((each) => each.faults.join() === fault);
  const state = family.impliedState(check, arrived);
  const prediction = own.predictor(family.observableOfCheck(check, state))(index);
  if (prediction.kind !== 'quantity') throw new Error(`${check} is no reading`);
  return prediction;
}
const alone = (fault: string) =>
  model.hypotheses.flatMap((each, index) =>
    each.faults.join() === fault ? [{ ...each, index }] : [],
  );
const seen = (check: string, index: number, state: UnitState) => {
  const prediction = model.predictor(family.observableOfCheck(check, state))(index);
  return prediction.kind === 'quantity' ? prediction.value : Number.NaN;
};

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
      elementWatt: { upper: watt, lower: watt },
    };
    expect(predict('upper-element-ohms', '', plate).value - leads).toBeCloseTo(ohm, 1);
    // The supply wires take about one percent of the amps.
    const amps = predict('upper-element-amps', '', plate).value;
    expect(amps / ampere).toBeGreaterThan(0.97);
    expect(amps / ampere).toBeLessThan(1);
  });

  it('reads about 13 Ω through the whole upper path, and over range to the tank', () => {
    expect(predict('upper-path-ohms', '').value).toBeCloseTo(13, 0);
    expect(predict('upper-element-a-to-tank-ohms', '').value).toBeGreaterThan(20e6);
  });

  it('on 208 V gives a 240 V element three quarters of its power', () => {
    // 4500 W at 240 V is 3380 W at 208 V: Joule's law.
    const plate = { ...plate4500, nominalVolt: 208 };
    const amps = predict('upper-element-amps', '', plate).value;
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
    const { index } = alone('lower-element.earthed')[0]!;
    const one: UnitState = {
      ...arrived,
      controls: { ...arrived.controls, power: 'off' },
      apart: [{ wire: 'w-upper-a', end: 'upper-element.a' }],
    };
    expect(seen('upper-element-a-to-tank-ohms', index, one)).toBeLessThan(100);
    expect(predict('upper-element-a-to-tank-ohms', 'lower-element.earthed').value).toBeGreaterThan(
      20e6,
    );
  });

  it('a welded thermostat cannot be shown on a cold tank', () => {
    const cold = alone('lower-thermostat.welded').find(
      (each) => each.situation.bottomCelsius < 30,
    )!;
    const open = alone('lower-element.open')[0]!;
    const state = family.impliedState('lower-contact-low-ohms', arrived);
    for (const { index } of [cold, open]) {
      expect(seen('lower-contact-low-ohms', index, state)).toBeCloseTo(0.23, 1);
    }
  });

  it('a burst element shows its leak on one screw only', () => {
    const { index } = alone('upper-element.burst')[0]!;
    const ohms = ['a', 'b'].map((screw) => {
      const check = `upper-element-${screw}-to-tank-ohms`;
      return seen(check, index, family.impliedState(check, arrived));
    });
    expect(Math.min(...ohms)).toBeLessThan(50);
    expect(Math.max(...ohms)).toBeGreaterThan(20e6);
  });
});

describe('what a fault does to the water', () => {
  const situations = (fault: string) => alone(fault).map((each) => each.situation);

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
    const found = situations('upper-element.earthed').filter((each) => each.trips === 'breaker');
    expect(found.length).toBeGreaterThan(0);
  });
});

describe('two faults at once', () => {
  const both = (one: string, other: string) =>
    model.hypotheses.filter(({ faults }) => faults.includes(one) && faults.includes(other));

  it('are told from one: a welded thermostat and the limit that it tripped end by one repair', () => {
    const found = both('upper-element.open', 'lower-element.open');
    expect(found.length).toBeGreaterThan(0);
    expect(found[0]!.repairs).toEqual(
      expect.arrayContaining(['replace-upper-element', 'replace-lower-element']),
    );
    expect(found[0]!.situation).toMatchObject({ topCelsius: 18, bottomCelsius: 18 });
  });

  it('weigh a tenth of all units, those that come together more often than chance', () => {
    const sum = (list: readonly { weight: number }[]) =>
      list.reduce((total, each) => total + each.weight, 0);
    const pairs = model.hypotheses.filter(({ faults }) => faults.length === 2);
    // Pairs that chance never brings together are left out of the model: a little under the tenth.
    expect(sum(pairs) / sum(model.hypotheses)).toBeGreaterThan(0.08);
    expect(sum(pairs) / sum(model.hypotheses)).toBeLessThan(0.101);
    const ratio =
      sum(both('sediment', 'lower-element.open')) / sum(both('sediment', 'upper-element.open'));
    // 8 × 12.6 against 1 × 9.8, the weights of common practice.
    expect(ratio).toBeCloseTo((8 * 12.6) / 9.8, 1);
  });
});

describe('other supplies', () => {
  const single: Plate = {
    ...plate4500,
    ratedVolt: 230,
    nominalVolt: 230,
    elementWatt: { upper: 3000, lower: 3000 },
    supply: 'single-phase',
  };

  it('single phase has leg 2 as the neutral: about 0 V to earth, and 230 V on the other', () => {
    expect(predict('supply-leg-2-to-earth-volts', '', single).value).toBeLessThan(3);
    expect(predict('supply-leg-1-to-earth-volts', '', single).value).toBeGreaterThan(222);
    expect(predict('supply-volts', '', single).value).toBeGreaterThan(220);
  });

  it('two legs of a 208 V wye give 120 V to earth each, and 208 V between them', () => {
    const wye = { ...plate4500, nominalVolt: 208 };
    // 208 / √3: 120 degrees apart.
    expect(predict('supply-leg-1-to-earth-volts', '', wye).value).toBeCloseTo(120, -1);
    expect(predict('supply-volts', '', wye).value).toBeGreaterThan(200);
    expect(predict('supply-volts', '', wye).value).toBeLessThan(209);
  });

  it('an element earthed through kilohms takes an RCD out, and no breaker', () => {
    const guarded = family.model({ ...single, residualCurrentDevice: true });
    const trips = guarded.hypotheses.filter(
      ({ faults, situation }) =>
        faults.join() === 'upper-element.earthed' && situation.trips === 'residual-current',
    );
    expect(trips.length).toBeGreaterThan(0);
    const bare = family.model(single);
    const high = bare.hypotheses.filter(
      ({ faults, situation }) => faults.join() === 'upper-element.earthed' && situation.trips,
    );
    expect(high.length).toBeLessThan(trips.length);
  });

  it('a simultaneous heater heats with both elements at once', () => {
    const amps = predict('lower-element-amps', '', { ...plate4500, wiring: 'simultaneous' }).value;
    expect(amps).toBeGreaterThan(16);
    expect(predict('lower-element-amps', '').value).toBeGreaterThan(16);
  });

  it('a simultaneous heater has no changeover to fail: its upper thermostat is a switch', () => {
    const { hypotheses } = family.model({ ...plate4500, wiring: 'simultaneous' });
    const faults = new Set(hypotheses.flatMap((each) => each.faults));
    expect(faults.has('upper-thermostat.never-changes-over')).toBe(false);
    expect(faults.has('upper-thermostat.welded')).toBe(true);
    // Welded, it cooks the top; the lower circuit has its own supply and works on.
    const welded = hypotheses.find((each) => each.faults.join() === 'upper-thermostat.welded')!;
    expect(welded.changes['changeover-contact']).toBeUndefined();
    expect(welded.situation.topCelsius > 70 || welded.situation.limitTripped).toBe(true);
  });
});

describe('a plate', () => {
  it('takes its supply from the site, and a usual volume where none is said', () => {
    const job = emptyJob({ site: { supply: { system: 'single-phase', nominal: { volt: 230 } } } });
    expect(family.plateOf(job)).toMatchObject({
      supply: 'single-phase',
      nominalVolt: 230,
      volumeLitre: 189,
    });
  });

  it('without one of its elements is refused at its place', () => {
    const { unit } = emptyJob();
    const half = {
      unit: { ...unit, plate: { ...unit.plate, elements: { upper: { watt: 4500 } } } },
    };
    expect(() => family.plateOf(half)).toThrow(/watts of the lower element/);
  });
});
