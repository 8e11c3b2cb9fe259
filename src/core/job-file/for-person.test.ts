import { expect, it } from 'vitest';
import { gasStoragePilot } from '../appliances/gas-storage-pilot';
import { stamp } from '../../../tests/plates';
import { foldEntries, stateFor, type Entry } from '.';

const { catalogue } = gasStoragePilot;

it('takes from who comes after what lapses with a person, and nothing else', () => {
  const lapsing = [...catalogue.facts].filter(([, { lapses }]) => lapses).map(([id]) => id);
  const lasting = [...catalogue.facts].filter(([, { lapses }]) => !lapses).map(([id]) => id);
  expect(lapsing.length).toBeGreaterThan(0);
  const made = [...lapsing, ...lasting].map(
    (fact) => ({ ...stamp(), kind: 'action', action: 'make-so', fact, by: 'p1' }) as Entry,
  );
  const state = foldEntries(made, catalogue);
  const held = Object.keys(state.facts);
  expect(held).toEqual(expect.arrayContaining(lapsing));
  expect(stateFor(state, catalogue, 'p1')).toBe(state);
  const theirs = stateFor(state, catalogue, 'p2');
  expect(Object.keys(theirs.facts)).toEqual(held.filter((each) => !lapsing.includes(each)));
  expect(Object.keys(theirs.lapsed).sort()).toEqual([...lapsing].sort());
});
