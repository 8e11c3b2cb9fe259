import 'server-only';
import { answerAhead } from './answer-ahead';
import { NotFound } from './errors';
import { importJob, readImport, type ImportedJob } from './import-job';
import { inFirmChanging, readSession } from './session';

let last: Promise<unknown> = Promise.resolve();

/**
 * Brings a job file in, by whoever is here. One after another: several long ones at once would have all connections and the
 * thread that checks entries to themselves, and nobody else would be answered.
 * @throws Refused with the pointer of each problem; NotFound before a firm is set up.
 */
export function bringIn(text: string): Promise<ImportedJob> {
  const turn = last.then(() => bringInNow(text));
  last = turn.catch(() => undefined);
  return turn;
}

async function bringInNow(text: string): Promise<ImportedJob> {
  const session = await readSession();
  if (!session) throw new NotFound('No firm is set up yet.');
  const read = await readImport(text, session.technician);
  const imported = await inFirmChanging(
    (transaction, { organisationId, technician }) =>
      importJob(transaction, organisationId, technician.id, read, (opened) =>
        answerAhead(transaction, technician, opened),
      ),
    ({ id }) => id,
    'brought-in',
  );
  if (!imported) throw new NotFound('No firm is set up yet.');
  return imported;
}
