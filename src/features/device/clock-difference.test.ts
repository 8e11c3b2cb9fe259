import { describe, expect, it } from 'vitest';
import { clockAheadMilliseconds } from './clock-difference';

const noon = Date.UTC(2026, 10, 3, 12);
const said = new Date(noon).toUTCString();
const minute = 60_000;

describe('the clock of a device beside the server’s', () => {
  it.each([
    ['an hour ahead', 60 * minute, 60 * minute],
    ['an hour behind', -60 * minute, -60 * minute],
    ['three minutes ahead', 3 * minute, 3 * minute],
  ])('%s is told', (_, offset, ahead) => {
    const told = clockAheadMilliseconds(said, noon + offset, noon + offset + 200)!;
    expect(Math.abs(told - ahead)).toBeLessThan(2000);
  });

  it.each([
    ['the same', 0, 100],
    ['a minute ahead', minute, 100],
    ['a minute behind', -minute, 100],
    // Asked three minutes before the server said its time: the line was slow, or the clock is behind.
    ['the same on a line that takes minutes', -3 * minute, 6 * minute],
  ])('%s is not', (_, offset, took) => {
    expect(clockAheadMilliseconds(said, noon + offset, noon + offset + took)).toBeUndefined();
  });

  it.each([null, '', 'yesterday'])('nothing is told of an answer dated %j', (date) => {
    expect(clockAheadMilliseconds(date, noon, noon)).toBeUndefined();
  });
});
