import { describe, expect, it } from 'vitest';
import { emptyJob, plate4500, stamp } from '../../../../tests/plates';
import { foldEntries, type Entry } from '../../job-file';
import {
  accessSteps,
  candidateChecks,
  catalogue,
  checkIds,
  checkNames,
  checkWords,
  faultModes,
  heaterModel,
  impliedState,
  isAllowed,
  observableOfCheck,
  plateOf,
  probe,
  questionIds,
  readingState,
  repairs,
  type Plate,
} from '.';
import { emptyState } from '../../job-file/fold';

const model = heaterModel(plate4500);
const arrived = readingState(emptyState);
const fold = (...entries: object[]) =>
  foldEntries(
    entries.map((each) => ({ ...stamp(), ...each }) as Entry),
    catalogue,
  );

describe('the tables of outcomes', () => {
  it('sum to one under every hypothesis', () => {
    const observables = [
      ...checkIds
        .filter((check) => checkNames[check].kind === 'observation')
        .map((check) => observableOfCheck(check, impliedState(check, arrived))),
      ...questionIds.map((question) => ({
        kind: 'question' as const,
        key: `question ${question}`,
        question,
      })),
    ];
    for (const observable of observables) {
      model.hypotheses.forEach((_, index) => {
        const prediction = model.predict(index, observable);
        if (prediction.kind !== 'outcomes') throw new Error(`${observable.key} is no observation`);
        const values = Object.values(prediction.probabilities);
        expect(values.every((each) => each >= 0)).toBe(true);
        expect(
          values.reduce((sum, each) => sum + each, 0),
          observable.key,
        ).toBeCloseTo(1, 6);
      });
    }
  });

  it('name exactly the values that the check may be answered with', () => {
    for (const check of checkIds) {
      const { kind, values } = checkNames[check];
      if (kind !== 'observation') continue;
      const prediction = model.predict(0, observableOfCheck(check, impliedState(check, arrived)));
      const named = prediction.kind === 'outcomes' ? Object.keys(prediction.probabilities) : [];
      expect([...named].sort(), check).toEqual([...(values ?? [])].sort());
      expect(Object.keys(checkWords[check].answers ?? {}).sort(), check).toEqual([...named].sort());
    }
  });

  it('give every fault its whole weight, spread over variants and situations', () => {
    for (const { id, weight, variants } of faultModes) {
      expect(
        variants.reduce((sum, each) => sum + each.share, 0),
        id,
      ).toBeCloseTo(1, 9);
      const own = model.hypotheses.filter((each) => each.fault === id);
      expect(
        own.reduce((sum, each) => sum + each.weight, 0),
        id,
      ).toBeCloseTo(weight, 9);
    }
  });
});

describe('the grid of shared unknowns', () => {
  it('has shares that sum to one and the mean and spread of common practice', () => {
    for (const { id, points } of model.unknowns) {
      const mean = points.reduce((sum, each) => sum + each.share * each.logRatio, 0);
      const square = points.reduce(
        (sum, each) => sum + each.share * (each.logRatio - mean) ** 2,
        0,
      );
      expect(
        points.reduce((sum, each) => sum + each.share, 0),
        id,
      ).toBeCloseTo(1, 6);
      const [wantedMean, wantedSpread] = id === 'supply-volt' ? [0, 0.025] : [0.02, 0.042];
      expect(mean, id).toBeCloseTo(wantedMean, 6);
      expect(Math.sqrt(square) / wantedSpread, id).toBeGreaterThan(0.9);
      expect(Math.sqrt(square) / wantedSpread, id).toBeLessThan(1.02);
    }
  });
});

describe('single-phase supply', () => {
  const plate: Plate = {
    ...plate4500,
    ratedVolt: 230,
    nominalVolt: 230,
    upperWatt: 3000,
    lowerWatt: 3000,
    supply: 'single-phase',
  };
  const single = heaterModel(plate);
  const volts = (
    check: 'supply-volts' | 'supply-leg-1-to-earth-volts' | 'supply-leg-2-to-earth-volts',
  ) => {
    const prediction = single.predict(
      single.healthyIndex,
      observableOfCheck(check, impliedState(check, arrived)),
    );
    return prediction.kind === 'quantity' ? prediction.value : Number.NaN;
  };

  it('has leg 2 as the neutral: about 0 V to earth, and 230 V on the other', () => {
    expect(volts('supply-leg-2-to-earth-volts')).toBeLessThan(3);
    expect(volts('supply-leg-1-to-earth-volts')).toBeGreaterThan(222);
    expect(volts('supply-volts')).toBeGreaterThan(220);
  });

  it('takes no breaker out for an element earthed at its neutral end', () => {
    const trips = (fraction: number) =>
      single.hypotheses.filter(({ fault, situation, variant }) => {
        const half = variant.changes['upper-element.a-half'];
        return (
          fault === 'upper-element.earthed' &&
          situation.breakerTrips &&
          typeof half === 'object' &&
          'factor' in half &&
          half.factor === 2 * fraction
        );
      }).length;
    expect(trips(0.17)).toBeGreaterThan(0);
    expect(trips(0.83)).toBe(0);
  });
});

describe('any two terminals', () => {
  it('read the wire when its free end is probed, and the screw when it is on', () => {
    const lifted = { wire: 'w-upper-a', end: 'upper-element.a' };
    const state = { ...arrived, power: 'off' as const, lifted: [lifted] };
    const free = probe('resistance', 'upper-element.a', lifted, state);
    const read = model.predict(model.healthyIndex, free);
    // From the screw to the free end the only way is through both elements: the lower contact is not closed to here.
    expect(read.kind === 'quantity' && read.value).toBeGreaterThan(10);
    const on = probe('resistance', 'upper-element.a', lifted, { ...state, lifted: [] });
    const joined = model.predict(model.healthyIndex, on);
    expect(joined.kind === 'quantity' && joined.value).toBeLessThan(0.3);
  });
});

describe('what a check still needs', () => {
  const proved = { kind: 'action', action: 'proved-dead' };
  const kinds = (check: Parameters<typeof accessSteps>[0], ...entries: object[]) =>
    accessSteps(check, fold(...entries)).map((each) => each.kind);

  it('is power off, its cover and its wire, once', () => {
    expect(kinds('upper-element-ohms')).toEqual(['power-off-and-prove', 'open-cover', 'lift-wire']);
    const lift = { kind: 'action', action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' };
    const open = { kind: 'action', action: 'open', target: 'upper' };
    expect(kinds('upper-element-ohms', proved, open, lift)).toEqual([]);
    expect(kinds('upper-contact-high-ohms', proved, open, lift)).toEqual(['lift-wire']);
  });

  it('is every wire back and power on for a live one', () => {
    const lift = { kind: 'action', action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' };
    const open = { kind: 'action', action: 'open', target: 'upper' };
    expect(kinds('upper-element-volts', proved, open, lift)).toEqual(['refit-wire', 'power-on']);
  });

  it('costs minutes only once: a cover that is off is cheap', () => {
    const minutes = (...entries: object[]) =>
      candidateChecks(fold(...entries), { liveWork: true }).find(
        (each) => each.checkId === 'limit-pole-1-ohms',
      )!.accessMinutes;
    const open = { kind: 'action', action: 'open', target: 'upper' };
    expect(minutes(proved) - minutes(proved, open)).toBeCloseTo(2, 9);
  });

  it('never includes live work without the permission, nor an instrument that is not there', () => {
    const dead = candidateChecks(emptyState, { liveWork: false, instruments: ['multimeter'] });
    expect(dead.length).toBeGreaterThan(10);
    for (const { checkId } of dead) {
      expect(checkId).not.toMatch(/volts$|amps$|^outlet/);
    }
    expect(isAllowed('upper-element-amps', { liveWork: true, instruments: ['multimeter'] })).toBe(
      false,
    );
  });

  it('carries a caution wherever hands go near live parts, hot water or a reset', () => {
    for (const check of checkIds) {
      const { quantity, state } = checkNames[check];
      const { caution, hazardMinutes } = checkWords[check];
      if (quantity === 'voltage-ac' || quantity === 'current-ac') {
        expect(caution, check).toBe('live');
        expect(hazardMinutes, check).toBeGreaterThan(0);
      }
      if (quantity === 'temperature') expect(caution, check).toBe('hot-water');
      if (quantity === 'resistance') expect(state.power, check).toBe('off');
    }
    for (const { wires, cautions } of Object.values(repairs)) {
      if (wires.length > 0) expect(cautions.join(' ')).toMatch(/proved dead/);
    }
  });
});

describe('a plate', () => {
  it('takes its supply from the site, and a usual volume where none is said', () => {
    const job = emptyJob({ site: { supply: { system: 'single-phase', nominal: { volt: 230 } } } });
    expect(plateOf(job)).toMatchObject({
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
    expect(() => plateOf(half)).toThrow(/watts of the lower element/);
  });
});
