'use client';

import { useId, useState } from 'react';
import {
  parseReading,
  shownUnit,
  valueText,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import { TypedEarlier } from './typed-earlier';
import type { TypedReading } from './use-reading-draft';

/** What was typed, as a number in the kept unit; what is wrong with it; or nothing where the field is empty. */
export type Typed =
  | { readonly kind: 'none' }
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'problem'; readonly message: string };

export function typedNumber(
  text: string,
  quantity: Quantity,
  system: UnitSystem,
  [least, most]: readonly [number, number],
): Typed {
  if (text.trim() === '') return { kind: 'none' };
  const parsed = parseReading(text, { quantity, system });
  if (parsed.kind === 'problem') return { kind: 'problem', message: parsed.message };
  if (parsed.kind !== 'value') return { kind: 'problem', message: 'Type one number.' };
  const shown = (kept: number) => valueText(kept, quantity, system);
  return parsed.value < least || parsed.value > most
    ? { kind: 'problem', message: `It lies between ${shown(least)} and ${shown(most)}.` }
    : { kind: 'number', value: parsed.value };
}

/** A field of one number that survives a reload. It says what is wrong once it is left. */
export function NumberField({
  label,
  name,
  draft: [text, setText, typedAt],
  quantity,
  system,
  range,
  last,
  onLeave,
}: {
  /** What stands above it. */
  label: string;
  /** What it is called by who does not see it. */
  name: string;
  /** With when it was typed, where that matters. */
  draft: TypedReading;
  quantity: Quantity;
  system: UnitSystem;
  range: readonly [number, number];
  /** What was entered last. */
  last?: number;
  onLeave(): void;
}) {
  const [isLeft, setLeft] = useState(false);
  const id = useId();
  const typed = typedNumber(text, quantity, system, range);
  const problem = isLeft && typed.kind === 'problem' ? typed.message : undefined;
  const leave = () => {
    setLeft(true);
    onLeave();
  };
  return (
    <label className="min-w-0 flex-1 text-small">
      {label}
      <input
        className="field text-lead font-semibold text-act placeholder:text-ink"
        inputMode="decimal"
        maxLength={12}
        aria-label={name}
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : id}
        placeholder={
          last === undefined
            ? shownUnit(quantity, system).symbol
            : valueText(last, quantity, system)
        }
        value={text}
        onChange={(event) => {
          setLeft(false);
          setText(event.target.value);
        }}
        onBlur={leave}
        onKeyDown={(event) => event.key === 'Enter' && leave()}
      />
      <TypedEarlier at={typedAt} />
      {problem && (
        <span id={id} role="alert" className="block font-medium">
          {problem}
        </span>
      )}
    </label>
  );
}
