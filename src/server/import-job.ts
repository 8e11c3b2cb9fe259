import { v7 as newId } from 'uuid';
import { familyOfJob } from '../core/appliances';
import { catalogueOf } from '../core/job-diagnosis';
import { readJobFile, type JobFileProblem } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { Refused } from './errors';
import { openCall } from './open-call';
import { recordEntries } from './record-entries';

export interface ImportedJob {
  readonly id: string;
  readonly number: number;
  readonly warnings: readonly JobFileProblem[];
}

/**
 * Takes a job file in as a new job of this firm, whole or not at all. Its entries get new ids, since the old ones may
 * be stored here already.
 * @throws Refused with the pointer of each problem.
 */
export async function importJob(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  text: string,
): Promise<ImportedJob> {
  const read = readJobFile(text, catalogueOf);
  if (!read.ok) throw new Refused(read.problems);
  const { job, warnings } = read;
  const { id, number } = await openCall(transaction, organisationId, {
    technicianId,
    complaint: job.complaint ?? { kind: 'other', words: '', answers: {} },
    openedAt: job.job.openedAt === undefined ? undefined : new Date(job.job.openedAt),
    newUnit: {
      customer: job.site?.customer || 'Customer of an imported job',
      address: job.site?.address || 'Address not in the file',
      family: job.unit.family,
      supply: {
        system: job.site?.supply?.system ?? familyOfJob(job).supplies[0]!.system,
        nominalVolt: job.site?.supply?.nominal?.volt ?? Math.round(job.unit.plate.rated.volt),
        residualCurrentDevice: job.site?.supply?.residualCurrentDevice,
      },
      plate: job.unit.plate,
      make: job.unit.make,
      model: job.unit.model,
      serial: job.unit.serial,
      installed: job.unit.installed,
    },
  });
  const idOf = new Map(job.entries.map((each) => [each.id, newId()]));
  const entries = job.entries.map((each) =>
    each.kind === 'correction'
      ? {
          ...each,
          id: idOf.get(each.id)!,
          replaces: idOf.get(each.replaces)!,
          entry: each.entry && { ...each.entry, id: newId() },
        }
      : { ...each, id: idOf.get(each.id)! },
  );
  await recordEntries(transaction, organisationId, id, entries);
  return { id, number, warnings };
}
