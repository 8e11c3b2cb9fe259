import { spreadOnScale, toScale, type OutcomeClass } from './meter';
import type { FamilyModel, Observable, QuantityPrediction } from './model';

/**
 * A family compiled for one plate: a row for every hypothesis at every grid point of the shared unknowns, and for every
 * observable asked about, the outcome class that each row predicts. A few dozen classes serve thousands of rows.
 */
export interface CompiledFamily<O extends Observable = Observable> {
  readonly model: FamilyModel<O>;
  readonly rowCount: number;
  readonly pointCount: number;
  /** Natural logarithm of the prior of each row; the priors sum to 1. */
  readonly logPrior: Float64Array;
  /** Repairs in a fixed order, and the first repair of each hypothesis as an index into it. */
  readonly repairs: readonly string[];
  readonly repairOfHypothesis: Uint8Array;
  table(observable: O): ObservableTable;
  /** For each row, the row that stands after the repairs. */
  rowsAfter(repairs: readonly string[]): Uint32Array | undefined;
}

export interface ObservableTable {
  readonly classes: readonly OutcomeClass[];
  readonly classOfRow: Uint16Array;
  /** For each hypothesis, 1 where its class does not depend on the shared unknowns: most do not, and cost no loop. */
  readonly isFlat: Uint8Array;
}

/** Two predictions share a class if they differ by less than this share of the meter's spread. */
const classWidth = 0.4;

export function compileFamily<O extends Observable>(model: FamilyModel<O>): CompiledFamily<O> {
  const grid = gridPoints(model);
  const pointCount = grid.length;
  const rowCount = model.hypotheses.length * pointCount;
  const logPrior = new Float64Array(rowCount);
  const repairOfHypothesis = new Uint8Array(model.hypotheses.length);
  const repairs = [...new Set(model.hypotheses.map((each) => each.repairs[0]!))].sort();
  const totalWeight = model.hypotheses.reduce((sum, each) => sum + each.weight, 0);

  model.hypotheses.forEach((hypothesis, index) => {
    repairOfHypothesis[index] = repairs.indexOf(hypothesis.repairs[0]!);
    grid.forEach((point, offset) => {
      const row = index * pointCount + offset;
      logPrior[row] = Math.log((hypothesis.weight / totalWeight) * point.share);
    });
  });

  const tables = new Map<string, ObservableTable>();
  const rowMaps = new Map<string, Uint32Array>();
  return {
    model,
    rowCount,
    pointCount,
    logPrior,
    repairs,
    repairOfHypothesis,
    table(observable) {
      let found = tables.get(observable.key);
      if (!found) {
        found = compileTable(model, observable, grid);
        tables.set(observable.key, found);
      }
      return found;
    },
    rowsAfter(done) {
      if (done.length === 0) return undefined;
      const key = [...done].sort().join(' ');
      let found = rowMaps.get(key);
      if (!found) {
        found = new Uint32Array(rowCount);
        for (let h = 0; h < model.hypotheses.length; h++) {
          const after = model.afterRepairs(h, done);
          for (let g = 0; g < pointCount; g++) found[h * pointCount + g] = after * pointCount + g;
        }
        rowMaps.set(key, found);
      }
      return found;
    },
  };
}

interface GridPoint {
  /** Which point of each unknown's own grid. */
  readonly steps: readonly number[];
  readonly logRatios: readonly number[];
  readonly share: number;
}

function gridPoints({ unknowns }: FamilyModel<never>): GridPoint[] {
  let points: GridPoint[] = [{ steps: [], logRatios: [], share: 1 }];
  for (const unknown of unknowns) {
    points = points.flatMap((each) =>
      unknown.points.map(({ logRatio, share }, step) => ({
        steps: [...each.steps, step],
        logRatios: [...each.logRatios, logRatio],
        share: each.share * share,
      })),
    );
  }
  return points;
}

function compileTable<O extends Observable>(
  model: FamilyModel<O>,
  observable: O,
  grid: readonly GridPoint[],
): ObservableTable {
  const classOfRow = new Uint16Array(model.hypotheses.length * grid.length);
  const classes: OutcomeClass[] = [];
  const classByKey = new Map<string | number, number>();
  const classFor = (key: string | number, make: () => OutcomeClass): number => {
    let index = classByKey.get(key);
    if (index === undefined) {
      index = classes.length;
      classes.push(make());
      classByKey.set(key, index);
    }
    return index;
  };

  const quantityClass = (prediction: QuantityPrediction, point: GridPoint): number => {
    const { centre, spread } = placed(prediction, point);
    const place = Math.round(centre / (classWidth * Math.min(spread, 0.05)));
    return classFor(place * 1024 + Math.round(Math.log(spread) * 4) + 512, () => ({
      kind: 'quantity',
      meter: prediction.meter,
      centre,
      spread,
    }));
  };

  const combinations = combinationsOf(grid);
  for (let h = 0; h < model.hypotheses.length; h++) {
    const prediction = model.predict(h, observable);
    const start = h * grid.length;
    if (prediction.kind === 'outcomes') {
      const { probabilities } = prediction;
      const key = Object.values(probabilities)
        .map((each) => each.toFixed(4))
        .join(' ');
      classOfRow.fill(
        classFor(key, () => ({ kind: 'outcomes', probabilities })),
        start,
        start + grid.length,
      );
      continue;
    }
    const { ofPoint, representatives } = combinations(prediction);
    const found = representatives.map((point) => quantityClass(prediction, grid[point]!));
    for (let g = 0; g < grid.length; g++) classOfRow[start + g] = found[ofPoint[g]!]!;
  }
  const isFlat = Uint8Array.from(model.hypotheses, (_, h) => {
    const start = h * grid.length;
    for (let g = 1; g < grid.length; g++) {
      if (classOfRow[start + g] !== classOfRow[start]) return 0;
    }
    return 1;
  });
  return { classes, classOfRow, isFlat };
}

interface Combinations {
  /** Which combination each grid point belongs to. */
  readonly ofPoint: Uint8Array;
  /** A grid point of each combination. */
  readonly representatives: readonly number[];
}

/** Grid points that differ only in what a reading does not depend on share its class: they are told apart by the rest. */
function combinationsOf(
  grid: readonly GridPoint[],
): (prediction: QuantityPrediction) => Combinations {
  const byMask = new Map<number, Combinations>();
  return ({ gradients, floats }) => {
    let mask = 0;
    if (!floats) gradients.forEach((each, u) => (mask |= each === 0 ? 0 : 1 << u));
    let found = byMask.get(mask);
    if (!found) {
      const keys = grid.map(({ steps }) =>
        steps.map((step, u) => (mask & (1 << u) ? step : 0)).join(' '),
      );
      const distinct = [...new Set(keys)];
      found = {
        ofPoint: Uint8Array.from(keys, (key) => distinct.indexOf(key)),
        representatives: distinct.map((key) => keys.indexOf(key)),
      };
      byMask.set(mask, found);
    }
    return found;
  };
}

function placed(
  prediction: QuantityPrediction,
  point: GridPoint,
): { centre: number; spread: number } {
  const { meter, floats } = prediction;
  if (floats && meter.phantomUpTo !== undefined) {
    const centre = toScale(meter.phantomUpTo, meter) / 2;
    return { centre, spread: centre * 0.8 };
  }
  let value = prediction.value;
  prediction.gradients.forEach((gradient, index) => {
    value += gradient * point.logRatios[index]!;
  });
  return {
    centre: toScale(value, meter),
    spread: spreadOnScale(value, prediction.variance, meter),
  };
}
