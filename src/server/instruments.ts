import 'server-only';
import type {
  Identity,
  Instrument,
  InstrumentReading,
  Measurement,
} from '../instruments/instrument';
import { scpiInstrument } from '../instruments/scpi';
import { tcpLines } from '../instruments/tcp-lines';
import { NotFound, Refused } from './errors';

/**
 * Instruments on the network, as whoever runs the server names them: `OHMMETER_INSTRUMENTS` has `name@host:port` of each, with
 * spaces between. No page can make the server talk to anything else.
 */
export interface ListedInstrument {
  readonly id: string;
  readonly host: string;
  readonly port: number;
}

export const listedInstruments = (
  text: string = process.env.OHMMETER_INSTRUMENTS ?? '',
): ListedInstrument[] =>
  text.split(/\s+/).flatMap((each) => {
    const [, id, host, port] =
      /^([a-z][a-z0-9-]{0,30})@([A-Za-z0-9.-]{1,100}):(\d{2,5})$/.exec(each) ?? [];
    return id && host && port ? [{ id, host, port: Number(port) }] : [];
  });

const open = new Map<string, Instrument>();

/** @throws NotFound for an instrument that the server does not know. */
export function instrumentOf(id: string): Instrument {
  const listed = listedInstruments().find((each) => each.id === id);
  if (!listed) throw new NotFound('No instrument of that name is set up on the server.');
  let instrument = open.get(id);
  if (!instrument) {
    instrument = scpiInstrument(tcpLines(listed.host, listed.port));
    open.set(id, instrument);
  }
  return instrument;
}

export interface InstrumentStanding {
  readonly id: string;
  readonly identity?: Identity;
}

/** Every instrument that is set up, with what it says that it is; without, where it does not answer. */
export const instrumentsStanding = (): Promise<InstrumentStanding[]> =>
  Promise.all(
    listedInstruments().map(async ({ id }) => {
      const identity = await instrumentOf(id)
        .identify()
        .catch(() => undefined);
      return { id, ...(identity ? { identity } : {}) };
    }),
  );

const measurements: readonly Measurement[] = [
  'resistance',
  'voltage-ac',
  'voltage-dc',
  'current-ac',
  'temperature',
];

/** @throws Refused for something that no instrument measures. */
function measurementOf(url: URL): Measurement {
  const measurement = measurements.find((each) => each === url.searchParams.get('measure'));
  if (measurement) return measurement;
  throw new Refused([
    { pointer: '/measure', message: `"measure" is one of ${measurements.join(', ')}.` },
  ]);
}

export interface AskedInput {
  /** As it was asked for: the instrument, and its channel where it has several. */
  readonly of: string;
  readonly instrument: string;
  readonly channel: number | undefined;
}

/** No page follows more at once. */
const mostInputs = 8;

/** @throws Refused for an input that cannot be; NotFound for an instrument that the server does not know. */
export function askedOfAll(url: URL): { measurement: Measurement; inputs: AskedInput[] } {
  const asked = url.searchParams.getAll('of');
  const inputs = asked.flatMap((of): AskedInput[] => {
    const [, instrument, channel] = /^([a-z][a-z0-9-]{0,30})(?:\.([1-9]\d?))?$/.exec(of) ?? [];
    if (instrument === undefined) return [];
    return [{ of, instrument, channel: channel === undefined ? undefined : Number(channel) }];
  });
  if (inputs.length === 0 || inputs.length < asked.length || inputs.length > mostInputs) {
    throw new Refused([
      {
        pointer: '/of',
        message: `"of" is an instrument, or one of its channels (thermometer.1), up to ${mostInputs} of them.`,
      },
    ]);
  }
  return { measurement: measurementOf(url), inputs };
}

/** One reading, now. */
export const readOnce = (id: string, url: URL): Promise<InstrumentReading> =>
  instrumentOf(id).read(measurementOf(url));
