import { NotFound } from '@/server/errors';
import { forDevice } from '@/server/for-device';
import { inFirm } from '@/server/in-firm';
import { respond } from '@/server/respond';
import { chosenTechnician } from '@/server/session';

/** What a device keeps so that its pages open without the server. */
export async function GET(): Promise<Response> {
  return respond(async () => {
    const chosen = await chosenTechnician();
    const found = await inFirm((transaction) => forDevice(transaction, chosen));
    if (!found) throw new NotFound('No firm is set up yet.');
    return found;
  });
}
