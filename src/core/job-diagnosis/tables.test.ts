import { describe, expect, it } from 'vitest';
import { emptyJob, plate4500, stamp } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { heatPumpCylinder as heatPump } from '../appliances/heat-pump-cylinder';
import { electricStorageOneElement } from '../appliances/electric-storage-one-element';
import { electricStorageTwoElement as family } from '../appliances/electric-storage-two-element';
import { electricFamilies as families } from '../../../tests/electric-families';
import { compileFamily } from '../diagnosis';
import { emptyState, type Entry, type JobFile } from '../job-file';
import {
  adoptTables,
  benchAnswer,
  compiledFor,
  diagnoseJob,
  packTables,
  pictureOf,
  probePicture,
  type TablePack,
} from '.';

/** A pack as it comes over the wire. */
const sent = (pack: TablePack) => JSON.parse(JSON.stringify(pack)) as TablePack;

describe('an answer', () => {
  it.each([heatPump, family])('of $id is the same whatever was asked before it', (each) => {
    const complaint = { kind: 'lukewarm', answers: {} } as const;
    const job = emptyJob({ ...sampleUnit(each), complaint });
    const model = each.model(each.plateOf(job));
    const [first, later] = [compileFamily(model), compileFamily(each.model(each.plateOf(job)))];
    const { candidates } = each.planStart(
      emptyState,
      { liveWork: true, gasWork: true },
      each.parameters,
    );
    const backwards = [...model.hypotheses.keys()].reverse();
    for (const { observableIn } of candidates) later.table(observableIn(0)).ensureThese(backwards);
    const [one, other] = [first, later].map((tables) => benchAnswer(job, undefined, { tables }));
    // Sums over classes differ in their last digits by the order of the classes.
    const toNineDigits = (_: string, each: unknown) =>
      typeof each === 'number' ? Number(each.toPrecision(9)) : each;
    expect(JSON.parse(JSON.stringify(other, toNineDigits))).toEqual(
      JSON.parse(JSON.stringify(one, toNineDigits)),
    );
  });
});

describe('tables that were worked out elsewhere', () => {
  const pack = sent(packTables(emptyJob()));

  it.each(families)('of $id cover every check on arrival, the same to the last bit', (each) => {
    const elements = Object.fromEntries(each.elements.map(({ id }) => [id, { watt: 3000 }]));
    const unit = { family: each.id, plate: { rated: { volt: 240 }, elements } };
    const plate = each.plateOf(emptyJob({ unit }));
    const packed = sent(packTables(emptyJob({ unit })));
    const local = compiledFor(each, plate);
    const taken = compileFamily(each.model(plate));
    taken.adopt(packed.tables);
    const { candidates } = each.planStart(emptyState, { liveWork: true }, each.parameters);
    for (const { observableIn } of candidates) {
      const [here, there] = [local, taken].map((tables) => tables.table(observableIn(0)));
      // As text: telling large arrays apart one by one takes seconds.
      const [seen, wanted] = [there, here].map((table) =>
        JSON.stringify([table!.classOfRow.join(), table!.isFlat.join(), table!.classes]),
      );
      expect(seen === wanted).toBe(true);
    }
  });

  it('leave the first answers of a job little to work out', () => {
    const each = electricStorageOneElement;
    const elements = { only: { watt: 2500 } };
    const unit = { family: each.id, plate: { rated: { volt: 240 }, elements } };
    const packed = sent(packTables(emptyJob({ unit })));
    const model = each.model(each.plateOf(emptyJob({ unit })));
    const predicted = (job: JobFile, isAdopted: boolean) => {
      let count = 0;
      const tables = compileFamily({
        ...model,
        predictor(observable) {
          const predict = model.predictor(observable);
          return (index) => {
            count += 1;
            return predict(index);
          };
        },
      });
      if (isAdopted) tables.adopt(packed.tables);
      diagnoseJob(job, { tables });
      return count;
    };
    for (const kind of ['no-hot-water', 'slow'] as const) {
      const job = emptyJob({ unit, complaint: { kind, answers: { onset: 'sudden' } } });
      expect(predicted(job, true)).toBeLessThan(predicted(job, false) / 50);
    }
  });

  it('give the same answer as tables filled here', () => {
    const entries = [
      { ...stamp(), kind: 'reading', check: 'supply-volts', value: { volt: 238 } },
      { ...stamp(), kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.9 } },
    ] as Entry[];
    const job = emptyJob({ entries });
    const own = diagnoseJob(job).answer;
    // The same heater with a thimble more: nothing is filled for it before the pack is taken.
    const plate = { ...plate4500, volumeLitre: 189.0001 };
    const larger = { ...job.unit, plate: { ...job.unit.plate, volume: { litre: 189.0001 } } };
    const of = pack.of.replace('"volumeLitre":189', '"volumeLitre":189.0001');
    expect(adoptTables(family, plate, { ...pack, of })).toBe(true);
    const { answer } = diagnoseJob({ ...job, unit: larger });
    expect(answer.next?.check).toBe(own.next?.check);
    answer.suspects.forEach(({ repair, probability }, k) => {
      expect(repair).toBe(own.suspects[k]!.repair);
      expect(probability).toBeCloseTo(own.suspects[k]!.probability, 12);
    });
  });

  it('are as few after 500 positions of a slider as after fifty', () => {
    const open = diagnoseJob(emptyJob(), { depth: 'one-step', brief: true });
    const { tables } = open;
    const slide = (count: number) => {
      for (let k = 0; k < count; k++) {
        const setting = {
          controls: { power: 'off' },
          known: { 'water.upper': 10 + k * 0.13 },
        } as const;
        probePicture(open, { between: ['upper-element.a', 'upper-element.b'] }, setting);
        pictureOf(open, setting);
      }
      return tables.tableCounts();
    };
    const { planned, oneOff } = slide(100);
    expect(slide(500)).toEqual({ planned, oneOff });
    expect(oneOff).toBeLessThanOrEqual(64);
  });

  it('are never taken for another plate', () => {
    const other = { ...plate4500, elementWatt: { upper: 3800, lower: 3800 } };
    expect(adoptTables(family, other, pack)).toBe(false);
  });

  it('are refused where they were packed from another model', () => {
    const { plateOf, model, id } = electricStorageOneElement;
    const { plate } = emptyJob().unit;
    const unit = { family: id, plate: { ...plate, elements: { only: { watt: 2000 } } } };
    const other = compileFamily(model(plateOf(emptyJob({ unit }))));
    expect(() => other.adopt(pack.tables)).toThrow(/packed from another model/);
  });
});
