import { v7 as newId } from 'uuid';
import { asFirm, type Database } from '../database/client';
import { insertOrganisation, insertTechnician } from '../database/technicians';
import { Refused } from './errors';
import { usualInstruments } from './usual-instruments';

export interface NewFirm {
  readonly name: string;
  readonly address: string;
  readonly unitSystem: 'metric' | 'us';
  readonly timeZone: string;
  readonly technician: string;
  readonly licence?: string;
  readonly liveWork: boolean;
  readonly gasWork: boolean;
}

/** Sets up the firm of this installation with its first technician. */
export async function setUpFirm(
  database: Database,
  firm: NewFirm,
  organisationId = newId(),
): Promise<string> {
  const problems = (['name', 'technician'] as const)
    .filter((field) => firm[field].trim() === '')
    .map((field) => ({
      pointer: `/${field}`,
      message: field === 'name' ? 'What is the firm called?' : 'Who works here?',
    }));
  if (problems.length > 0) throw new Refused(problems);
  await asFirm(database, organisationId, async (transaction) => {
    await insertOrganisation(transaction, {
      id: organisationId,
      name: firm.name.trim(),
      address: firm.address.trim(),
      unitSystem: firm.unitSystem,
      timeZone: firm.timeZone,
    });
    await insertTechnician(transaction, {
      organisationId,
      id: newId(),
      name: firm.technician.trim(),
      licence: firm.licence?.trim() || null,
      liveWork: firm.liveWork,
      gasWork: firm.gasWork,
      instruments: usualInstruments,
    });
  });
  return organisationId;
}
