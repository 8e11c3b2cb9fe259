import type { Grid } from './grid';
import {
  quantityClass,
  spreadOnScale,
  toScale,
  type OutcomeClass,
  type QuantityClass,
} from './meter';
import type { FamilyModel, Observable, Prediction, QuantityPrediction } from './model';
import { OutcomeIndex } from './outcome-index';
import { unpackClasses, unpackRows, type PackedTable } from './packed-table';

/** The outcome class that each row predicts. */
export interface RowClasses {
  readonly classOfRow: Uint16Array;
  /** For each hypothesis, 1 where its class does not depend on the shared unknowns: most do not, and cost no loop. */
  readonly isFlat: Uint8Array;
}

/** Filled as hypotheses are asked about: those that no longer matter are never predicted. */
export interface ObservableTable extends RowClasses {
  readonly classes: readonly OutcomeClass[];
  /** For each hypothesis, 1 where its rows are there. */
  readonly isFilled: Uint8Array;
  ensure(hypothesis: number): void;
  ensureThese(hypotheses: readonly number[]): void;
  ensureAll(): void;
}

/** Two predictions share a class if they differ by less than this share of the meter's spread. */
const classWidth = 0.4;
/** Spreads are told apart by steps of a factor e^(1/5). */
const spreadSteps = 5;

/** A table with nothing in it yet but what was packed of it elsewhere. */
export function openTable<O extends Observable>(
  model: FamilyModel<O>,
  observable: O,
  rowStart: Uint32Array,
  isCoarse: Uint8Array,
  grids: Readonly<Record<'fine' | 'coarse', Grid>>,
  packed?: PackedTable,
): ObservableTable {
  const count = model.hypotheses.length;
  const classOfRow = new Uint16Array(rowStart[count]!);
  const isFlat = new Uint8Array(count);
  const isFilled = new Uint8Array(count);
  let filled = packed ? unpackRows(packed, rowStart, { classOfRow, isFlat, isFilled }) : 0;
  let predict: ReturnType<FamilyModel<O>['predictor']> | undefined;
  const classes: OutcomeClass[] = packed ? unpackClasses(packed) : [];
  const looks = new OutcomeIndex();
  const classByKey = new Map<ClassKey, number>();
  if (filled > 0 && filled < count) findAgain(classes, looks, classByKey);
  const classFor = (key: ClassKey, make: () => OutcomeClass): number => {
    let index = classByKey.get(key);
    if (index === undefined) {
      index = classes.length;
      classes.push(make());
      classByKey.set(key, index);
    }
    return index;
  };

  const quantityAt = (prediction: QuantityPrediction, grid: Grid, point: number): number => {
    const { meter, otherwise } = prediction;
    const { centre, spread } = placed(prediction, grid, point);
    const stretch = stretchOf(centre, spread);
    const key = keyOfStretch(stretch);
    const own = () => quantityClass(meter, ...middleOf(stretch));
    if (!otherwise) return classFor(key, own);
    const { share } = otherwise;
    const of = quantityAt(otherwise.as, grid, point);
    return classFor(otherwiseKey(key, share, of), () => {
      const as = classes[of]!;
      return as.kind === 'quantity' ? { ...own(), otherwise: { share, as } } : own();
    });
  };

  const ownVariance = (observable.ownSpread ?? 0) ** 2;
  const place = (given: Prediction, grid: Grid): Placed => {
    const prediction = given.kind === 'quantity' ? withVariance(given, ownVariance) : given;
    if (prediction.kind === 'outcomes') {
      const index = looks.found(
        prediction.probabilities,
        (probabilities) => classes.push({ kind: 'outcomes', probabilities }) - 1,
      );
      return { found: [index], ofPoint: undefined };
    }
    const { ofPoint, representatives } = grid.combinations(prediction);
    const found = representatives.map((point) => quantityAt(prediction, grid, point));
    return { found, ofPoint: found.every((each) => each === found[0]) ? undefined : ofPoint };
  };

  // Hypotheses with the same circuit share their prediction, and with it their classes.
  const placings = { fine: new Map<Prediction, Placed>(), coarse: new Map<Prediction, Placed>() };
  const fill = (h: number) => {
    isFilled[h] = 1;
    predict ??= model.predictor(observable);
    const prediction = predict(h);
    const grid = isCoarse[h] === 1 ? 'coarse' : 'fine';
    let known = placings[grid].get(prediction);
    if (!known) {
      known = place(prediction, grids[grid]);
      placings[grid].set(prediction, known);
    }
    const { found, ofPoint } = known;
    const start = rowStart[h]!;
    const end = rowStart[h + 1]!;
    isFlat[h] = ofPoint ? 0 : 1;
    if (ofPoint)
      for (let row = start; row < end; row++) classOfRow[row] = found[ofPoint[row - start]!]!;
    else classOfRow.fill(found[0]!, start, end);
    filled += 1;
    if (filled < count) return;
    // What was kept for speed is of no use any more.
    predict = undefined;
    placings.fine.clear();
    placings.coarse.clear();
  };

  return {
    classes,
    classOfRow,
    isFlat,
    isFilled,
    ensure(h) {
      if (isFilled[h] === 0) fill(h);
    },
    ensureThese(hypotheses) {
      if (filled === count) return;
      for (const h of hypotheses) if (isFilled[h] === 0) fill(h);
    },
    ensureAll() {
      if (filled === count) return;
      for (let h = 0; h < count; h++) if (isFilled[h] === 0) fill(h);
    },
  };
}

type ClassKey = string | number;

/**
 * A stretch of the scale that counts as one class: its place in widths, and its spread in steps. The class is what stands in
 * its middle, whichever prediction fell into it first: an answer does not depend on what was asked before it.
 */
interface Stretch {
  readonly at: number;
  readonly size: number;
}

function stretchOf(centre: number, spread: number): Stretch {
  const size = Math.round(Math.log(spread) * spreadSteps);
  return { at: Math.round(centre / widthOf(size)), size };
}

const spreadOf = (size: number) => Math.exp(size / spreadSteps);

const widthOf = (size: number) => classWidth * Math.min(spreadOf(size), 0.05);

const middleOf = ({ at, size }: Stretch): [centre: number, spread: number] => [
  at * widthOf(size),
  spreadOf(size),
];

const keyOfStretch = ({ at, size }: Stretch): number => at * 1024 + size + 512;

const otherwiseKey = (own: ClassKey, share: number, of: number) => `${own} ${share} ${of}`;

/** Classes that came packed under the keys that they were made under, so that what is filled later finds them. */
function findAgain(
  classes: readonly OutcomeClass[],
  looks: OutcomeIndex,
  found: Map<ClassKey, number>,
): void {
  const keyOf = (each: QuantityClass): ClassKey => {
    const own = keyOfStretch(stretchOf(each.centre, each.spread));
    if (!each.otherwise) return own;
    const { share, as } = each.otherwise;
    // What is read otherwise is a class of its own, made before it.
    return otherwiseKey(own, share, found.get(keyOf(as)) ?? -1);
  };
  classes.forEach((each, index) => {
    if (each.kind === 'outcomes') looks.found(each.probabilities, () => index);
    else found.set(keyOf(each), index);
  });
}

/** What is read by hand is known so well, and no better, whatever is read. */
function withVariance(prediction: QuantityPrediction, more: number): QuantityPrediction {
  if (more === 0) return prediction;
  const { variance, otherwise } = prediction;
  return {
    ...prediction,
    variance: variance + more,
    ...(otherwise ? { otherwise: { ...otherwise, as: withVariance(otherwise.as, more) } } : {}),
  };
}

interface Placed {
  /** Classes of each combination of grid points. */
  readonly found: readonly number[];
  /** Which combination each grid point belongs to; undefined where all are the same class. */
  readonly ofPoint: Uint16Array | undefined;
}

function placed(
  prediction: QuantityPrediction,
  { points, within }: Grid,
  point: number,
): { centre: number; spread: number } {
  const { meter, floats } = prediction;
  if (floats && meter.phantomUpTo !== undefined) {
    const centre = toScale(meter.phantomUpTo, meter) / 2;
    return { centre, spread: centre * 0.8 };
  }
  let { value, variance } = prediction;
  prediction.gradients.forEach((gradient, u) => {
    value += gradient * points[point]!.logRatios[u]!;
    variance += (gradient * within[u]!) ** 2;
  });
  return {
    centre: toScale(value, meter),
    spread: spreadOnScale(value, variance, meter),
  };
}
