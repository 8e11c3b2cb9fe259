import type { FirmTransaction } from '../database/client';
import { lastRestore } from '../database/restores';
import { countJobs, listJobs, type JobCounts, type JobWithUnit } from '../database/jobs';
import {
  listTechnicians,
  readOrganisation,
  type Organisation,
  type Technician,
} from '../database/technicians';
import { isChosenOf, presentOf, workingHere } from './in-firm';
import { knownUnitChoices, type KnownUnitChoice } from './known-units';

/** What a device keeps so that its pages open without the server: the firm, the newest open jobs, the newest units. */
export interface ForDevice {
  readonly organisation: Organisation;
  readonly technicians: readonly Technician[];
  readonly technicianId: string;
  /** False where nobody had said who works on the device; absent in what devices kept before it was told. */
  readonly isChosen?: boolean;
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
  chosen: string | undefined,
): Promise<ForDevice> {
  const organisation = await readOrganisation(transaction);
  if (!organisation) throw new Error('The firm is not there.');
  const technicians = await listTechnicians(transaction);
  return {
    organisation,
    technicians: workingHere(technicians),
    technicianId: presentOf(technicians, chosen).id,
    isChosen: isChosenOf(technicians, chosen),
    restored: (await lastRestore(transaction))?.id,
    counts: await countJobs(transaction),
    jobs: await listJobs(transaction, { isOpen: true, most: mostJobs }),
    knownUnits: await knownUnitChoices(transaction, '', mostUnits),
  };
}
