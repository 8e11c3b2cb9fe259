/** A blink: how long the light is on, and how long it is dark before the next, in seconds. */
export interface Blink {
  readonly onSeconds: number;
  readonly offSeconds: number;
}

/** What a light does over and over: nothing, steady, or a round of blinks. */
export type LightPattern =
  | { readonly kind: 'dark' }
  | { readonly kind: 'steady' }
  | { readonly kind: 'blinks'; readonly round: readonly Blink[] };

const named: Readonly<Record<string, number>> = { S: 0.3, L: 1 };
/** Dark between two blinks of a round, and after its last, where nothing is said. */
const usualGapSeconds = 0.5;
const usualPauseSeconds = 2;
const leastSeconds = 0.05;
const mostSeconds = 30;
const mostBlinks = 24;

/** A pattern that is not written as one; `at` is the part of it, from nought. */
export class LightPatternError extends Error {
  override name = 'LightPatternError';
}

/**
 * Reads a pattern as it is written: `dark`, `steady`, or blinks with spaces between them. A blink is `S` (short, 0.3 s),
 * `L` (long, 1 s) or its seconds; behind a stroke stand the seconds that it is dark after it, where they are not 0.5, or 2
 * after the last: `S S L`, `S/3.7`, `0.2/0.2 0.2/1.5 L`.
 * @throws LightPatternError where it is none.
 */
export function readLightPattern(text: string): LightPattern {
  const words = text.trim().split(/\s+/);
  if (words.length === 1 && words[0] === 'dark') return { kind: 'dark' };
  if (words.length === 1 && words[0] === 'steady') return { kind: 'steady' };
  if (words.length > mostBlinks) {
    throw new LightPatternError(`A round has at most ${mostBlinks} blinks.`);
  }
  const round = words.map((word, index): Blink => {
    const [on = '', off, ...more] = word.split('/');
    const usual = index === words.length - 1 ? usualPauseSeconds : usualGapSeconds;
    const seconds = {
      onSeconds: named[on.toUpperCase()] ?? secondsOf(on),
      offSeconds: off === undefined ? usual : secondsOf(off),
    };
    if (more.length > 0 || !isSeconds(seconds.onSeconds) || !isSeconds(seconds.offSeconds)) {
      throw new LightPatternError(
        `"${word}" is no blink. Write S, L or seconds, and after a stroke how long it is dark: S S L, or S/3.7.`,
      );
    }
    return seconds;
  });
  return { kind: 'blinks', round };
}

const secondsOf = (text: string): number =>
  /^\d{1,2}(\.\d{1,2})?$/.test(text) ? Number(text) : NaN;
const isSeconds = (value: number) => value >= leastSeconds && value <= mostSeconds;

/** Equal for patterns that a light shows alike. */
export const patternKey = (pattern: LightPattern): string =>
  pattern.kind === 'blinks'
    ? pattern.round.map(({ onSeconds, offSeconds }) => `${onSeconds}/${offSeconds}`).join(' ')
    : pattern.kind;
