import 'server-only';
import { cookies } from 'next/headers';
import type { FirmTransaction } from '../database/client';
import {
  listTechnicians,
  readOrganisation,
  type Organisation,
  type Technician,
} from '../database/technicians';
import {
  changingInFirmBy,
  inFirm,
  inFirmBy,
  isChosenOf,
  presentOf,
  workingHere,
  type Author,
} from './in-firm';
import { technicianIn } from '../technician-cookie';
import type { Coming } from './settle-standing';

export interface Session {
  readonly organisation: Organisation;
  /** Who may be chosen. */
  readonly technicians: readonly Technician[];
  /** Who works here now: chosen on Today; the first by name until then. */
  readonly technician: Technician;
  /** False until somebody has said who works on this device. */
  readonly isChosen: boolean;
}

/** Runs work as the firm, by whoever is here. */
export const inFirmAs = async <T>(
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
): Promise<T | undefined> => inFirmBy(await chosenTechnician(), work);

/** The same for work that changes a job. What the job stands at is worked out once the transaction is done. */
export const inFirmChanging = async <T>(
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
  jobOf: (done: T) => string,
  coming?: Coming,
): Promise<T | undefined> => changingInFirmBy(await chosenTechnician(), work, jobOf, coming);

/** Who was chosen on this device, if anybody was. */
export async function chosenTechnician(): Promise<string | undefined> {
  const sent = await cookies();
  return technicianIn((name) => sent.get(name)?.value);
}

/** Who is here, or undefined before a firm is set up. */
export async function readSession(): Promise<Session | undefined> {
  const chosen = await chosenTechnician();
  return inFirm(async (transaction) => {
    const organisation = await readOrganisation(transaction);
    const technicians = await listTechnicians(transaction);
    if (!organisation) throw new Error('The firm is not there.');
    return {
      organisation,
      technicians: workingHere(technicians),
      technician: presentOf(technicians, chosen),
      isChosen: isChosenOf(technicians, chosen),
    };
  });
}
