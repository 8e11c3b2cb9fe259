import { createServer, type Server, type Socket } from 'node:net';
import type { FamilyPlate } from '../core/appliances';
import type { HandAction } from '../core/simulation';
import { Bench, benchInstruments, type BenchInstrument, type Surface } from './bench';

/** What hands do on the bench, a line of JSON each; every answer is a line too. */
type Order =
  | { readonly do: 'state' }
  | { readonly do: 'act'; readonly action: HandAction }
  | { readonly do: 'speed'; readonly times: number }
  | {
      readonly do: 'put';
      readonly leads?: readonly [string, string];
      readonly around?: string;
      readonly channel?: 1 | 2;
      readonly place?: string;
      readonly surface?: Surface;
      readonly dial?: 'resistance' | 'voltage-ac' | null;
    }
  | {
      readonly do: 'new';
      readonly family: string;
      readonly plate: FamilyPlate;
      readonly faults: readonly string[];
      readonly seed: number;
    }
  /** A unit of another family, with a fault that is drawn. */
  | { readonly do: 'another'; readonly family: string; readonly plate: FamilyPlate }
  | {
      readonly do: 'trouble';
      readonly instrument: BenchInstrument;
      readonly how: 'unplug' | 'garble' | 'none';
    };

const usualUnit = {
  family: 'electric-storage-two-element',
  plate: {
    ratedVolt: 240,
    elementWatt: { upper: 4500, lower: 4500 },
    supply: 'split-phase',
    nominalVolt: 240,
    volumeLitre: 189,
    wiring: 'non-simultaneous',
    residualCurrentDevice: false,
  },
  faults: ['lower-element.open'],
  seed: 2,
};

/** No order is longer. */
const longestLine = 8192;

/**
 * Serves the bench on loopback: hands on the first port, and the instruments on the next four, each speaking SCPI in lines.
 * @returns what closes it.
 */
export async function serveBench(
  firstPort: number,
  now: () => number = Date.now,
): Promise<() => void> {
  const bench = new Bench(now, usualUnit);
  const servers = [
    listen(firstPort, (line) => ordered(bench, line)),
    ...benchInstruments.map((instrument, k) => {
      /** Errors wait in a queue until they are asked for. */
      const queue: string[] = [];
      return listen(
        firstPort + 1 + k,
        (line) => answered(bench, instrument, queue, line),
        () => bench.unplugged.has(instrument),
      );
    }),
  ];
  await Promise.all(servers.map((each) => each.ready));
  return () => servers.forEach(({ server }) => server.close());
}

function listen(
  port: number,
  answer: (line: string) => string | undefined,
  isUnplugged: () => boolean = () => false,
): { readonly server: Server; readonly ready: Promise<void> } {
  const server = createServer((socket) => {
    if (isUnplugged()) {
      socket.destroy();
      return;
    }
    serveLines(socket, answer, isUnplugged);
  });
  const ready = new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve());
  });
  return { server, ready };
}

function serveLines(
  socket: Socket,
  answer: (line: string) => string | undefined,
  isUnplugged: () => boolean,
): void {
  let held = '';
  socket.setEncoding('latin1');
  socket.on('error', () => socket.destroy());
  socket.on('data', (text: string) => {
    held += text;
    if (held.length > longestLine) {
      socket.destroy();
      return;
    }
    for (let end = held.indexOf('\n'); end >= 0; end = held.indexOf('\n')) {
      const line = held.slice(0, end).trim();
      held = held.slice(end + 1);
      if (isUnplugged()) {
        socket.destroy();
        return;
      }
      const reply = line === '' ? undefined : answer(line);
      if (reply !== undefined) socket.write(`${reply}\n`);
    }
  });
}

function answered(
  bench: Bench,
  instrument: BenchInstrument,
  queue: string[],
  line: string,
): string | undefined {
  if (bench.garbled.has(instrument)) return '#?\u0007 4.1.3';
  const [, header, channel] = /^([*:A-Z]+)\?(?:\s*\(@(\d+)\))?$/i.exec(line) ?? [];
  switch (header?.toUpperCase()) {
    case '*IDN':
      return `Simulated,Bench ${instrument},SIM-${benchInstruments.indexOf(instrument) + 1},1.0`;
    case 'SYST:TIME':
      return bench.clock();
    case 'SYST:ERR':
      return queue.shift() ?? '0,"No error"';
    case undefined:
      queue.push('-102,"Syntax error"');
      return undefined;
    default: {
      const read = bench.read(instrument, header!.toUpperCase(), Number(channel ?? 1));
      if ('error' in read) {
        queue.push(read.error);
        return undefined;
      }
      return Number.isFinite(read.value) ? read.value.toExponential(5) : '9.9E37';
    }
  }
}

function ordered(bench: Bench, line: string): string {
  try {
    const order = JSON.parse(line) as Order;
    switch (order.do) {
      case 'act':
        return JSON.stringify({ felt: bench.act(order.action), ...bench.state() });
      case 'speed':
        bench.setSpeed(order.times);
        break;
      case 'put':
        bench.put(order);
        break;
      case 'new':
        bench.renew(order);
        break;
      case 'another':
        bench.drawAnew(order.family, order.plate);
        break;
      case 'trouble':
        bench.unplugged.delete(order.instrument);
        bench.garbled.delete(order.instrument);
        if (order.how === 'unplug') bench.unplugged.add(order.instrument);
        if (order.how === 'garble') bench.garbled.add(order.instrument);
        break;
    }
    return JSON.stringify(bench.state());
  } catch (error) {
    return JSON.stringify({ problem: error instanceof Error ? error.message : String(error) });
  }
}
