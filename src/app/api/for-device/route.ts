import { NotFound } from '@/server/errors';
import { forDevice } from '@/server/for-device';
import { respond } from '@/server/respond';
import { inFirmAs } from '@/server/session';

/** What a device keeps so that its pages open without the server. */
export async function GET(): Promise<Response> {
  return respond(async () => {
    const found = await inFirmAs((transaction, { technician }) =>
      forDevice(transaction, technician.id),
    );
    if (!found) throw new NotFound('No firm is set up yet.');
    return found;
  });
}
