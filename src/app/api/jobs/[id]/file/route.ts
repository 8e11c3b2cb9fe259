import { NotFound } from '@/server/errors';
import { readJobFile } from '@/server/read-job';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/session';

export async function GET(
  _request: Request,
  { params }: RouteContext<'/api/jobs/[id]/file'>,
): Promise<Response> {
  const { id } = await params;
  const response = await respond(async () => {
    const file = await inFirm((transaction) => readJobFile(transaction, id));
    if (!file) throw new NotFound('No firm is set up yet.');
    return file;
  });
  if (response.ok) {
    response.headers.set(
      'content-disposition',
      `attachment; filename="job-${id.slice(0, 8)}.json"`,
    );
  }
  return response;
}
