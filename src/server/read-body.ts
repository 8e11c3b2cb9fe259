import { soundProblems } from '../core/job-file';
import { Refused, TooLarge } from './errors';

/** Of entries, a call, limits: what hands can write. */
const usualMegabytes = 5;

/** A body, by whichever way it comes in. */
export interface Incoming {
  /** What its sender says that it has; 0 where nothing is said. */
  readonly declaredBytes: number;
  readonly parts: AsyncIterable<Uint8Array>;
}

const incomingOf = ({ headers, body }: Request): Incoming => ({
  declaredBytes: Number(headers.get('content-length') ?? 0),
  parts: body ?? noParts(),
});

async function* noParts(): AsyncGenerator<Uint8Array> {}

/**
 * Reads a body as text, and no more of it than is taken: one that says that it is larger is not read at all, and one that
 * does not say is given up as soon as it is.
 * @throws TooLarge; Refused where the text is no UTF-8.
 */
async function readText(
  { declaredBytes, parts }: Incoming,
  mostMegabytes = usualMegabytes,
): Promise<string> {
  const most = mostMegabytes * 1024 * 1024;
  if (declaredBytes > most) throw new TooLarge(declaredBytes, mostMegabytes);
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let text = '';
  let size = 0;
  for await (const part of parts) {
    size += part.byteLength;
    if (size > most) throw new TooLarge(size, mostMegabytes);
    text += decoded(decoder, part, true);
  }
  return text + decoded(decoder, undefined, false);
}

/**
 * Reads a request's body as text.
 * @throws as `readText` does.
 */
export const readBody = (request: Request, mostMegabytes?: number): Promise<string> =>
  readText(incomingOf(request), mostMegabytes);

function decoded(decoder: TextDecoder, part: Uint8Array | undefined, stream: boolean): string {
  try {
    return decoder.decode(part, { stream });
  } catch {
    throw new Refused([{ pointer: '', message: 'The request is no text in UTF-8.' }]);
  }
}

/**
 * The same as JSON.
 * @throws Refused also where a text in it is broken, or it is nested beyond all use.
 */
export const readJson = (request: Request): Promise<unknown> => readJsonOf(incomingOf(request));

/**
 * The same of a body that came another way.
 * @throws as `readJson` does.
 */
export async function readJsonOf(incoming: Incoming): Promise<unknown> {
  const value = parsed(await readText(incoming));
  const problems = soundProblems(value);
  if (problems.length > 0) throw new Refused(problems);
  return value;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Refused([{ pointer: '', message: 'The request is not readable as JSON.' }]);
  }
}
