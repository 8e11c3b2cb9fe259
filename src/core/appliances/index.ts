/**
 * Families of appliances as the rest of the house sees them: what each is made of lies in its folder.
 *
 * @example
 * const family = familyOf('electric-storage-two-element');
 * family.checks['supply-volts'].caution // 'live'
 * isWorkedDead(family) // true
 * isWorkedDead(familyOf('gas-storage-pilot')) // false
 */

export type * from './appliance-family';
export type * from './joint-reading';
export type * from './picture';
export * from './drawing';
export * from './family';
export * from './kit/access-step';
export * from './kit/limits';
export * from './kit/meters';
export * from './kit/names';
export * from './kit/parameters';
export * from './kit/plate-field';
export type * from './kit/setting';
export * from './kit/unit-state';
export { asLogged } from './kit/logged-water';
export { workLooks } from './kit/work-looks';
export * from './worked-dead';
export { isPlateError, PlateError } from './kit/plate-error';
export { familyList, loadFamily, type FamilyEntry } from './loaders';
export { familyOf, familyOfJob } from './registry';
