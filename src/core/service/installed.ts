/** When a unit was installed, as a plate or an owner says it. */

/** A year, a year with its month, a day; a month with its year. In whatever way they are parted, none reads as another. */
const forms = [
  /^(?<year>\d{4})(?:[-/.](?<month>\d{1,2})(?:[-/.](?<day>\d{1,2}))?)?$/,
  /^(?<month>\d{1,2})[-/.](?<year>\d{4})$/,
];

/**
 * `2019` is its first day, at noon: so it is the same day wherever it is told.
 * @returns ISO time; undefined for what is no date.
 */
export function dayOf(installed: string | undefined): string | undefined {
  const text = installed?.trim() ?? '';
  const said = forms.map((each) => each.exec(text)?.groups).find((each) => each !== undefined);
  if (!said) return undefined;
  const [year, month, day] = [said.year, said.month ?? 1, said.day ?? 1].map(Number) as Day;
  const noon = new Date(Date.UTC(year, month - 1, day, 12));
  // The thirty-first of a month that has not as many days is another day.
  const isDay = noon.getUTCMonth() === month - 1 && noon.getUTCDate() === day;
  return isDay && year >= 1000 ? noon.toISOString() : undefined;
}

type Day = [year: number, month: number, day: number];

/** Somewhere it is tomorrow already. */
const aheadMilliseconds = 2 * 86_400_000;

/** What is wrong with it; undefined where nothing is, or nothing is said. */
export function installedProblem(installed: string, now: Date): string | undefined {
  if (installed.trim() === '') return undefined;
  const day = dayOf(installed);
  if (day === undefined) return 'A year, a month or a day: 2019, 2019-05, 2019-05-14.';
  return Date.parse(day) > now.getTime() + aheadMilliseconds ? 'That is still to come.' : undefined;
}
