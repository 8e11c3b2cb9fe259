/** A clock that is ahead is followed no further than this: what is stamped later still does not say when it was. */
export const mostAheadMilliseconds = 24 * 3_600_000;

/**
 * Whether a stamp is from a clock that was wrong by more than a day.
 * @param at when something is said to have been, as ISO 8601.
 * @param now what the time is there, in the same form.
 */
export const saysNoTime = (at: string, now: string): boolean =>
  Date.parse(at) - Date.parse(now) > mostAheadMilliseconds;
