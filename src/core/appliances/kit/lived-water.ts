import type { Shower } from '../../thermal/tank';

/**
 * What somebody says of their hot water, from what the tank gives them beside what it gave while it was good. The words that
 * they choose are common practice; how long it stays hot and how long it takes are the tank's.
 */
export function wordsForWater(lived: Shower, usual: Shower): Readonly<Record<string, number>> {
  if (lived.firstCelsius < coldBelow) {
    return { 'no-hot-water': 0.9, lukewarm: 0.04, 'runs-out': 0.02, slow: 0.02 };
  }
  const cool = logistic((lukewarmBelow - lived.firstCelsius) / 1.6);
  const short = noticed(usual.hotMinutes / Math.max(0.5, lived.hotMinutes), 1.45);
  const slow = noticed(Math.max(5, lived.againMinutes) / Math.max(5, usual.againMinutes), 1.5);
  const shares: Record<string, number> = {};
  const add = (weight: number, words: Readonly<Record<string, number>>) => {
    for (const [word, share] of Object.entries(words)) {
      shares[word] = (shares[word] ?? 0) + weight * share;
    }
  };
  const hot = 1 - cool;
  add(cool, { lukewarm: 0.77, 'runs-out': 0.12, slow: 0.05, 'no-hot-water': 0.03 });
  add(hot * short * (1 - slow), {
    'runs-out': 0.66,
    lukewarm: 0.16,
    'no-hot-water': 0.09,
    slow: 0.04,
  });
  add(hot * short * slow, { 'runs-out': 0.5, slow: 0.28, lukewarm: 0.12, 'no-hot-water': 0.06 });
  add(hot * (1 - short) * slow, {
    slow: 0.53,
    'runs-out': 0.27,
    lukewarm: 0.1,
    'no-hot-water': 0.04,
  });
  add(hot * (1 - short) * (1 - slow), {
    'runs-out': 0.34,
    lukewarm: 0.22,
    slow: 0.16,
    'no-hot-water': 0.1,
    'too-hot': 0.04,
    other: 0.08,
  });
  return Object.fromEntries(Object.entries(shares).map(([word, share]) => [word, told(share)]));
}

/** Shares to a thousandth: what differs by less is the same to everybody, whoever is worked out first. */
export const told = (share: number): number => Math.round(share * 1000) / 1000;

/** The same words, with others beside them that take so much of the whole. */
export function besides(
  words: Readonly<Record<string, number>>,
  others: Readonly<Record<string, number>>,
): Record<string, number> {
  const left = 1 - Object.values(others).reduce((sum, each) => sum + each, 0);
  const shares: Record<string, number> = { ...others };
  for (const [word, share] of Object.entries(words))
    shares[word] = told((shares[word] ?? 0) + left * share);
  return shares;
}

/** A tap below this is called cold, and one below that lukewarm. */
const coldBelow = 28;
const lukewarmBelow = 42.5;

/** Chance that somebody notices that so many times more, or less, has become of it. */
const noticed = (ratio: number, from: number): number =>
  logistic((Math.log(ratio) - Math.log(from)) / 0.15);

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
