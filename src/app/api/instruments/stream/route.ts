import { askedOfAll, instrumentOf } from '@/server/instruments';
import { respondWith } from '@/server/respond';
import { streamOf } from '@/server/stream';

/** How often an instrument is read while somebody watches it, in milliseconds. */
const everyMilliseconds = 1000;

/**
 * Readings as they come, as server-sent events: `?measure=temperature&of=thermometer.1&of=infrared`. One stream for all of a
 * page, as a browser keeps few connections to one server; the sockets to the instruments are the server's.
 */
export const GET = (request: Request): Promise<Response> =>
  respondWith(async () => {
    const { measurement, inputs } = askedOfAll(new URL(request.url));
    const readers = inputs.map((each) => ({ ...each, reader: instrumentOf(each.instrument) }));
    return streamOf(request, (say) => {
      let isOver = false;
      const read = async () => {
        while (!isOver) {
          const from = Date.now();
          await Promise.all(
            readers.map(async ({ of, reader, channel }) => {
              const reading = await reader.read(measurement, channel);
              if (!isOver) say(`data: ${JSON.stringify({ of, reading })}\n\n`);
            }),
          );
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
