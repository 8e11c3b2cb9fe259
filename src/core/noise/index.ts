/**
 * Noises located: causes ranked by the engine from sound, place and time.
 *
 * @example
 * locateNoise([], 'gas').isBegun // false
 * locateNoise([{ id: 'a', at: '2026-01-05T08:00:00Z', kind: 'observation', check: 'noise-sound', value: 'thump-at-start' }], 'gas').causes[0].id // 'late-ignition'
 */

export * from './locate';
export type { Fuel, NoiseCause } from './noise-model';
