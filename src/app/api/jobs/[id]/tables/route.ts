import { NotFound } from '@/server/errors';
import { plainJobId } from '@/server/plain-ids';
import { readJobHead } from '@/server/read-job';
import { respondWith } from '@/server/respond';
import { inFirm } from '@/server/in-firm';
import { tablePackFor } from '@/server/device-tables';

export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/tables'>,
): Promise<Response> {
  const build = new URL(request.url).searchParams.get('build');
  return respondWith(async () => {
    const id = plainJobId((await params).id);
    const job = await inFirm((transaction) => readJobHead(transaction, id));
    if (!job) throw new NotFound('No firm is set up yet.');
    return new Response(await tablePackFor(job, build), {
      headers: {
        'content-type': 'application/json',
        // The address names the build, and a plate of another kind is told by the pack itself.
        'cache-control': 'private, max-age=86400',
      },
    });
  });
}
