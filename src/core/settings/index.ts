/**
 * Settings sheets: parameters as data, rules between them with their reasons, and how soon water scalds.
 *
 * @example
 * Math.round(adultBurnSeconds(60)) // 5
 * storageParameters[0].id // 'household'
 */
export * from './parameter';
export type { RuleFinding, RulePart } from './rules';
export * from './scald';
export * from './sheet';
export * from './heating-curve';
export * from './curve-of-sheet';
export type { SystemSheetContext } from './system-rules';
