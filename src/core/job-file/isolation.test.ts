import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { provedDead, stamp } from '../../../tests/plates';
import { electricFamilies as families } from '../../../tests/electric-families';
import { foldEntries, stateFor, stillHolds, type ActionEntry, type Entry } from '.';

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;
const action = (name: string, rest: object = {}) => made({ kind: 'action', action: name, ...rest });

/** What may be believed of a unit's power: for every family alike. */
describe.each(families)('proved dead on $id', (family) => {
  const { catalogue, deadPoints } = family;
  const dead = (rest: Partial<ActionEntry> = {}) => made({ ...provedDead(family), ...rest });
  const fold = (...entries: Entry[]) => foldEntries(entries, catalogue);
  const { points } = provedDead(family);
  const withPoint = (k: number, value: object) =>
    points!.map((each, index) =>
      index === k ? { ...each, value } : each,
    ) as ActionEntry['points'];
  const live = made({
    kind: 'reading',
    quantity: 'voltage-ac',
    between: deadPoints[1]!.between,
    value: { volt: 118 },
  });

  it('comes from volts on every point that the family names', () => {
    const off = action('power-off');
    const proof = dead();
    expect(fold(off, proof)).toMatchObject({
      power: 'off',
      provedDeadAt: proof.at,
    });
    expect(fold(dead({ points: withPoint(0, { volt: 0.3 }) })).provedDeadAt).toBeDefined();
    const turned = points!.map((each) => ({ ...each, between: [...each.between].reverse() }));
    expect(fold(dead({ points: turned })).provedDeadAt).toBeDefined();
  });

  const failing: [string, Partial<ActionEntry>][] = [
    ['without points', { points: [] }],
    ['with no list of points', { points: undefined }],
    ['with one point left out', { points: points!.slice(1) }],
    ['with one point twice and another not', { points: [points![0]!, ...points!.slice(0, -1)] }],
    ['in ohms', { points: withPoint(0, { ohm: 0 }) }],
    ['in ohms beside the volts', { points: withPoint(0, { volt: 0, ohm: 3 }) }],
    ['over range', { points: withPoint(1, { overRange: true }) }],
    ['with 118 V on a leg', { points: withPoint(1, { volt: 118 }) }],
    ['with 5 V on a leg', { points: withPoint(1, { volt: 5 }) }],
    ['with volts the other way round', { points: withPoint(1, { volt: -118 }) }],
    [
      'with volts at a further point',
      {
        points: [
          ...points!,
          { between: [family.names.terminals[0]!, 'tank'], value: { volt: 230 } },
        ],
      },
    ],
    ['with a prover that was not tried', { proverTried: 'not-tried' }],
    ['with a prover tried only before', { proverTried: 'before' }],
    ['with no word on the prover', { proverTried: undefined }],
  ];

  it.each(failing)('a proof %s proves nothing, ends an earlier one and says so', (_, rest) => {
    const [off, good, bad] = [action('power-off'), dead(), dead(rest)];
    expect(fold(off, bad).provedDeadAt).toBeUndefined();
    const state = fold(off, good, bad);
    expect(state.provedDeadAt).toBeUndefined();
    expect(state.failedProof).toMatchObject({ at: bad.at });
    expect(state.proofEndedBy).toBe('failed-proof');
  });

  it('volts where there should be none say that the power is on', () => {
    const state = fold(action('power-off'), dead({ points: withPoint(1, { volt: 118 }) }));
    expect(state).toMatchObject({ power: 'on', failedProof: { kind: 'live', volt: 118 } });
  });

  it.each([
    ['power on', () => action('power-on'), 'power-on'],
    ['the breaker cycled', () => action('cycle-breaker'), 'power-on'],
    ['volts on any two points', () => made({ ...live, ...stamp() }), 'live-reading'],
    [
      'volts that were said to be read with the power off',
      () => made({ ...live, ...stamp(), state: { power: 'off' } }),
      'live-reading',
    ],
    [
      'amps in any wire',
      () =>
        made({
          kind: 'reading',
          around: Object.keys(family.names.conductors)[0],
          value: { ampere: 18 },
        }),
      'live-reading',
    ],
    ['switching off anew', () => action('power-off'), 'power-off'],
    ['leaving the unit', () => action('leave'), 'left'],
    ['a backup that took the place of the logbook', () => action('restored'), 'restored'],
    ['coming as a file', () => action('brought-in'), 'brought-in'],
    [
      'waiting for a part',
      () => made({ kind: 'status', status: 'waiting-for-part', reason: 'ordered' }),
      'left',
    ],
  ] as const)('ends with %s', (_, entry, why) => {
    const state = fold(action('power-off'), dead(), entry());
    expect(state.provedDeadAt).toBeUndefined();
    expect(state.proofEndedBy).toBe(why);
  });

  it.each(['restored', 'brought-in'] as const)(
    'of before %s stands neither before nor after it, and one of after it does',
    (gap) => {
      const at = (minute: string) => `2026-03-02T16:${minute}:00.000Z`;
      const [off, proof] = [
        { ...action('power-off'), at: at('00') },
        { ...dead(), at: at('05') },
      ];
      const restored = { ...action(gap), at: at('30') };
      // What is known to be off was switched on by somebody who has not been heard yet; what is on stays on.
      expect(fold(off, restored).power).toBe('unknown');
      expect(fold({ ...action('power-on'), at: at('00') }, restored).power).toBe('on');
      // A device sends what the backup lacks: the proof comes after it, and is of before it.
      for (const entries of [
        [off, proof, restored],
        [off, restored, proof],
        [restored, off, proof],
      ]) {
        expect(fold(...entries)).toMatchObject({ provedDeadAt: undefined, power: 'unknown' });
      }
      const anew = { ...dead(), at: at('40') };
      expect(fold(off, restored, proof, anew).provedDeadAt).toBe(anew.at);
    },
  );

  it('is of the person who took it, and of that visit', () => {
    const skip = { kind: 'skip', check: family.checkIds[0], reason: 'skipped' };
    const proof = dead({ by: 'p1', visit: 'v1' });
    expect(fold(proof, made({ ...skip, by: 'p1', visit: 'v1' })).provedDeadAt).toBeDefined();
    expect(fold(proof, made({ ...skip, by: 'p2' })).proofEndedBy).toBe('other-person');
    expect(fold(proof, made({ ...skip, by: 'p1', visit: 'v2' })).proofEndedBy).toBe('left');
    // An office that countersigns is not at the unit.
    const countersign = made({ kind: 'countersign', of: proof.id, by: 'p2' });
    expect(fold(proof, countersign).provedDeadAt).toBeDefined();
  });

  it('is none for who comes after, before they have written anything', () => {
    const lift = action('lift-wire', { wire: 'a-wire', end: 'screw', by: 'p1' });
    const state = fold(action('power-off', { by: 'p1' }), dead({ by: 'p1' }), lift);
    expect(stateFor(state, catalogue, 'p1')).toBe(state);
    // An office that looks at nobody's place.
    expect(stateFor(state, catalogue, undefined)).toBe(state);
    const theirs = stateFor(state, catalogue, 'p2');
    expect(theirs).toMatchObject({
      power: 'off',
      provedDeadAt: undefined,
      provedDeadUntil: undefined,
      proofEndedBy: 'other-person',
      lifted: state.lifted,
    });
    expect(stateFor(theirs, catalogue, 'p2')).toBe(theirs);
    // It is what the logbook would say once they wrote something.
    const skip = made({ kind: 'skip', check: family.checkIds[0], reason: 'skipped', by: 'p2' });
    const after = fold(action('power-off', { by: 'p1' }), dead({ by: 'p1' }), skip);
    expect(after).toMatchObject({ power: theirs.power, proofEndedBy: theirs.proofEndedBy });
    // A proof without a name, as old files have it, is taken as it is.
    const unsigned = fold(action('power-off'), dead());
    expect(stateFor(unsigned, catalogue, 'p2')).toBe(unsigned);
  });

  it('does not outlive a night: who comes back proves it anew', () => {
    const proof = { ...dead(), at: '2026-03-02T16:00:00.000Z' };
    const next = (at: string) =>
      made({ kind: 'skip', check: family.checkIds[0], reason: 'skipped', at });
    expect(fold(proof, next('2026-03-02T17:30:00.000Z')).provedDeadAt).toBeDefined();
    expect(fold(proof, next('2026-03-03T07:00:00.000Z')).proofEndedBy).toBe('left');
    const now = (at: string) => foldEntries([proof], catalogue, at).provedDeadAt;
    expect(now('2026-03-02T17:30:00.000Z')).toBeDefined();
    expect(now('2026-03-03T07:00:00.000Z')).toBeUndefined();
  });

  it('says until when it holds if nobody writes anything more, and holds no longer', () => {
    const proof = dead();
    const later = action('open', { target: Object.keys(family.words.covers)[0] });
    const { provedDeadUntil } = fold(proof, later);
    // Four hours after the last hand on the unit, not after the proof.
    expect(provedDeadUntil).toBe(new Date(Date.parse(later.at) + 4 * 3_600_000).toISOString());
    const at = (milliseconds: number) =>
      foldEntries(
        [proof, later],
        catalogue,
        new Date(Date.parse(provedDeadUntil!) + milliseconds).toISOString(),
      );
    expect(at(0).provedDeadAt).toBe(proof.at);
    expect(at(1)).toMatchObject({ provedDeadAt: undefined, proofEndedBy: 'left' });
    expect(at(1).provedDeadUntil).toBeUndefined();
    // A clock that is behind ends nothing; that is what the entries of others are for.
    expect(at(-9 * 3_600_000).provedDeadAt).toBe(proof.at);
    expect(fold(action('power-off')).provedDeadUntil).toBeUndefined();
  });

  it('still says the same while nothing lapses, and no longer', () => {
    const proof = dead();
    const opened = action('open', { target: Object.keys(family.words.covers)[0] });
    const after = (milliseconds: number) =>
      new Date(Date.parse(opened.at) + milliseconds).toISOString();
    const [readAt, hours] = [after(1000), 3_600_000];
    for (const entries of [[proof, opened], [opened]]) {
      const then = foldEntries(entries, catalogue, readAt);
      for (const [now, holds] of [
        [after(4 * hours), true],
        [after(4 * hours + 1), false],
        [after(50 * hours), false],
      ] as const) {
        // Without a proof, and where hands leave no facts behind, nothing lapses.
        if (holds || entries.includes(proof))
          expect(stillHolds(then, readAt, now), now).toBe(holds);
        // As reading it again would say: facts and proof are what they were, or not.
        const { facts, provedDeadAt } = foldEntries(entries, catalogue, now);
        if (holds) expect([facts, provedDeadAt]).toEqual([then.facts, then.provedDeadAt]);
      }
      // Once all has lapsed nothing more does.
      const late = foldEntries(entries, catalogue, after(5 * hours));
      expect(stillHolds(late, after(5 * hours), after(90 * hours))).toBe(true);
    }
  });

  it('is none where nobody can say when it was: a clock of days ahead proves nothing, now or then', () => {
    const now = '2026-03-02T10:00:00.000Z';
    const at = (hours: number) => new Date(Date.parse(now) + hours * 3_600_000).toISOString();
    const read = (...entries: Entry[]) => foldEntries(entries, catalogue, now);
    expect(read({ ...dead(), at: at(24) }).provedDeadAt).toBe(at(24));
    for (const hours of [24.01, 72, 640_000]) {
      expect(read({ ...dead(), at: at(hours) })).toMatchObject({
        provedDeadAt: undefined,
        proofEndedBy: 'wrong-clock',
      });
    }
    // What somebody wrote with such a clock is no reason to believe an earlier proof, and keeps nobody from proving anew.
    const stray = made({ kind: 'skip', check: family.checkIds[0], reason: 'skipped', at: at(72) });
    const good = { ...dead(), at: at(-1) };
    expect(read(good, stray)).toMatchObject({ provedDeadAt: undefined, proofEndedBy: 'left' });
    const anew = [good, stray, { ...dead(), at: at(-0.5) }];
    expect(read(...anew)).toMatchObject({ provedDeadAt: at(-0.5), provedDeadUntil: at(3.5) });
    expect(foldEntries(anew, catalogue, at(3.6)).provedDeadAt).toBeUndefined();
    const on = { ...action('power-on'), at: at(72) };
    expect(read(good, on)).toMatchObject({ power: 'on', provedDeadAt: undefined });
  });

  it('ends with a power-on that came later, whatever its clock says', () => {
    // The phone was an hour ahead when it was proved dead; set right, it stamps what comes after as before.
    const proof = { ...dead(), at: '2026-03-02T09:55:00.000Z' };
    const on = { ...action('power-on'), at: '2026-03-02T09:05:00.000Z' };
    expect(fold(proof, on)).toMatchObject({ power: 'on', provedDeadAt: undefined });
    // Sent late by another device, it came first by the clock: it is not known what happened between.
    expect(fold(on, proof).provedDeadAt).toBeDefined();
    expect(fold({ ...dead(), at: '2026-03-02T09:00:00.000Z' }, on).provedDeadAt).toBeUndefined();
  });

  it('is neither made nor restored by a correction', () => {
    const bad = dead({ points: withPoint(1, { volt: 118 }) });
    const correct = (replaces: string, entry: Entry | null) =>
      made({ kind: 'correction', replaces, entry, reason: 'typed wrongly' });
    expect(fold(bad, correct(bad.id, dead())).provedDeadAt).toBeUndefined();
    const on = action('power-on');
    expect(fold(dead(), on, correct(on.id, null)).provedDeadAt).toBeUndefined();
    const proof = dead();
    expect(fold(proof, correct(proof.id, null)).provedDeadAt).toBeUndefined();
    const ohms = made({ kind: 'skip', check: family.checkIds[0], reason: 'skipped' });
    expect(fold(dead(), ohms, correct(ohms.id, made({ ...live, ...stamp() })))).toMatchObject({
      power: 'on',
      provedDeadAt: undefined,
    });
    // But who proves it again has proved it.
    expect(fold(bad, correct(bad.id, null), dead()).provedDeadAt).toBeDefined();
  });

  it('holds while dead readings are taken, and while no volts are found', () => {
    const none = made({ ...live, ...stamp(), value: { volt: 0.4 } });
    const deadCheck = family.checkIds.find((each) => family.check(each).quantity === 'resistance');
    const ohms = made({ kind: 'reading', check: deadCheck, value: { ohm: 12.9 } });
    expect(fold(dead(), ohms, none).provedDeadAt).toBeDefined();
  });

  it('never stands after anything live, in whatever order and by whatever clocks it came', () => {
    const kinds = ['dead', 'bad', 'on', 'live', 'skip', 'off'] as const;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...kinds), fc.integer({ min: 0, max: 120 })), {
          minLength: 1,
          maxLength: 12,
        }),
        (list) => {
          const entries = list.map(([kind, minute]) => {
            const at = new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString();
            const bodies = {
              dead: dead(),
              bad: dead({ proverTried: 'not-tried' }),
              on: action('power-on'),
              live: made({ ...live, ...stamp() }),
              skip: made({ kind: 'skip', check: family.checkIds[0], reason: 'skipped' }),
              off: action('power-off'),
            };
            return { ...bodies[kind], ...stamp(), at } as Entry;
          });
          const { provedDeadAt } = fold(...entries);
          if (provedDeadAt === undefined) return;
          // By receipt, nothing but harmless entries came after the last proof.
          const last = list.findLastIndex(([kind]) => kind === 'dead');
          expect(list.slice(last + 1).every(([kind]) => kind === 'skip')).toBe(true);
        },
      ),
      { numRuns: 300, seed: 11 },
    );
  });
});
