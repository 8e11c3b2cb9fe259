import type { UnitSystem } from '../quantities';

/** How dates with bare numbers are read: which comes first. `iso` needs no choice; `elapsed` counts from the start. */
export type TimeOrder =
  'iso' | 'day-first' | 'month-first' | 'clock' | 'elapsed-seconds' | 'elapsed-minutes';

const iso = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})(?:[T ]+(.*))?$/;
const bare = /^(\d{1,2})[-./](\d{1,2})[-./](\d{4}|\d{2})(?:[T ,]+(.*))?$/;
const clock =
  /^(\d{1,3}):(\d{2})(?::(\d{2})(?:[.,](\d+))?)?\s*([AaPp][Mm])?(?:\s*(?:Z|UTC|GMT|[+-]\d{2}:?\d{2}))?$/;

/** Whether a text looks like a time or a date, in any order. */
export const isTime = (text: string): boolean =>
  iso.test(text.trim()) || bare.test(text.trim()) || clock.test(text.trim());

/** How the times of a file are to be read. Where days and months look alike, the one that goes on evenly; else the firm's way. */
export function timeOrder(texts: readonly string[], system: UnitSystem): TimeOrder {
  const [first = ''] = texts;
  if (iso.test(first)) return 'iso';
  if (clock.test(first)) return 'clock';
  const dates = texts.flatMap((each) => bare.exec(each) ?? []);
  if (dates.length === 0 || !bare.test(first)) {
    const numbers = texts.map((each) => Number(each.replace(',', '.')));
    const step = (numbers.at(-1)! - numbers[0]!) / Math.max(1, numbers.length - 1);
    return step < 1 ? 'elapsed-minutes' : 'elapsed-seconds';
  }
  const parts = texts.flatMap((each) => {
    const found = bare.exec(each);
    return found ? [[Number(found[1]), Number(found[2])] as const] : [];
  });
  if (parts.some(([one]) => one > 12)) return 'day-first';
  if (parts.some(([, other]) => other > 12)) return 'month-first';
  // Dots stand after ordinals: the first of March.
  if (first.includes('.')) return 'day-first';
  // The part that changes from one row to the next is the day.
  const changes = (k: 0 | 1) => new Set(parts.map((each) => each[k])).size;
  if (changes(0) !== changes(1)) return changes(0) > changes(1) ? 'day-first' : 'month-first';
  return system === 'us' ? 'month-first' : 'day-first';
}

/**
 * A time in seconds: since 1970 for a date, else since its own midnight or start; undefined where it cannot be read so. Zones
 * are left out: a log's own clock is compared with itself alone.
 */
export function secondsOf(text: string, order: TimeOrder): number | undefined {
  const plain = text.trim();
  if (order === 'elapsed-seconds' || order === 'elapsed-minutes') {
    if (!/^\d+([.,]\d+)?$/.test(plain)) return undefined;
    return Number(plain.replace(',', '.')) * (order === 'elapsed-minutes' ? 60 : 1);
  }
  if (order === 'clock') return clockSeconds(plain);
  const found = (order === 'iso' ? iso : bare).exec(plain);
  if (!found) return undefined;
  const [one, two, three] = found.slice(1, 4).map(Number) as [number, number, number];
  const [year, month, day] =
    order === 'iso'
      ? [one, two, three]
      : order === 'day-first'
        ? [three, two, one]
        : [three, one, two];
  if (month < 1 || month > 12 || day < 1 || day > 31) return undefined;
  const rest = found[4] === undefined ? 0 : clockSeconds(found[4].trim());
  if (rest === undefined) return undefined;
  return Date.UTC(year < 100 ? 2000 + year : year, month - 1, day) / 1000 + rest;
}

function clockSeconds(text: string): number | undefined {
  const found = clock.exec(text);
  if (!found) return undefined;
  const [, hours, minutes, seconds = '0', part = '', half] = found;
  const isAfternoon = half?.toLowerCase() === 'pm';
  const hour = half === undefined ? Number(hours) : (Number(hours) % 12) + (isAfternoon ? 12 : 0);
  if (Number(minutes) > 59 || Number(seconds) > 59) return undefined;
  return (
    hour * 3600 + Number(minutes) * 60 + Number(seconds) + (part === '' ? 0 : Number(`0.${part}`))
  );
}
