'use client';

import { useEffect, useRef, useState } from 'react';
import type { NamedCheck } from '@/core/appliances';
import { showValue, type Quantity, type UnitSystem } from '@/core/quantities';
import type { Measurement } from '@/instruments/instrument';
import { readInstrument, useInstruments } from './use-instruments';

/** Which instrument of a bench measures what. */
const measuredBy: Readonly<Partial<Record<Quantity, readonly string[]>>> = {
  resistance: ['meter'],
  'voltage-ac': ['meter'],
  'voltage-dc': ['meter'],
  'current-ac': ['clamp'],
  temperature: ['thermometer', 'infrared'],
};

/** What an instrument holds drops into the keypad, with its name; why it does not is said, and nothing is lost. */
export function FromInstrument({
  quantity,
  check,
  system,
  onRead,
}: {
  quantity: Quantity;
  check: NamedCheck;
  system: UnitSystem;
  onRead(text: string, instrument: string): void;
}) {
  const { instruments, hasSimulatedUnit } = useInstruments();
  const [problem, setProblem] = useState<string>();
  const asked = useRef(0);
  useEffect(
    () => () => {
      asked.current = -1;
    },
    [],
  );
  const fitting = instruments.filter(({ id }) => measuredBy[quantity]?.includes(id));
  if (fitting.length === 0) return null;
  // Beside each other, so that what stands above keeps its lines.
  const areSeveral = fitting.length > 1;
  const read = async (id: string) => {
    setProblem(undefined);
    asked.current += 1;
    const mine = asked.current;
    // On the bench of the demo somebody has to put the leads where the check wants them.
    if (hasSimulatedUnit) await putLeads(check);
    const reading = await readInstrument(id, quantity as Measurement);
    // Another check may stand here by now: what was read for this one is not that one's.
    if (mine !== asked.current) return;
    if (reading.kind === 'over-range') onRead('OL', id);
    else if (reading.kind === 'value') onRead(typed(reading.value, quantity, system), id);
    else setProblem(reading.message);
  };
  return (
    <div className="flex flex-wrap items-center gap-2 border-t border-hair px-4 py-1">
      {areSeveral && <span className="text-small">From the</span>}
      {fitting.map(({ id }) => (
        <button
          key={id}
          type="button"
          className="button px-3"
          aria-label={`From the ${id}`}
          onClick={() => void read(id)}
        >
          {areSeveral ? id : `From the ${id}`}
        </button>
      ))}
      {problem && (
        <p role="alert" className="basis-full border-l-4 border-rule pl-3 text-small font-medium">
          {problem}
        </p>
      )}
    </div>
  );
}

async function putLeads({ between, around }: NamedCheck): Promise<void> {
  await fetch('/api/simulated-unit', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      do: 'put',
      ...(between ? { leads: between } : {}),
      ...(around === undefined ? {} : { around }),
    }),
  }).catch(() => undefined);
}

/** As a hand would type it on the keypad: kilo-ohms with their step. */
function typed(kept: number, quantity: Quantity, system: UnitSystem): string {
  const { number, symbol } = showValue(kept, quantity, system);
  const plain = number.replace('−', '-');
  if (symbol === 'kΩ') return `${plain}k`;
  return symbol === 'MΩ' ? `${Number(plain) * 1000}k` : plain;
}
