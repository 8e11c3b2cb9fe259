import 'server-only';
import { asSeenBy, longLogbook } from '../core/job-file';
import type { FirmTransaction } from '../database/client';
import { readOrganisation, type Technician } from '../database/technicians';
import { beginFirstAnswer } from './first-answer';
import type { OpenedImport } from './import-job';
import { readLongJobHead } from './read-job';

/** Whoever brings a job in opens it next: where its logbook is long, its answer is worked out while that is stored. */
export async function answerAhead(
  transaction: FirmTransaction,
  technician: Technician,
  { id, entries, writers }: OpenedImport,
): Promise<void> {
  if (entries.count <= longLogbook) return;
  const organisation = await readOrganisation(transaction);
  if (!organisation) return;
  const head = await readLongJobHead(transaction, id, writers);
  beginFirstAnswer(asSeenBy(head, technician, organisation), entries);
}
