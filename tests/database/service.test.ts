import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '../../src/core/job-file';
import { units } from '../../src/database/schema';
import { Refused } from '../../src/server/errors';
import { serviceCalendar } from '../../src/server/service-calendar';
import { dueUnits, setFirmService } from '../../src/server/service-due';
import { settled, settleStanding } from '../../src/server/settle-standing';
import { stamp } from '../plates';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

/** What comes due on a firm's units: counted from what logbooks say, kept with the unit, listed on Today. */
let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const flushed = (at: string): Entry => ({ ...stamp(), at, kind: 'service', service: 'flush' });
const now = new Date('2026-11-27T08:00:00Z');

async function unitOf(job: string) {
  const { unit } = await firm.read(job);
  const [row] = await firm.as((transaction) =>
    transaction.select().from(units).where(eq(units.id, unit.id!)),
  );
  return row!;
}

async function tell(job: string, entry: Entry): Promise<void> {
  await firm.record(job, [entry], firm.live);
  settleStanding(test.database, firm.id, job);
  await settled();
}

async function serve(at: string): Promise<string> {
  const job = await firm.open(firm.live);
  await tell(job, flushed(at));
  return job;
}

describe('a unit', () => {
  it('keeps when it was last served, and when it is due next', async () => {
    const job = await serve('2026-01-15T09:00:00Z');
    expect(await unitOf(job)).toMatchObject({
      served: { flush: '2026-01-15T09:00:00Z' },
      nextDue: new Date('2027-01-15T09:00:00Z'),
    });
    // The next job on it starts from there; this one has it in its logbook.
    const { unit } = await firm.read(job);
    expect(unit.served).toBeUndefined();
    const next = await firm.open(firm.live, { knownUnitId: unit.id! });
    expect((await firm.read(next)).unit.served).toEqual({ flush: '2026-01-15T09:00:00Z' });
  });

  it('forgets a service that was struck, and keeps what another job told', async () => {
    const first = await serve('2026-01-15T09:00:00Z');
    const { unit } = await firm.read(first);
    const second = await firm.open(firm.live, { knownUnitId: unit.id! });
    const wrong = flushed('2026-06-01T09:00:00Z');
    await tell(second, wrong);
    expect((await unitOf(first)).served).toEqual({ flush: '2026-06-01T09:00:00Z' });
    await tell(second, {
      ...stamp(),
      at: wrong.at,
      kind: 'correction',
      replaces: wrong.id,
      entry: null,
      reason: 'wrong job',
    });
    expect(await unitOf(first)).toMatchObject({
      served: { flush: '2026-01-15T09:00:00Z' },
      nextDue: new Date('2027-01-15T09:00:00Z'),
    });
  });

  it('is listed once something is due or comes due within a month, the most overdue first', async () => {
    const late = await serve('2024-03-01T09:00:00Z');
    const soon = await serve('2025-12-10T09:00:00Z');
    const list = await firm.as((transaction) => dueUnits(transaction, now, {}));
    const ids = list.map(({ unitId }) => unitId);
    expect(ids).toEqual([(await unitOf(late)).id, (await unitOf(soon)).id]);
    expect(list[0]!.due).toMatchObject([{ id: 'flush', isDue: true }]);
    expect(list[1]!.due).toMatchObject([{ id: 'flush', isDue: false }]);
    const calendar = serviceCalendar('One', list);
    expect(calendar).toMatch(/^BEGIN:VCALENDAR\r\nVERSION:2\.0/);
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    expect(calendar).toContain('DTSTART;VALUE=DATE:20250301');
  });

  it('is due sooner by its water and by what a job saw, on the list as on the job', async () => {
    const job = await firm.open(firm.live, { water: { hardness: 'hard' } });
    await tell(job, flushed('2026-01-15T09:00:00Z'));
    expect((await unitOf(job)).nextDue).toEqual(new Date('2026-07-15T09:00:00Z'));
    const { unit } = await firm.read(job);
    const worn: Entry = { ...stamp(), kind: 'observation', check: 'anode-look', value: 'worn' };
    await tell(await firm.open(firm.live, { knownUnitId: unit.id! }), worn);
    expect((await unitOf(job)).circumstances).toEqual(['worn-was-seen']);
    expect((await firm.read(job)).unit.circumstances).toEqual(['worn-was-seen']);
  });
});

describe('intervals and prices of a firm', () => {
  it('work out anew what is due', async () => {
    const job = await serve('2026-02-01T09:00:00Z');
    await firm.as((transaction) =>
      setFirmService(transaction, firm.id, { intervals: { flush: 6 }, prices: { hour: 75 } }),
    );
    expect((await unitOf(job)).nextDue).toEqual(new Date('2026-08-01T09:00:00Z'));
    await firm.as((transaction) => setFirmService(transaction, firm.id, {}));
    expect((await unitOf(job)).nextDue).toEqual(new Date('2027-02-01T09:00:00Z'));
  });

  it.each([
    [{ intervals: { flush: 0 } }, '/intervals/flush'],
    [{ intervals: { flush: 1.5 } }, '/intervals/flush'],
    [{ intervals: { flush: '6' } }, '/intervals/flush'],
    [{ intervals: { toString: 6 } }, '/intervals/toString'],
    [{ intervals: [] }, '/intervals'],
    [{ prices: { hour: -1 } }, '/prices/hour'],
    [{ prices: { beer: 4 } }, '/prices/beer'],
    [null, ''],
  ])('are refused as %j', async (sent, pointer) => {
    const refused = await firm
      .as((transaction) => setFirmService(transaction, firm.id, sent))
      .catch((error: unknown) => error);
    expect(refused).toBeInstanceOf(Refused);
    expect((refused as Refused).problems[0]!.pointer).toBe(pointer);
  });
});

describe('steps of procedures', () => {
  const step = (rest: object): Entry =>
    ({
      ...stamp(),
      kind: 'step',
      run: '018f0000-0000-7000-8000-0000000000aa',
      procedure: 'flush',
      step: 'hose',
      phase: 'started',
      ...rest,
    }) as Entry;

  it.each([
    [{ procedure: 'toString' }, '/entries/0/procedure'],
    [{ step: 'dance' }, '/entries/0/step'],
    [{ to: 'dance' }, '/entries/0/to'],
    [{ repair: 'replace-flux-capacitor' }, '/entries/0/repair'],
    [{ procedure: 'light-pilot' }, '/entries/0/procedure'],
  ])('are refused as %j with their place', async (rest, pointer) => {
    const job = await firm.open(firm.live);
    const refused = await firm
      .record(job, [step(rest)], firm.live)
      .catch((error: unknown) => error);
    expect((refused as Refused).problems[0]!.pointer).toBe(pointer);
  });

  it('are taken, and come back as they went in', async () => {
    const job = await firm.open(firm.dead);
    const sent = step({ duration: { second: 12 }, result: 'done' });
    await firm.record(job, [sent], firm.dead);
    expect(await firm.entries(job)).toMatchObject([sent]);
  });
});
