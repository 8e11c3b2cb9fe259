import { readJson } from '@/server/read-body';
import { respond } from '@/server/respond';
import { orderBench } from '@/server/simulated-unit';

/** How the simulated unit stands. */
export const GET = (): Promise<Response> => respond(() => orderBench({ do: 'state' }));

/** A hand on the simulated unit: an order of the bench. */
export const POST = (request: Request): Promise<Response> =>
  respond(async () => orderBench((await readJson(request)) as object));
