import 'server-only';
import { DatabaseUnavailable } from '../database/client';
import { everywhere, knockOf, refusedAtTheDoor } from '../door';
import { logFault } from './log';
import { Conflict, NotFound, Refused, TooLarge, TooMany } from './errors';

/** What an interface of the server answers when it could not do what was asked. */
export interface ProblemAnswer {
  readonly problem: 'refused' | 'conflict' | 'not-found' | 'unavailable' | 'unexpected';
  readonly message: string;
  readonly problems?: readonly { readonly pointer: string; readonly message: string }[];
  readonly ids?: readonly string[];
}

/** What is answered is somebody's data, as it is now. */
export const fresh = { 'cache-control': 'no-store' };

/** What is JSON already, as the database gave it: to read a long logbook and write it again would hold up everybody else. */
export class JsonText {
  constructor(readonly text: string) {}
}

/** Runs a handler and turns its typed errors into answers; anything else is logged and told as unexpected. */
export const respond = (work: () => Promise<unknown>): Promise<Response> =>
  respondWith(async () => {
    const done = await work();
    if (!(done instanceof JsonText)) return Response.json(done ?? {}, { headers: fresh });
    return new Response(done.text, { headers: { ...fresh, 'content-type': 'application/json' } });
  });

/** The same where the handler makes its own answer. */
export async function respondWith(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const [status, answer] = problemOf(error);
    return Response.json(answer, { status, headers: fresh });
  }
}

/** The same for a route that the proxy leaves out: who may not in is told so here. */
export async function behindTheDoor(
  request: Request,
  work: () => Promise<unknown>,
): Promise<Response> {
  const refused = refusedAtTheDoor(knockOf(request));
  const response = refused
    ? new Response(refused.message, { status: refused.status, headers: fresh })
    : await respond(work);
  for (const [name, value] of Object.entries(everywhere)) response.headers.set(name, value);
  return response;
}

/** What is answered to an error, with its status. One that nobody foresaw is logged, and told as unexpected. */
export function problemOf(error: unknown): [number, ProblemAnswer] {
  if (error instanceof Refused) {
    return [422, { problem: 'refused', message: error.message, problems: error.problems }];
  }
  if (error instanceof Conflict) {
    return [409, { problem: 'conflict', message: error.message, ids: error.ids }];
  }
  if (error instanceof TooLarge) return [413, { problem: 'refused', message: error.message }];
  if (error instanceof TooMany) return [503, { problem: 'unavailable', message: error.message }];
  if (error instanceof NotFound) return [404, { problem: 'not-found', message: error.message }];
  if (isDiskFull(error)) {
    logFault('the disk is full', error);
    return [
      507,
      {
        problem: 'unavailable',
        message:
          'The disk of the server is full. What you entered is kept on this device, and goes by itself once there is room: at the server, free some.',
      },
    ];
  }
  if (error instanceof DatabaseUnavailable) {
    return [
      503,
      {
        problem: 'unavailable',
        message:
          'The database does not answer. What you typed is kept on this device and goes later.',
      },
    ];
  }
  logFault('a request failed', error);
  return [
    500,
    {
      problem: 'unexpected',
      message: 'Something unexpected went wrong. What you typed is kept on this device.',
    },
  ];
}

/**
 * PostgreSQL's word for a disk without room, and the system's own. A new connection may need a file that PostgreSQL keeps for
 * all of them, and says no more of it than that it cannot be written.
 */
function isDiskFull(error: unknown): boolean {
  for (let each = error; each instanceof Error; each = each.cause) {
    const { code } = each as { code?: string };
    if (code === '53100' || code === 'ENOSPC' || code === 'EDQUOT') return true;
    if (code === 'XX000' && each.message.includes('could not write init file')) return true;
  }
  return false;
}
