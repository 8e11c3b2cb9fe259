import type { Random } from '../random';
import type { SimulatedTank } from './simulated-tank';

/** What somebody who showers has of a heater, beside what they had while it was good. */
export interface LivedWater {
  readonly firstCelsius: number;
  readonly hotMinutes: number;
  readonly usualMinutes: number;
  /** Until most of the heat is back. */
  readonly againMinutes: number;
  readonly usualAgainMinutes: number;
}

/** How people shower and what they put up with: numbers of their own, from common practice. */
export const householdNumbers = {
  litrePerMinute: { least: 6, most: 10.5 },
  wantedCelsius: { least: 38.5, most: 41 },
  /** They get out when it is so much colder than they want it. */
  tooColdKelvin: 2.5,
  longestMinutes: 45,
  /** A share of the usual shower at which they say that it runs out. */
  shortShare: { least: 0.55, most: 0.85 },
  /** So many times the usual wait at which they say that it is slow. */
  longWait: { least: 1.25, most: 1.9 },
  /** Hot water below this is called lukewarm. */
  lukewarmBelow: { least: 39, most: 46 },
  /** How much more is drawn where use has grown. */
  grownUse: { least: 1.6, most: 2.6 },
} as const;

/** A tank with its controls, to be drawn of. */
export interface DrawnTank {
  readonly tank: SimulatedTank;
  advance(seconds: number, litrePerMinute: number): void;
}

/** One long shower, and the wait after it. */
export function showerOf(
  drawn: DrawnTank,
  {
    litrePerMinute,
    wantedCelsius,
  }: { readonly litrePerMinute: number; readonly wantedCelsius: number },
): { readonly firstCelsius: number; readonly hotMinutes: number; readonly againMinutes: number } {
  const { tank } = drawn;
  const { tooColdKelvin, longestMinutes } = householdNumbers;
  const firstCelsius = tank.outletCelsius(litrePerMinute);
  const full = tank.heat();
  let seconds = 0;
  while (seconds < longestMinutes * 60) {
    const outlet = tank.outletCelsius(litrePerMinute);
    if (outlet < wantedCelsius - tooColdKelvin) break;
    const share =
      outlet > wantedCelsius ? (wantedCelsius - tank.coldCelsius) / (outlet - tank.coldCelsius) : 1;
    drawn.advance(15, litrePerMinute * share);
    seconds += 15;
  }
  const empty = tank.heat();
  let wait = 0;
  while (wait < 3 * 3600 && tank.heat() < empty + 0.7 * (full - empty)) {
    drawn.advance(60, 0);
    wait += 60;
  }
  return { firstCelsius, hotMinutes: seconds / 60, againMinutes: wait / 60 };
}

/** The word for it, if it is the water that somebody complains of; undefined where nobody would. */
export function saidOfWater(lived: LivedWater, random: Random): string | undefined {
  const { shortShare, longWait, lukewarmBelow } = householdNumbers;
  const { firstCelsius, hotMinutes, usualMinutes, againMinutes, usualAgainMinutes } = lived;
  if (firstCelsius < 28) return 'no-hot-water';
  const isCool = firstCelsius < random.between(lukewarmBelow);
  const isShort = hotMinutes < usualMinutes * random.between(shortShare);
  const isSlow = againMinutes > usualAgainMinutes * random.between(longWait);
  if (isCool) return random.chance(0.8) ? 'lukewarm' : isShort ? 'runs-out' : 'slow';
  if (isShort) {
    if (isSlow && random.chance(0.35)) return 'slow';
    return random.chance(0.75) ? 'runs-out' : random.chance(0.6) ? 'lukewarm' : 'no-hot-water';
  }
  if (isSlow) return random.chance(0.65) ? 'slow' : 'runs-out';
  return undefined;
}
