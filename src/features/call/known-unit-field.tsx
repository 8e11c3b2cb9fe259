'use client';

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useEffect, useState } from 'react';
import { findKeptUnits } from '@/features/device/kept-firm';
import type { KnownUnitChoice } from '@/server/known-units';
import { Field } from './call-fields';

const askDelayMilliseconds = 120;

/** Finds a unit that the firm knows, by words; without the server among those that this device keeps. */
export function KnownUnitField({
  chosen,
  onChoose,
}: {
  chosen: KnownUnitChoice | undefined;
  onChoose(unit: KnownUnitChoice | undefined): void;
}) {
  const [words, setWords] = useState('');
  const { found, isKept } = useFound(words);
  return (
    <>
      <Field id="unit" label="A unit you know">
        <Combobox<KnownUnitChoice | null>
          value={chosen ?? null}
          by="id"
          immediate
          onChange={(unit) => onChoose(unit ?? undefined)}
          onClose={() => setWords('')}
        >
          <ComboboxInput
            id="field-unit"
            className="field"
            autoComplete="off"
            placeholder="name, street, make or serial number"
            maxLength={200}
            displayValue={(unit: KnownUnitChoice | null) => unit?.label ?? ''}
            onChange={(event) => setWords(event.target.value)}
          />
          <ComboboxOptions
            anchor="bottom start"
            className="z-20 max-h-80 w-(--input-width) border-2 border-rule bg-sheet empty:invisible"
          >
            {found.map((unit) => (
              <ComboboxOption
                key={unit.id}
                value={unit}
                className="min-h-11 cursor-pointer border-b border-hair px-3 py-2.5 data-focus:bg-act-wash"
              >
                {unit.label}
              </ComboboxOption>
            ))}
          </ComboboxOptions>
        </Combobox>
      </Field>
      {isKept && (
        <p className="text-small text-ink-2" role="status">
          No connection: found among the units that this device keeps.
        </p>
      )}
      {chosen && (
        <button type="button" className="link min-h-11" onClick={() => onChoose(undefined)}>
          Not this one: a new customer or unit
        </button>
      )}
    </>
  );
}

function useFound(words: string): {
  readonly found: readonly KnownUnitChoice[];
  readonly isKept: boolean;
} {
  const [state, setState] = useState<{ found: readonly KnownUnitChoice[]; isKept: boolean }>({
    found: [],
    isKept: false,
  });
  useEffect(() => {
    const asked = new AbortController();
    const timer = setTimeout(() => {
      ask(words, asked.signal)
        .then((found) => ({ found, isKept: false }))
        .catch(async () => ({ found: await findKeptUnits(words), isKept: true }))
        .then((next) => {
          if (!asked.signal.aborted) setState(next);
        })
        // Without a store of its own the device finds none.
        .catch(() => undefined);
    }, askDelayMilliseconds);
    return () => {
      clearTimeout(timer);
      asked.abort();
    };
  }, [words]);
  return state;
}

async function ask(words: string, signal: AbortSignal): Promise<KnownUnitChoice[]> {
  const response = await fetch(`/api/known-units?words=${encodeURIComponent(words)}`, { signal });
  if (!response.ok) throw new Error(`the server answered ${response.status}`);
  return (await response.json()) as KnownUnitChoice[];
}
