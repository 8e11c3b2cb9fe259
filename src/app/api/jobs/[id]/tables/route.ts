import { NotFound } from '@/server/errors';
import { readJobFile } from '@/server/read-job';
import { plainJobId } from '@/server/plain-ids';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/session';
import { tablePackFor } from '@/server/table-pack';

export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/tables'>,
): Promise<Response> {
  const build = new URL(request.url).searchParams.get('build');
  const response = await respond(async () => {
    const id = plainJobId((await params).id);
    const job = await inFirm((transaction) => readJobFile(transaction, id));
    if (!job) throw new NotFound('No firm is set up yet.');
    return tablePackFor(job, build);
  });
  // The address names the build, and a plate of another kind is told by the pack itself.
  if (response.ok) response.headers.set('cache-control', 'private, max-age=86400');
  return response;
}
