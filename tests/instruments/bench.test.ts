import { createServer, type Server } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { identityOf, scpiInstrument } from '../../src/instruments/scpi';
import { tcpLines } from '../../src/instruments/tcp-lines';
import { serveBench } from '../../src/simulated-bench/serve';

const first = 4510;
let time = 0;
let close: () => void;
const hands = tcpLines('127.0.0.1', first);
const instrument = (k: number) => scpiInstrument(tcpLines('127.0.0.1', first + 1 + k));
const [meter, clamp, thermometer, infrared] = [0, 1, 2, 3].map(instrument) as [
  ReturnType<typeof instrument>,
  ReturnType<typeof instrument>,
  ReturnType<typeof instrument>,
  ReturnType<typeof instrument>,
];
const order = async (what: object) =>
  JSON.parse((await hands.ask(JSON.stringify(what)))!) as Record<string, unknown>;
const valueOf = async (read: ReturnType<typeof meter.read>): Promise<number> => {
  const reading = await read;
  if (reading.kind !== 'value') throw new Error(JSON.stringify(reading));
  return reading.value;
};

beforeAll(async () => {
  close = await serveBench(first, () => time);
});
afterAll(() => {
  for (const each of [meter, clamp, thermometer, infrared, hands]) each.close();
  close();
});

describe('a simulated unit with instruments that speak SCPI', () => {
  it('says what it is', async () => {
    expect(await meter.identify()).toEqual({
      maker: 'Simulated',
      model: 'Bench meter',
      serial: 'SIM-1',
    });
  });

  it('shows ohms where the leads are, and over range on an open element', async () => {
    await order({ do: 'put', leads: ['upper-element.a', 'upper-element.b'] });
    expect(await valueOf(meter.read('resistance'))).toBeGreaterThan(11);
    await order({ do: 'put', leads: ['lower-element.a', 'lower-element.b'] });
    // The whole circuit lies behind the leads: what is read is what a hand would read there.
    expect((await meter.read('resistance')).kind).toMatch(/value|over-range/);
    await order({ do: 'put', leads: ['lower-element.a', 'earth'] });
    expect((await meter.read('resistance')).kind).toBe('over-range');
  });

  it('goes on in time, as fast as it is told, with the instrument telling its own clock', async () => {
    await order({ do: 'speed', times: 60 });
    await order({ do: 'act', action: { kind: 'tap', litrePerMinute: 9 } });
    const hot = await thermometer.read('temperature', 1);
    time += 15_000;
    await order({ do: 'act', action: { kind: 'tap', litrePerMinute: 0 } });
    const cold = await thermometer.read('temperature', 1);
    if (hot.kind !== 'value' || cold.kind !== 'value') throw new Error('no value');
    expect(cold.second! - hot.second!).toBeGreaterThan(890);
    // An open lower element: a quarter of an hour at a tap leaves nothing hot.
    expect(hot.value).toBeGreaterThan(44);
    expect(cold.value).toBeLessThan(30);
    time += 60_000;
    expect(await valueOf(thermometer.read('temperature', 1))).toBeGreaterThan(40);
    expect(await valueOf(thermometer.read('temperature', 2))).toBeLessThan(20);
  });

  it('reads a chrome pipe far too cold through the air, and a painted one right', async () => {
    await order({ do: 'act', action: { kind: 'tap', litrePerMinute: 6 } });
    await order({ do: 'put', place: 'outlet', surface: 'paint' });
    const dull = await valueOf(infrared.read('temperature'));
    await order({ do: 'put', place: 'outlet', surface: 'chrome' });
    expect(await valueOf(infrared.read('temperature'))).toBeLessThan(dull - 8);
    await order({ do: 'act', action: { kind: 'tap', litrePerMinute: 0 } });
  });

  it('says plainly what went wrong, and reads again afterwards', async () => {
    expect((await clamp.read('resistance')).kind).toBe('cannot');
    await order({ do: 'put', dial: 'voltage-ac' });
    expect((await meter.read('resistance')).kind).toBe('wrong-function');
    await order({ do: 'put', dial: null });
    await order({ do: 'trouble', instrument: 'thermometer', how: 'garble' });
    const garbled = await thermometer.read('temperature', 1);
    expect(garbled.kind).toBe('garbled');
    expect('message' in garbled && garbled.message).not.toMatch(/[\u0000-\u001f]/);
    await order({ do: 'trouble', instrument: 'thermometer', how: 'unplug' });
    expect((await thermometer.read('temperature', 1)).kind).toBe('gone');
    await order({ do: 'trouble', instrument: 'thermometer', how: 'none' });
    expect((await thermometer.read('temperature', 1)).kind).toBe('value');
  });

  it('mends what is exchanged, and refuses an order that is none', async () => {
    expect((await order({ do: 'state' })).repairsNeeded).toEqual(['replace-lower-element']);
    await order({ do: 'act', action: { kind: 'repair', repair: 'replace-lower-element' } });
    expect((await order({ do: 'state' })).repairsNeeded).toEqual([]);
    expect((await order({ do: 'speed', times: 1e9 })).problem).toContain('speed');
    expect(
      (await order({ do: 'new', family: 'toString', plate: {}, faults: [], seed: 1 })).problem,
    ).toBeDefined();
    expect(JSON.parse((await hands.ask('no json'))!)).toHaveProperty('problem');
  });
});

describe('what is no instrument', () => {
  let server: Server;
  const serve = (answer: (write: (text: string) => void) => void) =>
    new Promise<number>((resolve) => {
      server = createServer((socket) => {
        socket.on('error', () => socket.destroy());
        socket.on('data', () => answer((text) => socket.write(text)));
      }).listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port));
    });

  it.each([
    ['sends no line for ever', (write: (text: string) => void) => write('x'.repeat(9000)), 'gone'],
    ['sends words', (write: (text: string) => void) => write('hello\r\n'), 'garbled'],
    ['says nothing', () => undefined, 'no-answer'],
  ] as const)('%s', async (_, answer, kind) => {
    const port = await serve(answer);
    const odd = scpiInstrument(tcpLines('127.0.0.1', port));
    expect((await odd.read('temperature')).kind).toBe(kind);
    odd.close();
    server.close();
  });

  it('is not there at all', async () => {
    const none = scpiInstrument(tcpLines('127.0.0.1', 4499));
    expect((await none.read('temperature')).kind).toBe('gone');
  });

  it('has an identity of four fields, and no control characters', () => {
    expect(identityOf('A,B\u0007,C,1')).toEqual({ maker: 'A', model: 'B?', serial: 'C' });
    expect(identityOf('nothing')).toBeUndefined();
    expect(identityOf(undefined)).toBeUndefined();
  });
});
