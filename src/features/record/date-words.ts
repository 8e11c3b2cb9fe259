/** How a moment is said, by the name of the style. */
const styles = {
  clock: { hour: '2-digit', minute: '2-digit' },
  long: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
  short: { weekday: 'short', day: 'numeric', month: 'short' },
  medium: { dateStyle: 'medium' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

/** One takes a slow phone a third of a millisecond to make, and a logbook asks for the same for every line. */
const formatters = new Map<string, Intl.DateTimeFormat>();

/**
 * A moment in words.
 * @param timeZone of the job; undefined for the device's own, which also stands in for one that an older device does not know.
 * @throws RangeError for a time that is none.
 */
export function dateWords(
  style: keyof typeof styles,
  at: string | Date,
  timeZone: string | undefined,
): string {
  const key = `${style} ${timeZone}`;
  let formatter = formatters.get(key);
  if (!formatter) {
    formatter = formatterFor(styles[style], timeZone);
    formatters.set(key, formatter);
  }
  return formatter.format(new Date(at));
}

function formatterFor(style: Intl.DateTimeFormatOptions, timeZone: string | undefined) {
  try {
    return new Intl.DateTimeFormat('en-GB', { ...style, timeZone });
  } catch {
    return new Intl.DateTimeFormat('en-GB', style);
  }
}
