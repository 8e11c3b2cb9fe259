import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { emptyJob } from '../../tests/plates';
import { sampleUnit } from '../../tests/sample-unit';
import { electricStorageOneElement } from '../core/appliances/electric-storage-one-element';
import type { TablePack } from '../core/job-diagnosis';
import { keepTables, tableTextOf, takeStoredTables } from './stored-tables';
import { openTableStore, type TableStore } from './table-store';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'ohmmeter-tables-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

/** A plate that no other test has asked for in this thread, of the family with the fewest tables. */
let watt = 3100;
const newJob = () =>
  emptyJob(sampleUnit(electricStorageOneElement, { 'watt-only': String((watt += 7)) }));

describe('tables of a plate on the disk', () => {
  it('are kept where they were worked out, and taken from there by the next', () => {
    keepTables(openTableStore(folder, 'one'));
    const job = newJob();
    expect(takeStoredTables(job)).toBeUndefined();
    const text = tableTextOf(job);
    const [file] = readdirSync(path.join(folder, 'one'));
    expect(statSync(path.join(folder, 'one', file!)).mode & 0o077).toBe(0);
    const { of } = JSON.parse(text) as TablePack;
    expect(openTableStore(folder, 'one').read(of)).toBe(text);
  });

  it.each([
    ['nothing', ''],
    ['half of it', '{"of":"x","tab'],
    ['those of another plate', '{"of":"another","tables":[]}'],
  ])('are made again where there is %s', (_, damaged) => {
    const written: string[] = [];
    const store: TableStore = { read: () => damaged, write: (_of, text) => written.push(text) };
    keepTables(store);
    const job = newJob();
    expect(takeStoredTables(job)).toBeUndefined();
    expect((JSON.parse(tableTextOf(job)) as TablePack).tables.length).toBeGreaterThan(20);
    expect(written).toHaveLength(1);
  });

  it('of another build are removed', () => {
    openTableStore(folder, 'older').write('a plate', 'text');
    const store = openTableStore(folder, 'newer');
    expect(store.read('a plate')).toBeUndefined();
    expect(existsSync(path.join(folder, 'older'))).toBe(false);
  });

  it('cost nothing but time where the disk refuses', () => {
    writeFileSync(path.join(folder, 'file'), '');
    const store = openTableStore(path.join(folder, 'file'), 'one');
    store.write('a plate', 'text');
    expect(store.read('a plate')).toBeUndefined();
    const gone = openTableStore(folder, 'one');
    rmSync(path.join(folder, 'one'), { recursive: true });
    gone.write('a plate', 'text');
    expect(gone.read('a plate')).toBeUndefined();
  });

  it('are two hundred at most, the oldest forgotten first', () => {
    const own = path.join(folder, 'one');
    mkdirSync(own);
    for (let k = 0; k < 205; k++) {
      const file = path.join(own, `${k}.json`);
      writeFileSync(file, '');
      utimesSync(file, k, k);
    }
    openTableStore(folder, 'one').write('a plate', 'text');
    const left = readdirSync(own);
    expect(left).toHaveLength(200);
    expect(left).not.toContain('0.json');
    expect(left).toContain('204.json');
  });
});
