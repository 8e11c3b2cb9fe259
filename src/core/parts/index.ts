/**
 * New parts held against the unit that they go into.
 *
 * @example
 * const watts = { kind: 'number', says: 'watt', label: 'Watts', quantity: 'power', rule: 'equal', wanted: 4500, why: 'It heats otherwise.' };
 * mismatches([watts], { watt: { watt: 4500 } }) // []
 * mismatches([watts], { watt: { watt: 5500 } }).length // 1
 */

export * from './match';
