import { quantityClass, type OutcomeClass, type QuantityClass } from './meter';
import type { MeterModel } from './model';

/**
 * A table as plain data: what a server has worked out once for a plate, a device need not work out again. Most hypotheses
 * predict what another one predicts, so their rows are kept once.
 */
export interface PackedTable {
  /** Key of the observable. */
  readonly key: string;
  readonly classes: PackedClasses;
  /** Distinct rows of classes over the grid points of a hypothesis; one number where all points have the same class. */
  readonly runs: readonly (number | readonly number[])[];
  /** For each hypothesis, which of the runs it has; `notPacked` where that was not worked out. */
  readonly runOf: readonly number[];
}

const notPacked = -1;

/** Rows of a table: those of a hypothesis are there where it is filled. */
interface Rows {
  readonly classOfRow: Uint16Array;
  readonly isFlat: Uint8Array;
  readonly isFilled: Uint8Array;
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

/** Packs a table as far as it is filled for the hypotheses. */
export function packTable(
  key: string,
  { classes, classOfRow, isFlat, isFilled }: Rows & { readonly classes: readonly OutcomeClass[] },
  rowStart: Uint32Array,
  isWanted: (hypothesis: number) => boolean = () => true,
): PackedTable {
  const runs: (number | number[])[] = [];
  const known = new Map<string | number, number>();
  const runOf = Array.from(isFlat, (flat, h) => {
    if (isFilled[h] === 0 || !isWanted(h)) return notPacked;
    const first = classOfRow[rowStart[h]!]!;
    const run = flat === 1 ? first : [...classOfRow.subarray(rowStart[h], rowStart[h + 1])];
    const runKey = typeof run === 'number' ? run : run.join(' ');
    let index = known.get(runKey);
    if (index === undefined) {
      index = runs.length;
      runs.push(run);
      known.set(runKey, index);
    }
    return index;
  });
  return { key, classes: packClasses(classes), runs, runOf };
}

/**
 * @throws RangeError where the table was packed from another model.
 */
export function checkPacked({ key, runs, runOf }: PackedTable, rowStart: Uint32Array): void {
  const count = rowStart.length - 1;
  const isMatching = (each: number, h: number) => {
    if (each === notPacked) return true;
    const run = runs[each];
    return typeof run === 'number' || run?.length === rowStart[h + 1]! - rowStart[h]!;
  };
  if (runOf.length !== count || !runOf.every(isMatching)) {
    throw new RangeError(`the table of "${key}" was packed from another model`);
  }
}

/** Puts what was packed into the rows of a table of the same model; gives how many hypotheses that fills. */
export function unpackRows(
  { runs, runOf }: PackedTable,
  rowStart: Uint32Array,
  { classOfRow, isFlat, isFilled }: Rows,
): number {
  let filled = 0;
  for (let h = 0; h < isFlat.length; h++) {
    const run = runs[runOf[h]!];
    if (run === undefined) continue;
    isFilled[h] = 1;
    filled += 1;
    if (typeof run === 'number') {
      isFlat[h] = 1;
      classOfRow.fill(run, rowStart[h], rowStart[h + 1]);
    } else classOfRow.set(run, rowStart[h]);
  }
  return filled;
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

export const unpackClasses = ({ classes: packed }: PackedTable): OutcomeClass[] =>
  'meter' in packed
    ? packed.at.map((each) => unpackQuantity(each, packed.meter))
    : packed.probabilities.map((probabilities) => ({ kind: 'outcomes', probabilities }));
