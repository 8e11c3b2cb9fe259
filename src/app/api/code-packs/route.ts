import { listCodePacks } from '@/database/code-packs';
import { bringInCodePack } from '@/server/code-packs';
import { NotFound } from '@/server/errors';
import { readBody } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/in-firm';

/** Packs of codes of the firm, with the count of their changes. */
export async function GET(): Promise<Response> {
  return respond(async () => {
    const packs = await inFirm(listCodePacks);
    if (!packs) throw new NotFound('No firm is set up yet.');
    return packs;
  });
}

/** Brings in a pack from a file. */
export async function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const text = await readBody(request, 1);
    const kept = await inFirm((transaction, organisationId) =>
      bringInCodePack(transaction, organisationId, text),
    );
    if (!kept) throw new NotFound('No firm is set up yet.');
    return kept;
  });
}
