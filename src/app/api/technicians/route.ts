import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirmAs } from '@/server/session';
import { addTechnician } from '@/server/technicians';

/** Somebody more works here. */
export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const sent = await readJson(request);
    const added = await inFirmAs((transaction, author) => addTechnician(transaction, author, sent));
    if (!added) throw new NotFound('No firm is set up yet.');
    return added;
  });
}
