import { listenForEntries } from '@/database/listen';

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
 * Says whenever entries come to a job, so that every device on it asks for them: server-sent events without content of their
 * own. `deaf` is said while the server itself hears nothing of the others.
 */
export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/events'>,
): Promise<Response> {
  if (isStopping) return new Response(null, { status: 503, headers: alone });
  const id = (await params).id.toLowerCase();
  const encoder = new TextEncoder();
  let stop: () => void = () => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (text: string) => controller.enqueue(encoder.encode(text));
      const beat = setInterval(() => say(': beat\n\n'), beatMilliseconds);
      const end = listenForEntries(id, (isConnected) =>
        say(isConnected ? 'event: entries\ndata: \n\n' : 'event: deaf\ndata: \n\n'),
      );
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
    headers: {
      ...alone,
      'content-type': 'text/event-stream',
      'x-accel-buffering': 'no',
    },
  });
}
