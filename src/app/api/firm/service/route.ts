import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { setFirmService } from '@/server/service-due';
import { inFirm } from '@/server/in-firm';

/** How often a firm serves what comes due, and what it asks for. */
export async function PUT(request: Request): Promise<Response> {
  return respond(async () => {
    const sent = await readJson(request);
    const done = await inFirm((transaction, organisationId) =>
      setFirmService(transaction, organisationId, sent),
    );
    if (!done) throw new NotFound('No firm is set up yet.');
    return done;
  });
}
