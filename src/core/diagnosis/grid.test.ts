import { describe, expect, it } from 'vitest';
import { lamp } from '../../../tests/lamp';
import type { FamilyModel, QuantityPrediction, SharedUnknown } from '.';
import { gridOf, nearestPoints } from './grid';

/** An unknown whose own grid has so many points. */
const unknown = (id: string, count: number): SharedUnknown => {
  const points = Array.from({ length: count }, (_, k) => ({
    logRatio: k / 100,
    share: 1 / count,
  }));
  const grid = { points, within: 0.01 };
  return { id, fine: grid, coarse: { ...grid, points: [{ logRatio: 0.02, share: 1 }] } };
};
const withUnknowns = (...unknowns: SharedUnknown[]): FamilyModel => ({ ...lamp, unknowns });
const prediction = (gradients: number[], floats = false): QuantityPrediction => ({
  kind: 'quantity',
  meter: { id: 'x', relativeError: 0.01, floor: 1, wrong: { overRange: 0, nearZero: 0 }, most: 9 },
  value: 1,
  gradients,
  variance: 0,
  floats,
});

describe('the grid of shared unknowns', () => {
  it('has every combination, and shares that sum to one', () => {
    const { points } = gridOf(withUnknowns(unknown('a', 3), unknown('b', 5)), 'fine');
    expect(points).toHaveLength(15);
    expect(points.reduce((sum, each) => sum + each.share, 0)).toBeCloseTo(1, 12);
    expect(new Set(points.map(({ logRatios }) => logRatios.join(' '))).size).toBe(15);
  });

  it('tells more than 255 combinations of one reading apart', () => {
    const grid = gridOf(withUnknowns(unknown('a', 20), unknown('b', 20)), 'fine');
    const { ofPoint, representatives } = grid.combinations(prediction([1, 1]));
    expect(representatives).toHaveLength(400);
    expect(new Set(ofPoint).size).toBe(400);
    expect(ofPoint[399]).toBe(399);
  });

  it('groups what a reading does not depend on', () => {
    const grid = gridOf(withUnknowns(unknown('a', 4), unknown('b', 6)), 'fine');
    expect(grid.combinations(prediction([1, 0])).representatives).toHaveLength(4);
    expect(grid.combinations(prediction([0, 2])).representatives).toHaveLength(6);
    expect(grid.combinations(prediction([0, 0])).representatives).toHaveLength(1);
    // What hangs free shows what it picks up, whatever the unknowns are.
    expect(grid.combinations(prediction([1, 1], true)).representatives).toHaveLength(1);
  });

  it('throws for more points than can be numbered, and names the unknowns', () => {
    const many = withUnknowns(unknown('upper', 300), unknown('lower', 300));
    expect(() => gridOf(many, 'fine')).toThrow(/upper, lower make 90000 grid points/);
    expect(gridOf(many, 'coarse').points).toHaveLength(1);
  });

  it('finds the nearest point of another grid', () => {
    const model = withUnknowns(unknown('a', 5));
    const [fine, coarse] = [gridOf(model, 'fine'), gridOf(model, 'coarse')];
    expect([...nearestPoints(fine, coarse)]).toEqual([0, 0, 0, 0, 0]);
    expect([...nearestPoints(coarse, fine)]).toEqual([2]);
  });
});
