import { describe, expect, it } from 'vitest';
import { electricFamilies as families } from '../../../tests/electric-families';
import { emptyState } from '../job-file/state';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '.';

describe.each(families)('simulated units of $id', (family) => {
  const simulated = simulatedFamilyOf(family.id);
  const supply = family.supplies[0]!;
  const plate = family.plateOf({
    unit: {
      family: family.id,
      plate: {
        rated: { volt: supply.plateVolt },
        elements: Object.fromEntries(family.elements.map(({ id }) => [id, { watt: 2500 }])),
      },
    },
    site: { supply: { system: supply.system, nominal: { volt: supply.nominalVolt } } },
  });
  const arrived = family.readingState(emptyState);

  it('answer every check with every fault, in words that the family knows', () => {
    for (const [fault] of simulated.weights) {
      const unit = simulateUnit(simulated, plate, seededRandom(3), { faults: [fault] });
      for (const check of family.checkIds) {
        const answer = unit.answer(check, family.impliedState(check, arrived));
        if (answer.kind === 'number') expect(Number.isFinite(answer.value), check).toBe(true);
        if (answer.kind === 'outcome') expect(family.check(check).values).toContain(answer.outcome);
      }
    }
  });

  it('have complaints and answers that the call knows', () => {
    for (let seed = 0; seed < 300; seed++) {
      const { complaint } = simulateUnit(simulated, plate, seededRandom(seed), { twoFaults: 0.2 });
      expect(family.questions.complaint!.values).toContain(complaint.kind);
      for (const [question, value] of Object.entries(complaint.answers)) {
        expect(family.questions[question]?.values, question).toContain(value);
      }
    }
  });

  it('have two faults as often as they are told to, of different parts', () => {
    const units = Array.from({ length: 600 }, (_, seed) =>
      simulateUnit(simulated, plate, seededRandom(seed), { twoFaults: 0.25 }),
    );
    const pairs = units.filter((each) => each.faults.length === 2);
    expect(pairs.length / 600).toBeGreaterThan(0.19);
    expect(pairs.length / 600).toBeLessThan(0.31);
    for (const { faults } of pairs) {
      const [one, other] = faults.map((each) => each.id.split('.')[0]);
      expect(one).not.toBe(other);
    }
  });

  it('are good again once everything that they need is mended', () => {
    for (const [fault] of simulated.weights) {
      const unit = simulateUnit(simulated, plate, seededRandom(9), { faults: [fault] });
      unit.repair(unit.repairs);
      const check = family.checkIds.find((each) => family.check(each).quantity === 'current-ac')!;
      const amps = unit.answer(
        check,
        family.impliedState(check, {
          ...arrived,
          done: ['reset-pressed', 'breaker-cycled'],
        }),
      );
      if (fault === 'no-fault') continue;
      if (amps.kind !== 'number') expect.fail(`${fault}: the clamp shows no number`);
      expect(amps.value / (2500 / supply.nominalVolt), fault).toBeGreaterThan(0.8);
    }
  });
});
