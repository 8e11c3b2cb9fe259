/**
 * Units with faults, physics and numbers of their own, to be diagnosed in place of real ones.
 *
 * @example
 * seededRandom(1).next() === seededRandom(1).next() // true
 */

export * from './electric/one-element';
export * from './random';
export * from './registry';
export * from './simulated-family';
export * from './electric/two-element';
export * from './in-time/unit-in-time';
