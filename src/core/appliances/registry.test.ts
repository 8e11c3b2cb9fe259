import { describe, expect, it } from 'vitest';
import { emptyJob } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { readJobFile, type JobFile } from '../job-file';
import { checkedPlateOf, families, PlateError } from './all';
import { familyList, familyOf, familyOfJob, loadFamily } from '.';

const own = '/unit/plate/';

describe('the list of families', () => {
  it('offers every family under the title and the id that it has itself', async () => {
    expect(familyList.map(({ id }) => id)).toEqual(families.map(({ id }) => id));
    for (const { id, title, load } of familyList) {
      expect(await load()).toMatchObject({ id, title });
    }
  });

  it('gives the same promise for the same family, and none for what there is not', async () => {
    const [{ id }] = familyList as [(typeof familyList)[number]];
    expect(loadFamily(id)).toBe(loadFamily(id));
    expect(await loadFamily(id)).toBe(familyOf(id));
    expect(await loadFamily('toString')).toBeUndefined();
    expect(() => familyOfJob({ unit: { family: 'kettle' } })).toThrow('kettle');
  });
});

describe.each(families.map((each) => [each.id, each] as const))('a plate of %s', (_, family) => {
  const job = emptyJob(sampleUnit(family));
  const isTaken = (plate: object): boolean => {
    const read = readJobFile(JSON.stringify({ ...job, unit: { ...job.unit, plate } }), () => {
      return family.catalogue;
    });
    try {
      return read.ok && Boolean(checkedPlateOf(family, read.job));
    } catch (error) {
      if (error instanceof PlateError) return false;
      throw error;
    }
  };
  /** The sample's plate with something else at a pointer. */
  const withAt = (pointer: string, value: unknown): object => {
    const plate = structuredClone(job.unit.plate) as Record<string, unknown>;
    const keys = pointer.slice(own.length).split('/');
    const last = keys.pop()!;
    const holder = keys.reduce((at, key) => (at[key] ??= {}) as Record<string, unknown>, plate);
    holder[last] = value;
    return plate;
  };

  it('is refused for a variant that there is none of: nobody burns one gas by the figures of another', () => {
    expect(isTaken(job.unit.plate)).toBe(true);
    const kept = family.plateFields.flatMap((field) =>
      field.kind === 'choice'
        ? field.choices.flatMap(({ sets }) => Object.keys(sets).filter((to) => to.startsWith(own)))
        : [],
    );
    for (const key of new Set(kept.map((to) => to.slice(own.length).split('/')[0]!))) {
      for (const none of ['LPG', 'toString', '', 7]) {
        expect(isTaken({ ...job.unit.plate, [key]: none }), `${key} ${none}`).toBe(false);
      }
    }
  });

  it('is refused for a number in another unit, or out of the range that its form has', () => {
    const fields = family.plateFields.filter((field) => field.kind === 'number');
    const stored = (plate: object) => ({ ...job, unit: { ...job.unit, plate } }) as JobFile;
    for (const { key, pointer, range, isOptional } of fields.filter((each) =>
      each.pointer.startsWith(own),
    )) {
      const [least, most] = range;
      const holder = pointer.slice(0, pointer.lastIndexOf('/'));
      expect(isTaken(withAt(pointer, least)), `${key} ${least}`).toBe(true);
      for (const none of [least * 0.99, most * 1.01, -least]) {
        expect(isTaken(withAt(pointer, none)), `${key} ${none}`).toBe(false);
      }
      for (const none of [{ kelvin: least }, true, least]) {
        expect(isTaken(withAt(holder, none)), `${key} ${JSON.stringify(none)}`).toBe(false);
        // What was stored before that was asked still opens, where the plate may be silent of it.
        // A volume was always asked for in litres, by the format itself.
        if (isOptional && !holder.endsWith('/volume'))
          expect(family.plateOf(stored(withAt(holder, none)))).toBeDefined();
      }
    }
  });
});
