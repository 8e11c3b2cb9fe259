import type { Shares } from '../kit/signal/declaration';
import { above, mixed } from '../kit/signal/outcome-tables';

/** A swing that somebody notices, in kelvin, and how sharply. Common practice. */
const noticedKelvin = 4;
const noticedSpread = 1.2;

/** What an eye calls two minutes at a tap, by what the water did. */
export function tapClass(
  isLit: boolean,
  swingKelvin: number,
  cuts: number,
  words: {
    readonly steady: string;
    readonly swings: string;
    readonly cold: string;
    readonly cuts?: string;
  },
): Shares {
  if (!isLit) return { [words.cold]: 0.95, [words.steady]: 0.03 };
  const swings = above(swingKelvin, noticedKelvin, noticedSpread);
  const uncut: Shares = { [words.swings]: 0.96 * swings, [words.steady]: 0.96 * (1 - swings) };
  if (words.cuts === undefined) return uncut;
  const cut = cuts >= 1 ? 0.9 : 0.03;
  return mixed(cut, { [words.cuts]: 0.9, [words.swings]: 0.08 }, uncut);
}
