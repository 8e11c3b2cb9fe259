import { changeCodePack, findCodePack, removeCodePack } from '@/server/code-packs';
import { NotFound } from '@/server/errors';
import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { inFirm } from '@/server/in-firm';

type Context = RouteContext<'/api/code-packs/[id]'>;

/** A pack as a file to hand out. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { id } = await params;
  const response = await respond(async () => {
    const pack = await inFirm((transaction) => findCodePack(transaction, id));
    if (!pack) throw new NotFound('No firm is set up yet.');
    return pack;
  });
  if (response.ok) {
    response.headers.set('content-disposition', `attachment; filename="codes-${id}.json"`);
  }
  return response;
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const sent = await readJson(request);
    const kept = await inFirm((transaction, organisationId) =>
      changeCodePack(transaction, organisationId, id, sent),
    );
    if (!kept) throw new NotFound('No firm is set up yet.');
    return kept;
  });
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { id } = await params;
    const done = await inFirm((transaction) => removeCodePack(transaction, id));
    if (!done) throw new NotFound('No firm is set up yet.');
    return done;
  });
}
