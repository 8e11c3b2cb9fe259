import { NotFound } from '@/server/errors';
import { openCall } from '@/server/open-call';
import { rememberOpened } from '@/server/open-jobs';
import { readKnownJob } from '@/server/read-job';
import { readNewCall } from '@/server/read-new-call';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirmChanging } from '@/server/session';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const call = readNewCall(await readJson(request));
    const opened = await inFirmChanging(
      async (transaction, { organisationId }) => {
        const { id, number } = await openCall(transaction, organisationId, call);
        return { id, number, known: await readKnownJob(transaction, id) };
      },
      ({ id }) => id,
    );
    if (!opened) throw new NotFound('No firm is set up yet.');
    rememberOpened(opened.known);
    return { id: opened.id, number: opened.number };
  });
}
