import { sql } from 'drizzle-orm';
import { v7 as newId } from 'uuid';
import { familyOfJob } from '../../core/appliances/all';
import { isWorkedDead } from '../../core/appliances';
import { engineVersion, openDiagnosis, proofOf } from '../../core/job-diagnosis';
import { foldEntries, type Entry, type JobFile } from '../../core/job-file';
import {
  doCheck,
  entriesOfStep,
  practiseJob,
  proveDead,
  watchUnit,
  type Clock,
} from '../../core/practice';
import {
  seededRandom,
  simulatedFamilyOf,
  simulateUnit,
  type SimulatedUnit,
} from '../../core/simulation';
import { asFirm, type Database, type FirmTransaction } from '../../database/client';
import { updateStanding } from '../../database/jobs';
import { insertOrganisation, insertTechnician, readTechnician } from '../../database/technicians';
import { openCall } from '../open-call';
import { readJobFile } from '../read-job';
import { recordEntries } from '../record-entries';
import { settleServed } from '../service-due';
import { standingOf } from '../standing-of';
import { demoFirm, demoJobs, demoTechnicians, type DemoJob } from './firm';
import { balancedEntries } from './balanced';
import { mixedEntries } from './mixed';
import { wordsOf } from './words';

/** Fills an empty installation with the demo firm, in one transaction: all of it or nothing. */
export async function seedDemoData(database: Database, now: Date): Promise<void> {
  const organisationId = newId();
  await asFirm(database, organisationId, async (transaction) => {
    // Whole jobs are worked out between two statements: on a slow machine longer than a request may be idle.
    await transaction.execute(sql`set local idle_in_transaction_session_timeout = 0`);
    await insertOrganisation(transaction, { id: organisationId, ...demoFirm });
    const technicianIds = new Map<string, string>();
    for (const { key, name, licence, liveWork, gasWork, leadOhm } of demoTechnicians) {
      const id = newId();
      technicianIds.set(key, id);
      await insertTechnician(transaction, {
        organisationId,
        id,
        name,
        licence,
        liveWork,
        gasWork,
        instruments: [
          { id: 'meter', kind: 'multimeter', leads: { ohm: leadOhm } },
          { id: 'clamp', kind: 'clamp' },
          { id: 'probe', kind: 'thermometer' },
        ],
      });
    }
    for (const each of demoJobs) {
      await seedJob(transaction, organisationId, technicianIds.get(each.technician)!, each, now);
    }
  });
}

async function seedJob(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  demo: DemoJob,
  now: Date,
): Promise<void> {
  const described = {
    unit: { family: demo.unit.family, plate: demo.unit.plate as JobFile['unit']['plate'] },
  };
  const unit = simulateUnit(
    simulatedFamilyOf(demo.unit.family),
    familyOfJob(described).plateOf(described),
    seededRandom(demo.seed),
    { faults: [demo.fault] },
  );
  const openedAt = new Date(now.getTime() - demo.hoursAgo * 3_600_000);
  const { complaint } = unit;
  const { id } = await openCall(transaction, organisationId, {
    technicianId,
    openedAt,
    complaint: {
      kind: complaint.kind as NonNullable<JobFile['complaint']>['kind'],
      words: wordsOf(complaint, demo.seed),
      answers: complaint.answers,
    },
    newUnit: demo.unit,
  });
  if (demo.until.stage === 'call') return settleNow(transaction, id);
  const start = await readJobFile(transaction, id);
  const clock = clockFrom(openedAt, now);
  const entries = practisedEntries(start, unit, demo, clock);
  const technician = (await readTechnician(transaction, technicianId))!;
  const by = start.people![0]!.id;
  await recordEntries(
    transaction,
    organisationId,
    id,
    entries.map((each) => ({ ...each, by })),
    technician,
  );
  await settleNow(transaction, id);
}

/** Worked out in the transaction itself: nobody waits for it, and the demo is there whole or not at all. */
async function settleNow(transaction: FirmTransaction, jobId: string): Promise<void> {
  const stored = await readJobFile(transaction, jobId);
  const standing = standingOf(stored);
  await updateStanding(transaction, jobId, standing);
  await settleServed(transaction, stored.unit.id!, standing.served ?? {});
}

/** Time goes on by the minutes of work, never past now. */
function clockFrom(openedAt: Date, now: Date): Clock {
  let time = openedAt.getTime() + 8 * 60_000;
  return {
    newId,
    after(minutes) {
      time = Math.min(now.getTime() - 1000, time + minutes * 60_000);
      return new Date(time).toISOString();
    },
  };
}

function practisedEntries(
  start: JobFile,
  unit: SimulatedUnit,
  demo: DemoJob,
  clock: Clock,
): Entry[] {
  const { until } = demo;
  if (until.stage === 'watched') return watchedEntries(start, demo, until.minutes, clock);
  if (until.stage === 'mixed') return mixedEntries(unit, until.steps, clock);
  if (until.stage === 'balanced') return balancedEntries(until, clock);
  if (until.stage === 'diagnose') {
    let { job } = practiseJob(start, unit, clock, {}, until.checks);
    for (const check of until.also ?? []) {
      job = doCheck(familyOfJob(job), job, unit, check, clock);
    }
    return until.slip ? withSlip(job.entries, clock) : job.entries;
  }
  const practised = practiseJob(start, unit, clock);
  let { job } = practised;
  const add = (...entries: Entry[]) => {
    job = { ...job, entries: [...job.entries, ...entries] };
  };
  const stamp = (minutes: number) => ({ id: clock.newId(), at: clock.after(minutes) });
  const family = familyOfJob(job);
  if (until.stage === 'decided') {
    for (const check of until.also ?? []) job = doCheck(family, job, unit, check, clock);
    return job.entries;
  }

  const { suspects } = practised.answer;
  const { repair } = suspects[0]!;
  const { parts, wires } = family.repairs[repair]!;
  add({
    ...stamp(1),
    kind: 'verdict',
    engine: engineVersion,
    parameters: family.parameterHash,
    suspects: suspects.slice(0, 4).map((each) => ({
      repair: each.repair,
      repairs: [...each.repairs],
      probability: each.probability,
      faults: [...each.faults],
      why: [...each.why],
    })),
    repair,
    decided: practised.answer.decided,
  });
  const part = parts[0];
  if (until.stage === 'waiting') {
    if (part) add({ ...stamp(2), kind: 'part', part, action: 'ordered', repair });
    add({ ...stamp(1), kind: 'status', status: 'waiting-for-part', reason: until.reason });
    return job.entries;
  }

  const prove = () => proveDead(family, unit, foldEntries(job.entries, family.catalogue));
  add({ ...stamp(1), kind: 'status', status: 'repairing' });
  const isMains = isWorkedDead(family);
  if (isMains && foldEntries(job.entries, family.catalogue).provedDeadAt === undefined) {
    add(...entriesOfStep({ kind: 'power-off-and-prove' }, clock, prove));
  }
  const asFound = unit.settings();
  for (const lifted of wires) {
    add(...entriesOfStep({ kind: 'lift-wire', lifted }, clock, prove));
  }
  if (part) add({ ...stamp(25), kind: 'part', part, action: 'fitted', repair });
  const putBack = () => {
    for (const lifted of foldEntries(job.entries, family.catalogue).lifted) {
      add(...entriesOfStep({ kind: 'refit-wire', lifted }, clock, prove));
    }
  };
  putBack();
  add({ ...stamp(20), kind: 'action', action: 'replace', repair });
  unit.repair([repair]);
  for (const check of family.proofChecksFor(repair)) {
    job = doCheck(family, job, unit, check, clock);
    if (proofOf(openDiagnosis(job), job).verdict === 'proved') break;
  }
  putBack();
  for (const { id: setting, usual } of family.settings) {
    add(
      {
        ...stamp(1),
        kind: 'setting',
        setting,
        as: 'found',
        value: { celsius: Math.round(asFound[setting] ?? usual) },
      },
      { ...stamp(0), kind: 'setting', setting, as: 'left', value: { celsius: 50 } },
    );
  }
  add({
    ...stamp(2),
    kind: 'status',
    status: 'closed-repaired',
    next: 'Shut-off at the setpoint to be seen: about two hours from cold. Flush and anode are due.',
  });
  return job.entries;
}

/** Thermometers left on the tank over a long draw, and the dials read: no meter yet. */
function watchedEntries(
  start: JobFile,
  { fault, seed }: DemoJob,
  minutes: number,
  clock: Clock,
): Entry[] {
  const family = familyOfJob(start);
  const unit = simulatedFamilyOf(family.id).inTime(family.plateOf(start), seededRandom(seed), [
    fault,
  ]);
  const dials = family.settings.map(({ id: setting, usual }): Entry => ({
    id: clock.newId(),
    at: clock.after(1),
    kind: 'setting',
    setting,
    as: 'found',
    value: { celsius: family.tap ? usual : 50 },
  }));
  const begun = Date.parse(clock.after(2));
  if (family.tap) {
    return [
      ...dials,
      ...watchUnit(unit, {
        seconds: 148,
        everySecond: 4,
        places: unit.usualPlaces,
        tap: { from: 8, until: 132, litrePerMinute: 8 },
        startsAt: begun,
        newId: () => clock.newId(),
      }),
    ];
  }
  return [
    ...dials,
    ...watchUnit(unit, {
      seconds: minutes * 60,
      everySecond: 60,
      tap: { from: 300, until: 1200, litrePerMinute: 8 },
      startsAt: begun,
      newId: () => clock.newId(),
    }),
  ];
}

/** Takes the last ohms reading wrongly first, a probe slipped off its screw, and corrects it. */
function withSlip(entries: readonly Entry[], clock: Clock): Entry[] {
  const last = entries.findLastIndex(
    (each) => each.kind === 'reading' && each.value?.ohm !== undefined,
  );
  const reading = entries[last];
  if (reading?.kind !== 'reading' || !reading.check) return [...entries];
  const slipped = { ...reading, value: { overRange: true as const } };
  return [
    ...entries.slice(0, last),
    slipped,
    ...entries.slice(last + 1),
    {
      id: clock.newId(),
      at: clock.after(1),
      kind: 'correction',
      replaces: slipped.id,
      entry: { ...reading, id: clock.newId() },
      reason: 'probe slipped off the screw',
    },
  ];
}
