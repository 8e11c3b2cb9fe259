import { NotFound } from '@/server/errors';
import { readJobFile } from '@/server/read-job';
import { plainJobId } from '@/server/plain-ids';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/in-firm';

export async function GET(
  _request: Request,
  { params }: RouteContext<'/api/jobs/[id]/file'>,
): Promise<Response> {
  const response = await respond(async () => {
    const id = plainJobId((await params).id);
    const file = await inFirm((transaction) => readJobFile(transaction, id));
    if (!file) throw new NotFound('No firm is set up yet.');
    return file;
  });
  if (response.ok) {
    const name = `job-${plainJobId((await params).id).slice(0, 8)}.json`;
    response.headers.set('content-disposition', `attachment; filename="${name}"`);
  }
  return response;
}
