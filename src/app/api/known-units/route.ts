import { NotFound } from '@/server/errors';
import { knownUnitChoices } from '@/server/known-units';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/in-firm';

const most = 20;

/** Units that the firm knows, found by words of their customer, street, make, model and serial number. */
export async function GET(request: Request): Promise<Response> {
  return respond(async () => {
    const words = new URL(request.url).searchParams.get('words') ?? '';
    const found = await inFirm((transaction) => knownUnitChoices(transaction, words, most));
    if (!found) throw new NotFound('No firm is set up yet.');
    return found;
  });
}
