import { gridOf, nearestPoints } from './grid';
import { Shelf } from './shelf';
import type { FamilyModel, Observable } from './model';
import { openTable, type ObservableTable, type RowClasses } from './observable-table';
import { packTable, unpackTable, type PackedTable } from './packed-table';

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
  /** For each row, the rows that may stand after the repairs: equally likely, as many maps as there are ways. */
  rowsAfter(repairs: readonly string[]): readonly Uint32Array[];
  /** Classes of all rows for a result that was taken after the repairs. */
  classesAfter(observable: O, repairs: readonly string[]): ClassesAfter;
  /** The tables of these observables, filled and packed to be sent. */
  pack(observables: readonly O[]): readonly PackedTable[];
  /** Takes tables that were packed elsewhere from the same model, where nothing is filled here yet. */
  adopt(packed: readonly PackedTable[]): void;
}

/** Where several ways may stand, a class of its own for every set of theirs. */
export interface ClassesAfter extends RowClasses {
  /** By class, the classes of the table that it stands for, each as likely as the others; absent where they are the same. */
  readonly members?: readonly (readonly number[])[];
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
  const table = (observable: O): ObservableTable => {
    const shelf = observable.isOneOff && !tables.has(observable.key) ? oneOffs : tables;
    return shelf.kept(observable.key, () =>
      openTable(model, observable, rowStart, isCoarse, grids),
    );
  };
  const mapRows = (ways: readonly (readonly number[])[], way: number): Uint32Array => {
    const rows = new Uint32Array(rowCount);
    for (let h = 0; h < hypotheses.length; h++) {
      const after = ways[h]![way % ways[h]!.length]!;
      const [from, to] = [hypotheses[h]!.grid, hypotheses[after]!.grid];
      for (let row = rowStart[h]!; row < rowStart[h + 1]!; row++) {
        const offset = row - rowStart[h]!;
        rows[row] = rowStart[after]! + (from === to ? offset : nearest[from][offset]!);
      }
    }
    return rows;
  };
  const rowsAfter = (done: readonly string[]): readonly Uint32Array[] =>
    rowMaps.kept(keyOf(done), () => {
      const ways = hypotheses.map((_, h) =>
        done.length === 0 ? [h] : model.afterRepairs(h, done),
      );
      const most = Math.max(...ways.map((each) => each.length));
      return Array.from({ length: most }, (_, way) => mapRows(ways, way));
    });
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
        classesAt(rowsAfter(done), rowStart, now),
      );
    },
    pack: (observables) => observables.map((each) => packTable(each.key, filled(each), rowStart)),
    adopt(packed) {
      for (const each of packed) tables.kept(each.key, () => unpackTable(each, rowStart));
    },
  };
}

const keyOf = (repairs: readonly string[]) => [...new Set(repairs)].sort().join(' ');

/** Tables that plans ask for, again and again; and those of what was touched or set by hand, once. */
const mostTables = 400;
const mostOneOffs = 64;

function classesAt(
  maps: readonly Uint32Array[],
  rowStart: Uint32Array,
  { classOfRow, classes }: ObservableTable,
): ClassesAfter {
  const [first] = maps;
  const members: number[][] = [];
  const found = new Map<number, number>();
  const moved = Uint16Array.from(first!, (_, row) => {
    const own = maps.map((rows) => classOfRow[rows[row]!]!);
    const key = own.reduce((sum, each) => sum * classes.length + each, 0);
    let index = found.get(key);
    if (index === undefined) {
      index = members.length;
      members.push(own);
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
