import { asked, instrumentOf } from '@/server/instruments';
import { respondWith } from '@/server/respond';
import { streamOf } from '@/server/stream';

/** How often an instrument is read while somebody watches it, in milliseconds. */
const everyMilliseconds = 1000;

/** Readings as they come, as server-sent events: the socket to the instrument is the server's. */
export const GET = (
  request: Request,
  { params }: RouteContext<'/api/instruments/[id]/stream'>,
): Promise<Response> =>
  respondWith(async () => {
    const url = new URL(request.url);
    const { measurement, channel } = asked(url);
    const instrument = instrumentOf((await params).id);
    return streamOf(request, (say) => {
      let isOver = false;
      const read = async () => {
        while (!isOver) {
          const from = Date.now();
          const reading = await instrument.read(measurement, channel);
          if (isOver) return;
          say(`data: ${JSON.stringify(reading)}\n\n`);
          await new Promise((resolve) =>
            setTimeout(resolve, Math.max(50, everyMilliseconds - (Date.now() - from))),
          );
        }
      };
      void read();
      return () => {
        isOver = true;
      };
    });
  });
