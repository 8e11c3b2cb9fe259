import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { gasStoragePilot as family } from '../../src/core/appliances/gas-storage-pilot';
import type { CodePack } from '../../src/core/codes';
import { asFirm } from '../../src/database/client';
import { listCodePacks } from '../../src/database/code-packs';
import {
  bringInCodePack,
  changeCodePack,
  findCodePack,
  removeCodePack,
} from '../../src/server/code-packs';
import { NotFound, Refused } from '../../src/server/errors';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** A firm's lists of codes: brought in, changed by two at once, handed out, and nobody else's. */

const packOf = (id: string): CodePack => ({
  format: 'ohmmeter-code-pack',
  version: 1,
  id,
  title: 'Tarn valve',
  family: family.id,
  makes: ['Tarn'],
  shownBy: 'display',
  codes: [
    { code: 'F 1', shows: 'F 1', saw: 'dark' },
    { code: 'F 7', shows: 'F 7', note: 'the papers do not say' },
  ],
});

let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());
let made = 0;
let id: string;
beforeEach(() => {
  made += 1;
  id = `tarn-${made}`;
});

const bringIn = (pack: unknown) =>
  firm.as((transaction) => bringInCodePack(transaction, firm.id, JSON.stringify(pack)));
const change = (pack: CodePack, revision?: number) =>
  firm.as((transaction) => changeCodePack(transaction, firm.id, pack.id, { pack, revision }));

describe('lists of codes of a firm', () => {
  it('come back as they went in', async () => {
    await bringIn(packOf(id));
    expect(await firm.as((transaction) => findCodePack(transaction, id))).toEqual(packOf(id));
  });

  it('are refused with a pointer, and nothing of them is kept', async () => {
    const broken = { ...packOf(id), codes: [{ code: 'F 1', saw: 'nonsense' }] };
    await expect(bringIn(broken)).rejects.toMatchObject({
      problems: [{ pointer: '/codes/0/saw' }],
    });
    expect((await firm.as(listCodePacks)).map(({ pack }) => pack.id)).not.toContain(id);
  });

  it('take the place of one with the same id where they are brought in again', async () => {
    await bringIn(packOf(id));
    const { revision } = (await bringIn({ ...packOf(id), title: 'Newer' }))!;
    expect(revision).toBe(2);
    expect(await firm.as((transaction) => findCodePack(transaction, id))).toMatchObject({
      title: 'Newer',
    });
  });

  it('are not overwritten by who has not seen the last change', async () => {
    const first = (await change(packOf(id)))!;
    await change({ ...packOf(id), title: 'By one' }, first.revision);
    await expect(change({ ...packOf(id), title: 'By other' }, first.revision)).rejects.toThrow(
      Refused,
    );
    await expect(change(packOf(id))).rejects.toThrow('meanwhile');
    expect(await firm.as((transaction) => findCodePack(transaction, id))).toMatchObject({
      title: 'By one',
    });
  });

  it('never take the name of what came with the program, nor another name on the way', async () => {
    await expect(bringIn(packOf(family.codes!.pack.id))).rejects.toThrow('for itself');
    await expect(bringIn(packOf('new'))).rejects.toThrow('for itself');
    await expect(
      firm.as((transaction) => changeCodePack(transaction, firm.id, 'other', { pack: packOf(id) })),
    ).rejects.toMatchObject({ problems: [{ pointer: '/id' }] });
  });

  it('are gone once they are thrown away, and can be thrown away once', async () => {
    await bringIn(packOf(id));
    await firm.as((transaction) => removeCodePack(transaction, id));
    await expect(firm.as((transaction) => removeCodePack(transaction, id))).rejects.toThrow(
      NotFound,
    );
    await expect(firm.as((transaction) => findCodePack(transaction, 'toString'))).rejects.toThrow(
      NotFound,
    );
  });

  it("are no other firm's", async () => {
    await bringIn(packOf(id));
    expect(await asFirm(test.database, newId(), listCodePacks)).toEqual([]);
  });
});
