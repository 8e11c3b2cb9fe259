import { readOnce } from '@/server/instruments';
import { respond } from '@/server/respond';

/** One reading, now: `?measure=resistance`, and `channel` where it has several. */
export const GET = (
  request: Request,
  { params }: RouteContext<'/api/instruments/[id]'>,
): Promise<Response> => respond(async () => readOnce((await params).id, new URL(request.url)));
