import { listenForEntries } from '@/database/listen';

const beatMilliseconds = 15_000;

/**
 * Says whenever entries come to a job, so that every device on it asks for them: server-sent events without content of their
 * own. `deaf` is said while the server itself hears nothing of the others.
 */
export async function GET(
  request: Request,
  { params }: RouteContext<'/api/jobs/[id]/events'>,
): Promise<Response> {
  const { id } = await params;
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
        clearInterval(beat);
        end();
      };
      request.signal.addEventListener('abort', () => {
        stop();
        controller.close();
      });
      say('retry: 1000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    },
  });
}
