import { describe, expect, it } from 'vitest';
import { stamp } from '../../../tests/plates';
import { electricFamilies as families } from '../../../tests/electric-families';
import { isLiveWork, liveWorkAllowed, permissionProblems, type Entry } from '.';

const made = (rest: object): Entry => ({ ...stamp(), ...rest }) as Entry;

describe.each(families)('live work on $id', ({ catalogue, checkIds, checks, names, check }) => {
  const [a, b] = names.terminals;
  const wire = Object.keys(names.conductors)[0];
  const liveLook = checkIds.find(
    (each) => check(each).kind === 'observation' && checks[each]!.caution === 'live',
  )!;
  const liveReading = checkIds.find((each) => check(each).quantity === 'voltage-ac')!;
  const ways: [string, Entry][] = [
    ['a named reading', made({ kind: 'reading', check: liveReading, value: { volt: 240 } })],
    ['a look', made({ kind: 'observation', check: liveLook, value: check(liveLook).values![0] })],
    [
      'two touched terminals',
      made({ kind: 'reading', between: [a, b], quantity: 'voltage-ac', value: { volt: 2 } }),
    ],
    ['a clamp', made({ kind: 'reading', around: wire, value: { ampere: 3 } })],
    [
      'a series',
      made({
        kind: 'series',
        check: liveReading,
        samples: [{ offset: { second: 0 }, value: { volt: 240 } }],
      }),
    ],
  ];

  it.each(ways)('is %s, and a correction to it', (_, entry) => {
    expect(isLiveWork(entry, catalogue)).toBe(true);
    const correction = made({ kind: 'correction', replaces: entry.id, entry, reason: 'misread' });
    expect(isLiveWork(correction, catalogue)).toBe(true);
    const problems = permissionProblems([correction, entry], catalogue, () => false);
    expect(problems.map((each) => each.pointer.split('/').slice(0, 3).join('/'))).toEqual([
      '/entries/0',
      '/entries/1',
    ]);
  });

  it('is no dead reading, no reset pressed, and not the proof that it is dead: everybody must', () => {
    const dead = checkIds.find((each) => check(each).quantity === 'resistance');
    const entries = [
      made({ kind: 'reading', check: dead, value: { ohm: 12 } }),
      made({ kind: 'action', action: 'proved-dead', points: [] }),
      made({ kind: 'skip', check: liveReading, reason: 'cannot' }),
    ];
    expect(entries.some((each) => isLiveWork(each, catalogue))).toBe(false);
  });
});

describe('what may be proposed', () => {
  it('is what was set; where nothing was, what its people may', () => {
    const person = (liveWork: boolean) => ({ id: 'p', name: 'P', liveWork });
    expect(liveWorkAllowed({})).toBe(true);
    expect(liveWorkAllowed({ people: [person(false)] })).toBe(false);
    expect(liveWorkAllowed({ people: [person(true)], constraints: {} })).toBe(true);
    expect(liveWorkAllowed({ people: [person(true)], constraints: { liveWork: false } })).toBe(
      false,
    );
  });
});
