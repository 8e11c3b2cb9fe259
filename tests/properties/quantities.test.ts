import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueProblems } from '../../src/core/job-file/value-problems';
import {
  isInReach,
  quantityTable,
  parseReading,
  quantities,
  showValue,
  toKept,
  units,
  type Quantity,
  type UnitSystem,
} from '../../src/core/quantities';

/** What is typed and what a file brings is judged by one table: neither takes what the other refuses. */

const quantity = fc.constantFrom(...quantities);
const systems = ['us', 'metric'] as const;
const kept = fc.oneof(
  fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e4, max: 1e4 }),
  fc.double({ noNaN: true, noDefaultInfinity: true, min: 0, max: 1e9 }),
  fc.integer({ min: -200, max: 5000 }),
);
const baseUnit = (of: Quantity) => units.find((each) => each.quantity === of && each.factor === 1);
const valueOf = (of: Quantity, value: number) => ({ [quantityTable[of].key]: value });

describe('a number with its unit', () => {
  it('is taken by the keypad where a file may bring it, and refused where a file may not', () => {
    fc.assert(
      fc.property(quantity, kept, (of, value) => {
        const unit = baseUnit(of);
        fc.pre(unit !== undefined && Math.abs(value) < 1e21);
        // Without the comma and the lone 1, which are asked back.
        const text = `${value.toFixed(3)} ${unit!.symbol}`;
        const typed = Number(value.toFixed(3));
        const isTaken = parseReading(text, { quantity: of, system: 'metric' }).kind === 'value';
        expect(isTaken, text).toBe(valueProblems(valueOf(of, typed), of, '').length === 0);
      }),
    );
  });

  it('is refused in the unit of any other quantity, in file and keypad', () => {
    for (const of of quantities) {
      for (const unit of units) {
        if (unit.quantity === of) continue;
        // A degree is one of a temperature and of a difference: the same sign, told by what is asked for.
        const isShared = units.some(
          (each) =>
            each.quantity === of &&
            each.spellings.some((own) => own.toLowerCase() === unit.symbol.toLowerCase()),
        );
        if (!isShared) {
          const parsed = parseReading(`20 ${unit.symbol}`, { quantity: of, system: 'us' });
          expect(parsed.kind, `${unit.symbol} for ${of}`).toBe('problem');
        }
        if (quantityTable[unit.quantity].key === quantityTable[of].key) continue;
        const problems = valueProblems(valueOf(unit.quantity, 20), of, '/value');
        expect(problems, `${unit.symbol} for ${of}`).toHaveLength(1);
        expect(problems[0]!.pointer).toBe('/value');
      }
    }
  });

  it('is refused with a second unit beside it, whichever two', () => {
    fc.assert(
      fc.property(quantity, quantity, (one, other) => {
        fc.pre(quantityTable[one].key !== quantityTable[other].key);
        const both = { ...valueOf(one, 20), ...valueOf(other, 20) };
        for (const of of [one, other, undefined]) {
          const [problem] = valueProblems(both, of, '/value');
          expect(problem?.message).toMatch(/one number in one unit/);
        }
      }),
    );
  });

  it('is refused just outside its reach, and taken at its limits', () => {
    for (const of of quantities) {
      const { reach } = quantityTable[of];
      for (const value of reach) {
        expect(valueProblems(valueOf(of, value), of, '')).toEqual([]);
      }
      expect(valueProblems(valueOf(of, reach[0] - 0.001), of, '')).toHaveLength(1);
      expect(valueProblems(valueOf(of, reach[1] + 0.001), of, '')).toHaveLength(1);
    }
  });

  it('has over range only where its instrument shows it, in file and keypad', () => {
    for (const of of quantities) {
      const { goesOver } = quantityTable[of];
      const typed = parseReading('OL', { quantity: of, system: 'us' }).kind;
      expect(typed, of).toBe(goesOver ? 'over-range' : 'problem');
      expect(valueProblems({ overRange: true }, of, '').length, of).toBe(goesOver ? 0 : 1);
    }
  });

  it('that is shown is read again as what was shown', () => {
    // Where one digit more begins, and where a unit gives way to the next: half a last digit away from it, there and back,
    // and by the least that a number can differ. Taken from what is shown, not from the rule that shows it.
    const edges = [1, 10, 100, 1000].flatMap((limit) =>
      [0.5, 0.05, 0.005, 0.0005].flatMap((half) => [limit - half, limit - half / 2, limit]),
    );
    const nudges = [-2, -1, 0, 1, 2].map((each) => 1 + each * Number.EPSILON);
    const kinds = quantities.filter((each) => each !== 'temperature-difference');
    const near = (of: Quantity) =>
      units
        .filter((each) => each.quantity === of)
        .flatMap((unit) => edges.flatMap((edge) => nudges.map((n) => toKept(edge * n, unit))))
        .flatMap((value) => [value, -value]);
    const isReadAgain = (value: number, of: Quantity, system: UnitSystem) => {
      const { number, symbol } = showValue(value, of, system);
      const parsed = parseReading(`${number} ${symbol}`, { quantity: of, system });
      // Rounding may carry a value past its limit by half of its last digit, and is then refused, not changed.
      if (parsed.kind !== 'value') expect(parsed.kind, `${value}`).toBe('problem');
      else expect(showValue(parsed.value, of, system), `${value}`).toEqual({ number, symbol });
    };
    for (const of of kinds)
      for (const value of near(of).filter((each) => isInReach(each, of)))
        for (const system of systems) isReadAgain(value, of, system);
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        kept,
        fc.constantFrom(...systems),
        (of, value, system) => {
          fc.pre(isInReach(value, of));
          isReadAgain(value, of, system);
        },
      ),
    );
  });
});
