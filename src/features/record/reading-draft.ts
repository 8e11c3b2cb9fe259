import { withText, type DraftChange } from './draft-keeper';

/** A reading that is typed and not entered: whose it is, and of when. */
export interface ReadingDraft {
  readonly text: string;
  /** Milliseconds, by the device's clock, when it was last typed at; undefined where nothing is. */
  readonly at?: number;
}

const nothing: ReadingDraft = { text: '' };

/**
 * What this device has kept of a reading.
 * @param by The technician who has the device now: what somebody else read is no reading of theirs.
 */
export function readingDraft(kept: string, by: string): ReadingDraft {
  try {
    const draft = JSON.parse(kept) as Partial<ReadingDraft & { readonly by: string }> | null;
    return draft?.by === by && typeof draft.text === 'string' && typeof draft.at === 'number'
      ? { text: draft.text, at: draft.at }
      : nothing;
  } catch {
    // Nothing, or what another version kept, which says nothing of when and whose.
    return nothing;
  }
}

/** What is to be kept once it is typed at. */
export const keptReading =
  (change: DraftChange, by: string, at: number) =>
  (kept: string): string => {
    const text = withText(readingDraft(kept, by).text, change);
    return text === '' ? '' : JSON.stringify({ text, by, at });
  };

/** After so long a reading may be none any more: water cools, and somebody may have been at the unit. */
const agesMilliseconds = 10 * 60_000;
/** A clock that is looked at now and then is behind by so much at most, unless it was set back. */
const behindMilliseconds = 60_000;

/** Of a while ago, or of before the clock was set back. */
export const isOfBefore = (at: number, now: number): boolean =>
  now - at >= agesMilliseconds || at - now > behindMilliseconds;
