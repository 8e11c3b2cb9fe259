import 'server-only';

/** Who hears nothing for several of these has lost its connection, though nothing has told it so. */
const beatMilliseconds = 15_000;

/** What ends each stream that is open: a server that is told to stop would wait for them for ever. */
const openStreams = new Set<() => void>();
let isStopping = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.once(signal, () => {
    isStopping = true;
    openStreams.forEach((end) => end());
  });
}

/** A stream has its connection to itself: one that were kept for the next would hold up a server that stops. */
const alone = { connection: 'close', 'cache-control': 'no-store' };

/**
 * Server-sent events until whoever listens goes away, or the server stops.
 * @param begin is given what says a piece of text, and gives what ends it.
 */
export function streamOf(
  request: Request,
  begin: (say: (text: string) => void) => () => void,
): Response {
  if (isStopping) return new Response(null, { status: 503, headers: alone });
  const encoder = new TextEncoder();
  let stop: () => void = () => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (text: string) => controller.enqueue(encoder.encode(text));
      const beat = setInterval(() => say('event: beat\ndata: \n\n'), beatMilliseconds);
      const end = begin(say);
      stop = () => {
        openStreams.delete(close);
        clearInterval(beat);
        end();
      };
      const close = () => {
        stop();
        controller.close();
      };
      openStreams.add(close);
      request.signal.addEventListener('abort', () => {
        if (openStreams.has(close)) close();
      });
      say('retry: 1000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: { ...alone, 'content-type': 'text/event-stream', 'x-accel-buffering': 'no' },
  });
}
