import type { UnitSystem } from '../quantities';
import { isTime, timeOrder, type TimeOrder } from './read-time';

/** What a file of a logger seems to be: shown, and changed by whoever knows better. */
export interface LoggerMapping {
  /** First row of readings, counted from 0. */
  readonly firstRow: number;
  /** Columns that make up the time: one, or a date and a time of day. */
  readonly timeColumns: readonly number[];
  readonly order: TimeOrder;
  readonly decimal: 'comma' | 'point';
  readonly columns: readonly LoggerColumn[];
}

export interface LoggerColumn {
  readonly index: number;
  readonly title: string;
  readonly unit: 'celsius' | 'fahrenheit';
  /** Where it was read; undefined where it is left out. */
  readonly place?: string;
}

/** Rows that are looked at to tell what a file is. */
const looked = 200;
/** Rows before the readings that a logger writes about itself, at most. */
const mostPreamble = 60;

/**
 * What the columns of a logger's file are: where its readings begin, which columns are its time, how it writes numbers, and
 * what each of the rest may be. Undefined where nothing of it looks like readings in time.
 */
export function guessColumns(
  rows: readonly (readonly string[])[],
  system: UnitSystem,
): LoggerMapping | undefined {
  const firstRow = rows
    .slice(0, mostPreamble)
    .findIndex(
      (row, k) =>
        isReadings(row) &&
        (k + 1 >= rows.length || rows.slice(k + 1, k + 6).some((each) => isReadings(each))),
    );
  if (firstRow < 0) return undefined;
  const sample = rows.slice(firstRow, firstRow + looked);
  const width = Math.max(...sample.map((row) => row.length));
  const titles = firstRow > 0 ? rows[firstRow - 1]! : [];
  const column = (index: number) => sample.map((row) => (row[index] ?? '').trim());
  const decimal = Array.from({ length: width }, (_, k) => column(k))
    .flat()
    .some((each) => /^[-+]?\d+,\d+$/.test(each))
    ? 'comma'
    : 'point';
  const timeColumns = timeColumnsOf(column, width, titles);
  if (timeColumns.length === 0) return undefined;
  const texts = sample.map((row) =>
    timeColumns
      .map((k) => row[k] ?? '')
      .join(' ')
      .trim(),
  );
  const places = new Set<string>();
  const columns = Array.from({ length: width }, (_, index) => index)
    .filter((index) => !timeColumns.includes(index))
    .flatMap((index): LoggerColumn[] => {
      const title = (titles[index] ?? '').trim();
      const numbers = column(index)
        .map((text) => numberIn(text, decimal))
        .filter((each) => each !== undefined);
      // Counters, batteries and remarks are no temperatures.
      const isMostly = numbers.length > 0.6 * sample.length;
      if (!isMostly || /^(#|no\.?|nr\.?|index|record|sample)$/i.test(title)) return [];
      const place = placeOf(title);
      const isFirst = place !== undefined && !places.has(place);
      if (isFirst) places.add(place);
      return [
        { index, title, unit: unitOf(title, numbers, system), ...(isFirst ? { place } : {}) },
      ];
    });
  return { firstRow, timeColumns, order: timeOrder(texts, system), decimal, columns };
}

/** A row that has something like a time and something like a number. */
const isReadings = (row: readonly string[]): boolean =>
  row.length > 1 &&
  row.some((each) => isTime(each) || /^\d+([.,]\d+)?$/.test(each.trim())) &&
  row.filter((each) => /^\s*[-+]?\d+([.,]\d+)?\s*$/.test(each) || isTime(each)).length > 1;

function timeColumnsOf(
  column: (index: number) => readonly string[],
  width: number,
  titles: readonly string[],
): number[] {
  const most = (index: number, test: (text: string) => boolean) =>
    column(index).filter(test).length > 0.8 * column(index).length;
  const all = Array.from({ length: width }, (_, index) => index);
  const whole = all.find((index) => most(index, (text) => isTime(text) && /\d[T ]+\d/.test(text)));
  if (whole !== undefined) return [whole];
  const date = all.find((index) =>
    most(index, (text) => isTime(text) && /^\d+[-./]\d+[-./]\d+$/.test(text)),
  );
  const clock = all.find((index) => most(index, (text) => /^\d+:\d\d/.test(text)));
  if (date !== undefined && clock !== undefined) return [date, clock];
  if (clock !== undefined) return [clock];
  // Seconds or minutes from the start: the one that only rises.
  const counted = all.find((index) => {
    const numbers = column(index).map((text) => Number(text.replace(',', '.')));
    return (
      numbers.length > 2 &&
      numbers.every((each, k) => Number.isFinite(each) && (k === 0 || each > numbers[k - 1]!)) &&
      /time|sec|min|zeit|temps|tijd|elapsed|^t\b|^s$/i.test(titles[index] ?? '')
    );
  });
  return counted === undefined ? [] : [counted];
}

/** A number as the file writes them; undefined where it is none. */
export function numberIn(text: string, decimal: LoggerMapping['decimal']): number | undefined {
  const plain = text.trim().replace(/\s*°?\s*[CF]$/i, '');
  const pattern = decimal === 'comma' ? /^[-+]?\d+(,\d+)?$/ : /^[-+]?\d+(\.\d+)?$/;
  return pattern.test(plain) ? Number(plain.replace(',', '.')) : undefined;
}

function unitOf(
  title: string,
  numbers: readonly number[],
  system: UnitSystem,
): LoggerColumn['unit'] {
  if (/°\s*f|\(f\)|\bfahrenheit\b|_f$|\bdegf\b/i.test(title)) return 'fahrenheit';
  if (/°\s*c|\(c\)|\bcelsius\b|_c$|\bdegc\b/i.test(title)) return 'celsius';
  const most = Math.max(...numbers);
  // No tank of a house is hotter; and none of 40 °F is of much use.
  if (most > 99) return 'fahrenheit';
  return system === 'us' && Math.min(...numbers) > 40 && most > 80 ? 'fahrenheit' : 'celsius';
}

const words: readonly (readonly [RegExp, string])[] = [
  [/cold|kalt|froid|mains/i, 'cold-inlet'],
  [/room|ambient|raum|ambiant|air/i, 'room'],
  [/outlet|tap|shower|zapf|auslauf|sortie/i, 'outlet'],
  [/upper|top|oben|haut/i, 'tank-top'],
  [/lower|bottom|unten|bas\b/i, 'tank-bottom'],
  [/return|rücklauf|retour/i, 'return-pipe'],
  [/flow|supply|vorlauf|depart/i, 'flow-pipe'],
  [/inlet|eintritt/i, 'cold-inlet'],
  [/hot|warm|heiß|chaud/i, 'hot-pipe'],
];

const placeOf = (title: string): string | undefined =>
  words.find(([pattern]) => pattern.test(title))?.[1];
