import { describe, expect, it } from 'vitest';
import { families } from '@/core/appliances/all';
import { emptyState } from '@/core/job-file/state';
import { wordsOf } from '@/features/record/family-words';
import { minutesText, stepWords } from './step-words';

describe('steps of access', () => {
  it.each(families)('of $id are orders that name a screw once', (family) => {
    const words = wordsOf(family);
    for (const check of family.checkIds) {
      const steps = family.accessSteps(check, emptyState).map((step) => stepWords(words, step));
      expect(new Set(steps).size, check).toBe(steps.length);
      for (const each of steps) {
        expect(each).toMatch(
          /^(Power|Take|Open|Lift|Refit|First: |Hold|Light|Screw|Gas off|Draw|Cold off|Knob off|Put|Manometer off|Nipple on)/,
        );
        expect(each).not.toMatch(/(element|thermostat|limit) (\w+) (off|on) .*\1 \2$/);
      }
    }
  });

  it('of a wire that is named after its screw name it once, and of any other both', () => {
    const [family] = families;
    const words = wordsOf(family!);
    const lift = (wire: string, end: string) =>
      stepWords(words, { kind: 'lift-wire', lifted: { wire, end } });
    expect(lift('w-upper-a', 'upper-element.a')).toBe('Lift the wire to upper element a');
    expect(lift('w-upper-a', 'upper-thermostat.2')).toBe(
      'Lift the wire to upper element a off upper thermostat 2',
    );
  });
});

describe('minutes', () => {
  it.each([
    [0.2, '½ min'],
    [0.9, '1 min'],
    [1.4, '1½ min'],
    [12.1, '12 min'],
  ])('%f are shown to the half: %s', (minutes, text) => expect(minutesText(minutes)).toBe(text));
});
