import type { Quantity } from '../core/quantities';

/** What an instrument is asked to measure. */
export type Measurement = Extract<
  Quantity,
  'resistance' | 'voltage-ac' | 'voltage-dc' | 'current-ac' | 'temperature'
>;

export interface Identity {
  readonly maker: string;
  readonly model: string;
  readonly serial: string;
}

/** One reading, or why there is none: whoever reads it is told in words what to do. */
export type InstrumentReading =
  | { readonly kind: 'value'; readonly value: number; readonly second?: number }
  | { readonly kind: 'over-range'; readonly second?: number }
  | {
      readonly kind: 'wrong-function' | 'cannot' | 'garbled' | 'no-answer' | 'gone';
      readonly message: string;
    };

/**
 * A measuring instrument, however it is reached. A network socket is one way; a serial port or a phone's own radio can be
 * others: they need a transport of lines, and nothing else changes.
 */
export interface Instrument {
  identify(): Promise<Identity | undefined>;
  /** @param channel of an instrument with several inputs, from 1. */
  read(measurement: Measurement, channel?: number): Promise<InstrumentReading>;
  close(): void;
}

/** A way to an instrument that speaks in lines. */
export interface LineTransport {
  /** Sends a line and gives the next one; rejects with `GoneError`, or gives undefined where nothing came in time. */
  ask(line: string): Promise<string | undefined>;
  close(): void;
}

/** The instrument was unplugged, switched off or never there. */
export class GoneError extends Error {}
