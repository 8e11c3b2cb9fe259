import type { IncomingMessage, ServerResponse } from 'node:http';
import path from 'node:path';
import send from 'send';
import { everywhere, refusedAtTheDoor } from '../door';

/**
 * The short way to the files of the build: a page has some thirty, and to the framework each is a request like that of a
 * page. Whoever asks comes through the same door, and what a file may do is as little as what a page may.
 */

const prefix = '/_next/static/';
const folder = path.resolve('.next/static');
const yearInMilliseconds = 365 * 24 * 3_600_000;

const headers = {
  ...everywhere,
  // A thread is bound by what its file says, not by its page.
  'content-security-policy':
    "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'",
};

/** Whether a request is for a file of the build. */
export const isForBuildFile = ({ method = '', url = '' }: IncomingMessage): boolean =>
  url.startsWith(prefix) && ['GET', 'HEAD'].includes(method);

/** Answers a request for a file of the build; `otherwise` answers for what is none. */
export function giveBuildFile(
  request: IncomingMessage,
  response: ServerResponse,
  otherwise: () => void,
): void {
  const { method = '', url = '', headers: asked } = request;
  const refused = refusedAtTheDoor({ method, host: asked.host ?? '', origin: asked.origin });
  if (refused) {
    response.writeHead(refused.status, { ...everywhere, 'content-type': 'text/plain' });
    response.end(refused.message);
    return;
  }
  const [file = ''] = url.slice(prefix.length).split('?', 1);
  // A file never changes under its name.
  send(request, file, { root: folder, index: false, immutable: true, maxAge: yearInMilliseconds })
    .on('headers', () => response.setHeaders(new Map(Object.entries(headers))))
    .on('directory', otherwise)
    .on('error', () => {
      if (response.headersSent) response.destroy();
      else otherwise();
    })
    .pipe(response);
}
