'use client';

import { useEffect, useState } from 'react';
import type { InstrumentReading, Measurement } from '@/instruments/instrument';

export interface ReachedInstrument {
  readonly id: string;
  readonly identity?: { readonly maker: string; readonly model: string; readonly serial: string };
}

interface Reached {
  readonly instruments: readonly ReachedInstrument[];
  readonly hasSimulatedUnit: boolean;
}

const none: Reached = { instruments: [], hasSimulatedUnit: false };

/** The instruments that the server reaches; none where it does not answer. */
export function useInstruments(): Reached {
  const [reached, setReached] = useState<Reached>(none);
  useEffect(() => {
    let isGone = false;
    fetch('/api/instruments', { cache: 'no-store' })
      .then(async (response) => (response.ok ? ((await response.json()) as Reached) : none))
      .then((answer) => {
        if (!isGone) setReached(answer);
      })
      .catch(() => undefined);
    return () => {
      isGone = true;
    };
  }, []);
  return reached;
}

/** One reading now, in words where there is none. */
export async function readInstrument(
  id: string,
  measurement: Measurement,
): Promise<InstrumentReading> {
  try {
    const response = await fetch(`/api/instruments/${id}?measure=${measurement}`, {
      cache: 'no-store',
    });
    if (response.ok) return (await response.json()) as InstrumentReading;
    const { message } = (await response.json()) as { message: string };
    return { kind: 'gone', message };
  } catch {
    return {
      kind: 'gone',
      message:
        'The server does not answer, and the instrument is reached through it. Type what it shows.',
    };
  }
}

type Tell = (reading: InstrumentReading) => void;

/** What this page listens to, by input; all of it over one stream, as a browser keeps few connections to one server. */
const listeners = new Map<string, Tell>();
let stream: EventSource | undefined;
let isReopening = false;

/** Listens to an input while it is asked to; tells of every reading, and of every one that there is not. */
export function listenTo(
  source: { readonly instrument: string; readonly channel?: number },
  tell: Tell,
): () => void {
  const of =
    source.channel === undefined ? source.instrument : `${source.instrument}.${source.channel}`;
  listeners.set(of, tell);
  reopen();
  return () => {
    if (listeners.get(of) === tell) listeners.delete(of);
    reopen();
  };
}

/** Once for all that changes in one go. */
function reopen(): void {
  if (isReopening) return;
  isReopening = true;
  queueMicrotask(() => {
    isReopening = false;
    stream?.close();
    stream = undefined;
    if (listeners.size === 0) return;
    const asked = [...listeners.keys()].map((each) => `&of=${each}`).join('');
    stream = new EventSource(`/api/instruments/stream?measure=temperature${asked}`);
    stream.onmessage = (event) => {
      const { of, reading } = JSON.parse(event.data as string) as {
        of: string;
        reading: InstrumentReading;
      };
      listeners.get(of)?.(reading);
    };
    stream.onerror = () => {
      for (const tell of listeners.values()) {
        tell({
          kind: 'gone',
          message:
            'The server does not answer: nothing comes from the instrument. It goes on by itself when it does.',
        });
      }
    };
  });
}
