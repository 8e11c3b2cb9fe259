/**
 * Radiators balanced by their surfaces: the network of a house is fitted from readings, the next lockshields are ranked, and what
 * every other radiator will do is told beforehand, with its spread.
 *
 * @example
 * Math.round(kvAt(1) * 100) / 100 // 0.47
 * usualBandKelvin // 5
 */

export * from './advice';
export * from './branches';
export * from './fit';
export * from './house';
export * from './lockshield';
export * from './named';
export * from './next-moves';
export * from './predict';
export * from './radiator';
export * from './session';
export * from './surface';
