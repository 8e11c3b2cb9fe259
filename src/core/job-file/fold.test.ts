import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { electricStorageTwoElement } from '../appliances/electric-storage-two-element';

import { effectiveEntries, foldEntries, type Entry } from '.';

const action = (name: string, rest: object = {}): Entry =>
  ({ ...stamp(), kind: 'action', action: name, ...rest }) as Entry;
const points = (...volts: number[]) => ({
  points: volts.map((volt) => ({ between: ['limit.1', 'tank'], value: { volt } })),
});
const reading = (check: string, value: object): Entry =>
  ({ ...stamp(), kind: 'reading', check, value }) as Entry;
const fold = (...entries: Entry[]) => foldEntries(entries, catalogue);

const { catalogue } = electricStorageTwoElement;

describe('proved dead', () => {
  it('comes from readings on every leg', () => {
    const off = action('power-off');
    const dead = action('proved-dead', points(0, 0, 0.3));
    expect(fold(off, dead)).toMatchObject({ power: 'off', provedDeadAt: dead.at });
  });

  it('does not come from switching off, nor with a volt left on one leg', () => {
    expect(fold(action('power-off')).provedDeadAt).toBeUndefined();
    expect(
      fold(action('power-off'), action('proved-dead', points(0, 118, 0))).provedDeadAt,
    ).toBeUndefined();
  });

  it.each([
    ['power on', action('power-on')],
    ['the breaker cycled', action('cycle-breaker')],
    ['a live reading', reading('supply-volts', { volt: 240 })],
    [
      'volts on any two terminals',
      {
        ...stamp(),
        kind: 'reading',
        quantity: 'voltage-ac',
        between: ['limit.1', 'tank'],
        value: { volt: 118 },
      } as Entry,
    ],
    [
      'amps in any wire',
      {
        ...stamp(),
        kind: 'reading',
        quantity: 'current-ac',
        around: 'w-upper-a',
        value: { ampere: 18 },
      } as Entry,
    ],
  ])('ends with %s', (_, entry) => {
    const state = fold(action('power-off'), action('proved-dead'), { ...entry, ...stamp() });
    expect(state.provedDeadAt).toBeUndefined();
    expect(state.power).toBe('on');
  });

  it('holds while dead readings are taken, and while no volts are found', () => {
    const none = { quantity: 'voltage-ac', between: ['limit.1', 'tank'], value: { volt: 0.4 } };
    const state = fold(action('proved-dead'), reading('upper-element-ohms', { ohm: 12.9 }), {
      ...stamp(),
      kind: 'reading',
      ...none,
    } as Entry);
    expect(state.provedDeadAt).toBeDefined();
  });
});

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
      coversOpen: ['upper'],
      dials: { upper: 'high' },
      limitReset: true,
      breakerCycled: true,
    });
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
  const correct = (entry: Entry | null): Entry => ({
    ...stamp(),
    kind: 'correction',
    replaces: slipped.id,
    entry,
    reason: 'probe slipped',
  });

  it('takes the place of the first entry, at its time', () => {
    const right = reading('upper-element-ohms', { ohm: 12.8 });
    const [counted] = effectiveEntries([slipped, correct(right)]);
    expect(counted).toMatchObject({ id: slipped.id, at: slipped.at, value: { ohm: 12.8 } });
  });

  it('the latest wins, and null strikes it out', () => {
    const right = reading('upper-element-ohms', { ohm: 12.8 });
    expect(effectiveEntries([slipped, correct(right), correct(null)])).toEqual([]);
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
