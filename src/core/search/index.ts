/**
 * Words by which a job is found.
 *
 * @example
 * searchWords('12 Mill Lane', 'A-77') // ['12', 'mill', 'lane', 'a', '77', 'a77']
 */

export * from './search-words';
