import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/in-firm';
import { setSchools } from '@/server/set-schools';

/** Which way the firm goes where good practitioners disagree. */
export async function PUT(request: Request): Promise<Response> {
  return respond(async () => {
    const sent = await readJson(request);
    const done = await inFirm((transaction, organisationId) =>
      setSchools(transaction, organisationId, sent),
    );
    if (!done) throw new NotFound('No firm is set up yet.');
    return done;
  });
}
