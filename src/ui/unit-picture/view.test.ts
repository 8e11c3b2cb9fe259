import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { closer, moved, placeIn, showing, type View } from './view';

const whole: View = { x: 20, y: 0, width: 640, height: 480 };
const place = fc.record({
  x: fc.double({ min: 20, max: 660, noNaN: true }),
  y: fc.double({ min: 0, max: 480, noNaN: true }),
});

describe('the part of a picture that is seen', () => {
  it('keeps what is between two fingers where it is while it comes closer', () => {
    const at = { x: 300, y: 200 };
    const view = closer(whole, whole, 2, at);
    expect(view).toMatchObject({ width: 320, height: 240 });
    expect((at.x - view.x) / view.width).toBeCloseTo((at.x - whole.x) / whole.width, 9);
  });

  it('never leaves the drawing, comes no closer than six times and goes no farther than the whole', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0.2, max: 5, noNaN: true }), place, place), {
          maxLength: 12,
        }),
        (steps) => {
          let view = whole;
          for (const [times, at, by] of steps) {
            view = moved(closer(view, whole, times, at), whole, by);
            expect(view.width).toBeGreaterThanOrEqual(whole.width / 6 - 1e-9);
            expect(view.width).toBeLessThanOrEqual(whole.width + 1e-9);
            expect(view.x).toBeGreaterThanOrEqual(whole.x - 1e-9);
            expect(view.x + view.width).toBeLessThanOrEqual(whole.x + whole.width + 1e-6);
            expect(view.y).toBeGreaterThanOrEqual(-1e-9);
            expect(view.y + view.height).toBeLessThanOrEqual(whole.height + 1e-6);
          }
        },
      ),
    );
  });

  it('brings what the keyboard is on into sight', () => {
    const view = closer(whole, whole, 4, { x: 20, y: 0 });
    const shown = showing(view, whole, { x: 600, y: 400 });
    expect(shown.x + shown.width).toBeGreaterThan(600);
    expect(showing(shown, whole, { x: 600, y: 400 })).toBe(shown);
  });

  it('finds a place on the screen in a drawing that is fitted into a wider box', () => {
    const box: View = { x: 0, y: 0, width: 960, height: 480 };
    expect(placeIn(whole, box, { x: 160, y: 0 })).toEqual({ x: 20, y: 0 });
    expect(placeIn(whole, box, { x: 480, y: 240 })).toEqual({ x: 340, y: 240 });
  });
});
