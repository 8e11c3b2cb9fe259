import type { IncomingMessage, ServerResponse } from 'node:http';
import { parseCookie } from 'cookie';
import { everywhere, refusedAtTheDoor } from '../door';
import { plainJobId } from './plain-ids';
import { readJsonOf } from './read-body';
import { fresh, problemOf } from './respond';
import { takeEntries } from './take-entries';
import { technicianIn } from '../technician-cookie';

/**
 * The short way in for what comes a thousand times more often than anything else: entries of a job. It does what the route
 * `api/jobs/[id]/entries` does, without the framework around it, which takes longer than the work itself.
 */

const address = /^\/api\/jobs\/([0-9a-fA-F-]{36})\/entries$/;

/** The job that a request brings entries for; undefined for every other request. */
export const jobOfEntries = ({ method, url = '' }: IncomingMessage): string | undefined =>
  method === 'POST' ? address.exec(url)?.[1] : undefined;

/** Takes the entries of a request, and answers it. */
export async function takeByTheShortWay(
  jobId: string,
  request: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const { method = '', headers } = request;
  const refused = refusedAtTheDoor({ method, host: headers.host ?? '', origin: headers.origin });
  if (refused) return end(response, refused.status, 'text/plain;charset=UTF-8', refused.message);
  try {
    const body = await readJsonOf({
      declaredBytes: Number(headers['content-length'] ?? 0),
      // What is not read any further is answered all the same.
      parts: request.iterator({ destroyOnReturn: false }) as AsyncIterable<Uint8Array>,
    });
    const sent = parseCookie(headers.cookie ?? '');
    const chosen = technicianIn((name) => sent[name]);
    const stored = await takeEntries(plainJobId(jobId), body, chosen);
    end(response, 200, 'application/json', JSON.stringify(stored));
  } catch (error) {
    // Nobody is there any more to be answered, and nothing was taken.
    if (request.readableAborted) return;
    const [status, answer] = problemOf(error);
    // A body that is not taken is let run out, which Node does: whoever is cut off while sending never hears why.
    end(response, status, 'application/json', JSON.stringify(answer));
  }
}

function end(response: ServerResponse, status: number, kind: string, text: string): void {
  response.writeHead(status, { ...everywhere, ...fresh, 'content-type': kind }).end(text);
}
