import { sql } from 'drizzle-orm';
import { v7 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asFirm, DatabaseUnavailable, connect } from '../../src/database/client';
import { entries, jobs } from '../../src/database/schema';
import { listJobs, readJob } from '../../src/database/jobs';
import { listTechnicians } from '../../src/database/technicians';
import { importJob, readImport } from '../../src/server/import-job';
import { Conflict, NotFound, Refused } from '../../src/server/errors';
import { openCall } from '../../src/server/open-call';
import { readNewCall } from '../../src/server/read-new-call';
import { readJobFile } from '../../src/server/read-job';
import { recordEntries } from '../../src/server/record-entries';
import { setConstraints } from '../../src/server/set-constraints';
import { settled, settleStanding } from '../../src/server/settle-standing';
import { standingOf } from '../../src/server/standing-of';
import { setUpFirm } from '../../src/server/set-up-firm';
import { seedDemoData } from '../../src/server/demo/seed';
import { familyOf, familyOfJob } from '../../src/core/appliances/all';
import { diagnoseJob } from '../../src/core/job-diagnosis';
import type { Entry } from '../../src/core/job-file';
import { emptyJob, stamp } from '../plates';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: string;
let otherFirm: string;
let jobId: string;

const newFirm = (name: string, liveWork: boolean) => ({
  name,
  address: 'Somewhere',
  unitSystem: 'us' as const,
  timeZone: 'UTC',
  technician: 'A. Technician',
  liveWork,
  gasWork: liveWork,
});

async function openJob(organisation: string): Promise<string> {
  return asFirm(test.database, organisation, async (transaction) => {
    const [technician] = await listTechnicians(transaction);
    const { id } = await openCall(transaction, organisation, {
      technicianId: technician!.id,
      complaint: { kind: 'no-hot-water', words: 'cold', answers: {} },
      newUnit: {
        customer: 'A. Customer',
        address: 'A street',
        family: 'electric-storage-two-element',
        services: { supply: { system: 'split-phase', nominal: { volt: 240 } } },
        plate: emptyJob().unit.plate,
      },
    });
    return id;
  });
}

const record = (sent: unknown, organisation = firm, job = jobId) =>
  asFirm(test.database, organisation, async (transaction) => {
    const [technician] = await listTechnicians(transaction);
    return recordEntries(transaction, organisation, job, sent, technician!);
  });
const stored = (organisation = firm, job = jobId) =>
  asFirm(test.database, organisation, (transaction) => readJobFile(transaction, job));
const reading = (ohm: number, check = 'upper-element-ohms'): Entry =>
  ({ ...stamp(), kind: 'reading', check, value: { ohm } }) as Entry;

beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await setUpFirm(test.database, newFirm('One', true));
  otherFirm = newId();
  await test.serve(otherFirm);
  await setUpFirm(test.database, newFirm('Other', false), otherFirm);
  jobId = await openJob(firm);
});
afterAll(() => test.drop());

describe('the logbook', () => {
  it('takes a batch once, however often it is sent', async () => {
    const batch = [reading(12.9), reading(13, 'lower-element-ohms')];
    await record(batch);
    await record(batch);
    await record([batch[1]]);
    const ids = (await stored()).entries.map((each) => each.id);
    for (const { id } of batch) expect(ids.filter((each) => each === id)).toHaveLength(1);
  });

  it('refuses the same id with other content, and keeps the first', async () => {
    const first = reading(12.7);
    await record([first]);
    await expect(record([{ ...first, value: { ohm: 99 } }])).rejects.toThrow(Conflict);
    expect((await stored()).entries.find((each) => each.id === first.id)).toMatchObject({
      value: { ohm: 12.7 },
    });
  });

  it('takes all of a batch or none', async () => {
    const good = reading(12.8);
    await expect(
      record([good, { ...stamp(), kind: 'reading', check: 'mood', value: { ohm: 1 } }]),
    ).rejects.toThrow(Refused);
    expect((await stored()).entries.some((each) => each.id === good.id)).toBe(false);
  });

  it.each<[string, () => unknown, RegExp]>([
    [
      'a check that no heater has',
      () => [{ ...stamp(), kind: 'reading', check: 'mood', value: { ohm: 1 } }],
      /mood/,
    ],
    ['ohms under power', () => [{ ...reading(12), state: { power: 'on' } }], /power on/],
    [
      'a value of another quantity',
      () => [{ ...stamp(), kind: 'reading', check: 'upper-element-ohms', value: { volt: 2 } }],
      /ohm/,
    ],
    ['something that is no list', () => ({ no: 'list' }), /list/],
  ])('refuses %s and says why', async (_, sent, message) => {
    await expect(record(sent())).rejects.toThrow(message);
  });

  it('gives two batches at once their own sequence', async () => {
    const fresh = await openJob(firm);
    await Promise.all(
      Array.from({ length: 8 }, (_, k) =>
        record([reading(12 + k / 10), reading(13 + k / 10)], firm, fresh),
      ),
    );
    const rows = await asFirm(test.database, firm, (transaction) =>
      transaction.select({ sequence: entries.sequence, jobId: entries.jobId }).from(entries),
    );
    const sequences = rows.filter((each) => each.jobId === fresh).map((each) => each.sequence);
    expect(sequences.sort((one, other) => one - other)).toEqual(
      Array.from({ length: 16 }, (_, k) => k + 1),
    );
  });

  it('cannot be changed or emptied by the application', async () => {
    for (const statement of [
      sql`update entries set kind = 'x'`,
      sql`delete from entries`,
      sql`truncate entries`,
    ]) {
      await expect(
        asFirm(test.database, firm, (transaction) => transaction.execute(statement)),
      ).rejects.toMatchObject({
        cause: { message: expect.stringMatching(/permission denied/) as string },
      });
    }
  });

  it('keeps what a job stands at for the list of jobs', async () => {
    const open = await openJob(firm);
    await record(
      [
        {
          ...stamp(),
          kind: 'reading',
          check: 'upper-element-ohms',
          value: { overRange: true, above: { ohm: 2e6 } },
        },
      ],
      firm,
      open,
    );
    const standing = async () => {
      const rows = await asFirm(test.database, firm, (transaction) => listJobs(transaction));
      return rows.find((each) => each.job.id === open)!.job.standing;
    };
    // At once from the record alone; what it means comes after, and nobody waits for it.
    expect(await standing()).toMatchObject({ stage: 'diagnose', entryCount: 1, isSettled: false });
    settleStanding(test.database, firm, open);
    await settled();
    expect(await standing()).toMatchObject({ stage: 'diagnose', entryCount: 1 });
    expect((await standing()).suspects[0]!.repair).toBe('replace-upper-element');
    expect(await standing()).not.toHaveProperty('isSettled');
  });
});

describe('one firm', () => {
  it('sees nothing of another', async () => {
    await expect(stored(otherFirm, jobId)).rejects.toThrow(NotFound);
    const seen = await asFirm(test.database, otherFirm, (transaction) =>
      transaction.select().from(jobs),
    );
    expect(seen).toEqual([]);
  });

  it('adds nothing to another, and cannot tell that an id is taken there', async () => {
    await expect(record([reading(12)], otherFirm, jobId)).rejects.toThrow(NotFound);
    const own = await openJob(otherFirm);
    const [taken] = (await stored()).entries;
    await record([taken], otherFirm, own);
    expect((await stored(otherFirm, own)).entries).toHaveLength(1);
  });

  it('that this installation does not work for can be named by no statement', async () => {
    const unserved = newId();
    await test.serve(unserved);
    await setUpFirm(test.database, newFirm('Elsewhere', false), unserved);
    await test.owner.query('delete from served_firms where organisation_id = $1', [unserved]);
    const seen = await asFirm(test.database, unserved, (transaction) =>
      transaction.execute(
        sql`select current_organisation() as firm, (select count(*)::int from organisations) as n`,
      ),
    );
    expect(seen.rows).toEqual([{ firm: null, n: 0 }]);
    const serving = asFirm(test.database, firm, (transaction) =>
      transaction.execute(sql`insert into served_firms values (${unserved})`),
    );
    await expect(serving).rejects.toThrow();
    await asFirm(test.database, firm, (transaction) =>
      transaction.execute(sql`select serve_first_firm(${unserved})`),
    );
    const after = await test.owner.query('select from served_firms where organisation_id = $1', [
      unserved,
    ]);
    expect(after.rowCount).toBe(0);
  });

  it('is nobody without being named', async () => {
    const result = await test.database.execute(sql`select count(*)::int as n from jobs`);
    expect(result.rows[0]).toEqual({ n: 0 });
  });

  it('is reached by a role that can neither pass by the policies nor make tables', async () => {
    const { rows } = await test.owner.query(
      "select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = 'ohmmeter_app'",
    );
    expect(rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreaterole: false }]);
    await expect(test.database.execute(sql`create table mine (n int)`)).rejects.toThrow();
  });

  it('has row-level security forced on every table that names it', async () => {
    const { rows } = await test.owner.query(`
      select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid
      where a.attname = 'organisation_id' and c.relkind = 'r' and not (c.relrowsecurity and c.relforcerowsecurity)
        and has_any_column_privilege('ohmmeter_app', c.oid, 'select, insert, update')`);
    expect(rows).toEqual([]);
  });
});

describe('live work', () => {
  it.each<[string, () => unknown]>([
    ['a live check', () => ({ check: 'supply-volts', value: { volt: 240 } })],
    [
      'volts on any two terminals',
      () => ({ between: ['limit.1', 'limit.3'], quantity: 'voltage-ac', value: { volt: 240 } }),
    ],
    [
      'a clamp on any wire',
      () => ({ around: 'w-upper-a', quantity: 'current-ac', value: { ampere: 18 } }),
    ],
  ])('is refused to a technician without the permission: %s', async (_, read) => {
    const job = await openJob(otherFirm);
    const sent = [{ ...stamp(), kind: 'reading', ...(read() as object) }];
    await expect(record(sent, otherFirm, job)).rejects.toThrow(/no permission for live work/);
    expect((await stored(otherFirm, job)).entries).toEqual([]);
    const permitted = await openJob(firm);
    await record([{ ...sent[0], ...stamp() }], firm, permitted);
    expect((await stored(firm, permitted)).entries).toHaveLength(1);
  });

  it('leaves ohms on any two terminals to everybody', async () => {
    const job = await openJob(otherFirm);
    const ohms = {
      ...stamp(),
      kind: 'reading',
      between: ['limit.1', 'limit.3'],
      quantity: 'resistance',
      value: { ohm: 12.8 },
    };
    await record([ohms], otherFirm, job);
    expect((await stored(otherFirm, job)).entries).toHaveLength(1);
  });
});

describe('what a technician may and can do on a job', () => {
  const constrain = (job: string, sent: unknown, organisation = firm) =>
    asFirm(test.database, organisation, async (transaction) => {
      const [technician] = await listTechnicians(transaction);
      return setConstraints(transaction, job, sent, technician!);
    });

  it('is kept, and changes what comes next', async () => {
    const job = await openJob(firm);
    await constrain(job, { liveWork: false, instruments: ['multimeter'], order: 'usual' });
    const file = await stored(firm, job);
    expect(file.constraints).toEqual({
      liveWork: false,
      gasWork: true,
      instruments: ['multimeter'],
      order: 'usual',
    });
    const next = diagnoseJob(file).answer.next!.check;
    expect(familyOfJob(file).checks[next]!.caution).not.toBe('live');
  });

  it.each<[string, unknown, RegExp]>([
    ['live work without the permission', { liveWork: true }, /no permission/],
    ['an order that there is none of', { order: 'random' }, /order|equal|allowed/],
    ['something that nobody asked for', { mood: 'good' }, /properties/],
    ['no object', 'usual', /object/],
  ])('is refused where it is %s, and stays as it was', async (_, sent, message) => {
    const job = await openJob(otherFirm);
    const before = (await stored(otherFirm, job)).constraints;
    await expect(constrain(job, sent, otherFirm)).rejects.toThrow(message);
    expect((await stored(otherFirm, job)).constraints).toEqual(before);
  });

  it('is not there for a job of another firm', async () => {
    const job = await openJob(firm);
    await expect(constrain(job, { order: 'usual' }, otherFirm)).rejects.toThrow(NotFound);
  });
});

describe('a call', () => {
  const call = (change: object, newUnit: object = {}) =>
    asFirm(test.database, firm, async (transaction) => {
      const [technician] = await listTechnicians(transaction);
      const sent = {
        technicianId: technician!.id,
        complaint: { kind: 'runs-out', words: 'lukewarm by eight', answers: { onset: 'gradual' } },
        newUnit: {
          customer: 'A. Customer',
          address: 'A street',
          family: 'electric-storage-one-element',
          plate: { rated: { volt: 230 }, elements: { only: { watt: 2000 } } },
          ...newUnit,
        },
        ...change,
      };
      const { id } = await openCall(transaction, firm, readNewCall(sent));
      return readJobFile(transaction, id);
    });

  it('opens a job with what was said and what the plate says', async () => {
    const file = await call({}, { supply: 'single-230', residualCurrentDevice: true });
    expect(file.complaint).toMatchObject({ kind: 'runs-out', answers: { onset: 'gradual' } });
    expect(file.site?.supply).toMatchObject({
      system: 'single-phase',
      nominal: { volt: 230 },
      residualCurrentDevice: true,
    });
    expect(file.unit.plate.elements).toEqual({ only: { watt: 2000 } });
  });

  it('stands from the first at what its own supply makes of it', async () => {
    // With a residual-current device an earthed element trips it; on the family's first supply there is none.
    const file = await call(
      { complaint: { kind: 'no-hot-water', words: '', answers: {} } },
      {
        family: 'electric-storage-two-element',
        supply: 'single-230',
        residualCurrentDevice: true,
        plate: {
          rated: { volt: 230 },
          elements: { upper: { watt: 3000 }, lower: { watt: 3000 } },
        },
      },
    );
    const { job } = (await asFirm(test.database, firm, (transaction) =>
      readJob(transaction, file.job.id),
    ))!;
    settleStanding(test.database, firm, file.job.id);
    await settled();
    const { job: later } = (await asFirm(test.database, firm, (transaction) =>
      readJob(transaction, file.job.id),
    ))!;
    expect(job.standing).toMatchObject({ isSettled: false });
    expect(later.standing).toEqual(standingOf(file));
  });

  it.each<[string, object, object, RegExp]>([
    ['no complaint', { complaint: {} }, {}, /what is wrong/],
    ['a kind of heater that there is none of', {}, { family: 'steam' }, /kind of heater/],
    ['nobody it is for', {}, { customer: '  ' }, /Who is it for/],
    ['a plate of no volts', {}, { plate: { rated: { volt: 0 }, elements: {} } }, /plate/],
    [
      'a plate of no heater',
      {},
      { plate: { rated: { volt: 230 }, elements: { only: { watt: 3 } } } },
      /3 watt is outside/,
    ],
    ['a plate without its watts', {}, { plate: { rated: { volt: 230 }, elements: {} } }, /watt/i],
    [
      'a plate of a word that none has',
      {},
      { plate: { rated: { volt: 230 }, elements: { only: { watt: 2000 } }, fule: 'lpg' } },
      /not part of the format/,
    ],
    ['no unit', { newUnit: undefined }, {}, /Choose a unit/],
  ])('with %s is refused, and nothing of it is kept', async (_, change, newUnit, message) => {
    const count = () =>
      asFirm(test.database, firm, async (transaction) => (await listJobs(transaction)).length);
    const before = await count();
    await expect(call(change, newUnit)).rejects.toThrow(message);
    expect(await count()).toBe(before);
  });
});

describe('a job file', () => {
  it('comes back as it went out', async () => {
    const out = await stored();
    const text = JSON.stringify(out);
    const imported = await asFirm(test.database, firm, async (transaction) => {
      const [technician] = await listTechnicians(transaction);
      return importJob(transaction, firm, technician!.id, await readImport(text, technician!));
    });
    const back = await stored(firm, imported.id);
    const content = (each: Entry) => ({ ...each, id: undefined });
    expect(back.entries.map(content)).toEqual(out.entries.map(content));
    expect(back.unit.plate).toEqual(out.unit.plate);
  });

  it('sent once more because its answer was lost is the same job, with nothing twice', async () => {
    const text = JSON.stringify(await stored());
    const id = newId();
    const bringIn = () =>
      asFirm(test.database, firm, async (transaction) => {
        const [technician] = await listTechnicians(transaction);
        const read = await readImport(text, technician!);
        return importJob(transaction, firm, technician!.id, read, { id });
      });
    const first = await bringIn();
    const { entries } = await stored(firm, id);
    expect(first.id).toBe(id);
    expect(await bringIn()).toEqual(first);
    expect((await stored(firm, id)).entries).toEqual(entries);
  });

  it('without a word on its supply gets the supply that its family usually has', async () => {
    const unit = {
      family: 'electric-storage-one-element',
      plate: { rated: { volt: 120 }, elements: { only: { watt: 1500 } } },
    };
    const text = JSON.stringify({ ...emptyJob({ unit }), complaint: undefined });
    const { id } = await asFirm(test.database, firm, async (transaction) => {
      const [technician] = await listTechnicians(transaction);
      return importJob(transaction, firm, technician!.id, await readImport(text, technician!));
    });
    const { plateOf, usualServices } = familyOf(unit.family)!;
    expect((await stored(firm, id)).site?.supply).toMatchObject(usualServices(unit).supply!);
    expect(plateOf(await stored(firm, id))).toEqual(plateOf(emptyJob({ unit })));
  });

  it.each<[string, object, string]>([
    ['volts below nothing', { supply: { system: 'split-phase', nominal: { volt: -1 } } }, 'volt'],
    [
      'a thousandth of a volt',
      { supply: { system: 'split-phase', nominal: { volt: 1e-3 } } },
      'volt',
    ],
  ])('with a supply of %s is refused with its place', async (_, site, word) => {
    const text = JSON.stringify(emptyJob({ site } as object));
    const importing = asFirm(test.database, firm, async (transaction) => {
      const [technician] = await listTechnicians(transaction);
      return importJob(transaction, firm, technician!.id, await readImport(text, technician!));
    });
    await expect(importing).rejects.toMatchObject({
      problems: [
        { pointer: '/site/supply/nominal/volt', message: expect.stringContaining(word) as string },
      ],
    });
  });

  it('with a problem leaves nothing behind', async () => {
    const before = await asFirm(test.database, firm, (transaction) => listJobs(transaction));
    const bad = JSON.stringify({ ...(await stored()), mood: 'good' });
    await expect(
      asFirm(test.database, firm, async (transaction) => {
        const [technician] = await listTechnicians(transaction);
        return importJob(transaction, firm, technician!.id, await readImport(bad, technician!));
      }),
    ).rejects.toThrow(Refused);
    const after = await asFirm(test.database, firm, (transaction) => listJobs(transaction));
    expect(after.length).toBe(before.length);
  });
});

describe('the demo data', () => {
  it('is made whole, with every stage that a job can stand at', async () => {
    const fresh = await makeTestDatabase();
    try {
      await seedDemoData(fresh.database, new Date('2026-03-04T15:00:00Z'));
      const { rows } = await fresh.owner.query<{ id: string }>('select id from organisations');
      const listed = await asFirm(fresh.database, rows[0]!.id, (transaction) =>
        listJobs(transaction),
      );
      const stages = listed.map((each) => each.job.standing.stage).sort();
      expect(stages).toEqual([
        'call',
        'closed',
        'closed',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'diagnose',
        'verdict',
        'verdict',
        'waiting',
      ]);
      const files = await Promise.all(
        listed.map((each) =>
          asFirm(fresh.database, rows[0]!.id, (transaction) =>
            readJobFile(transaction, each.job.id),
          ),
        ),
      );
      expect(files.some((file) => file.entries.some((each) => each.kind === 'correction'))).toBe(
        true,
      );
    } finally {
      await fresh.drop();
    }
    // Eighteen jobs are practised whole, on whatever machine.
  }, 240_000);
});

describe('a database that is not there', () => {
  it('is told as such, and nothing is half stored', async () => {
    const { database, pool } = connect('postgres://ohmmeter_app:x@127.0.0.1:1/none');
    await expect(asFirm(database, firm, async () => undefined)).rejects.toThrow(
      DatabaseUnavailable,
    );
    await pool.end();
  });

  it('that goes away in the middle of a save keeps nothing of it', async () => {
    const job = await openJob(firm);
    await expect(
      asFirm(test.database, firm, async (transaction) => {
        const [technician] = await listTechnicians(transaction);
        await recordEntries(transaction, firm, job, [reading(12.5)], technician!);
        const { rows } = await transaction.execute<{ pid: number }>(
          sql`select pg_backend_pid() as pid`,
        );
        await test.owner.query('select pg_terminate_backend($1)', [rows[0]!.pid]);
        await transaction.execute(sql`select 1`);
      }),
    ).rejects.toThrow(DatabaseUnavailable);
    expect((await stored(firm, job)).entries).toEqual([]);
  });
});
