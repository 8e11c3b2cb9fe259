import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../../tests/plates';
import { foldEntries, type Entry } from '../../job-file';
import { emptyState } from '../../job-file/state';
import { electricFamilies } from '../../../../tests/electric-families';
import type { ElectricalObservable } from '.';

/** What holds for every family of electric heaters. */
describe.each(electricFamilies)('$id', (family) => {
  const { names } = family;
  const job = {
    unit: {
      family: family.id,
      plate: {
        rated: { volt: family.supplies[0]!.plateVolt },
        elements: Object.fromEntries(family.elements.map(({ id }) => [id, { watt: 2500 }])),
      },
    },
    site: {
      supply: {
        system: family.supplies[0]!.system,
        nominal: { volt: family.supplies[0]!.nominalVolt },
      },
    },
  };
  const model = family.model(family.plateOf(job));
  const arrived = family.readingState(emptyState);
  const observableOf = (check: string) =>
    family.observableOfCheck(check, family.impliedState(check, arrived));
  const fold = (...entries: object[]) =>
    foldEntries(
      entries.map((each) => ({ ...stamp(), ...each }) as Entry),
      family.catalogue,
    );

  describe('its table of names', () => {
    it('has a mode, words and a repair for every fault', () => {
      expect(new Set(family.faultModes.map((each) => each.id))).toEqual(
        new Set(Object.keys(names.faults)),
      );
      expect(new Set(Object.keys(family.repairs))).toEqual(new Set(names.repairs));
      for (const repair of Object.values(names.faults)) expect(names.repairs).toContain(repair);
      for (const fault of Object.keys(family.parameters.faultWeights)) {
        expect(names.faults, fault).toHaveProperty([fault]);
      }
    });

    it('is in the record for every fault that a verdict can carry, with those that no list has', () => {
      const carried = new Set(model.hypotheses.flatMap((each) => each.faults));
      expect(carried.size).toBeGreaterThan(Object.keys(names.faults).length);
      expect([...carried].filter((each) => !family.catalogue.faults.has(each))).toEqual([]);
    });

    it('takes no word of the language for a check', () => {
      for (const each of ['toString', 'constructor', '__proto__', 'hasOwnProperty', '']) {
        expect(family.isCheckId(each), each).toBe(false);
      }
      for (const each of family.checkIds) {
        expect(family.isCheckId(each)).toBe(true);
        expect(family.isCheckId(each.toUpperCase())).toBe(false);
      }
    });

    it('has words, minutes and a place in the picture for everything that is checked', () => {
      expect(new Set(Object.keys(family.checks))).toEqual(new Set(family.checkIds));
      expect(new Set(Object.keys(family.parameters.checkMinutes))).toEqual(
        new Set(family.checkIds),
      );
      for (const check of family.usualOrder) expect(family.checkIds).toContain(check);
      for (const terminal of Object.keys(family.drawing.terminals)) {
        expect(names.terminals).toContain(terminal);
      }
      for (const check of family.checkIds) {
        const { between = [], state } = family.check(check);
        for (const terminal of between) {
          expect(family.drawing.terminals, check).toHaveProperty([terminal]);
        }
        for (const { wire, end } of state?.lifted ?? []) {
          expect(names.conductors[wire]).toContain(end);
        }
        for (const cover of family.checks[check]!.covers) {
          expect(family.words.covers).toHaveProperty([cover]);
          expect(family.parameters.accessMinutes.covers).toHaveProperty([cover]);
        }
      }
    });

    it('proves every repair by a check that exists', () => {
      for (const { proof } of Object.values(family.repairs)) {
        expect(proof.length).toBeGreaterThan(0);
        for (const check of proof) expect(family.checkIds).toContain(check);
      }
    });
  });

  describe('its tables of outcomes', () => {
    const looks = family.checkIds.filter((each) => family.check(each).kind === 'observation');
    const probabilities = (observable: ElectricalObservable, index: number) => {
      const prediction = model.predictor(observable)(index);
      if (prediction.kind !== 'outcomes') throw new Error(`${observable.key} is no observation`);
      return prediction.probabilities;
    };

    it('sum to one under every hypothesis', () => {
      const questions = family.questionIds.map((question) => ({
        kind: 'question' as const,
        key: `question ${question}`,
        question,
      }));
      for (const observable of [...looks.map(observableOf), ...questions]) {
        model.hypotheses.forEach(({ id }, index) => {
          const values = Object.values(probabilities(observable, index));
          const sum = values.reduce((total, each) => total + each, 0);
          if (values.some((each) => each < 0) || Math.abs(sum - 1) > 1e-6) {
            expect.fail(`${observable.key} under ${id}: ${values.join(', ')}`);
          }
        });
      }
    });

    it('name exactly the values that a check may be answered with, and have words for them', () => {
      for (const check of looks) {
        const named = Object.keys(probabilities(observableOf(check), 0)).sort();
        expect(named, check).toEqual([...(family.check(check).values ?? [])].sort());
        expect(Object.keys(family.checks[check]!.answers ?? {}).sort(), check).toEqual(named);
      }
    });

    it('give every fault its whole weight, spread over variants and situations', () => {
      for (const { id, variants } of family.faultModes) {
        expect(
          variants.reduce((sum, each) => sum + each.share, 0),
          id,
        ).toBeCloseTo(1, 9);
        const key = id === 'no-fault' ? '' : id;
        const own = model.hypotheses.filter(({ faults }) => faults.join() === key);
        expect(
          own.reduce((sum, each) => sum + each.weight, 0),
          id,
        ).toBeCloseTo(family.parameters.faultWeights[id] ?? 0, 9);
      }
    });
  });

  it('has grids whose shares sum to one, with the mean and spread of common practice', () => {
    const values = family.parameters.values;
    for (const { id, fine, coarse } of model.unknowns) {
      const [wantedMean, wantedSpread] =
        id === 'supply-volt'
          ? [0, values.supplyLogSpread!]
          : [values.elementLogMean!, values.elementLogSpread!];
      for (const { points, within } of [fine, coarse]) {
        const mean = points.reduce((sum, each) => sum + each.share * each.logRatio, 0);
        const square = points.reduce(
          (sum, each) => sum + each.share * (each.logRatio - mean) ** 2,
          0,
        );
        expect(
          points.reduce((sum, each) => sum + each.share, 0),
          id,
        ).toBeCloseTo(1, 6);
        expect(mean, id).toBeCloseTo(wantedMean, 6);
        expect(Math.sqrt(square + within ** 2) / wantedSpread, id).toBeGreaterThan(0.9);
        expect(Math.sqrt(square + within ** 2) / wantedSpread, id).toBeLessThan(1.1);
      }
    }
  });

  it('stands hot, half drawn or cold once it is mended, whatever the fault was', () => {
    const { hypotheses } = model;
    const faulty = hypotheses.findIndex(({ faults }) => faults.length === 1);
    const after = model.afterRepairs(faulty, hypotheses[faulty]!.repairs);
    const water = after.map((h) => hypotheses[h]!.situation);
    const [hot, half, cold] = water;
    expect(water).toHaveLength(3);
    expect(after.every((h) => hypotheses[h]!.faults.length === 0)).toBe(true);
    expect(hot!.bottomCelsius).toBeGreaterThan(40);
    expect(half!.topCelsius).toBeGreaterThan(40);
    expect(half!.bottomCelsius).toBeLessThan(25);
    expect(cold!.topCelsius).toBeLessThan(25);
    for (const observable of [undefined, observableOf('outlet-first')]) {
      const shares = model.statesAfterRepairs!(observable);
      expect(shares).toHaveLength(3);
      expect(shares.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
    }
    // What a repair does not touch stands as it stood, but for the water of a good unit.
    expect(model.afterRepairs(faulty, ['another repair'])).toEqual([faulty]);
  });

  describe('any two terminals', () => {
    it('read the wire when its free end is probed, and the screw when it is on', () => {
      const [wire, [, end]] = Object.entries(names.conductors).find(
        ([, ends]) => ends[1] === `${family.elements[0]!.part}.a`,
      )!;
      const lifted = { wire, end };
      const state = {
        ...arrived,
        controls: { ...arrived.controls, power: 'off' },
        apart: [lifted],
      };
      const value = (observable: ElectricalObservable) => {
        const read = model.predictor(observable)(model.healthyIndex);
        return read.kind === 'quantity' ? read.value : Number.NaN;
      };
      expect(value(family.probe('resistance', end, lifted, state))).toBeGreaterThan(5);
      const on = family.probe('resistance', end, lifted, { ...state, apart: [] });
      expect(value(on)).toBeLessThan(0.3);
    });
  });

  describe('what a check still needs', () => {
    const proved = provedDead(family);
    const liftedFirst = family.checkIds.find(
      (each) => (family.check(each).state?.lifted ?? []).length > 0,
    )!;
    const steps = (check: string, ...entries: object[]) =>
      family.accessSteps(check, fold(...entries)).map((each) => each.kind);
    const opened = Object.keys(family.words.covers).map((target) => ({
      kind: 'action',
      action: 'open',
      target,
    }));
    const lifts = (family.check(liftedFirst).state!.lifted ?? []).map((each) => ({
      kind: 'action',
      action: 'lift-wire',
      ...each,
    }));

    it('is power off, its cover and its wires, once', () => {
      expect(steps(liftedFirst)[0]).toBe('power-off-and-prove');
      expect(steps(liftedFirst)).toContain('lift-wire');
      expect(steps(liftedFirst, proved, ...opened, ...lifts)).toEqual([]);
    });

    it('is every wire back and power on for a live one', () => {
      const live = family.checkIds.find((each) => {
        const { state } = family.check(each);
        return state?.power === 'on' && state.lifted !== undefined;
      })!;
      const needed = steps(live, proved, ...opened, ...lifts);
      expect(new Set(needed)).toEqual(new Set(['refit-wire', 'power-on']));
      expect(needed.at(-1)).toBe('power-on');
    });

    it('never includes live work without the permission, nor an instrument that is not there', () => {
      const { candidates } = family.planStart(emptyState, {
        liveWork: false,
        instruments: ['multimeter'],
      });
      expect(candidates.length).toBeGreaterThan(8);
      for (const { checkId } of candidates) {
        const { quantity } = family.check(checkId);
        expect(['voltage-ac', 'current-ac', 'temperature'], checkId).not.toContain(quantity);
        expect(family.checks[checkId]!.caution).not.toBe('live');
      }
    });

    it('costs access only once: what is open is cheap', () => {
      const covered = family.checkIds.find(
        (each) =>
          family.checks[each]!.covers.length > 0 && family.check(each).state?.power === 'off',
      )!;
      const saved =
        family.minutesOf(covered, fold(proved)) -
        family.minutesOf(covered, fold(proved, ...opened));
      const { covers } = family.parameters.accessMinutes;
      const expected = family.checks[covered]!.covers.reduce((sum, each) => sum + covers[each]!, 0);
      expect(saved).toBeCloseTo(expected, 9);
    });
  });

  it('carries a caution wherever hands go near live parts, hot water or a reset', () => {
    for (const check of family.checkIds) {
      const { quantity, state } = family.check(check);
      const { caution } = family.checks[check]!;
      if (quantity === 'voltage-ac' || quantity === 'current-ac') {
        expect(caution, check).toBe('live');
        expect(family.parameters.hazardMinutes[check], check).toBeGreaterThan(0);
      }
      if (quantity === 'temperature') expect(caution, check).toBe('hot-water');
      if (quantity === 'resistance') expect(state?.power, check).toBe('off');
    }
    for (const { wires, cautions } of Object.values(family.repairs)) {
      if (wires.length > 0)
        expect(cautions.map(({ words }) => words).join(' ')).toMatch(/proved dead/);
    }
  });

  it('refuses a plate without watts', () => {
    expect(() =>
      family.plateOf({
        unit: { ...emptyJob().unit, plate: { rated: { volt: 240 }, elements: {} } },
      }),
    ).toThrow(/watts/);
    const plate = family.plateOf(job);
    const noWatts = {
      ...plate,
      elementWatt: { ...plate.elementWatt, [family.elements[0]!.id]: 0 },
    };
    expect(() => family.model(noWatts)).toThrow(RangeError);
  });
});
