/**
 * Quantities and their units: how they are typed, kept and shown.
 *
 * @example
 * parseReading('54,4', { quantity: 'temperature', system: 'metric' }) // { kind: 'value', value: 54.4 }
 * parseReading('130 F', { quantity: 'temperature', system: 'metric' }).value.toFixed(1) // '54.4'
 */

export * from './units';
export * from './kept';
export * from './format';
export * from './parse';
export { quantityTable } from './quantity-table';
