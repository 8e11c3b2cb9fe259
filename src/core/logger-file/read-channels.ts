import { numberIn, type LoggerMapping } from './guess-columns';
import { secondsOf } from './read-time';

/** What a file comes to: readings by place, and the lines that could not be read. */
export interface LoggerChannels {
  readonly channels: readonly {
    readonly place: string;
    readonly second: readonly number[];
    readonly celsius: readonly number[];
  }[];
  /** When its clock began, where it says a date; it may be off. */
  readonly beganAt?: string;
  readonly seconds: number;
  readonly rows: number;
  readonly problems: readonly { readonly line: number; readonly message: string }[];
  /** Readings of each place before they were thinned. */
  readonly thinnedFrom?: number;
}

/** Water and walls: beyond it a sensor was not there. */
const possible = { least: -40, most: 150 } as const;
/** More readings of one place than this tell nothing more: a log of a day every quarter of a minute. */
export const mostKept = 5000;

/**
 * Reads the rows of a logger's file by what its columns are. A row that cannot be read is left out and told by its line; the
 * others are kept.
 */
export function readChannels(
  rows: readonly (readonly string[])[],
  { firstRow, timeColumns, order, decimal, columns }: LoggerMapping,
): LoggerChannels {
  const chosen = columns.filter(({ place }) => place !== undefined);
  const tracks = chosen.map(({ place }) => ({
    place: place!,
    second: [] as number[],
    celsius: [] as number[],
  }));
  const problems: { line: number; message: string }[] = [];
  let began: number | undefined;
  let last = -Infinity;
  let read = 0;
  let midnights = 0;
  for (let k = firstRow; k < rows.length; k++) {
    const row = rows[k]!;
    if (row.every((each) => each.trim() === '')) continue;
    const text = timeColumns
      .map((index) => row[index] ?? '')
      .join(' ')
      .trim();
    const told = secondsOf(text, order);
    if (told === undefined) {
      problems.push({
        line: k + 1,
        message: `"${text.slice(0, 40)}" is no time that can be read.`,
      });
      continue;
    }
    // A clock without a date passes midnight.
    if (order === 'clock' && told + midnights < last - 43_200) midnights += 86_400;
    const second = told + midnights;
    if (second <= last) {
      problems.push({
        line: k + 1,
        message: 'Its time does not come after the row before: left out.',
      });
      continue;
    }
    let isAny = false;
    chosen.forEach(({ index, unit, title }, c) => {
      const cell = row[index] ?? '';
      if (cell.trim() === '') return;
      const number = numberIn(cell, decimal);
      const celsius =
        number === undefined ? undefined : unit === 'fahrenheit' ? (number - 32) / 1.8 : number;
      if (celsius === undefined || celsius < possible.least || celsius > possible.most) {
        problems.push({
          line: k + 1,
          message: `${title || `Column ${index + 1}`}: "${cell.trim().slice(0, 30)}" is no temperature.`,
        });
        return;
      }
      began ??= second;
      tracks[c]!.second.push(second - began);
      tracks[c]!.celsius.push(Math.round(celsius * 100) / 100);
      isAny = true;
    });
    if (isAny) {
      last = second;
      read += 1;
    }
  }
  const most = Math.max(0, ...tracks.map(({ second }) => second.length));
  const hasDate = order === 'iso' || order === 'day-first' || order === 'month-first';
  return {
    channels: tracks.filter(({ second }) => second.length > 0).map(thinned),
    ...(hasDate && began !== undefined ? { beganAt: new Date(began * 1000).toISOString() } : {}),
    seconds: began === undefined ? 0 : last - began,
    rows: read,
    problems,
    ...(most > mostKept ? { thinnedFrom: most } : {}),
  };
}

/** Every so many readings one: the one that lies furthest from where its neighbours' line would have it. */
function thinned<T extends { place: string; second: number[]; celsius: number[] }>(track: T): T {
  const count = track.second.length;
  if (count <= mostKept) return track;
  const second: number[] = [];
  const celsius: number[] = [];
  const size = count / mostKept;
  for (let k = 0; k < mostKept; k++) {
    const [from, until] = [Math.floor(k * size), Math.floor((k + 1) * size)];
    const mean =
      track.celsius.slice(from, until).reduce((sum, each) => sum + each, 0) / (until - from);
    let furthest = from;
    for (let j = from; j < until; j++) {
      if (Math.abs(track.celsius[j]! - mean) > Math.abs(track.celsius[furthest]! - mean))
        furthest = j;
    }
    second.push(track.second[furthest]!);
    celsius.push(track.celsius[furthest]!);
  }
  return { ...track, second, celsius };
}
