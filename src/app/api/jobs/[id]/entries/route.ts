import { NotFound } from '@/server/errors';
import { recordEntries } from '@/server/record-entries';
import { readJson, respond } from '@/server/respond';
import { inFirm } from '@/server/session';

export async function POST(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/entries'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const body = (await readJson(request)) as { entries?: unknown } | null;
    const recorded = await inFirm((transaction, organisationId) =>
      recordEntries(transaction, organisationId, id, body?.entries),
    );
    if (!recorded) throw new NotFound('No firm is set up yet.');
    return recorded;
  });
}
