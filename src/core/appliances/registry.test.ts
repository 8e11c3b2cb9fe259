import { describe, expect, it } from 'vitest';
import { families } from './all';
import { familyList, familyOf, familyOfJob, loadFamily } from '.';

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
