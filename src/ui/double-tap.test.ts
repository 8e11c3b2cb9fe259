import { describe, expect, it } from 'vitest';
import { hasMissed, type Click } from './double-tap';

const click = (change: Partial<Click> = {}): Click => ({
  x: 100,
  y: 700,
  at: 1000,
  means: 'Skip of upper-element-ohms',
  isCountedSecond: false,
  isTouch: true,
  ...change,
});
const other = 'Skip of lower-element-ohms';

describe('the second half of a double tap', () => {
  it('misses where the first has changed what stands there', () => {
    expect(hasMissed(click(), click({ at: 1200, means: other }))).toBe(true);
    expect(hasMissed(click(), click({ at: 1900, means: other, isCountedSecond: true }))).toBe(true);
  });

  it('counts on a key that is the same both times', () => {
    expect(hasMissed(click({ means: '1 of' }), click({ at: 1100, means: '1 of' }))).toBe(false);
  });

  it('is none a while later, at another place, or of a mouse that the browser counts as single', () => {
    expect(hasMissed(click(), click({ at: 1400, means: other }))).toBe(false);
    expect(hasMissed(click(), click({ at: 1200, means: other, x: 130 }))).toBe(false);
    expect(hasMissed(click(), click({ at: 1200, means: other, isTouch: false }))).toBe(false);
  });

  it('is none after a tap beside every button, nor of one', () => {
    expect(hasMissed(undefined, click())).toBe(false);
    expect(hasMissed(click({ means: '' }), click({ at: 1100 }))).toBe(false);
    expect(hasMissed(click(), click({ at: 1100, means: '' }))).toBe(false);
  });
});
