'use client';

import { useEffect, useState } from 'react';
import { failSafeKelvin, type MixingAdvice, type MixingSession } from '@/core/mixing-valve';
import { clockWords } from '@/core/procedures';
import { valueText, type UnitSystem } from '@/core/quantities';
import { kelvinWords } from '@/features/record/kelvin-words';
import { eighthsWords, lastsWords, mixingEndWords } from '@/features/record/mixing-words';

/** How long a tap runs after a turn until it is read, ms. */
const runsMilliseconds = 60_000;

/** What to do next, with what the next turn will do: tap, margin and litres, before it is made. */
export function NextTurnPanel({
  advice,
  begun,
  mayStop,
  system,
  onTurned,
}: {
  advice: MixingAdvice | undefined;
  begun: NonNullable<MixingSession['begun']>;
  /** The way is gone that opens to the stop. */
  mayStop: boolean;
  system: UnitSystem;
  /** By so many eighths, and now the tap runs. */
  onTurned(eighths: number): void;
}) {
  const [isAsking, setAsking] = useState(false);
  const celsius = (value: number) => valueText(value, 'temperature', system);
  const margin = (kelvin: number) =>
    kelvin >= 0
      ? `${kelvinWords(kelvin, system)} under the limit`
      : `${kelvinWords(-kelvin, system)} OVER the limit`;
  if (!advice) {
    return (
      <section aria-labelledby="next" className="mt-2 border-l-4 border-act bg-act-wash p-3">
        <h3 id="next" className="text-title font-semibold">
          Tap open for a minute, then read four
        </h3>
        <p>Hot port, mixed port, cold feed, tap: as the valve was found. Mark where it stands.</p>
      </section>
    );
  }
  const { now, next, end, lastGainKelvin, lastTold } = advice;
  const isPast = next !== undefined && next.eighths > 0 && next.isOverLimit;
  const isOffered =
    next !== undefined &&
    (end === undefined || next.eighths < 0 || (isPast && !begun.isFrail && (mayStop || isAsking)));
  return (
    <section aria-labelledby="next" className="mt-2 border-l-4 border-act bg-act-wash p-3">
      <h3 id="next" className="text-title font-semibold" aria-live="polite">
        {end ? capitalEnd(end) : 'One step open'}
      </h3>
      <p>
        Now {celsius(now.tapCelsius)} at the tap: {margin(now.marginKelvin)}; with the tank at its
        hottest <strong>{margin(now.disinfectionMarginKelvin)}</strong>. A full tank gives{' '}
        {lastsWords(now.litres, system)}; {Math.round(now.hotShare * 100)} % of it hot.
        {lastGainKelvin !== undefined &&
          ` The last step gave ${kelvinWords(lastGainKelvin, system)}${
            lastTold ? `: ${celsius(lastTold.tapCelsius)} was told` : ''
          }.`}
        {now.isInsideFailSafe &&
          ` Hot and mixed lie closer than the ${kelvinWords(failSafeKelvin, system)} that its fail-safe needs: lost cold water may not shut it.`}
      </p>
      {end === 'at-limit' && begun.isFrail && (
        <p className="font-medium">The next step would pass the limit: it stays here.</p>
      )}
      {next && isOffered && (
        <>
          <p className="mt-2">
            Cap off, <strong>{eighthsWords(next.eighths)}</strong>: about{' '}
            <strong>{celsius(next.tapCelsius)}</strong>, give or take{' '}
            {kelvinWords(next.spreadKelvin, system)}, <strong>{margin(next.marginKelvin)}</strong>,
            at its hottest {margin(next.disinfectionMarginKelvin)};{' '}
            <strong>{lastsWords(next.litres, system)}</strong>
            {next.eighths > 0 && Number.isFinite(now.litres)
              ? `, ${Math.max(0, Math.round((1 - next.litres / now.litres) * 100))} % fewer showers than now`
              : ''}
            .
          </p>
          <Turn eighths={next.eighths} isPast={isPast} onTurned={onTurned} />
        </>
      )}
      {end !== undefined && isPast && !begun.isFrail && !isOffered && (
        <button type="button" className="button mt-2" onClick={() => setAsking(true)}>
          Open past the limit all the same
        </button>
      )}
    </section>
  );
}

const capitalEnd = (end: keyof typeof mixingEndWords): string => {
  const words = mixingEndWords[end];
  return `${words[0]!.toUpperCase()}${words.slice(1)}${end.startsWith('over') ? ': turn it back' : ''}`;
};

function Turn({
  eighths,
  isPast,
  onTurned,
}: {
  eighths: number;
  isPast: boolean;
  onTurned(eighths: number): void;
}) {
  const [runsUntil, setRunsUntil] = useState<number>();
  const left = useSecondsTo(runsUntil);
  return (
    <>
      {isPast && <p className="font-medium">Past the limit: the reading asks for a reason.</p>}
      <button
        type="button"
        className="button button-act mt-2"
        onClick={() => {
          setRunsUntil(Date.now() + runsMilliseconds);
          onTurned(eighths);
        }}
      >
        Turned, {eighths > 0 ? 'open' : 'shut'} by an eighth
      </button>
      {left !== undefined && (
        <p className="mt-1" role="timer">
          {left > 0 ? `Tap into a basin, ${clockWords(left)} to go.` : 'A minute has run: read it.'}
        </p>
      )}
    </>
  );
}

/** Seconds until a moment, counted as they go; nought once it is past, nothing before there is one. */
function useSecondsTo(until: number | undefined): number | undefined {
  const [now, setNow] = useState<number>();
  useEffect(() => {
    if (until === undefined) return undefined;
    const tick = () => setNow(Date.now());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, 500);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [until]);
  if (until === undefined || now === undefined) return undefined;
  return Math.max(0, (until - now) / 1000);
}
