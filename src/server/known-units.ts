import type { JobFile } from '../core/job-file';
import { questionWords } from '../core/search';
import type { FirmTransaction } from '../database/client';
import { findUnits } from '../database/customers';
import { siteOf, unitOf } from './job-file-of';

/** A unit that the firm knows, as a new call offers it and as a job on it begins. */
export interface KnownUnitChoice {
  readonly id: string;
  readonly label: string;
  readonly unit: JobFile['unit'];
  readonly site: NonNullable<JobFile['site']>;
}

/** Known units that the words of the question find; without words the newest. */
export async function knownUnitChoices(
  transaction: FirmTransaction,
  question: string,
  most: number,
): Promise<KnownUnitChoice[]> {
  const found = await findUnits(transaction, questionWords(question), most);
  return found.map(({ customer, site, unit }) => ({
    id: unit.id,
    label: `${customer.name}, ${site.address.split(',')[0]}: ${[unit.make, unit.model, unit.serial].filter(Boolean).join(' ') || 'unit'}`,
    unit: unitOf(unit),
    site: siteOf(site, customer),
  }));
}
