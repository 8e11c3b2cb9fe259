/**
 * Flue gas: what an analysis means. Excess air, Siegert's loss, carbon monoxide without air, what condenses, limits with their
 * sources, and patterns with what they point to.
 *
 * @example
 * Math.round(flueLossPercent(fuels['natural-gas'], 3, 180, 20) * 100) / 100 // 7.31
 * Math.round(airFree(50, 9) * 10) / 10 // 87.8
 */
export * from './analysis';
export * from './burner-sheet';
export * from './condensing';
export * from './excess-air';
export * from './fuel';
export * from './judge';
export * from './limits';
export * from './patterns';
