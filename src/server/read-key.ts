import { validate as isUuid } from 'uuid';
import { Refused } from './errors';

/**
 * The key under which something is sent, so that sent once more it is not there twice: the header field of the draft
 * "The Idempotency-Key HTTP Header Field" of the IETF, here always a UUID.
 * @throws Refused where it is something else.
 */
export function readKey({ headers }: Request): string | undefined {
  const key = headers.get('idempotency-key')?.replaceAll('"', '');
  if (key === undefined) return undefined;
  if (!isUuid(key)) {
    throw new Refused([{ pointer: '', message: 'The idempotency key of a request is a UUID.' }]);
  }
  return key.toLowerCase();
}
