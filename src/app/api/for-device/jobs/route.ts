import { NotFound } from '@/server/errors';
import { inFirm } from '@/server/in-firm';
import { jobsForDevice } from '@/server/jobs-for-device';
import { respond } from '@/server/respond';

/** Jobs that a device would like to have without signal: ?ids=, with commas between them. */
export async function GET(request: Request): Promise<Response> {
  return respond(async () => {
    const asked = (new URL(request.url).searchParams.get('ids') ?? '').split(',').filter(Boolean);
    const found = await inFirm((transaction) => jobsForDevice(transaction, asked));
    if (!found) throw new NotFound('No firm is set up yet.');
    return found;
  });
}
