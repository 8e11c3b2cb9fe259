import 'server-only';
import '../core/appliances/all';
import { cookies } from 'next/headers';
import { applicationDatabase, asInstallation, type FirmTransaction } from '../database/client';
import {
  listTechnicians,
  readOrganisation,
  type Organisation,
  type Technician,
} from '../database/technicians';

import { settleStanding } from './settle-standing';

export interface Session {
  readonly organisation: Organisation;
  readonly technicians: readonly Technician[];
  /** Who works here now: chosen on Today; the first by name until then. */
  readonly technician: Technician;
}

export const technicianCookie = 'ohmmeter-technician';

/** Runs work as the firm of this installation. Undefined before a firm is set up. */
export async function inFirm<T>(
  work: (transaction: FirmTransaction, organisationId: string) => Promise<T>,
): Promise<T | undefined> {
  return asInstallation(applicationDatabase(), work);
}

/** Who does it, for work that changes a job. */
export interface Author {
  readonly organisationId: string;
  readonly technician: Technician;
}

/** The same, by whoever is here. */
export async function inFirmAs<T>(
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
): Promise<T | undefined> {
  const chosen = await chosenTechnician();
  return inFirm(async (transaction, organisationId) => {
    const technician = presentOf(await listTechnicians(transaction), chosen);
    return work(transaction, { organisationId, technician });
  });
}

/** The same for work that changes a job. What the job stands at is worked out once the transaction is done. */
export async function inFirmChanging<T>(
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
  jobOf: (done: T) => string,
): Promise<T | undefined> {
  const done = await inFirmAs(async (transaction, author) => ({
    organisationId: author.organisationId,
    answer: await work(transaction, author),
  }));
  if (!done) return undefined;
  settleStanding(applicationDatabase(), done.organisationId, jobOf(done.answer));
  return done.answer;
}

/** Who was chosen on this device, if anybody was. */
export const chosenTechnician = async (): Promise<string | undefined> =>
  (await cookies()).get(technicianCookie)?.value;

function presentOf(technicians: readonly Technician[], chosen: string | undefined): Technician {
  const technician = technicians.find((each) => each.id === chosen) ?? technicians[0];
  if (!technician) throw new Error('The firm has no technician.');
  return technician;
}

/** Who is here, or undefined before a firm is set up. */
export async function readSession(): Promise<Session | undefined> {
  const chosen = await chosenTechnician();
  return inFirm(async (transaction) => {
    const organisation = await readOrganisation(transaction);
    const technicians = await listTechnicians(transaction);
    if (!organisation) throw new Error('The firm is not there.');
    return { organisation, technicians, technician: presentOf(technicians, chosen) };
  });
}
