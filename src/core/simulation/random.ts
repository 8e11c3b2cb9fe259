/** A seeded generator, so that every simulated unit can be made again. */
export interface Random {
  /** Even in [0, 1). */
  next(): number;
  /** Standard normal. */
  normal(): number;
  /** Even between two values. */
  between(range: { readonly least: number; readonly most: number }): number;
  /** Even over the decades between two values: what clogs or burns comes in all sizes. */
  overDecades(range: { readonly least: number; readonly most: number }): number;
  /** Log-normal about a middle value. */
  near(about: { readonly middle: number; readonly logSpread: number }): number;
  /** True with the given probability. */
  chance(probability: number): boolean;
  pick<T>(weighted: readonly (readonly [T, number])[]): T;
}

/** Mulberry32: small, even, and the same everywhere. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const between: Random['between'] = ({ least, most }) => least + (most - least) * next();
  return {
    next,
    normal,
    between,
    overDecades: ({ least, most }) =>
      Math.exp(between({ least: Math.log(least), most: Math.log(most) })),
    near: ({ middle, logSpread }) => middle * Math.exp(logSpread * normal()),
    chance: (probability) => next() < probability,
    pick(weighted) {
      const total = weighted.reduce((sum, [, weight]) => sum + weight, 0);
      let left = next() * total;
      for (const [each, weight] of weighted) {
        left -= weight;
        if (left < 0) return each;
      }
      return weighted.at(-1)![0];
    },
  };
}
