import { v7 as newId } from 'uuid';
import type { Entry, JobFile } from '../../src/core/job-file';
import { asFirm, type Database, type FirmTransaction } from '../../src/database/client';
import { insertTechnician, listTechnicians, type Technician } from '../../src/database/technicians';
import { importJob, readImport } from '../../src/server/import-job';
import { openCall } from '../../src/server/open-call';
import { readJobFile } from '../../src/server/read-job';
import { recordEntries } from '../../src/server/record-entries';
import { setUpFirm } from '../../src/server/set-up-firm';
import { emptyJob } from '../plates';

type Water = NonNullable<JobFile['site']>['water'];

/** A firm of two: one may work live, the other may not. */
export interface TestFirm {
  readonly id: string;
  readonly live: Technician;
  readonly dead: Technician;
  as<T>(work: (transaction: FirmTransaction) => Promise<T>): Promise<T>;
  /** A new job of one of them, on a unit that is known or on a new one. */
  open(technician: Technician, on?: { knownUnitId?: string; water?: Water }): Promise<string>;
  record(job: string, sent: unknown, sender: Technician): Promise<unknown>;
  import(text: string, sender: Technician): Promise<{ id: string }>;
  read(job: string): Promise<JobFile>;
  entries(job: string): Promise<readonly Entry[]>;
}

export async function makeFirm(database: Database): Promise<TestFirm> {
  const id = await setUpFirm(database, {
    name: 'One',
    address: 'Somewhere',
    unitSystem: 'us',
    timeZone: 'UTC',
    technician: 'A. Live',
    liveWork: true,
    gasWork: true,
  });
  const as: TestFirm['as'] = (work) => asFirm(database, id, work);
  await as((transaction) =>
    insertTechnician(transaction, {
      organisationId: id,
      id: newId(),
      name: 'B. Dead',
      liveWork: false,
      instruments: [{ id: 'own', kind: 'multimeter', leads: { ohm: 0.4 } }],
    }),
  );
  const [live, dead] = await as(listTechnicians);
  const read = (job: string) => as((transaction) => readJobFile(transaction, job));
  return {
    id,
    live: live!,
    dead: dead!,
    as,
    read,
    open: async (technician, { knownUnitId, water } = {}) =>
      (
        await as((transaction) =>
          openCall(transaction, id, {
            technicianId: technician.id,
            complaint: { kind: 'no-hot-water', words: 'cold', answers: {} },
            knownUnitId,
            newUnit: {
              customer: 'A. Customer',
              address: 'A street',
              family: 'electric-storage-two-element',
              services: { supply: { system: 'split-phase', nominal: { volt: 240 } }, water },
              plate: emptyJob().unit.plate,
            },
          }),
        )
      ).id,
    record: (job, sent, sender) =>
      as((transaction) => recordEntries(transaction, id, job, sent, sender)),
    import: async (text, sender) => {
      const read = await readImport(text, sender);
      return as((transaction) => importJob(transaction, id, sender.id, read));
    },
    entries: async (job) => (await read(job)).entries,
  };
}
