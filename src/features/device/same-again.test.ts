import { expect, it } from 'vitest';
import { sameAgain } from './same-again';

it('gives the same thing the same id until its end is known, and another thing another', () => {
  const { idFor, ended } = sameAgain();
  const first = idFor('a');
  expect(idFor('a')).toBe(first);
  const other = idFor('b');
  expect(other).not.toBe(first);
  ended();
  expect(idFor('b')).not.toBe(other);
});
