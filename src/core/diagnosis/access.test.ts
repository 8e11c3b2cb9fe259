import { describe, expect, it } from 'vitest';
import { wayTo } from './access';
import type { AccessFact } from './model';

/** A cover that may only be moved while the power is proved off, and the power, which costs to bring about and to undo. */
const [dead, cover, wire] = [1, 2, 4];
const facts: readonly AccessFact[] = [
  { id: 'proved dead', setMinutes: 2, clearMinutes: 0.5 },
  { id: 'cover off', setMinutes: 1.5, clearMinutes: 0, changedWith: dead },
  { id: 'wire lifted', setMinutes: 1, clearMinutes: 1, changedWith: dead },
];

describe('the way to a check', () => {
  it('is free where all is so already', () => {
    expect(wayTo(facts, dead | cover, { sets: dead | cover, clears: 0 })).toEqual({
      minutes: 0,
      access: dead | cover,
    });
  });

  it('to a live check behind a cover goes by off, proved dead, cover off, and on again', () => {
    // By hand: 2 to prove, 1.5 for the cover, 0.5 to switch on.
    expect(wayTo(facts, 0, { sets: cover, clears: dead })).toEqual({ minutes: 4, access: cover });
  });

  it('to a dead check behind a cover proves once', () => {
    expect(wayTo(facts, 0, { sets: dead | cover, clears: 0 })).toEqual({
      minutes: 3.5,
      access: dead | cover,
    });
  });

  it('puts a wire back with the power off, before it goes on', () => {
    expect(wayTo(facts, cover | wire, { sets: cover, clears: dead | wire })).toEqual({
      minutes: 3.5,
      access: cover,
    });
  });

  it('to a live check that needs nothing moved needs no proof', () => {
    expect(wayTo(facts, cover, { sets: cover, clears: dead })).toEqual({
      minutes: 0,
      access: cover,
    });
  });

  it('once gone is not paid again', () => {
    const { access } = wayTo(facts, 0, { sets: cover, clears: dead });
    expect(wayTo(facts, access, { sets: cover, clears: dead }).minutes).toBe(0);
  });
});
