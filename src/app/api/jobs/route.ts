import { NotFound } from '@/server/errors';
import { openCall } from '@/server/open-call';
import { readNewCall } from '@/server/read-new-call';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirmChanging } from '@/server/session';

export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const call = readNewCall(await readJson(request));
    const opened = await inFirmChanging(
      (transaction, { organisationId }) => openCall(transaction, organisationId, call),
      ({ id }) => id,
    );
    if (!opened) throw new NotFound('No firm is set up yet.');
    return opened;
  });
}
