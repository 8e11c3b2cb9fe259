/**
 * What comes due on a unit, counted from what its logbooks say.
 *
 * @example
 * monthsAfter('2025-08-31T00:00:00.000Z', 6).toISOString() // '2026-02-28T00:00:00.000Z'
 */

export * from './due';
export * from './history';
export * from './installed';
export * from './intervals';
export * from './last-served';
