'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { readLightPattern, recogniseLight, type CodePack, type Tap } from '@/core/codes';
import { percent } from '@/features/record/words';

type Code = CodePack['codes'][number];

/** From so much on a pattern is offered as found, if it was seen often enough. */
const clearChance = 0.8;
/** Rounds of a pattern, and of one that has a single blink, that have to be seen. */
const fewestRounds = 2;
const fewestBlinks = 3;
/** Seconds of the strip that is drawn. */
const stripSeconds = 14;

/** A thumb taps along with a light: down while it is lit, up while it is dark. The pattern is named and taken. */
export function LightCounter({ pack, onFound }: { pack: CodePack; onFound(code: Code): void }) {
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [isDown, setIsDown] = useState(false);
  const down = useRef<number>(undefined);
  const blinking = useMemo(
    () =>
      pack.codes.flatMap((code) => {
        const pattern = code.pattern === undefined ? undefined : readLightPattern(code.pattern);
        return pattern && pattern.kind !== 'dark' ? [{ code, pattern }] : [];
      }),
    [pack],
  );
  const { chances, noneOfThem, rounds } = useMemo(
    () =>
      recogniseLight(
        taps,
        blinking.map(({ pattern }) => pattern),
      ),
    [taps, blinking],
  );
  const best = chances.indexOf(Math.max(...chances));
  const found = blinking[best]!;
  const needed =
    found.pattern.kind !== 'blinks'
      ? 0
      : found.pattern.round.length === 1
        ? fewestBlinks
        : fewestRounds;
  const isClear = taps.length > 0 && chances[best]! >= clearChance && rounds >= needed;

  /** Seen long enough to say that the list has it not. */
  const isStrange = noneOfThem > 0.8 && taps.length >= 6;

  const press = (at: number) => {
    down.current ??= at / 1000;
    setIsDown(true);
  };
  const release = (at: number) => {
    const began = down.current;
    down.current = undefined;
    setIsDown(false);
    if (began !== undefined) {
      setTaps((before) => [...before, { downSeconds: began, upSeconds: at / 1000 }]);
    }
  };
  const again = () => {
    down.current = undefined;
    setIsDown(false);
    setTaps([]);
  };
  // A thumb that leaves the pad, or a page that is put away, ends the tap.
  useEffect(() => {
    const leave = () => {
      down.current = undefined;
      setIsDown(false);
    };
    document.addEventListener('visibilitychange', leave);
    return () => document.removeEventListener('visibilitychange', leave);
  }, []);

  return (
    <div>
      <p>
        Press while it is lit, let go while it is dark. Two rounds; where you begin does not matter.
      </p>
      <button
        type="button"
        className={`mt-3 h-44 w-full touch-none border-[3px] text-title font-semibold select-none ${isDown ? 'border-heat bg-heat text-on-heat' : 'border-act text-act'}`}
        aria-pressed={isDown}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          press(event.timeStamp);
        }}
        onPointerUp={(event) => release(event.timeStamp)}
        onPointerCancel={() => {
          down.current = undefined;
          setIsDown(false);
        }}
        onKeyDown={(event) => {
          if (event.key !== ' ' && event.key !== 'Enter') return;
          event.preventDefault();
          if (!event.repeat) press(event.timeStamp);
        }}
        onKeyUp={(event) => {
          if (event.key === ' ' || event.key === 'Enter') release(event.timeStamp);
        }}
        onContextMenu={(event) => event.preventDefault()}
      >
        {isDown ? 'lit' : 'Tap along'}
      </button>
      <Strip taps={taps} />
      <div role="status" aria-live="polite" className="mt-2 min-h-[72px]">
        {taps.length > 0 && (
          <>
            <p className="text-title leading-tight font-semibold">
              {isClear
                ? (found.code.shows ?? found.code.code)
                : isStrange
                  ? 'No pattern of this list'
                  : 'Go on: not clear yet'}
            </p>
            <p className="text-small text-ink-2">
              {isClear
                ? `${percent(chances[best]!)} % by ${taps.length} blinks`
                : isStrange
                  ? 'Start over once; if it stays so, look whether another list is the one of this make.'
                  : `${taps.length} ${taps.length === 1 ? 'blink' : 'blinks'} so far; likeliest: ${found.code.shows ?? found.code.code}, ${percent(chances[best]!)} %`}
            </p>
          </>
        )}
      </div>
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="button button-act flex-1"
          aria-disabled={!isClear}
          onClick={() => isClear && onFound(found.code)}
        >
          Enter it
        </button>
        <button type="button" className="button" onClick={again}>
          Start over
        </button>
      </div>
    </div>
  );
}

/** What was tapped, on a line of time. */
function Strip({ taps }: { taps: readonly Tap[] }) {
  const end = taps.at(-1)?.upSeconds ?? 0;
  const start = Math.max(taps[0]?.downSeconds ?? 0, end - stripSeconds);
  return (
    <svg viewBox="0 0 560 30" className="mt-2 block w-full" aria-hidden="true">
      <path d="M0 26H560" stroke="var(--ink)" strokeWidth="1.5" />
      {taps
        .filter(({ upSeconds }) => upSeconds > start)
        .map(({ downSeconds, upSeconds }) => (
          <rect
            key={downSeconds}
            x={((Math.max(downSeconds, start) - start) / stripSeconds) * 560}
            y="6"
            width={Math.max(3, ((upSeconds - Math.max(downSeconds, start)) / stripSeconds) * 560)}
            height="20"
            fill="var(--heat)"
          />
        ))}
    </svg>
  );
}
