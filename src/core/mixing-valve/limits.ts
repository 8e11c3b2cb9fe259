/** Where hot water comes out, and by which rule its limit is taken. */
export type Outlet = 'bath' | 'basin' | 'shower' | 'kitchen';
export type LimitRule = 'tmv2' | 'document-g' | 'own';

export interface OutletLimit {
  readonly celsius: number;
  readonly source: string;
}

/** Limits by outlet of each rule set, °C: TMV2 and Approved Document G, from memory. */
const limits: Readonly<Record<Exclude<LimitRule, 'own'>, Partial<Record<Outlet, OutletLimit>>>> = {
  tmv2: {
    bath: { celsius: 44, source: 'TMV2, from memory' },
    basin: { celsius: 41, source: 'TMV2, from memory' },
    shower: { celsius: 41, source: 'TMV2, from memory' },
  },
  'document-g': { bath: { celsius: 48, source: 'Approved Document G, from memory' } },
};

/** The highest limit that a firm may set of its own for a house without anybody frail, °C. Common practice. */
export const mostOwnCelsius = 55;
/** Where a rule says nothing of an outlet. Common practice. */
const usualOwn: OutletLimit = { celsius: 48, source: 'common practice' };

/** The limit of an outlet. With anybody small, old or frail in the house the strictest that is written of that outlet. */
export function outletLimit(
  outlet: Outlet,
  rule: LimitRule,
  { ownCelsius, isFrail }: { readonly ownCelsius?: number; readonly isFrail: boolean },
): OutletLimit {
  const own =
    ownCelsius === undefined ? usualOwn : { celsius: ownCelsius, source: 'the firm’s own' };
  const chosen = rule === 'own' ? own : (limits[rule][outlet] ?? own);
  if (!isFrail) return chosen;
  const strict = limits.tmv2[outlet] ?? limits.tmv2.basin!;
  return strict.celsius < chosen.celsius ? strict : chosen;
}
