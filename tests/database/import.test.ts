import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { families } from '../../src/core/appliances/all';
import { catalogueOf, diagnoseJob } from '../../src/core/job-diagnosis';
import {
  currentVersion,
  foldEntries,
  readJobFile,
  type Entry,
  type JobFile,
} from '../../src/core/job-file';
import { emptyJob, provedDead, stamp } from '../plates';
import { jobOf, logbook } from '../properties/logbooks';
import { makeFirm, type TestFirm } from './firm';
import { makeTestDatabase, type TestDatabase } from './test-database';

let test: TestDatabase;
let firm: TestFirm;
beforeAll(async () => {
  test = await makeTestDatabase();
  firm = await makeFirm(test.database);
});
afterAll(() => test.drop());

const imported = async (job: unknown) =>
  firm.read((await firm.import(JSON.stringify(job), firm.live)).id);

/** What a file says, without what this firm gives it anew: its own ids, number, owner and place of origin. */
function words(job: JobFile): unknown {
  const idOf = new Map(job.entries.map((each, index) => [each.id, `entry ${index}`]));
  const { id: _id, number: _number, technician: _technician, origin: _origin, ...head } = job.job;
  const { id: _site, ...site } = job.site ?? {};
  const { id: _unit, ...unit } = job.unit;
  const renamed = JSON.parse(
    JSON.stringify({ ...job, job: head, site, unit, minor: 0 }).replace(
      /[0-9a-f]{8}-[0-9a-f-]{27}/g,
      (id) => idOf.get(id) ?? 'another id',
    ),
  ) as JobFile;
  return {
    ...renamed,
    // Who it belongs to here comes before those whom the file names.
    people: (renamed.people ?? []).filter((each) => each.id !== 'another id'),
  };
}

const person = fc.record(
  { id: fc.constantFrom('p1', 'p2', 'p3'), name: fc.string({ minLength: 1, maxLength: 12 }) },
  { requiredKeys: ['id', 'name'] },
);

/** Everything that a file may say beside its logbook. */
const envelope = fc.record(
  {
    constraints: fc.record(
      {
        liveWork: fc.boolean(),
        instruments: fc.subarray(['multimeter', 'clamp', 'thermometer']),
        order: fc.constantFrom('computed', 'usual'),
        wrongVerdict: fc.integer({ min: 60, max: 14400 }).map((second) => ({ second })),
        schools: fc.constantFrom({}, { 'part-reading': 'trust-elimination' }),
      },
      { requiredKeys: ['liveWork'] },
    ),
    people: fc.uniqueArray(person, { maxLength: 3, selector: (each) => each.id }),
    visits: fc.array(fc.record({ id: fc.constantFrom('v1', 'v2'), by: fc.constant('p1') }), {
      maxLength: 2,
    }),
    instruments: fc.array(
      fc.record({
        id: fc.constantFrom('m1', 'm2'),
        kind: fc.constant('multimeter'),
        leads: fc.double({ min: 0, max: 5, noNaN: true }).map((ohm) => ({ ohm })),
      }),
      { minLength: 1, maxLength: 2 },
    ),
    extensions: fc.dictionary(fc.constantFrom('firm-x', 'note'), fc.jsonValue({ maxDepth: 2 }), {
      maxKeys: 2,
    }),
  },
  { requiredKeys: ['constraints', 'instruments'] },
);

const site = fc.record({
  customer: fc.constant('C. Customer'),
  address: fc.constant('Elsewhere 3'),
  supply: fc.record({
    system: fc.constantFrom('split-phase', 'single-phase'),
    // Few, with half volts and more digits: every other one is a plate to compile.
    nominal: fc.constantFrom(240, 230.5, 237.1234567).map((volt) => ({ volt })),
    frequency: fc.constantFrom({ hertz: 50 }, { hertz: 60 }),
    residualCurrentDevice: fc.boolean(),
  }),
});

describe.each(families.map((family) => [family.id, family] as const))(
  'a job file of %s that is taken in',
  (_, family) => {
    it('keeps every word', async () => {
      let taken = 0;
      await fc.assert(
        fc.asyncProperty(
          logbook(family, 8),
          envelope,
          site,
          fc.constantFrom('2019-05', '2020'),
          async (entries, rest, place, made) => {
            const job = jobOf(family, entries, { ...rest, site: place } as Partial<JobFile>);
            const file = {
              ...job,
              minor: 0,
              job: { ...job.job, openedAt: '2026-03-02T08:00:00.000Z', timeZone: 'UTC' },
              unit: { ...job.unit, make: 'Orrin', manufactured: made },
            };
            if (!readJobFile(JSON.stringify(file), catalogueOf).ok) return;
            taken += 1;
            expect(words(await imported(file))).toEqual(words(file as JobFile));
          },
        ),
        { numRuns: 40, seed: 5 },
      );
      expect(taken).toBeGreaterThan(8);
    });
  },
);

describe('a job file that is taken in', () => {
  const reading = (rest: object): Entry =>
    ({ ...stamp(), kind: 'reading', ...rest }) as unknown as Entry;

  it('is weighed as it was where it came from: by its own leads and limits', async () => {
    const file = emptyJob({
      instruments: [{ id: 'm1', kind: 'multimeter', leads: { ohm: 3.9 } }],
      constraints: { liveWork: false, order: 'usual' },
      site: { supply: { system: 'split-phase', nominal: { volt: 237.5 } } },
      entries: [reading({ check: 'limit-pole-1-ohms', value: { ohm: 4 }, instrument: 'm1' })],
    });
    const back = await imported(file);
    expect(back.constraints).toMatchObject({ liveWork: false, order: 'usual' });
    expect(back.site?.supply?.nominal).toEqual({ volt: 237.5 });
    const lead = (job: JobFile) => diagnoseJob(job, { depth: 'one-step' }).answer.suspects[0]!;
    expect(lead(back).probability).toBeCloseTo(lead(file).probability, 9);
  });

  it('is refused with the place where an entry is dated ahead: a proof of dead would hold once that day comes', async () => {
    const days = (count: number) => new Date(Date.now() + count * 86_400_000).toISOString();
    const dated = (at: string) =>
      imported(emptyJob({ entries: [{ ...stamp(), at, kind: 'action', action: 'proved-dead' }] }));
    await expect(dated(days(3))).rejects.toMatchObject({
      problems: [{ pointer: '/entries/0/at', message: expect.stringContaining('was wrong') }],
    });
    // What is still taken has no say after the file.
    expect((await dated(days(0.9))).entries.at(-1)).toMatchObject({ action: 'brought-in' });
  });

  it('brings no proof of dead with it: its job may go on elsewhere', async () => {
    const now = Date.now();
    const at = (minutes: number) => new Date(now + minutes * 60_000).toISOString();
    const family = families.find(({ id }) => id === emptyJob().unit.family)!;
    const fileOf = (minutes: number, rest: readonly Entry[] = []) =>
      emptyJob({
        entries: [
          { ...stamp(), at: at(minutes), kind: 'action', action: 'power-off' },
          { ...stamp(), at: at(minutes + 1), ...provedDead(family) } as Entry,
          ...rest,
        ],
      });
    const stateOf = (job: JobFile, later: string) =>
      foldEntries(job.entries, family.catalogue, later);
    // Minutes ago, and by a clock that is ahead by hours.
    for (const minutes of [-3, 9 * 60]) {
      const file = fileOf(minutes);
      expect(stateOf(file, at(minutes + 2)).provedDeadAt).toBeDefined();
      const back = await imported(file);
      expect(back.entries.slice(2)).toMatchObject([{ kind: 'action', action: 'brought-in' }]);
      for (const later of [at(1), at(minutes + 2)]) {
        expect(stateOf(back, later)).toMatchObject({
          provedDeadAt: undefined,
          proofEndedBy: 'brought-in',
          power: 'unknown',
        });
      }
      // Taken out and brought in once more it says so once more, and nothing else is changed.
      expect((await imported(back)).entries).toHaveLength(4);
    }
    // Nobody has been there since the morning, or it is closed: nothing holds that could end.
    const closed = { ...stamp(), kind: 'status', status: 'closed-not-repaired', reason: 'asked' };
    for (const file of [fileOf(-300), fileOf(-3, [closed as Entry])]) {
      const back = await imported(file);
      expect(back.entries).toHaveLength(file.entries.length);
      expect(stateOf(back, at(1)).provedDeadAt).toBeUndefined();
    }
  });

  it('names its entries anew wherever they are named', async () => {
    const first = reading({ check: 'upper-element-ohms', value: { ohm: 12.8 } });
    const verdict = {
      ...stamp(),
      kind: 'verdict',
      engine: 'e',
      parameters: 'p',
      suspects: [
        {
          repair: 'flush',
          probability: 1,
          why: [
            { entry: first.id, decibans: 3 },
            { entry: 'call:complaint', decibans: 1 },
          ],
        },
      ],
    } as Entry;
    const countersign = { ...stamp(), kind: 'countersign', of: first.id } as Entry;
    const { entries } = await imported(emptyJob({ entries: [first, verdict, countersign] }));
    const id = entries[0]!.id;
    expect(id).not.toBe(first.id);
    expect(entries[1]).toMatchObject({
      suspects: [{ why: [{ entry: id }, { entry: 'call:complaint' }] }],
    });
    expect(entries[2]).toMatchObject({ of: id });
  });

  it('keeps what a newer version says, and goes out as that version', async () => {
    const newer = { ...emptyJob(), minor: currentVersion.minor + 1, weather: 'rain' };
    const back = await imported(newer);
    expect(back).toMatchObject({ minor: currentVersion.minor + 1, weather: 'rain' });
  });
});
