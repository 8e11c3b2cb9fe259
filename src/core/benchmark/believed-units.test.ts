import { describe, expect, it } from 'vitest';
import { benchedFamilies, familyParts } from './family-parts';

describe('units out of the belief itself', () => {
  it('are right as often as the engine says that it is: where the world is as it believes, it is honest', () => {
    const { run } = familyParts(benchedFamilies['tankless-gas']!).find(
      ({ name }) => name === 'tankless-gas-believed',
    )!;
    const outcomes = Array.from({ length: 80 }, (_, index) => run(31, index, () => 0));
    const said = outcomes.reduce((sum, { probability = 1 }) => sum + probability, 0) / 80;
    const right = outcomes.filter(({ isRight }) => isRight).length / 80;
    // Of 80 units the share that is right varies by 0.04 from draw to draw.
    expect(Math.abs(right - said)).toBeLessThan(0.1);
    expect(right).toBeGreaterThan(0.75);
  });
});
