import '../core/appliances/all';
import { applicationDatabase, asInstallation, type FirmTransaction } from '../database/client';
import { listTechnicians, type Technician } from '../database/technicians';
import { settleStanding, type Coming } from './settle-standing';

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

/** The same, by the technician who was chosen on the device that asks. */
export const inFirmBy = <T>(
  chosen: string | undefined,
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
): Promise<T | undefined> =>
  inFirm(async (transaction, organisationId) => {
    const technician = presentOf(await listTechnicians(transaction), chosen);
    return work(transaction, { organisationId, technician });
  });

/** The same for work that changes a job. What the job stands at is worked out once the transaction is done. */
export async function changingInFirmBy<T>(
  chosen: string | undefined,
  work: (transaction: FirmTransaction, author: Author) => Promise<T>,
  jobOf: (done: T) => string,
  coming?: Coming,
): Promise<T | undefined> {
  const done = await inFirmBy(chosen, async (transaction, author) => ({
    organisationId: author.organisationId,
    answer: await work(transaction, author),
  }));
  if (!done) return undefined;
  settleStanding(applicationDatabase(), done.organisationId, jobOf(done.answer), coming);
  return done.answer;
}

/** Who may be chosen. */
export const workingHere = (technicians: readonly Technician[]): readonly Technician[] =>
  technicians.filter((each) => !each.hasLeft);

/** Whether somebody who may be has been chosen. */
export const isChosenOf = (
  technicians: readonly Technician[],
  chosen: string | undefined,
): boolean => workingHere(technicians).some((each) => each.id === chosen);

/** Who of the firm is here: the one who was chosen, and the first by name until somebody is. */
export function presentOf(
  technicians: readonly Technician[],
  chosen: string | undefined,
): Technician {
  const here = workingHere(technicians);
  const technician = here.find((each) => each.id === chosen) ?? here[0];
  if (!technician) throw new Error('The firm has no technician.');
  return technician;
}
