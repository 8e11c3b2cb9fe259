import { v7 as newId } from 'uuid';
import { isTimeZone } from '../core/job-file';
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

const longestText = 200;

/**
 * Sets up the firm of this installation with its first technician.
 * @throws Refused for a text that is missing or too long, and where the installation has a firm already.
 */
export async function setUpFirm(
  database: Database,
  firm: NewFirm,
  organisationId = newId(),
): Promise<string> {
  const missing = { name: 'What is the firm called?', technician: 'Who works here?' };
  const problems = [
    ...(['name', 'technician'] as const)
      .filter((field) => firm[field].trim() === '')
      .map((field) => ({ pointer: `/${field}`, message: missing[field] })),
    ...(['name', 'address', 'technician', 'licence'] as const)
      .filter((field) => (firm[field]?.trim().length ?? 0) > longestText)
      .map((field) => ({ pointer: `/${field}`, message: `At most ${longestText} characters.` })),
  ];
  if (problems.length > 0) throw new Refused(problems);
  await asFirm(database, organisationId, async (transaction) => {
    const isServed = await insertOrganisation(transaction, {
      id: organisationId,
      name: firm.name.trim(),
      address: firm.address.trim(),
      unitSystem: firm.unitSystem,
      // Nobody chooses it: a browser says its own, and one that is not known here is no reason to be refused.
      timeZone: isTimeZone(firm.timeZone) ? firm.timeZone : 'UTC',
    });
    if (!isServed) {
      throw new Refused([{ pointer: '', message: 'A firm is already set up here.' }]);
    }
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
