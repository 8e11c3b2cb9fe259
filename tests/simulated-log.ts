import type { FamilyPlate } from '../src/core/appliances/all';
import type { Entry, LogEntry } from '../src/core/job-file';
import { seededRandom, simulatedFamilyOf, type UnitInTime } from '../src/core/simulation';
import { stamp } from './plates';

/** A simulated unit that somebody watches with thermometers: entries as the recorder would make them. */
export function watchedUnit(
  family: string,
  plate: FamilyPlate,
  faults: readonly string[],
  seed: number,
): UnitInTime {
  return simulatedFamilyOf(family).inTime(plate, seededRandom(seed), faults);
}

export interface Watching {
  readonly seconds: number;
  readonly everySecond?: number;
  readonly places?: readonly ('tank-top' | 'tank-bottom' | 'outlet')[];
  /** A tap opened from one second to another, in L/min. */
  readonly tap?: { readonly from: number; readonly until: number; readonly litrePerMinute: number };
  readonly log?: string;
  readonly startsAt?: number;
}

/** Log entries of a unit that goes on while it is watched; its thermometers err a little. */
export function watch(
  unit: UnitInTime,
  {
    seconds,
    everySecond = 30,
    places = ['tank-top', 'tank-bottom', 'outlet'],
    tap,
    log = stamp().id,
    startsAt = Date.UTC(2026, 2, 3, 8),
  }: Watching,
): Entry[] {
  const random = seededRandom(11);
  const at = (second: number) => new Date(startsAt + second * 1000).toISOString();
  const make = (second: number, rest: Omit<LogEntry, 'id' | 'at' | 'kind' | 'log'>): LogEntry => ({
    id: stamp().id,
    at: at(second),
    kind: 'log',
    log,
    ...rest,
  });
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
      const read = unit.celsius(each.place) + 0.15 * random.normal();
      each.celsius.push(Math.round(read * 10) / 10);
    }
    unit.advance(everySecond);
  }
  return [
    make(0, { phase: 'started', purpose: 'watch' }),
    ...tracks.map(({ place, second, celsius }) =>
      make(seconds, { phase: 'samples', place, source: 'live', track: { second, celsius } }),
    ),
    ...taps,
    make(seconds, { phase: 'stopped' }),
  ].sort((one, other) => one.at.localeCompare(other.at) || one.id.localeCompare(other.id));
}
