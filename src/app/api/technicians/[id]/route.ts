import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirmAs } from '@/server/session';
import { changeTechnician } from '@/server/technicians';

/** Changes what is said of somebody who works here. */
export async function PUT(
  request: Request,
  { params }: RouteContext<'/api/technicians/[id]'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const sent = await readJson(request);
    const changed = await inFirmAs((transaction, author) =>
      changeTechnician(transaction, author, id, sent),
    );
    if (!changed) throw new NotFound('No firm is set up yet.');
    return changed;
  });
}
