import { v7 as newId } from 'uuid';
import { familyOfJob, PlateError } from '../core/appliances/all';
import {
  permissionProblems,
  type Entry,
  type JobFile,
  type JobFileProblem,
} from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import type { SiteServices } from '../database/schema';
import { appendEntries } from '../database/entries';
import { updateStanding } from '../database/jobs';
import { readTechnician } from '../database/technicians';
import { NotFound, Refused } from './errors';
import { jobFileOf } from './job-file-of';
import { openCall } from './open-call';
import { lockedJob } from './record-entries';
import { inThread } from './threads';

export interface ImportedJob {
  readonly id: string;
  readonly number: number;
  readonly warnings: readonly JobFileProblem[];
}

/**
 * Takes a job file in as a new job of this firm, whole or not at all, and keeps every word of it. Its entries get new ids,
 * since the old ones may be stored here already; what names them names the new ones.
 * @throws Refused with the pointer of each problem.
 */
export async function importJob(
  transaction: FirmTransaction,
  organisationId: string,
  technicianId: string,
  text: string,
): Promise<ImportedJob> {
  const read = await inThread('checks', (service) => service.readFile(text));
  if (!read.ok) throw new Refused(read.problems);
  const { job, warnings } = read;
  const technician = await readTechnician(transaction, technicianId);
  if (!technician) throw new NotFound('This firm has no such technician.');
  const { catalogue } = familyOfJob(job);
  // A file is no way round a permission: what was read live is taken in by somebody who may work live, and so with gas.
  const forbidden = permissionProblems(job.entries, catalogue, (_, work) => technician[work]);
  if (forbidden.length > 0) throw new Refused(forbidden);
  checkPlate(job);
  const idOf = new Map(job.entries.map((each) => [each.id, newId()]));
  const { site, unit } = job;
  const { id, number } = await openCall(transaction, organisationId, {
    technicianId,
    complaint: job.complaint ?? { kind: 'other', words: '', answers: {} },
    openedAt: job.job.openedAt === undefined ? undefined : new Date(job.job.openedAt),
    timeZone: job.job.timeZone,
    constraints: {
      ...job.constraints,
      liveWork: technician.liveWork && (job.constraints?.liveWork ?? true),
      // What the file leaves open stays open, but for somebody who may not.
      ...(technician.gasWork ? {} : { gasWork: false }),
    },
    envelope: envelopeOf(job, idOf),
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
  const entries = job.entries.map((each) => renamed(each, idOf, idOf.get(each.id)!));
  const stored = await lockedJob(transaction, id);
  const standing = await inThread('checks', (service) =>
    service.standingMeanwhile(jobFileOf(stored, entries), stored.job.standing),
  );
  await appendEntries(transaction, organisationId, id, entries);
  await updateStanding(transaction, id, standing);
  return { id, number, warnings };
}

/** What the file says of what feeds the unit; what it leaves open is said as the family takes it. */
function servicesOf({ site, unit }: JobFile): SiteServices {
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

/** @throws Refused where the family cannot work with the plate. */
function checkPlate(job: JobFile): void {
  try {
    familyOfJob(job).plateOf(job);
  } catch (error) {
    if (!(error instanceof PlateError)) throw error;
    throw new Refused([{ pointer: error.pointer, message: error.message }]);
  }
}

/** What the file says beside its logbook. Names and streets are left to the rows of this firm, where they can be erased. */
function envelopeOf(
  { entries: _, site, ...rest }: JobFile,
  idOf: ReadonlyMap<string, string>,
): Omit<JobFile, 'entries'> {
  const { customer: _customer, address: _address, ...place } = site ?? {};
  const isUuid = /^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/i.test(rest.job.id);
  const origin = rest.job.origin ?? { organisation: nobody, job: rest.job.id };
  return {
    ...rest,
    job: { ...rest.job, ...(isUuid ? { origin } : {}) },
    site: place,
    ...(rest.attachments
      ? {
          attachments: rest.attachments.map((each) =>
            each.of === undefined ? each : { ...each, of: idOf.get(each.of) ?? each.of },
          ),
        }
      : {}),
  };
}

/** A file that does not say which firm it comes from. */
const nobody = '00000000-0000-0000-0000-000000000000';

/** The entry under its new id, with everything in it that names another entry. */
function renamed<E extends Entry>(entry: E, idOf: ReadonlyMap<string, string>, id: string): E {
  const nameOf = (old: string) => idOf.get(old) ?? old;
  switch (entry.kind) {
    case 'correction':
      return {
        ...entry,
        id,
        replaces: nameOf(entry.replaces),
        entry: entry.entry && renamed(entry.entry, idOf, newId()),
      };
    case 'countersign':
      return { ...entry, id, of: nameOf(entry.of) };
    case 'verdict':
      return {
        ...entry,
        id,
        suspects: entry.suspects.map((each) =>
          each.why
            ? { ...each, why: each.why.map((one) => ({ ...one, entry: nameOf(one.entry) })) }
            : each,
        ),
      };
    default:
      return { ...entry, id };
  }
}
