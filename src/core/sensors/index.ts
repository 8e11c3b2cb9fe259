/**
 * Temperature sensors by their ohms: curves as data, what is right at a temperature, what a reading says, and drift from two.
 *
 * @example
 * Math.round(ohmAt({ kind: 'beta', ohm25: 10_000, betaKelvin: 3977 }, 50)) // 3563
 * Math.round(ohmAt({ kind: 'platinum', ohm0: 1000 }, 100)) // 1385
 */
export * from './curve';
export * from './judge';
export * from './sheet';
export * from './types';
