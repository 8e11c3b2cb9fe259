import { Fragment } from 'react';
import { clockWords } from '@/core/procedures';
import { showValue, valueText, type UnitSystem } from '@/core/quantities';
import type { LogFacts } from '@/core/temperatures';
import { placeName } from '@/features/record/log-words';

/** What the log tells by itself. */
export function LogFactsPanel({ facts, system }: { facts: LogFacts; system: UnitSystem }) {
  const { power, bottom, top, dropped, rises, unrecordedDraws } = facts;
  const cycles = bottom?.setCelsius === undefined ? top : bottom;
  const loss = top?.lossWattPerKelvin;
  const set = cycles?.setCelsius;
  const isEmpty = !power && set === undefined && loss === undefined && rises.length === 0;
  if (isEmpty && dropped.length === 0 && unrecordedDraws.length === 0) return null;
  return (
    <section aria-labelledby="facts">
      <h3 id="facts" className="text-title font-semibold">
        What it tells
      </h3>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {power && <Power power={power} />}
        {rises.map(({ place, value, spread }) => (
          <Fragment key={place}>
            <dt className="text-ink-2">{placeName(place)}</dt>
            <dd>
              {perMinute(value, system)} a minute, give or take {perMinute(spread, system)}
            </dd>
          </Fragment>
        ))}
        {set !== undefined && (
          <>
            <dt className="text-ink-2">Cuts out at</dt>
            <dd>{valueText(set, 'temperature', system)}</dd>
          </>
        )}
        {cycles?.differentialKelvin !== undefined && (
          <>
            <dt className="text-ink-2">Cuts in</dt>
            <dd>
              {difference(cycles.differentialKelvin, system)} below, {cycles.cutInCelsius.length}{' '}
              {cycles.cutInCelsius.length === 1 ? 'time' : 'times'}
            </dd>
          </>
        )}
        {loss !== undefined && (
          <>
            <dt className="text-ink-2">Loses, standing</dt>
            <dd>{loss.toFixed(1)} W/K</dd>
          </>
        )}
      </dl>
      {unrecordedDraws.length > 0 && (
        <p className="mt-2 border-l-4 border-rule pl-3 text-small">
          Water was drawn that nobody wrote down, {clockWords(unrecordedDraws[0]!.from)} into the
          log{unrecordedDraws.length > 1 && ' and later'}: only the longest part without it counts
          for the suspects.
        </p>
      )}
      {dropped.length > 0 && (
        <ul className="mt-2 text-small">
          {dropped.slice(0, 6).map((each) => (
            <li key={`${each.place} ${each.fromSecond}`}>
              Left out: {placeName(each.place)}, {clockWords(each.fromSecond)} to{' '}
              {clockWords(each.toSecond)}, {each.why}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const difference = (kelvin: number, system: UnitSystem) => {
  const { number, symbol } = showValue(kelvin, 'temperature-difference', system);
  return `${number} ${symbol}`;
};

/** A rise is small: a tenth of a degree a minute is a kilowatt or two. */
const perMinute = (kelvin: number, system: UnitSystem): string =>
  system === 'us' ? `${(kelvin * 1.8).toFixed(2)} °F` : `${kelvin.toFixed(2)} K`;

const warmedWords = {
  all: 'all of the tank warms',
  top: 'only the top warms',
  bottom: 'the bottom warms below hot water: how much of it cannot be seen',
  nothing: 'nothing warms',
} as const;

function Power({ power }: { power: NonNullable<LogFacts['power']> }) {
  const { watt, lowWatt, highWatt, warmed, heater, fromSecond, toSecond } = power;
  const minutes = Math.round((toSecond - fromSecond) / 60);
  const fits =
    heater === undefined
      ? undefined
      : heater.watt < lowWatt
        ? 'more than its plate'
        : heater.watt > highWatt
          ? 'less than its plate'
          : 'as its plate says';
  return (
    <>
      <dt className="text-ink-2">Power that went in</dt>
      <dd>
        {warmed === 'nothing' ? (
          <>none, over the last {minutes} min</>
        ) : (
          <>
            <span className="font-semibold">{round(watt)} W</span> ({round(lowWatt)} to{' '}
            {round(highWatt)}, nine times in ten), over {minutes} min
          </>
        )}
        <span className="block text-small">{warmedWords[warmed]}</span>
        {heater && warmed !== 'nothing' && (
          <span className="block text-small">
            {heater.label}, {round(heater.watt)} W: {fits}
          </span>
        )}
      </dd>
    </>
  );
}

const round = (watt: number): string => String(Math.round(watt / 50) * 50);
