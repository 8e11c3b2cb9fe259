/**
 * Settings sheets: parameters as data, rules between them with their reasons, and how soon water scalds.
 *
 * @example
 * Math.round(adultBurnSeconds(60)) // 5
 * storageRules.map(({ id }) => id)[0] // 'dials-equal'
 */
export * from './parameter';
export {
  ruleFindings,
  storageRules,
  type RuleFinding,
  type RulePart,
  type SheetContext,
} from './rules';
export * from './scald';
export * from './sheet';
