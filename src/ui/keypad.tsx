'use client';

import { Delete } from 'lucide-react';
import { useEffectEvent, useLayoutEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import { pressed, typedBefore, type KeypadKey } from './keypad-keys';

export interface KeypadProps {
  /** What is typed stands for this: nothing typed for one check is handed to another. */
  readonly typesFor: string;
  readonly text: string;
  onChange(text: string): void;
  onEnter(): void;
  /** What Enter would enter, in words; undefined where there is nothing to enter. */
  readonly entering: string | undefined;
  /** The instrument may show over range. */
  readonly goesOver: boolean;
  /** Ohms have a step to kΩ. */
  readonly hasOhms: boolean;
  /** What is read may lie below nought: a difference, a draught, frost. */
  readonly goesBelow?: boolean;
  readonly disabledReason?: string;
}

const digitRows = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
] as const;

/** The application's own keypad: digits, point, over range, unit step or sign, and Enter that repeats the value. */
export function Keypad({
  typesFor,
  text,
  onChange,
  onEnter,
  entering,
  goesOver,
  hasOhms,
  goesBelow = false,
  disabledReason,
}: KeypadProps) {
  const isKilo = /k$/i.test(text);
  const isBelow = /^[-−]/.test(text);
  /** A key, by what it does: before the page answers, its attribute is all there is of it. */
  const key = (does: KeypadKey) => ({
    'data-types': does,
    onClick: () => onChange(pressed(text, does)),
  });
  const keyClass =
    'flex items-center justify-center border-edge min-h-13 text-value font-medium active:bg-well focus-visible:outline-offset-[-3px]';
  const keypad = useRef<HTMLDivElement>(null);
  const takeOver = useEffectEvent((event: Event) => {
    // At once: what was shown until now is taken away after it.
    flushSync(() => onChange((event as CustomEvent<string>).detail));
  });
  useLayoutEffect(() => {
    const element = keypad.current;
    element?.addEventListener(typedBefore, takeOver);
    return () => element?.removeEventListener(typedBefore, takeOver);
  }, []);
  return (
    <div
      ref={keypad}
      data-types-for={typesFor}
      className="grid h-full grid-cols-[1fr_1fr_1fr_1fr] grid-rows-4 select-none"
      role="group"
      aria-label="Keypad"
    >
      {digitRows.map((row, r) =>
        row.map((digit, c) => (
          <button
            key={digit}
            type="button"
            className={`${keyClass} border-t border-r`}
            style={{ gridColumn: c + 1, gridRow: r + 1 }}
            {...key(digit)}
          >
            {digit}
          </button>
        )),
      )}
      <button
        type="button"
        className={`${keyClass} border-t border-r`}
        style={{ gridColumn: 1, gridRow: 4 }}
        {...key('0')}
      >
        0
      </button>
      <button
        type="button"
        aria-label="decimal point"
        className={`${keyClass} border-t border-r`}
        style={{ gridColumn: 2, gridRow: 4 }}
        {...key('.')}
      >
        .
      </button>
      <button
        type="button"
        aria-label="delete last"
        className={`${keyClass} border-t`}
        style={{ gridColumn: 3, gridRow: 4 }}
        {...key('delete')}
      >
        <Delete size={26} strokeWidth={1.6} aria-hidden="true" />
      </button>
      <button
        type="button"
        disabled={!goesOver}
        aria-label="OL, over range"
        className={`${keyClass} flex-col border-t border-l-2 border-l-rule! leading-tight font-semibold disabled:text-ink-2`}
        style={{ gridColumn: 4, gridRow: 1 }}
        {...key('OL')}
      >
        {goesOver ? 'OL' : ''}
        {goesOver && <span className="text-small font-normal text-ink-2">over range</span>}
      </button>
      {goesBelow && !hasOhms ? (
        <button
          type="button"
          aria-pressed={isBelow}
          aria-label="below nought"
          className={`${keyClass} flex-col border-t border-l-2 border-l-rule! leading-tight`}
          style={{ gridColumn: 4, gridRow: 2 }}
          {...key('-')}
        >
          {isBelow ? '+' : '−'}
          <span className="text-micro leading-none font-normal text-ink-2">
            {isBelow ? 'above nought' : 'below nought'}
          </span>
        </button>
      ) : (
        <button
          type="button"
          disabled={!hasOhms}
          aria-pressed={isKilo}
          aria-label="kilo-ohms"
          className={`${keyClass} flex-col border-t border-l-2 border-l-rule! leading-tight disabled:text-ink-2`}
          style={{ gridColumn: 4, gridRow: 2 }}
          {...key('k')}
        >
          {hasOhms ? (isKilo ? 'kΩ' : 'Ω') : ''}
          {hasOhms && (
            <span className="text-small font-normal text-ink-2">{isKilo ? 'for Ω' : 'for kΩ'}</span>
          )}
        </button>
      )}
      <button
        type="button"
        aria-disabled={entering === undefined || disabledReason !== undefined}
        className={`${keyClass} flex-col leading-tight font-semibold ${
          entering === undefined || disabledReason !== undefined
            ? 'border-t border-l-2 border-l-rule! text-ink-2'
            : 'bg-act text-on-act active:bg-act focus-visible:outline-on-act'
        }`}
        style={{ gridColumn: 4, gridRow: '3 / span 2' }}
        onClick={onEnter}
      >
        <span className="text-[20px]">Enter</span>
        <span className="text-body font-medium">{entering ?? ''}</span>
      </button>
    </div>
  );
}
