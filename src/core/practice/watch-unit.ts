import type { Entry, LogEntry } from '../job-file';
import { seededRandom, type Place, type UnitInTime } from '../simulation';

/** How a unit is watched, and what is drawn of it meanwhile. */
export interface Watching {
  readonly seconds: number;
  readonly everySecond?: number;
  readonly places?: readonly Place[];
  /** A tap opened from one second to another, in L/min. */
  readonly tap?: { readonly from: number; readonly until: number; readonly litrePerMinute: number };
  readonly log?: string;
  /** In milliseconds. */
  readonly startsAt: number;
  newId(): string;
}

/** How a thermometer scatters from one reading to the next, in kelvin. Common practice. */
const readingKelvin = 0.15;

/** Lets a simulated unit go on while its thermometers are read: the entries that a recorder would make. */
export function watchUnit(
  unit: UnitInTime,
  {
    seconds,
    everySecond = 30,
    places = ['tank-top', 'tank-bottom', 'outlet'],
    tap,
    startsAt,
    newId,
    log = newId(),
  }: Watching,
): Entry[] {
  const random = seededRandom(11);
  const make = (second: number, rest: Omit<LogEntry, 'id' | 'at' | 'kind' | 'log'>): LogEntry => ({
    id: newId(),
    at: new Date(startsAt + second * 1000).toISOString(),
    kind: 'log',
    log,
    ...rest,
  });
  const started = make(0, { phase: 'started', purpose: 'watch' });
  const taps = tap
    ? [
        make(tap.from, { phase: 'tap-opened', rate: { litrePerMinute: tap.litrePerMinute } }),
        make(tap.until, { phase: 'tap-closed' }),
      ]
    : [];
  const tracks = places.map((place) => ({
    place,
    second: [] as number[],
    celsius: [] as number[],
  }));
  for (let second = 0; second <= seconds; second += everySecond) {
    if (second === tap?.from) unit.act({ kind: 'tap', litrePerMinute: tap.litrePerMinute });
    if (second === tap?.until) unit.act({ kind: 'tap', litrePerMinute: 0 });
    for (const each of tracks) {
      each.second.push(second);
      const read = unit.celsius(each.place) + readingKelvin * random.normal();
      each.celsius.push(Math.round(read * 10) / 10);
    }
    unit.advance(everySecond);
  }
  return [
    started,
    ...tracks.map(({ place, second, celsius }) =>
      make(seconds, {
        phase: 'samples',
        place,
        source: 'live',
        instrument: 'thermometer',
        track: { second, celsius },
      }),
    ),
    ...taps,
    make(seconds, { phase: 'stopped' }),
  ].sort((one, other) => one.at.localeCompare(other.at) || one.id.localeCompare(other.id));
}
