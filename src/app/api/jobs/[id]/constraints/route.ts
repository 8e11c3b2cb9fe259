import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { plainJobId } from '@/server/plain-ids';
import { respond } from '@/server/respond';
import { setConstraints } from '@/server/set-constraints';
import { inFirmChanging } from '@/server/session';

export async function PUT(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/constraints'>,
): Promise<Response> {
  return respond(async () => {
    const id = plainJobId((await params).id);
    const sent = await readJson(request);
    const done = await inFirmChanging(
      (transaction, { technician }) => setConstraints(transaction, id, sent, technician),
      () => id,
    );
    if (!done) throw new NotFound('No firm is set up yet.');
    return done;
  });
}
