import 'server-only';
import { cookies } from 'next/headers';
import {
  applicationDatabase,
  asFirm,
  installationOrganisation,
  type FirmTransaction,
} from '../database/client';
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
  const database = applicationDatabase();
  const organisationId = await installationOrganisation(database);
  if (organisationId === undefined) return undefined;
  return asFirm(database, organisationId, (transaction) => work(transaction, organisationId));
}

/** The same for work that changes a job: what it stands at is worked out once the transaction is done. */
export async function inFirmChanging<T>(
  work: (transaction: FirmTransaction, organisationId: string) => Promise<T>,
  jobOf: (done: T) => string,
): Promise<T | undefined> {
  const database = applicationDatabase();
  const organisationId = await installationOrganisation(database);
  if (organisationId === undefined) return undefined;
  const done = await asFirm(database, organisationId, (transaction) =>
    work(transaction, organisationId),
  );
  settleStanding(database, organisationId, jobOf(done));
  return done;
}

/** Who is here, or undefined before a firm is set up. */
export async function readSession(): Promise<Session | undefined> {
  const chosen = (await cookies()).get(technicianCookie)?.value;
  return inFirm(async (transaction) => {
    const organisation = await readOrganisation(transaction);
    const technicians = await listTechnicians(transaction);
    const technician = technicians.find((each) => each.id === chosen) ?? technicians[0];
    if (!organisation || !technician) throw new Error('The firm has no technician.');
    return { organisation, technicians, technician };
  });
}
