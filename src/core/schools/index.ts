/**
 * Schools: where good practitioners disagree, both ways with their reasons.
 *
 * @example
 * wayOf(schools[0], undefined).id // 'read-first'
 * leftOutBy({ 'thermostat-proof': 'compare' }).has('thermostat-click') // true
 */

export * from './schools';
