import { describe, expect, it } from 'vitest';
import { filamentGrid, lamp } from '../../../tests/lamp';
import {
  compileFamily,
  expectBands,
  updateBelief,
  type Evidence,
  type EvidenceResult,
  type FamilyModel,
  type Observable,
} from '.';
import { rightDensity } from './meter';
import { binOutcomes } from './outcome-bins';
import type { ObservableTable } from './observable-table';
import { packTable, type PackedTable } from './packed-table';

/** The lamp, with what it shows given by hypothesis. */
const showing = (outcomes: readonly Readonly<Record<string, number>>[]): FamilyModel => ({
  ...lamp,
  predictor: () => (index) => ({ kind: 'outcomes', probabilities: outcomes[index]! }),
});
const tableOf = (model: FamilyModel, observable: Observable = { key: 'look' }) => {
  const family = compileFamily(model);
  const table = family.table(observable);
  table.ensureAll();
  return { family, table, classOf: (h: number) => table.classOfRow[family.rowStart[h]!]! };
};

describe('the classes of a look', () => {
  it('keep the names of their answers: the same shares of other answers are another class', () => {
    const { table, classOf } = tableOf(
      showing([
        { lit: 0.9, dark: 0.1 },
        { dark: 0.9, lit: 0.1 },
        { lit: 0.9, dark: 0.1 },
      ]),
    );
    expect(classOf(0)).not.toBe(classOf(1));
    expect(classOf(0)).toBe(classOf(2));
    expect(table.classes[classOf(1)]).toMatchObject({ probabilities: { dark: 0.9 } });
  });

  it('do not part answers that are only written in another order', () => {
    const { classOf } = tableOf(
      showing([
        { lit: 0.9, dark: 0.1 },
        { dark: 0.1, lit: 0.9 },
        { lit: 0.9, dark: 0.1 },
      ]),
    );
    expect(classOf(0)).toBe(classOf(1));
  });

  it('keep apart what one answer has and another look does not know', () => {
    const { classOf } = tableOf(
      showing([{ lit: 0.5, dark: 0.5 }, { lit: 0.5, flickers: 0.5 }, { lit: 1 }]),
    );
    expect(new Set([0, 1, 2].map(classOf)).size).toBe(3);
  });
});

describe('the classes of a reading', () => {
  it('differ along the grid only where the reading depends on the unknown', () => {
    const { family, table } = tableOf(lamp, { key: 'ohms' });
    // The filament's own ohms are shared by the good lamp and the one with a burnt socket; an open one has none.
    expect([...table.isFlat]).toEqual([0, 1, 0]);
    const own = (h: number) =>
      table.classOfRow.slice(family.rowStart[h], family.rowStart[h + 1]).length;
    expect(own(0)).toBe(filamentGrid.points.length);
  });

  it('are filled only for the hypotheses that were asked about', () => {
    const asked: number[] = [];
    const counting: FamilyModel = {
      ...lamp,
      predictor: (observable) => {
        const predict = lamp.predictor(observable);
        return (index) => {
          asked.push(index);
          return predict(index);
        };
      },
    };
    const table = compileFamily(counting).table({ key: 'ohms' });
    table.ensure(2);
    table.ensureThese([2, 1]);
    expect(asked).toEqual([2, 1]);
    table.ensureAll();
    table.ensureAll();
    expect(asked).toEqual([2, 1, 0]);
  });
});

/** A lamp whose socket burnt and makes again in three readings of ten. */
const flickering: FamilyModel = {
  ...lamp,
  predictor: (observable) => (index) => {
    const own = lamp.predictor(observable)(index);
    const good = lamp.predictor(observable)(0);
    return index === 2 && own.kind === 'quantity' && good.kind === 'quantity'
      ? { ...own, value: 1e9, otherwise: { share: 0.3, as: good } }
      : own;
  },
};

describe('the class of a contact that comes and goes', () => {
  const { family, table } = tableOf(flickering, { key: 'ohms' });
  const burnt = table.classes[table.classOfRow[family.rowStart[2]! + 1]!]!;

  it('gives each of its two readings its own share, and nothing between them', () => {
    const density = (value: number) => rightDensity({ kind: 'number', value }, burnt);
    const good = table.classes[table.classOfRow[family.rowStart[0]! + 1]!]!;
    expect(density(40) / rightDensity({ kind: 'number', value: 40 }, good)).toBeCloseTo(0.3, 6);
    expect(rightDensity({ kind: 'over-range' }, burnt)).toBeCloseTo(0.7, 2);
    expect(density(4000)).toBeLessThan(1e-6);
  });

  it('is cut where the two lie apart, and its shares sum to one', () => {
    const masses = new Float64Array(table.classes.length).fill(1);
    const { count, shares } = binOutcomes(table.classes, masses);
    const index = table.classes.indexOf(burnt);
    const own = [...shares.subarray(index * count, (index + 1) * count)];
    expect(own.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 6);
    expect(own.at(-1)).toBeCloseTo(0.7, 2);
  });

  it('is shown as two stretches of what may be read', () => {
    const bands = expectBands(family, updateBelief(family, []), { key: 'ohms' });
    const ofSocket = bands.filter(({ repair }) => repair === 'replace-socket');
    expect(ofSocket.map(({ reads }) => reads.kind).sort()).toEqual(['over-range', 'range']);
    const [over, range] = ['over-range', 'range'].map(
      (kind) => ofSocket.find(({ reads }) => reads.kind === kind)!.probability,
    );
    expect(over! / range!).toBeCloseTo(7 / 3, 1);
  });

  it('explains two readings that disagree better than a steady fault does', () => {
    const taken = (id: string, result: EvidenceResult): Evidence => ({
      entryId: id,
      checkId: 'ohms',
      observable: { key: 'ohms' },
      result,
      repairsBefore: [],
      errorRate: 0.03,
    });
    const open = taken('1', { kind: 'over-range' });
    const whole = taken('2', { kind: 'number', value: 40.2 });
    const oddsOfSocket = (evidence: readonly Evidence[]) => {
      const { byHypothesis } = updateBelief(family, evidence);
      return byHypothesis[2]! / byHypothesis[1]!;
    };
    expect(oddsOfSocket([open, whole])).toBeGreaterThan(5 * oddsOfSocket([open]));
  });
});

describe('a table that is packed', () => {
  const sent = (packed: PackedTable) => JSON.parse(JSON.stringify(packed)) as PackedTable;
  const told = ({ classes, classOfRow, isFlat }: ObservableTable) => ({
    classes,
    classOfRow,
    isFlat,
  });

  it.each([
    [lamp, 'ohms'],
    [lamp, 'look'],
    [flickering, 'ohms'],
  ])('comes back with the same classes', (model, key) => {
    const { family, table } = tableOf(model, { key });
    const device = compileFamily(model);
    device.adopt([sent(packTable(key, table, family.rowStart))]);
    expect(told(device.table({ key }))).toEqual(told(table));
  });

  it.each([
    [lamp, 'ohms'],
    [lamp, 'look'],
    [flickering, 'ohms'],
  ])('in part is filled on, with the classes that came', (model, key) => {
    const { family, table } = tableOf(model, { key });
    const asked: number[] = [];
    const device = compileFamily({
      ...model,
      predictor: (observable) => (index) => {
        asked.push(index);
        return model.predictor(observable)(index);
      },
    });
    const [first, ...others] = model.hypotheses.keys();
    device.adopt([sent(packTable(key, table, family.rowStart, (h) => h !== first))]);
    const back = device.table({ key });
    expect(asked).toEqual([]);
    back.ensureThese(others);
    expect(asked).toEqual([]);
    back.ensureAll();
    expect(asked).toEqual([first]);
    expect(told(back)).toEqual(told(table));
  });

  it('of another model is refused, not read into the wrong rows', () => {
    const { family, table } = tableOf(lamp, { key: 'ohms' });
    const packed = packTable('ohms', table, family.rowStart);
    const more = compileFamily({
      ...lamp,
      hypotheses: [...lamp.hypotheses, { ...lamp.hypotheses[1]!, id: 'another' }],
      predictor: (observable) => (index) => lamp.predictor(observable)(index % 3),
    });
    expect(() => more.adopt([packed])).toThrow(/another model/);
    const finer = compileFamily({
      ...lamp,
      unknowns: [
        ...lamp.unknowns,
        {
          id: 'supply',
          fine: { points: [0, 0.1].map((logRatio) => ({ logRatio, share: 0.5 })), within: 0 },
          coarse: filamentGrid,
        },
      ],
    });
    expect(() => finer.adopt([packed])).toThrow(/another model/);
    const odd = { ...packed, runOf: packed.runOf.map(() => packed.runs.length) };
    expect(() => family.adopt([odd])).toThrow(/another model/);
  });
});
