import type { FamilyModel, Hypothesis, QuantityPrediction } from './model';

/** The grid of shared unknowns: every combination of their points, finely for some hypotheses, coarsely for others. */
export interface Grid {
  readonly points: readonly GridPoint[];
  /** Spread left inside a cell, by unknown, natural logarithm. */
  readonly within: readonly number[];
  /** Grid points grouped by what a prediction depends on: the rest do not tell it apart. */
  combinations(prediction: QuantityPrediction): Combinations;
}

interface GridPoint {
  /** Which point of each unknown's own grid. */
  readonly steps: readonly number[];
  readonly logRatios: readonly number[];
  readonly share: number;
}

export interface Combinations {
  /** Which combination each grid point belongs to. */
  readonly ofPoint: Uint16Array;
  /** A grid point of each combination. */
  readonly representatives: readonly number[];
}

export function gridOf({ unknowns }: FamilyModel<never>, kind: Hypothesis['grid']): Grid {
  let points: GridPoint[] = [{ steps: [], logRatios: [], share: 1 }];
  for (const unknown of unknowns) {
    points = points.flatMap((each) =>
      unknown[kind].points.map(({ logRatio, share }, step) => ({
        steps: [...each.steps, step],
        logRatios: [...each.logRatios, logRatio],
        share: each.share * share,
      })),
    );
  }
  if (points.length > mostPoints) {
    throw new RangeError(
      `${unknowns.map((each) => each.id).join(', ')} make ${points.length} grid points; at most ${mostPoints} are told apart`,
    );
  }
  const byMask = new Map<number, Combinations>();
  return {
    points,
    within: unknowns.map((each) => each[kind].within),
    combinations(prediction) {
      const mask = maskOf(prediction);
      let found = byMask.get(mask);
      if (!found) {
        const keys = points.map(({ steps }) =>
          steps.map((step, u) => (mask & (1 << u) ? step : 0)).join(' '),
        );
        const distinct = [...new Set(keys)];
        found = {
          ofPoint: Uint16Array.from(keys, (key) => distinct.indexOf(key)),
          representatives: distinct.map((key) => keys.indexOf(key)),
        };
        byMask.set(mask, found);
      }
      return found;
    },
  };
}

/** Unknowns that it depends on, as bits. */
function maskOf({ gradients, floats, otherwise }: QuantityPrediction): number {
  let mask = otherwise ? maskOf(otherwise.as) : 0;
  if (!floats) gradients.forEach((each, u) => (mask |= each === 0 ? 0 : 1 << u));
  return mask;
}

/** Points of a grid that 16 bits can number. */
const mostPoints = 65_536;

/** For each point of one grid, the nearest point of another. */
export function nearestPoints(from: Grid, to: Grid): Uint32Array {
  return Uint32Array.from(from.points, ({ logRatios }) => {
    const distances = to.points.map((each) =>
      each.logRatios.reduce((sum, ratio, u) => sum + (ratio - logRatios[u]!) ** 2, 0),
    );
    return distances.indexOf(Math.min(...distances));
  });
}
