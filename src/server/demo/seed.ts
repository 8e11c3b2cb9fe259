import { sql } from 'drizzle-orm';
import { v7 as newId } from 'uuid';
import { familyOfJob } from '../../core/appliances/all';
import type { Entry, JobFile } from '../../core/job-file';
import { seededRandom, simulatedFamilyOf, simulateUnit } from '../../core/simulation';
import { asFirm, type Database, type FirmTransaction } from '../../database/client';
import { appendEntries } from '../../database/entries';
import { updateStanding } from '../../database/jobs';
import { insertOrganisation, insertTechnician, readTechnician } from '../../database/technicians';
import { openCall } from '../open-call';
import { readJobFile } from '../read-job';
import { recordEntries } from '../record-entries';
import { settleServed } from '../service-due';
import { standingOf } from '../standing-of';
import { demoFirm, demoJobs, demoTechnicians, type DemoJob } from './firm';
import { keptJob, type WorkedJob } from './kept';
import { practisedLogbook, type CalledJob } from './practise';
import { wordsOf } from './words';

/**
 * Fills an empty installation with the demo firm, in one transaction: all of it or nothing. Its jobs are those that are kept;
 * one that was worked out for another demo or by another engine is worked out anew.
 * @param workedAnew is told of every job, each of which is worked out anew then.
 */
export async function seedDemoData(
  database: Database,
  now: Date,
  workedAnew?: (job: CalledJob, worked: WorkedJob) => void,
): Promise<void> {
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
      const technicianId = technicianIds.get(each.technician)!;
      await seedJob(transaction, organisationId, technicianId, each, now, workedAnew);
    }
  });
}

async function seedJob(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  demo: DemoJob,
  now: Date,
  workedAnew?: (job: CalledJob, worked: WorkedJob) => void,
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
  const called: CalledJob = {
    demo,
    start: await readJobFile(transaction, id),
    unit,
    openedAt,
    now,
  };
  const kept = workedAnew ? undefined : keptJob(called);
  const { entries, standing } =
    kept ?? (await work(transaction, organisationId, technicianId, called));
  if (kept) await appendEntries(transaction, organisationId, id, byTheOneWhoCame(called, entries));
  else workedAnew?.(called, { entries, standing });
  // In the transaction itself: nobody waits for it, and the demo is there whole or not at all.
  await updateStanding(transaction, id, standing);
  await settleServed(transaction, called.start.unit.id!);
}

/** Practises a job, with each entry taken in like one that is sent. */
async function work(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  called: CalledJob,
): Promise<WorkedJob> {
  const { id } = called.start.job;
  const entries = practisedLogbook(called);
  const technician = (await readTechnician(transaction, technicianId))!;
  const batch = byTheOneWhoCame(called, entries);
  await recordEntries(transaction, organisationId, id, batch, technician);
  return { entries, standing: standingOf(await readJobFile(transaction, id)) };
}

const byTheOneWhoCame = ({ start }: CalledJob, entries: readonly Entry[]): Entry[] =>
  entries.map((each) => ({ ...each, by: start.people![0]!.id }));
