import { quantityClass, type OutcomeClass, type QuantityClass } from './meter';
import type { MeterModel } from './model';
import type { ObservableTable } from './observable-table';

/**
 * A filled table as plain data: what a server has worked out once for a plate, a device need not work out again. Most
 * hypotheses predict what another one predicts, so their rows are kept once.
 */
export interface PackedTable {
  /** Key of the observable. */
  readonly key: string;
  readonly classes: PackedClasses;
  /** Distinct rows of classes over the grid points of a hypothesis; one number where all points have the same class. */
  readonly runs: readonly (number | readonly number[])[];
  /** For each hypothesis, which of the runs it has. */
  readonly runOf: readonly number[];
}

type PackedClasses =
  | {
      readonly meter: MeterModel;
      /** Centre and spread on the meter's scale; and what is read otherwise, in so many of all readings. */
      readonly at: readonly PackedQuantity[];
    }
  | { readonly probabilities: readonly Readonly<Record<string, number>>[] };

type PackedQuantity =
  | readonly [centre: number, spread: number]
  | readonly [centre: number, spread: number, share: number, otherwise: PackedQuantity];

/** Packs a table that is filled. */
export function packTable(
  key: string,
  { classes, classOfRow, isFlat }: ObservableTable,
  rowStart: Uint32Array,
): PackedTable {
  const runs: (number | number[])[] = [];
  const known = new Map<string | number, number>();
  const runOf: number[] = [];
  for (let h = 0; h < isFlat.length; h++) {
    const first = classOfRow[rowStart[h]!]!;
    const run = isFlat[h] === 1 ? first : [...classOfRow.subarray(rowStart[h], rowStart[h + 1])];
    const runKey = typeof run === 'number' ? run : run.join(' ');
    let index = known.get(runKey);
    if (index === undefined) {
      index = runs.length;
      runs.push(run);
      known.set(runKey, index);
    }
    runOf.push(index);
  }
  return { key, classes: packClasses(classes), runs, runOf };
}

/**
 * @throws RangeError where the table was packed from another model.
 */
export function unpackTable(
  { key, classes: packed, runs, runOf }: PackedTable,
  rowStart: Uint32Array,
): ObservableTable {
  const count = rowStart.length - 1;
  const classes = unpackClasses(packed);
  const classOfRow = new Uint16Array(rowStart[count]!);
  const isFlat = new Uint8Array(count);
  for (let h = 0; h < count; h++) {
    const run = runs[runOf[h] ?? -1];
    const isMatching = typeof run === 'number' || run?.length === rowStart[h + 1]! - rowStart[h]!;
    if (run === undefined || !isMatching) {
      throw new RangeError(`the table of "${key}" was packed from another model`);
    }
    if (typeof run === 'number') {
      isFlat[h] = 1;
      classOfRow.fill(run, rowStart[h], rowStart[h + 1]);
    } else classOfRow.set(run, rowStart[h]);
  }
  const ensureNothing = () => undefined;
  return {
    classes,
    classOfRow,
    isFlat,
    ensure: ensureNothing,
    ensureThese: ensureNothing,
    ensureAll: ensureNothing,
  };
}

function packClasses(classes: readonly OutcomeClass[]): PackedClasses {
  const first = classes[0];
  if (first?.kind !== 'quantity') {
    return {
      probabilities: classes.flatMap((each) =>
        each.kind === 'outcomes' ? [each.probabilities] : [],
      ),
    };
  }
  return {
    meter: first.meter,
    at: classes.flatMap((each) => (each.kind === 'quantity' ? [packQuantity(each)] : [])),
  };
}

const packQuantity = ({ centre, spread, otherwise }: QuantityClass): PackedQuantity =>
  otherwise ? [centre, spread, otherwise.share, packQuantity(otherwise.as)] : [centre, spread];

function unpackQuantity(
  [centre, spread, share, otherwise]: PackedQuantity,
  meter: MeterModel,
): QuantityClass {
  const own = quantityClass(meter, centre, spread);
  return share === undefined || otherwise === undefined
    ? own
    : { ...own, otherwise: { share, as: unpackQuantity(otherwise, meter) } };
}

const unpackClasses = (packed: PackedClasses): OutcomeClass[] =>
  'meter' in packed
    ? packed.at.map((each) => unpackQuantity(each, packed.meter))
    : packed.probabilities.map((probabilities) => ({ kind: 'outcomes', probabilities }));
