import type { JobFileProblem } from './problem';

/** Whether a name of the IANA time zone database (RFC 6557) is known where this runs: an older device knows fewer. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** A zone in which no time can be told. */
export const timeZoneProblems = (name: string | undefined, pointer: string): JobFileProblem[] =>
  name === undefined || isTimeZone(name)
    ? []
    : [{ pointer, message: `No time zone is named "${name}" here: "Europe/London", or "UTC".` }];
