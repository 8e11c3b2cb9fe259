import type { Blink, LightPattern } from './light-pattern';

/** A thumb that was down while the light was on: seconds from any beginning. */
export interface Tap {
  readonly downSeconds: number;
  readonly upSeconds: number;
}

export interface Recognised {
  /** Chance of each pattern that was offered, in its order. */
  readonly chances: readonly number[];
  /** Chance that it is none of them. */
  readonly noneOfThem: number;
  /** Full rounds of the likeliest pattern that were seen. */
  readonly rounds: number;
}

/** How far a thumb is from the light, natural logarithm of a duration: the whole hand's bias, and each tap by itself. Common practice. */
const biasSpread = 0.3;
const onSpread = 0.35;
const offSpread = 0.28;
/** Share of durations that say nothing: a blink missed, a thumb that slipped. */
const slipShare = 0.003;
/** Density of such a duration, over some three e-foldings. */
const slipDensity = 1 / 3;
/** Before anything was tapped: a light that shows what is in no list. */
const strangeShare = 0.05;
const biases = [-0.5, -0.25, 0, 0.25, 0.5];

/**
 * Which of some patterns a thumb tapped along with, however its hand shakes. Every pattern is laid over the taps at every
 * place of its round; the durations of light and dark are compared by their ratios, with a bias that all taps share and
 * a small share of slips.
 * @param taps in order of time; fewer than two say little.
 * What fits none of them is said to be none, instead of the nearest.
 * @param patterns any number.
 */
export function recogniseLight(
  taps: readonly Tap[],
  patterns: readonly LightPattern[],
): Recognised {
  const seen = durationsOf(taps);
  const logs = patterns.map((pattern) => logLikelihood(seen, pattern));
  const most = Math.max(...logs);
  const none = Math.log(strangeShare) + logOfStrange(seen);
  const top = Math.max(most, none);
  const weights = logs.map((each) => Math.exp(each - top));
  const noneWeight = Math.exp(none - top);
  const sum = weights.reduce((total, each) => total + each, noneWeight);
  const best = patterns[logs.indexOf(most)];
  return {
    chances: weights.map((each) => each / sum),
    noneOfThem: noneWeight / sum,
    rounds: best?.kind === 'blinks' ? Math.floor(taps.length / best.round.length) : 0,
  };
}

/** What any light may do, blink by blink: short and long; a gap, a pause, a wait. Each with its share. */
const anyOn = [
  [0.3, 0.6],
  [1, 0.4],
] as const;
const anyOff = [
  [0.6, 0.6],
  [2, 0.3],
  [3.8, 0.1],
] as const;

/** A light that shows what is in no list: every duration one of those that lights have, in whatever order. */
function logOfStrange({ on, off }: Durations): number {
  const free = (seconds: number, any: typeof anyOn | typeof anyOff, spread: number) =>
    logSum(
      any.map(([each, share]) => Math.log(share) + logDensity(Math.log(seconds / each), spread)),
    );
  return (
    on.reduce((sum, each) => sum + free(each, anyOn, onSpread), 0) +
    off.reduce((sum, each) => sum + free(each, anyOff, offSpread), 0)
  );
}

interface Durations {
  readonly on: readonly number[];
  /** Between one tap and the next. */
  readonly off: readonly number[];
}

const leastDuration = 0.03;

function durationsOf(taps: readonly Tap[]): Durations {
  return {
    on: taps.map(({ downSeconds, upSeconds }) => Math.max(leastDuration, upSeconds - downSeconds)),
    off: taps
      .slice(1)
      .map(({ downSeconds }, k) => Math.max(leastDuration, downSeconds - taps[k]!.upSeconds)),
  };
}

/** A thumb that was down this long, alone, was on a light that does not blink. */
const steadySeconds = 5;

function logLikelihood({ on, off }: Durations, pattern: LightPattern): number {
  if (pattern.kind === 'dark') return on.length === 0 ? 0 : -Infinity;
  if (pattern.kind === 'steady') {
    return on.length === 1 && on[0]! >= steadySeconds ? 0 : -20 * Math.max(1, on.length);
  }
  if (on.length === 0) return -20;
  const { round } = pattern;
  const starts = round.map((_, start) => logAverage(biases.map((bias) => at(start, bias))));
  return logAverage(starts);

  function at(start: number, bias: number): number {
    let sum = -0.5 * (bias / biasSpread) ** 2;
    on.forEach((seconds, k) => {
      const { onSeconds } = blinkAt(round, start + k);
      sum += logDensity(Math.log(seconds / onSeconds) - bias, onSpread);
    });
    off.forEach((seconds, k) => {
      const { offSeconds } = blinkAt(round, start + k);
      // A thumb that stays down long comes up late: what light gains, dark loses.
      sum += logDensity(Math.log(seconds / offSeconds) + bias / 2, offSpread);
    });
    return sum;
  }
}

const blinkAt = (round: readonly Blink[], index: number): Blink => round[index % round.length]!;

const logDensity = (ratio: number, spread: number): number =>
  Math.log(
    ((1 - slipShare) * Math.exp(-0.5 * (ratio / spread) ** 2)) / (spread * Math.sqrt(2 * Math.PI)) +
      slipShare * slipDensity,
  );

function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - most), 0));
}

const logAverage = (logs: readonly number[]): number => logSum(logs) - Math.log(logs.length);
