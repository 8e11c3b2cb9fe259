import { gridOf, nearestPoints } from './grid';
import { Shelf } from './shelf';
import type { FamilyModel, Observable } from './model';
import { openTable, type ObservableTable, type RowClasses } from './observable-table';
import { checkPacked, packTable, type PackedTable } from './packed-table';

/**
 * A family compiled for one plate: a row for every hypothesis at every grid point of the shared unknowns, and for every
 * observable asked about, the outcome class that each row predicts. A few dozen classes serve thousands of rows.
 */
export interface CompiledFamily<O extends Observable = Observable> {
  readonly model: FamilyModel<O>;
  readonly rowCount: number;
  /** First row of each hypothesis, and one past the last at the end. */
  readonly rowStart: Uint32Array;
  readonly hypothesisOfRow: Uint16Array;
  /** Prior of each hypothesis; they sum to 1. */
  readonly prior: Float64Array;
  /** Prior share of each row in its hypothesis; they sum to 1 in every hypothesis. */
  readonly priorShare: Float64Array;
  /** All repairs in a fixed order. */
  readonly repairs: readonly string[];
  /** Sets of repairs that end a hypothesis, each sorted, in a fixed order; and the set of each hypothesis. */
  readonly repairSets: readonly (readonly string[])[];
  readonly setOfHypothesis: Uint16Array;
  table(observable: O): ObservableTable;
  /** How many tables it keeps: those that plans ask for, and those that were asked for by hand. */
  tableCounts(): { readonly planned: number; readonly oneOff: number };
  /** For each row, the row that stands after the repairs, in each of the states that a mended unit may be in now. */
  rowsAfter(repairs: readonly string[]): readonly RowsAfter[];
  /** Classes of all rows for a result that was taken after the repairs. */
  classesAfter(observable: O, repairs: readonly string[]): ClassesAfter;
  /** The tables of these observables, filled for those hypotheses or for all, and packed to be sent. */
  pack(observables: readonly O[], hypotheses?: readonly number[]): readonly PackedTable[];
  /**
   * Takes tables that were packed elsewhere from the same model, where nothing is filled here yet.
   * @throws RangeError where they were packed from another model.
   */
  adopt(packed: readonly PackedTable[]): void;
}

export interface RowsAfter {
  /** Chance of this state. */
  readonly share: number;
  readonly rows: Uint32Array;
}

/** Where several states are possible, a class of its own for every set of theirs. */
export interface ClassesAfter extends RowClasses {
  /** By class, what it stands for in the table; absent where it is the same. */
  readonly members?: readonly (readonly { readonly share: number; readonly of: number }[])[];
}

export function compileFamily<O extends Observable>(model: FamilyModel<O>): CompiledFamily<O> {
  const { hypotheses } = model;
  const grids = { fine: gridOf(model, 'fine'), coarse: gridOf(model, 'coarse') };
  const rowStart = new Uint32Array(hypotheses.length + 1);
  hypotheses.forEach(({ grid }, h) => {
    rowStart[h + 1] = rowStart[h]! + grids[grid].points.length;
  });
  const rowCount = rowStart[hypotheses.length]!;
  const isCoarse = Uint8Array.from(hypotheses, ({ grid }) => (grid === 'coarse' ? 1 : 0));
  const totalWeight = hypotheses.reduce((sum, each) => sum + each.weight, 0);
  const priorShare = new Float64Array(rowCount);
  const hypothesisOfRow = new Uint16Array(rowCount);
  hypotheses.forEach(({ grid }, h) => {
    hypothesisOfRow.fill(h, rowStart[h], rowStart[h + 1]);
    const total = grids[grid].points.reduce((sum, { share }) => sum + share, 0);
    grids[grid].points.forEach(({ share }, offset) => {
      priorShare[rowStart[h]! + offset] = share / total;
    });
  });
  const keys = hypotheses.map(({ repairs }) => [...repairs].sort().join(' '));
  const setKeys = [...new Set(keys)].sort();

  const tables = new Shelf<ObservableTable>(mostTables);
  const oneOffs = new Shelf<ObservableTable>(mostOneOffs);
  const rowMaps = new Shelf<readonly Uint32Array[]>(mostOneOffs);
  const classMaps = new Shelf<ClassesAfter>(mostOneOffs);
  const nearest = {
    fine: nearestPoints(grids.fine, grids.fine),
    coarse: nearestPoints(grids.coarse, grids.fine),
  };
  /** What came packed and nobody has asked for yet. */
  const adopted = new Map<string, PackedTable>();
  const table = (observable: O): ObservableTable => {
    const { key, isOneOff } = observable;
    const shelf = isOneOff && !tables.has(key) && !adopted.has(key) ? oneOffs : tables;
    return shelf.kept(key, () => {
      const packed = adopted.get(key);
      adopted.delete(key);
      return openTable(model, observable, rowStart, isCoarse, grids, packed);
    });
  };
  const mapRows = (after: readonly (readonly number[])[], state: number): Uint32Array => {
    const rows = new Uint32Array(rowCount);
    for (let h = 0; h < hypotheses.length; h++) {
      const stands = after[h]![state % after[h]!.length]!;
      const [from, to] = [hypotheses[h]!.grid, hypotheses[stands]!.grid];
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
        const offset = row - rowStart[h]!;
        rows[row] = rowStart[stands]! + (from === to ? offset : nearest[from][offset]!);
      }
    }
    return rows;
  };
  const sharesOf = (observable?: O) => model.statesAfterRepairs?.(observable) ?? [1];
  const rowsAfter = (done: readonly string[], observable?: O): readonly RowsAfter[] => {
    const maps = rowMaps.kept(keyOf(done), () => {
      const after = hypotheses.map((_, h) =>
        done.length === 0 ? [h] : model.afterRepairs(h, done),
      );
      return sharesOf().map((_, state) => mapRows(after, state));
    });
    return sharesOf(observable).map((share, state) => ({ share, rows: maps[state]! }));
  };
  const filled = (observable: O): ObservableTable => {
    const found = table(observable);
    found.ensureAll();
    return found;
  };
  return {
    model,
    rowCount,
    rowStart,
    hypothesisOfRow,
    prior: Float64Array.from(hypotheses, ({ weight }) => weight / totalWeight),
    priorShare,
    repairs: [...new Set(hypotheses.flatMap((each) => each.repairs))].sort(),
    repairSets: setKeys.map((key) => key.split(' ')),
    setOfHypothesis: Uint16Array.from(keys, (key) => setKeys.indexOf(key)),
    table,
    tableCounts: () => ({ planned: tables.size, oneOff: oneOffs.size }),
    rowsAfter,
    classesAfter(observable, done) {
      const now = filled(observable);
      if (done.length === 0) return now;
      return classMaps.kept(`${keyOf(done)} ${observable.key}`, () =>
        classesAt(rowsAfter(done, observable), rowStart, now),
      );
    },
    pack(observables, wanted) {
      if (!wanted) return observables.map((each) => packTable(each.key, filled(each), rowStart));
      const isWanted = new Set(wanted);
      return observables.map((each) => {
        const found = table(each);
        found.ensureThese(wanted);
        return packTable(each.key, found, rowStart, (h) => isWanted.has(h));
      });
    },
    adopt(packed) {
      for (const each of packed) {
        checkPacked(each, rowStart);
        if (!tables.has(each.key)) adopted.set(each.key, each);
      }
    },
  };
}

const keyOf = (repairs: readonly string[]) => [...new Set(repairs)].sort().join(' ');

/** Tables that plans ask for, again and again; and those of what was touched or set by hand, once. */
const mostTables = 400;
const mostOneOffs = 64;

function classesAt(
  states: readonly RowsAfter[],
  rowStart: Uint32Array,
  { classOfRow, classes }: ObservableTable,
): ClassesAfter {
  const members: { share: number; of: number }[][] = [];
  const found = new Map<number, number>();
  const moved = Uint16Array.from(states[0]!.rows, (_, row) => {
    let key = 0;
    for (const { rows } of states) key = key * classes.length + classOfRow[rows[row]!]!;
    let index = found.get(key);
    if (index === undefined) {
      index = members.length;
      members.push(states.map(({ share, rows }) => ({ share, of: classOfRow[rows[row]!]! })));
      found.set(key, index);
    }
    return index;
  });
  const isFlat = Uint8Array.from({ length: rowStart.length - 1 }, (_, h) => {
    const own = moved.subarray(rowStart[h]!, rowStart[h + 1]!);
    return own.every((each) => each === own[0]) ? 1 : 0;
  });
  return { classOfRow: moved, isFlat, members };
}
