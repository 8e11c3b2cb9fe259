import {
  GoneError,
  type Identity,
  type Instrument,
  type InstrumentReading,
  type LineTransport,
  type Measurement,
} from './instrument';

/** Queries of the standard commands for programmable instruments (SCPI-1999), by what is measured. */
const queries: Readonly<Record<Measurement, string>> = {
  resistance: 'MEAS:RES?',
  'voltage-ac': 'MEAS:VOLT:AC?',
  'voltage-dc': 'MEAS:VOLT:DC?',
  'current-ac': 'MEAS:CURR:AC?',
  temperature: 'MEAS:TEMP?',
};

/** What the standard sends where the input is past the range. */
const overload = 9.9e37;

const number = /^[+-]?(\d+(\.\d*)?|\.\d+)([eE][+-]?\d+)?$/;

/** An instrument that speaks SCPI, over any transport of lines. */
export function scpiInstrument(transport: LineTransport): Instrument {
  /** Undefined until it was asked: an instrument without a clock is not asked again. */
  let hasClock: boolean | undefined;
  const second = async (): Promise<number | undefined> => {
    if (hasClock === false) return undefined;
    const told = await transport.ask('SYST:TIME?');
    const parts = told?.split(',').map(Number);
    hasClock = parts?.length === 3 && parts.every(Number.isFinite);
    return hasClock ? parts![0]! * 3600 + parts![1]! * 60 + parts![2]! : undefined;
  };
  return {
    async identify() {
      return identityOf(await transport.ask('*IDN?'));
    },
    async read(measurement, channel) {
      const query = queries[measurement] + (channel === undefined ? '' : ` (@${channel})`);
      try {
        const line = await transport.ask(query);
        if (line === undefined) return await whyNothing(transport, measurement);
        const text = line.trim();
        if (!number.test(text)) {
          return {
            kind: 'garbled',
            message: `The instrument sent "${shown(text)}", which is no number. Nothing was entered: look at its display, or read again.`,
          };
        }
        const value = Number(text);
        const at = await second();
        const clock = at === undefined ? {} : { second: at };
        return Math.abs(value) >= overload
          ? { kind: 'over-range', ...clock }
          : { kind: 'value', value, ...clock };
      } catch (error) {
        if (error instanceof GoneError) return { kind: 'gone', message: error.message };
        throw error;
      }
    },
    close: () => transport.close(),
  };
}

/** Nothing came: the instrument's own queue of errors says why, where it has one. */
async function whyNothing(
  transport: LineTransport,
  measurement: Measurement,
): Promise<InstrumentReading> {
  const error = await transport.ask('SYST:ERR?');
  const code = Number(error?.split(',')[0]);
  if (code === -221) {
    return {
      kind: 'wrong-function',
      message: `The instrument is set to something else than ${words[measurement]}. Turn it to ${words[measurement]}, then read again.`,
    };
  }
  if (code === -113 || code === -241) {
    return { kind: 'cannot', message: `This instrument does not measure ${words[measurement]}.` };
  }
  return {
    kind: 'no-answer',
    message: 'The instrument does not answer. Is it on, and awake? Nothing was entered.',
  };
}

const words: Readonly<Record<Measurement, string>> = {
  resistance: 'ohms',
  'voltage-ac': 'volts AC',
  'voltage-dc': 'volts DC',
  'current-ac': 'amps AC',
  temperature: 'temperature',
};

/** Four fields with commas: maker, model, serial number, version. */
export function identityOf(line: string | undefined): Identity | undefined {
  const fields = line?.trim().split(',') ?? [];
  if (fields.length < 3 || fields.some((each) => each.length > 80)) return undefined;
  const [maker, model, serial] = fields.map(shown) as [string, string, string];
  return { maker, model, serial };
}

/** What an instrument sent, fit to be shown: no control characters, and not long. */
const shown = (text: string): string =>
  [...text]
    .map((each) => (each < ' ' || each > '~' ? '?' : each))
    .join('')
    .slice(0, 60);
