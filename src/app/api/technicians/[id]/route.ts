import { NotFound } from '@/server/errors';
import { inFirm } from '@/server/in-firm';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { changeTechnician } from '@/server/technicians';

/** Changes what is said of somebody who works here. */
export async function PUT(
  request: Request,
  { params }: RouteContext<'/api/technicians/[id]'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const sent = await readJson(request);
    const changed = await inFirm((transaction) => changeTechnician(transaction, id, sent));
    if (!changed) throw new NotFound('No firm is set up yet.');
    return changed;
  });
}
