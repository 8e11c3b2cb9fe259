import { saysNoTime, type Entry, type JobFileProblem } from '../core/job-file';

/**
 * Entries that a clock stamped which was wrong by more than a day: nobody could say when what they tell of was, and once that
 * day comes they would be believed. Each with its place, counted from the first.
 * @param what to do about it, as the end of the message.
 */
export const datedAhead = (
  entries: readonly Entry[],
  now: string,
  what: string,
): JobFileProblem[] =>
  entries.flatMap(({ at }, index) =>
    saysNoTime(at, now)
      ? [
          {
            pointer: `/entries/${index}/at`,
            message: `This is dated ${at.slice(0, 10)}, more than a day ahead of the server: ${what}`,
          },
        ]
      : [],
  );
