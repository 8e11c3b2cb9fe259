import { NotFound } from '@/server/errors';
import { entriesAfter } from '@/server/entries-after';
import { plainJobId } from '@/server/plain-ids';
import { readJson } from '@/server/read-body';
import { behindTheDoor, JsonText } from '@/server/respond';
import { inFirm } from '@/server/in-firm';
import { chosenTechnician } from '@/server/session';
import { takeEntries } from '@/server/take-entries';

/** What has come to a job since the given number of entries. */
export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/entries'>,
): Promise<Response> {
  return behindTheDoor(request, async () => {
    const id = plainJobId((await params).id);
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    const found = await inFirm((transaction) => entriesAfter(transaction, id, after));
    if (!found) throw new NotFound('No firm is set up yet.');
    const { entries, ...rest } = found;
    // The list is the database's own text: it is put in as it is.
    return new JsonText(`{"entries":${entries},${JSON.stringify(rest).slice(1)}`);
  });
}

/** Takes entries; in the production build most come by the short way (server/short-way.ts), which does the same. */
export async function POST(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/entries'>,
): Promise<Response> {
  return behindTheDoor(request, async () => {
    const id = plainJobId((await params).id);
    return takeEntries(id, await readJson(request), await chosenTechnician());
  });
}
