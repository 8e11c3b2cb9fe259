import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { families } from '../appliances/all';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';

import { effectiveEntries, foldEntries, type Entry } from '.';

const action = (name: string, rest: object = {}): Entry =>
  ({ ...stamp(), kind: 'action', action: name, ...rest }) as Entry;
const reading = (check: string, value: object): Entry =>
  ({ ...stamp(), kind: 'reading', check, value }) as Entry;
const { catalogue } = electricStorageTwoElement;
const fold = (...entries: Entry[]) => foldEntries(entries, catalogue);

describe('the state of the unit', () => {
  it('counts lifted wires until they are back', () => {
    const lift = { wire: 'w-upper-a', end: 'upper-element.a' };
    expect(fold(action('lift-wire', lift)).lifted).toEqual([lift]);
    expect(fold(action('lift-wire', lift), action('refit-wire', lift)).lifted).toEqual([]);
  });

  it('knows covers, dials, the reset and the breaker', () => {
    const state = fold(
      action('open', { target: 'upper' }),
      action('set-dial', { dial: 'upper', to: 'high' }),
      { ...stamp(), kind: 'observation', check: 'limit-reset-press', value: 'clicked' },
      { ...stamp(), kind: 'observation', check: 'breaker-recycle', value: 'holds' },
    );
    expect(state).toMatchObject({
      facts: { upper: { by: undefined } },
      controls: { upperDial: 'high' },
      done: ['reset-pressed', 'breaker-cycled'],
    });
  });

  it('of what hands have made so knows nothing after a backup or a file took its place, also where that is struck out', () => {
    const lapsing = families.flatMap(({ catalogue: own }) =>
      [...own.facts].flatMap(([fact, { lapses }]) => (lapses ? [{ fact, own }] : [])),
    );
    const made = lapsing.filter(
      ({ fact, own }) => fact in foldEntries([action('make-so', { fact })], own).facts,
    );
    expect(made.length).toBeGreaterThan(3);
    for (const { fact, own } of made) {
      for (const kind of ['restored', 'brought-in'] as const) {
        const [so, gap] = [action('make-so', { fact }), action(kind)];
        const struck = {
          ...stamp(),
          kind: 'correction',
          replaces: gap.id,
          entry: null,
          reason: 'x',
        } as Entry;
        for (const entries of [
          [so, gap],
          [so, gap, struck],
        ]) {
          const { facts, lapsed } = foldEntries(entries, own);
          expect(facts).not.toHaveProperty(fact);
          expect(lapsed).toHaveProperty(fact);
        }
      }
    }
  });

  it('keeps settings as found beside as left', () => {
    const state = fold(
      { ...stamp(), kind: 'setting', setting: 'upper-dial', as: 'found', value: { celsius: 60 } },
      { ...stamp(), kind: 'setting', setting: 'upper-dial', as: 'left', value: { celsius: 50 } },
    );
    expect(state.settings.get('upper-dial')).toEqual({
      found: { celsius: 60 },
      left: { celsius: 50 },
    });
  });

  it('forgets a refusal once the check is taken after all', () => {
    const skip: Entry = { ...stamp(), kind: 'skip', check: 'upper-element-ohms', reason: 'cannot' };
    expect(fold(skip).refused.get('upper-element-ohms')).toBe('cannot');
    expect(fold(skip, reading('upper-element-ohms', { ohm: 13 })).refused.size).toBe(0);
  });
});

describe('a correction', () => {
  const slipped = reading('upper-element-ohms', { overRange: true });
  const correct = (entry: Entry | null, replaces = slipped.id): Entry => ({
    ...stamp(),
    kind: 'correction',
    replaces,
    entry,
    reason: 'probe slipped',
  });
  const values = (...entries: Entry[]) =>
    effectiveEntries(entries).map((each) => (each.kind === 'reading' ? each.value : each.kind));

  it('takes the place of the first entry, at its time', () => {
    const right = reading('upper-element-ohms', { ohm: 12.8 });
    const [counted] = effectiveEntries([slipped, correct(right)]);
    expect(counted).toMatchObject({ id: slipped.id, at: slipped.at, value: { ohm: 12.8 } });
  });

  it('the latest wins, and null strikes it out', () => {
    const right = reading('upper-element-ohms', { ohm: 12.8 });
    expect(effectiveEntries([slipped, correct(right), correct(null)])).toEqual([]);
  });

  it('of a correction says what the first entry should be, and struck out leaves it as it was', () => {
    const wrong = correct(reading('upper-element-ohms', { ohm: 128 }));
    const better = correct(reading('upper-element-ohms', { ohm: 12.8 }), wrong.id);
    expect(values(slipped, wrong, better)).toEqual([{ ohm: 12.8 }]);
    expect(values(slipped, wrong, correct(null, wrong.id))).toEqual([{ overRange: true }]);
    expect(values(slipped, wrong, better, correct(null, better.id))).toEqual([{ ohm: 128 }]);
    const asCorrection = correct({ ...wrong, ...stamp(), entry: null } as Entry, wrong.id);
    expect(values(slipped, wrong, asCorrection)).toEqual([]);
  });

  it('that names another which names it back says nothing', () => {
    const [one, other] = [correct(null), correct(null)];
    const round = [
      { ...one, replaces: other.id },
      { ...other, replaces: one.id },
    ] as Entry[];
    expect(values(slipped, ...round)).toEqual([{ overRange: true }]);
  });

  it('does not depend on the order in which entries arrive', () => {
    const entries = [
      slipped,
      correct(reading('upper-element-ohms', { ohm: 12.8 })),
      action('power-off'),
    ];
    expect(effectiveEntries([...entries].reverse())).toEqual(effectiveEntries(entries));
  });
});
