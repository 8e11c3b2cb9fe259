import { expect, it } from 'vitest';
import { Shelf } from './shelf';

it('a shelf keeps what was asked for last, however many were asked for, and forgets the oldest', () => {
  const shelf = new Shelf<number>(3);
  for (let k = 0; k < 500; k++) {
    shelf.kept(`position ${k}`, () => k);
    shelf.kept('often', () => -1);
  }
  expect(shelf.size).toBe(3);
  expect(shelf.has('often')).toBe(true);
  expect(shelf.has('position 498')).toBe(true);
  expect(shelf.has('position 0')).toBe(false);
  expect(shelf.kept('often', () => 7)).toBe(-1);
});
