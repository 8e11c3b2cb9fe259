'use client';

import { useMemo } from 'react';
import { usePresentTechnician } from './technician-context';
import { useDraft } from './use-draft';

/** What is known of the meter in use: it belongs to every reading that is taken with it. */
export interface Meter {
  /** What it shows with its probes pinched together; 0 where it was zeroed. */
  readonly leadOhm?: number;
  /** It beeps below this. */
  readonly beepBelowOhm?: number;
}

/** The technician's meter, as last set on this device. */
export function useMeter(): {
  readonly meter: Meter;
  set(change: Meter): void;
} {
  const { id, instruments } = usePresentTechnician();
  const [text, setText] = useDraft(`meter ${id}`);
  const stored = instruments.find((each) => each.kind === 'multimeter')?.leads?.ohm;
  const own = useMemo(() => readMeter(text), [text]);
  return {
    meter: { leadOhm: stored, ...own },
    set: (change) => setText(JSON.stringify({ ...own, ...change })),
  };
}

/** What the device has kept; nothing where it cannot be read. */
function readMeter(text: string): Meter {
  if (text === '') return {};
  try {
    return JSON.parse(text) as Meter;
  } catch {
    return {};
  }
}
