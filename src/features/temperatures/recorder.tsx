'use client';

import { useState } from 'react';
import { clockWords } from '@/core/procedures';
import { valueText, type UnitSystem } from '@/core/quantities';
import { placeName } from '@/features/record/log-words';
import { clockTime } from '@/features/record/words';
import { useClock } from '@/features/procedures/use-clock';
import { useWakeLock } from '@/features/procedures/use-wake-lock';
import { handOutCalendar } from '@/features/service/hand-out-calendar';
import { HotSign } from '@/ui/signs';
import { useFamily } from '@/features/record/family-context';
import { LivePlaces } from './live-places';
import { liveOf, placesOf } from './usual-places';
import { ReadingDialog } from './reading-dialog';
import type { ReachedInstrument } from '@/features/instruments/use-instruments';
import type { LogHands } from './use-log';

const intervals = [1, 2, 5] as const;
const waits = [15, 30, 60] as const;

/** Follows temperatures: by hand with the time of the tap, or live. */
export function Recorder({
  log,
  system,
  jobId,
  timeZone,
  isReady,
  instruments,
  onImport,
}: {
  log: LogHands;
  system: UnitSystem;
  jobId: string;
  timeZone: string | undefined;
  isReady: boolean;
  instruments: readonly ReachedInstrument[];
  onImport(): void;
}) {
  const family = useFamily();
  const { open } = log;
  const [place, setPlace] = useState<string>();
  const [everyMinutes, setEvery] = useState<number>(1);
  const [isMore, setMore] = useState(false);
  const [round, setRound] = useState(0);
  const { now } = useClock(open !== undefined, undefined, 1000);
  useWakeLock(open !== undefined);
  const channel = (each: string) => open?.channels.find((one) => one.place === each);
  const tapOpen = open?.events.findLast(({ kind }) => kind === 'tap');
  const isDrawn = tapOpen?.kind === 'tap' && tapOpen.litrePerMinute > 0;
  const lastSecond = Math.max(
    0,
    ...(open?.channels ?? []).map((each) => each.samples.at(-1)!.second),
  );
  const isByHand = open?.channels.some(({ source }) => source === 'hand') ?? false;
  const dueIn = everyMinutes * 60 - (log.now() - lastSecond);
  const { usual, others } = placesOf(family);
  const places = isMore ? [...usual, ...others] : usual;
  return (
    <section aria-labelledby="follow">
      <h3 id="follow" className="text-title font-semibold">
        {open ? `Followed for ${clockWords(Math.max(lastSecond, 0))}` : 'Follow'}
      </h3>
      {open?.dueAt && <LookAgain at={open.dueAt} now={now} timeZone={timeZone} log={log} />}
      <div className="mt-2 grid grid-cols-2 gap-2">
        {places.map((each) => {
          const last = channel(each)?.samples.at(-1);
          return (
            <button
              key={each}
              type="button"
              disabled={!isReady}
              className="flex min-h-[72px] flex-col items-start justify-center border border-edge px-3 py-1 text-left active:bg-well"
              onClick={() => setPlace(each)}
            >
              <span className="text-small">{placeName(each)}</span>
              <span className="text-value leading-tight font-semibold">
                {last ? valueText(last.celsius, 'temperature', system) : 'Read'}
              </span>
            </button>
          );
        })}
      </div>
      {!isMore && (
        <button type="button" className="button mt-2 w-full" onClick={() => setMore(true)}>
          Other places
        </button>
      )}
      <LivePlaces
        key={round}
        places={liveOf(family)}
        log={log}
        instruments={instruments}
        system={system}
      />
      {isByHand && (
        <div className="mt-3">
          <p role="timer" className={dueIn <= 0 ? 'font-semibold text-act' : ''}>
            {dueIn <= 0 ? 'Read again now' : `Read again in ${clockWords(Math.ceil(dueIn))}`}
          </p>
          <div className="mt-1 flex gap-2" role="group" aria-label="Read every">
            {intervals.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={each === everyMinutes}
                className="button flex-1 aria-pressed:border-2 aria-pressed:border-act aria-pressed:font-semibold aria-pressed:text-act"
                onClick={() => setEvery(each)}
              >
                {each} min
              </button>
            ))}
          </div>
        </div>
      )}
      <div className="mt-3 grid grid-cols-2 gap-2">
        <button
          type="button"
          className={`button ${isDrawn ? 'border-2 border-heat font-semibold text-heat' : ''}`}
          disabled={!isReady}
          onClick={() => void log.tap(isDrawn ? 0 : 8)}
        >
          {isDrawn ? 'Hot tap shut' : 'Hot tap opened'}
        </button>
        <button type="button" className="button" onClick={onImport} disabled={!isReady}>
          From a file
        </button>
        {open && (
          <button
            type="button"
            className="button col-span-2"
            onClick={() => {
              // What is listened to is let go of with the log.
              setRound(round + 1);
              void log.stop();
            }}
          >
            No longer followed
          </button>
        )}
      </div>
      <p className="mt-2 flex items-center gap-2 text-small">
        <HotSign />
        <span>A tap at its hottest scalds in seconds: the probe goes in, no hand.</span>
      </p>
      <div className="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label="Look again">
        <span className="text-small">Look again in</span>
        {waits.map((each) => (
          <button
            key={each}
            type="button"
            className="button"
            disabled={!isReady}
            onClick={() => void log.lookAgain(each)}
          >
            {each} min
          </button>
        ))}
      </div>
      <ReadingDialog
        place={place}
        jobId={jobId}
        system={system}
        instruments={instruments}
        onClose={() => setPlace(undefined)}
        onRead={async (celsius, instrument) => {
          if (place === undefined) return false;
          const id = await log.begin('watch', everyMinutes * 60);
          if (id === undefined) return false;
          return log.samples(
            place,
            { second: [log.now()], celsius: [celsius] },
            { source: 'hand', ...(instrument === undefined ? {} : { instrument }) },
            id,
          );
        }}
      />
    </section>
  );
}

function LookAgain({
  at,
  now,
  timeZone,
  log,
}: {
  at: string;
  now: number;
  timeZone: string | undefined;
  log: LogHands;
}) {
  const left = (Date.parse(at) - now) / 1000;
  const isDue = left <= 0;
  return (
    <div
      className={`mt-2 border-l-4 pl-3 ${isDue ? 'border-act bg-act-wash py-2' : 'border-rule'}`}
      role="status"
    >
      <p className="font-semibold">
        {isDue
          ? `Look again now: it was due at ${clockTime(at, timeZone)}`
          : `Look again at ${clockTime(at, timeZone)}, in ${clockWords(Math.ceil(left))}`}
      </p>
      {!isDue && (
        <p className="text-small text-ink-2">
          A web page cannot ring while the phone is locked. The time is kept, and shown when you are
          back.
        </p>
      )}
      <p className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => void log.looked()}>
          Looked
        </button>
        {!isDue && (
          <button
            type="button"
            className="button"
            onClick={() =>
              void handOutCalendar('ohmmeter-look-again', 'Ohmmeter', [
                {
                  id: `look-again-${at}`,
                  at: new Date(at),
                  title: 'Look at the temperatures again',
                },
              ])
            }
          >
            Into the calendar
          </button>
        )}
      </p>
    </div>
  );
}
