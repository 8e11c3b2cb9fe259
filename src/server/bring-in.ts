import 'server-only';
import { answerAhead } from './answer-ahead';
import { NotFound, Refused, TooMany } from './errors';
import { importJob, readImport, type ImportedJob } from './import-job';
import { inFirmChanging, readSession } from './session';

/** Each of them is held in memory until its turn comes. */
const mostAtOnce = 30;

let last: Promise<unknown> = Promise.resolve();
let here = 0;

/**
 * Brings a job file in, by whoever is here. One after another: several long ones at once would have all connections and the
 * thread that checks entries to themselves, and nobody else would be answered.
 * @param id of the job it becomes: the same file sent once more, because its answer was lost, is the same job.
 * @param leaving says when whoever asked has left: what has not begun then is not begun, for it would be brought in again.
 * @throws Refused with the pointer of each problem; NotFound before a firm is set up; TooMany.
 */
export async function bringIn(
  text: string,
  { leaving, id }: { readonly leaving: AbortSignal; readonly id?: string },
): Promise<ImportedJob> {
  if (here >= mostAtOnce) {
    throw new TooMany(
      'Many files are being brought in at this moment, and this one was not. Bring it in again in a minute.',
    );
  }
  here += 1;
  const turn = last
    .then(() => {
      if (leaving.aborted) throw new Refused([{ pointer: '', message: 'Nobody waits for it.' }]);
      return bringInNow(text, id);
    })
    .finally(() => {
      here -= 1;
    });
  last = turn.catch(() => undefined);
  return turn;
}

async function bringInNow(text: string, id: string | undefined): Promise<ImportedJob> {
  const session = await readSession();
  if (!session) throw new NotFound('No firm is set up yet.');
  const read = await readImport(text, session.technician);
  const imported = await inFirmChanging(
    (transaction, { organisationId, technician }) =>
      importJob(transaction, organisationId, technician.id, read, {
        id,
        whenOpened: (opened) => answerAhead(transaction, technician, opened),
      }),
    (job) => job.id,
    'brought-in',
  );
  if (!imported) throw new NotFound('No firm is set up yet.');
  return imported;
}
