import { NotFound } from '@/server/errors';
import { readJson, respond } from '@/server/respond';
import { setConstraints } from '@/server/set-constraints';
import { inFirm } from '@/server/session';

export async function PUT(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/constraints'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const sent = await readJson(request);
    const done = await inFirm((transaction) => setConstraints(transaction, id, sent));
    if (!done) throw new NotFound('No firm is set up yet.');
    return done;
  });
}
