/** A lockshield of the common half-inch angle pattern. Common practice: nearly all of its authority lies in the first turn. */

/** Flow that it lets through fully open, m³/h at one bar. */
const kvsCubicMetrePerHour = 1.5;
/** Turns in which the better part of that is reached. */
export const usualTurnsToOpen = 2.5;
/** Turns from shut in which nothing happens yet. */
const deadTurns = 0.07;
/** What a gently seated valve still lets by. */
const leastKv = 1e-3;

/** Fully open: further turns change nothing. */
export const openTurns = 4;

/**
 * Flow through a lockshield, m³/h at one bar.
 * @param turns From shut.
 * @param turnsToOpen How gently it opens: 2.5 turns, by a quarter more or less.
 */
export function kvAt(turns: number, turnsToOpen = usualTurnsToOpen): number {
  const opened = Math.max(0, turns - deadTurns);
  return Math.max(leastKv, kvsCubicMetrePerHour * (1 - Math.exp(-opened / turnsToOpen)));
}

/** How that moves with the logarithm of how gently it opens. */
export function kvSlopeByTurnsToOpen(turns: number, turnsToOpen: number): number {
  const opened = Math.max(0, turns - deadTurns) / turnsToOpen;
  const isShut = kvAt(turns, turnsToOpen) <= leastKv;
  return isShut ? 0 : -kvsCubicMetrePerHour * Math.exp(-opened) * opened;
}

/** Turns that a key is set to, from shut; the last is open. */
export const keySteps = [
  0.12,
  0.18,
  0.25,
  0.31,
  0.375,
  0.44,
  0.5,
  0.625,
  0.75,
  1,
  1.25,
  1.5,
  2,
  2.5,
  3,
  openTurns,
] as const;
