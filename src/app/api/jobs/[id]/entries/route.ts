import { NotFound } from '@/server/errors';
import { entriesAfter } from '@/server/entries-after';
import { recordEntries } from '@/server/record-entries';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirm, inFirmChanging } from '@/server/session';

/** What has come to a job since the given number of entries. */
export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/entries'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    const found = await inFirm((transaction) => entriesAfter(transaction, id, after));
    if (!found) throw new NotFound('No firm is set up yet.');
    return found;
  });
}

export async function POST(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/entries'>,
): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const body = (await readJson(request)) as { entries?: unknown } | null;
    const recorded = await inFirmChanging(
      (transaction, { organisationId, technician }) =>
        recordEntries(transaction, organisationId, id, body?.entries, technician),
      () => id,
    );
    if (!recorded) throw new NotFound('No firm is set up yet.');
    return recorded;
  });
}
