import { soundProblems } from '../core/job-file';
import { Refused, TooLarge } from './errors';

/** Of entries, a call, limits: what hands can write. */
const usualMegabytes = 5;

/**
 * Reads a request's body as text, and no more of it than is taken: one that says that it is larger is not read at all, and
 * one that does not say is given up as soon as it is.
 * @throws TooLarge; Refused where the text is no UTF-8.
 */
export async function readBody(request: Request, mostMegabytes = usualMegabytes): Promise<string> {
  const most = mostMegabytes * 1024 * 1024;
  const declared = Number(request.headers.get('content-length') ?? 0);
  if (declared > most) throw new TooLarge(declared, mostMegabytes);
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const reader = request.body?.getReader();
  let text = '';
  let size = 0;
  for (;;) {
    const { done, value } = (await reader?.read()) ?? { done: true, value: undefined };
    size += value?.byteLength ?? 0;
    if (size > most) {
      await reader?.cancel();
      throw new TooLarge(size, mostMegabytes);
    }
    text += decoded(decoder, value, !done);
    if (done) return text;
  }
}

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
export async function readJson(request: Request): Promise<unknown> {
  const text = await readBody(request);
  const value = parsed(text);
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
