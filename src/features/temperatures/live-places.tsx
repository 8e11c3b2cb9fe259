'use client';

import { useEffect, useRef, useState } from 'react';
import { valueText, type UnitSystem } from '@/core/quantities';
import { placeName } from '@/features/record/log-words';
import { listenTo, type ReachedInstrument } from '@/features/instruments/use-instruments';
import type { LogHands } from './use-log';

/** Where each input of an instrument is held, as it is listened to. */
interface Input {
  readonly id: string;
  readonly instrument: string;
  readonly channel?: number;
  readonly place: string;
}

/** Readings are written down in batches of so many, or after so many seconds: no more than that is ever on this page alone. */
const batch = { readings: 60, seconds: 20 } as const;

const inputsOf = (
  instruments: readonly ReachedInstrument[],
  [first, second, aimed]: readonly [string, string, string],
): Input[] =>
  instruments.flatMap(({ id }): Input[] =>
    id === 'thermometer'
      ? [
          { id: 'thermometer 1', instrument: id, channel: 1, place: first },
          { id: 'thermometer 2', instrument: id, channel: 2, place: second },
        ]
      : id === 'infrared'
        ? [{ id: 'infrared', instrument: id, place: aimed }]
        : [],
  );

/** Instruments that are read while the page is open: each input at its place, until it is let go. */
export function LivePlaces({
  log,
  instruments,
  places,
  system,
}: {
  log: LogHands;
  instruments: readonly ReachedInstrument[];
  places: readonly [string, string, string];
  system: UnitSystem;
}) {
  const inputs = inputsOf(instruments, places);
  const [listened, setListened] = useState<readonly string[]>([]);
  if (inputs.length === 0) return null;
  return (
    <div className="mt-3">
      <h4 className="font-semibold">Live</h4>
      <ul>
        {inputs.map((input) => (
          <li key={input.id} className="border-b border-hair py-1">
            <LiveInput
              input={input}
              log={log}
              system={system}
              isOn={listened.includes(input.id)}
              onSwitch={(isOn) =>
                setListened((before) =>
                  isOn ? [...before, input.id] : before.filter((each) => each !== input.id),
                )
              }
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

function LiveInput({
  input,
  log,
  system,
  isOn,
  onSwitch,
}: {
  input: Input;
  log: LogHands;
  system: UnitSystem;
  isOn: boolean;
  onSwitch(isOn: boolean): void;
}) {
  const [shown, setShown] = useState<{ text: string; isTrouble: boolean }>();
  const hands = useRef(log);
  useEffect(() => {
    hands.current = log;
  });
  const { instrument, channel, place } = input;
  useEffect(() => {
    if (!isOn) return;
    let isGone = false;
    let id: string | undefined;
    /** Where the log's clock and the instrument's stood when it was first heard. */
    let first: { readonly log: number; readonly instrument: number } | undefined;
    let since = Date.now();
    let held = { second: [] as number[], celsius: [] as number[] };
    const flush = () => {
      if (held.second.length === 0 || id === undefined) return;
      const track = held;
      held = { second: [], celsius: [] };
      since = Date.now();
      const source = { source: 'live', instrument } as const;
      void hands.current.samples(place, track, source, id).then((isKept) => {
        // What was not entered stays here, and goes with the next.
        if (!isKept) {
          held = {
            second: [...track.second, ...held.second],
            celsius: [...track.celsius, ...held.celsius],
          };
        }
      });
    };
    const stop = listenTo({ instrument, channel }, (reading) => {
      if (isGone) return;
      if (reading.kind !== 'value') {
        setShown({
          text: 'message' in reading ? reading.message : 'It shows over range: is a probe in?',
          isTrouble: true,
        });
        flush();
        return;
      }
      setShown({ text: valueText(reading.value, 'temperature', system), isTrouble: false });
      // One that was begun for it is gone on with, whatever is begun or stopped beside it.
      void (id === undefined ? hands.current.begin() : Promise.resolve(id)).then((log) => {
        if (log === undefined) return;
        id = log;
        let second = hands.current.now();
        if (reading.second !== undefined) {
          first ??= { log: second, instrument: reading.second };
          second = first.log + reading.second - first.instrument;
          hands.current.setClock(second);
        }
        if (second <= (held.second.at(-1) ?? -1)) return;
        held.second.push(Math.round(second * 10) / 10);
        held.celsius.push(Math.round(reading.value * 100) / 100);
        if (held.second.length >= batch.readings || Date.now() - since > batch.seconds * 1000)
          flush();
      });
    });
    // A page that is put away may not come back.
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      stop();
      flush();
      isGone = true;
    };
  }, [isOn, instrument, channel, place, system]);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="flex-1 leading-tight">
        {placeName(place)}
        <span className="block text-small text-ink-2">{input.id}</span>
      </span>
      {isOn && shown && !shown.isTrouble && (
        <span className="text-value font-semibold text-act">{shown.text}</span>
      )}
      <button
        type="button"
        className="button"
        aria-pressed={isOn}
        aria-label={`${isOn ? 'Let go' : 'Follow'} ${placeName(place)} with the ${input.id}`}
        onClick={() => onSwitch(!isOn)}
      >
        {isOn ? 'Let go' : 'Follow'}
      </button>
      {isOn && shown?.isTrouble && (
        <p role="alert" className="basis-full border-l-4 border-rule pl-3 text-small font-medium">
          {shown.text}
        </p>
      )}
    </div>
  );
}
