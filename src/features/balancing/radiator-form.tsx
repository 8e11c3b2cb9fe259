'use client';

import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { radiatorKinds, type BalancedRadiator, type RadiatorKind } from '@/core/balancing';
import type { UnitSystem } from '@/core/quantities';
import { notEntered } from '@/features/record/not-entered';
import { radiatorKindWords } from '@/features/record/balancing-words';
import type { JobRecord } from '@/features/record/use-job-record';
import { useDraft } from '@/features/record/use-draft';
import { NumberField, typedNumber } from '@/features/record/number-field';
import { openTucked } from '@/ui/open-tucked';

const sizes = { height: [150, 2600], width: [150, 6000] } as const;
const watts = [50, 15_000] as const;
const rooms = [5, 35] as const;
const mostRadiators = 40;

/** One radiator more, or one that is described anew: the room, its size, its kind. What the last one was is proposed. */
export function RadiatorForm({
  record,
  radiators,
  changed,
  system,
  onDone,
}: {
  record: JobRecord;
  radiators: readonly BalancedRadiator[];
  /** The one that is described anew. */
  changed?: BalancedRadiator;
  system: UnitSystem;
  onDone?(): void;
}) {
  const key = `${record.job.job.id} radiator ${changed?.id ?? 'new'}`;
  // Until it is kept it is one radiator, however often it is tapped.
  const [nextId, setNextId] = useState<string>(newId);
  const room = useDraft(`${key} room`);
  const height = useDraft(`${key} height`);
  const width = useDraft(`${key} width`);
  const rated = useDraft(`${key} rated`);
  const roomCelsius = useDraft(`${key} celsius`);
  const like = changed ?? radiators.at(-1);
  const [kind, setKind] = useState<RadiatorKind>();
  const [problem, setProblem] = useState<string>();
  const radiatorKind = kind ?? like?.kind ?? '22';
  const enter = async () => {
    const name = room[0].trim() || changed?.room;
    const of = (
      [text]: ReturnType<typeof useDraft>,
      quantity: Parameters<typeof typedNumber>[1],
      range: readonly [number, number],
      otherwise: number | undefined,
    ) => {
      const typed = typedNumber(text, quantity, system, range);
      return typed.kind === 'number' ? typed.value : typed.kind === 'none' ? otherwise : NaN;
    };
    const high = of(height, 'length', sizes.height, like && like.heightMetre * 1000);
    const wide = of(width, 'length', sizes.width, changed && changed.widthMetre * 1000);
    const watt = of(rated, 'power', watts, changed?.isRated ? changed.ratedWatt : undefined);
    const celsius = of(roomCelsius, 'temperature', rooms, changed?.roomCelsius);
    if (!name) return setProblem('Say which room it stands in.');
    if (high === undefined || wide === undefined)
      return setProblem('Say how high and how wide it is.');
    if ([high, wide, watt ?? 0, celsius ?? 0].some(Number.isNaN)) {
      return setProblem('One of the numbers cannot be: it says so below it.');
    }
    setProblem(undefined);
    const isKept = await record.append({
      kind: 'balancing',
      phase: 'radiator',
      radiator: changed?.id ?? nextId,
      room: name,
      radiatorKind,
      height: { millimetre: Math.round(high) },
      width: { millimetre: Math.round(wide) },
      ...(watt === undefined ? {} : { rated: { watt } }),
      ...(celsius === undefined ? {} : { roomTemperature: { celsius } }),
    });
    if (!isKept) return setProblem(notEntered);
    for (const [, setText] of [room, height, width, rated, roomCelsius]) setText('');
    setNextId(newId());
    onDone?.();
  };
  if (!changed && radiators.length >= mostRadiators) {
    return (
      <p className="text-small">Forty radiators are as many as one circuit is balanced with.</p>
    );
  }
  return (
    <form
      className="mt-3 border-t-2 border-rule pt-2"
      aria-label={changed ? `${changed.room}, described anew` : 'One radiator more'}
      onSubmit={(event) => {
        event.preventDefault();
        for (const each of event.currentTarget.querySelectorAll('[aria-invalid="true"]')) {
          openTucked(each);
        }
        void enter();
      }}
    >
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-[1.4fr_1.4fr_1fr_1fr]">
        <label className="text-small">
          room
          <input
            className="field text-lead"
            maxLength={80}
            aria-label="Room"
            placeholder={changed?.room}
            value={room[0]}
            onChange={(event) => room[1](event.target.value)}
          />
        </label>
        <label className="text-small">
          kind
          <select
            className="field"
            aria-label="Kind of radiator"
            value={radiatorKind}
            onChange={(event) => setKind(event.target.value as RadiatorKind)}
          >
            {radiatorKinds.map((each) => (
              <option key={each} value={each}>
                {radiatorKindWords[each]}
              </option>
            ))}
          </select>
        </label>
        <NumberField
          label="wide"
          name="Width"
          draft={width}
          quantity="length"
          system={system}
          range={sizes.width}
          last={changed && changed.widthMetre * 1000}
          onLeave={() => undefined}
        />
        <NumberField
          label="high"
          name="Height"
          draft={height}
          quantity="length"
          system={system}
          range={sizes.height}
          last={like && like.heightMetre * 1000}
          onLeave={() => undefined}
        />
      </div>
      <details className="mt-1">
        <summary className="min-h-11 content-center text-small underline underline-offset-4">
          Rated output and room, where they are known
        </summary>
        <div className="flex gap-2">
          <NumberField
            label="rated, 75 in, 65 out, 20 in the room"
            name="Rated output"
            draft={rated}
            quantity="power"
            system={system}
            range={watts}
            last={changed?.isRated ? changed.ratedWatt : undefined}
            onLeave={() => undefined}
          />
          <NumberField
            label="room, 20 °C where nothing is said"
            name="Room temperature"
            draft={roomCelsius}
            quantity="temperature"
            system={system}
            range={rooms}
            last={changed?.roomCelsius}
            onLeave={() => undefined}
          />
        </div>
      </details>
      {problem && (
        <p role="alert" className="mt-1 font-medium">
          {problem}
        </p>
      )}
      <button type="submit" className="button mt-2">
        {changed ? 'Change it' : 'Put on the list'}
      </button>
    </form>
  );
}
