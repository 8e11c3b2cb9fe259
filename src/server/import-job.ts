import type { JobFile, JobFileProblem } from '../core/job-file';
import { familyOfJob } from '../core/appliances/all';
import type { FirmTransaction } from '../database/client';
import type { SiteServices } from '../database/schema';
import { appendPacked } from '../database/entries';
import type { PackedEntries } from '../database/packed-entries';
import { updateStanding } from '../database/jobs';
import { readTechnician } from '../database/technicians';
import { NotFound, Refused } from './errors';
import { openCall } from './open-call';
import type { Permissions, PreparedImport } from './prepare-import';
import { settleServed } from './service-due';
import { inThread } from './threads';

export interface ImportedJob {
  readonly id: string;
  readonly number: number;
  readonly warnings: readonly JobFileProblem[];
}

/** A job that is being taken in: opened, its logbook on the way to the database. */
export interface OpenedImport {
  readonly id: string;
  readonly entries: PackedEntries;
  readonly writers: readonly string[];
}

export interface ImportOptions {
  readonly id?: string;
  readonly whenOpened?: (opened: OpenedImport) => Promise<void>;
}

/**
 * Reads a job file that is to be taken in, in a thread. No transaction is to wait for this: it takes as long as the file is.
 * @throws Refused with the pointer of each problem.
 */
export async function readImport(
  text: string,
  { liveWork, gasWork }: Permissions,
): Promise<PreparedImport> {
  const read = await inThread('checks', (service) =>
    service.prepareImport(text, { liveWork, gasWork }),
  );
  if (!read.ok) throw new Refused(read.problems);
  return read;
}

/**
 * Takes a job file that was read in as a new job of this firm, whole or not at all, and keeps every word of it.
 * @param id of the job it becomes; where there is one of this id already, that is it.
 * @param whenOpened told before the logbook is stored, which takes a while for a long one.
 * @throws Refused where its technician may not do now what the file was read with.
 */
export async function importJob(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  read: PreparedImport,
  { id: givenId, whenOpened }: ImportOptions = {},
): Promise<ImportedJob> {
  const technician = await readTechnician(transaction, technicianId);
  if (!technician) throw new NotFound('This firm has no such technician.');
  const { liveWork, gasWork } = technician;
  const { job, permissions } = read;
  if (permissions.liveWork !== liveWork || permissions.gasWork !== gasWork) {
    throw new Refused([
      { pointer: '', message: 'What you may do has changed meanwhile. Bring the file in again.' },
    ]);
  }
  const { site, unit } = job;
  const { id, number, unitId, isEarlier } = await openCall(transaction, organisationId, {
    id: givenId,
    technicianId,
    complaint: job.complaint ?? { kind: 'other', words: '', answers: {} },
    openedAt: job.job.openedAt === undefined ? undefined : new Date(job.job.openedAt),
    timeZone: job.job.timeZone,
    constraints: {
      ...job.constraints,
      liveWork: liveWork && (job.constraints?.liveWork ?? true),
      // What the file leaves open stays open, but for somebody who may not.
      ...(gasWork ? {} : { gasWork: false }),
    },
    envelope: read.envelope,
    newUnit: {
      customer: site?.customer || 'Customer of an imported job',
      address: site?.address || 'Address not in the file',
      family: unit.family,
      services: servicesOf(job),
      plate: unit.plate,
      make: unit.make,
      model: unit.model,
      serial: unit.serial,
      manufactured: unit.manufactured,
      installed: unit.installed,
    },
  });
  if (isEarlier) return { id, number, warnings: read.warnings };
  await whenOpened?.({ id, entries: read.entries, writers: read.writers });
  await appendPacked(transaction, organisationId, id, read.entries);
  await updateStanding(transaction, id, read.standing);
  await settleServed(transaction, unitId);
  return { id, number, warnings: read.warnings };
}

/** What the file says of what feeds the unit; what it leaves open is said as the family takes it. */
function servicesOf({ site, unit }: Pick<JobFile, 'site' | 'unit'>): SiteServices {
  const { supply, gas, water } = site ?? {};
  const usual = familyOfJob({ unit }).usualServices(unit);
  return {
    ...(usual.supply || supply
      ? { supply: { ...usual.supply, ...supply } as SiteServices['supply'] }
      : {}),
    ...(gas ? { gas } : {}),
    ...(water ? { water } : {}),
  };
}
