/**
 * Repair or replace: what keeping a heater costs over the years ahead, beside a new one.
 *
 * @example
 * tankDies(0, 12, 12).toFixed(2) // '0.50'
 */

export * from './repair-or-replace';
