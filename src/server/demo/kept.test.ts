import { v7 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { familyOfJob } from '../../core/appliances/all';
import type { Entry, JobFile } from '../../core/job-file';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../core/simulation';
import { standingOf } from '../standing-of';
import { demoJobs, type DemoJob } from './firm';
import { keptJob, keptJobs, keyOf } from './kept';
import { practisedLogbook, type CalledJob } from './practise';

const now = new Date('2026-07-01T12:00:00Z');

/** As seed.ts has it called in, without a database. */
function called(demo: DemoJob): CalledJob {
  const { family, plate } = demo.unit;
  const about = { family, plate: plate as JobFile['unit']['plate'] };
  const random = seededRandom(demo.seed);
  const unit = simulateUnit(
    simulatedFamilyOf(family),
    familyOfJob({ unit: about }).plateOf({ unit: about }),
    random,
    { faults: [demo.fault] },
  );
  const openedAt = new Date(now.getTime() - demo.hoursAgo * 3_600_000);
  const { kind, answers } = unit.complaint;
  const start: JobFile = {
    format: 'ohmmeter-job',
    version: 1,
    job: { id: newId(), openedAt: openedAt.toISOString() },
    site: demo.unit.services as JobFile['site'],
    unit: about,
    complaint: { kind: kind as NonNullable<JobFile['complaint']>['kind'], answers },
    entries: [],
  };
  return { demo, start, unit, openedAt, now };
}

/** Ids are new each time; what names one names the same one. */
function withNumberedIds(entries: readonly Entry[]): unknown {
  const ids = new Map<string, string>();
  const pattern = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;
  return JSON.parse(
    JSON.stringify(entries).replace(pattern, (id) => {
      ids.set(id, ids.get(id) ?? `#${ids.size}`);
      return ids.get(id)!;
    }),
  );
}

const worked = demoJobs.filter((each) => each.until.stage !== 'call');

describe('jobs of the demo that are kept', () => {
  it('are all of them, of this demo and this engine: else run scripts/keep-demo.ts', () => {
    expect(keptJobs.map((each) => each.key)).toEqual(demoJobs.map(keyOf));
  });

  it.each(['mixed', 'diagnose'])('are what is practised anew, but for the day: %s', (stage) => {
    const job = called(worked.find((each) => each.until.stage === stage)!);
    const { entries, standing } = keptJob(job)!;
    expect(withNumberedIds(entries)).toEqual(withNumberedIds(practisedLogbook(job)));
    expect(standing).toEqual(standingOf({ ...job.start, entries: [...entries] }));
  });

  it('have new ids each time, and end before now', () => {
    for (const each of worked) {
      const job = called(each);
      const [one, other] = [keptJob(job)!.entries, keptJob(job)!.entries];
      expect(one.length).toBeGreaterThan(0);
      expect(new Set([...one, ...other].map(({ id }) => id)).size).toBe(2 * one.length);
      for (const { at } of one) {
        expect(Date.parse(at!)).toBeGreaterThan(job.openedAt.getTime());
        expect(Date.parse(at!)).toBeLessThan(now.getTime());
      }
    }
  });

  it('are none for a job of another fault, which is practised', () => {
    const job = called(worked[0]!);
    expect(keptJob({ ...job, demo: { ...job.demo, fault: 'none' } })).toBeUndefined();
  });
});
