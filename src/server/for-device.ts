import type { FirmTransaction } from '../database/client';
import { lastRestore } from '../database/restores';
import { countJobs, listJobs, type JobCounts, type JobWithUnit } from '../database/jobs';
import {
  listTechnicians,
  readOrganisation,
  type Organisation,
  type Technician,
} from '../database/technicians';
import { workingHere } from './in-firm';
import { knownUnitChoices, type KnownUnitChoice } from './known-units';

/** What a device keeps so that its pages open without the server: the firm, the newest open jobs, the newest units. */
export interface ForDevice {
  readonly organisation: Organisation;
  readonly technicians: readonly Technician[];
  readonly technicianId: string;
  /** Which backup last took the place of what the server had. */
  readonly restored?: string;
  readonly counts: JobCounts;
  readonly jobs: readonly JobWithUnit[];
  readonly knownUnits: readonly KnownUnitChoice[];
}

const mostJobs = 50;
const mostUnits = 300;

export async function forDevice(
  transaction: FirmTransaction,
  technicianId: string,
): Promise<ForDevice> {
  const organisation = await readOrganisation(transaction);
  if (!organisation) throw new Error('The firm is not there.');
  return {
    organisation,
    technicians: workingHere(await listTechnicians(transaction)),
    technicianId,
    restored: (await lastRestore(transaction))?.id,
    counts: await countJobs(transaction),
    jobs: await listJobs(transaction, { isOpen: true, most: mostJobs }),
    knownUnits: await knownUnitChoices(transaction, '', mostUnits),
  };
}
