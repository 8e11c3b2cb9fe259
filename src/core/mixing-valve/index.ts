/**
 * Mixing valves on stored hot water: what leaves one by the balance of energy, the limits of outlets, and what the next eighth of
 * a turn will do.
 *
 * @example
 * mixedFrom({ setCelsius: 47, mostHotShare: 0.97 }, 60, 10) // 47
 * Math.round(litresAtOutlet(200, 50, 10, 47)) // 195
 * outletLimit('bath', 'document-g', { isFrail: true }).celsius // 44
 */

export {
  disinfectionCelsius,
  failSafeKelvin,
  litresAtOutlet,
  mixedFrom,
  usualMostHotShare,
  type ValveState,
} from './mixed-water';
export {
  mostOwnCelsius,
  outletLimit,
  type LimitRule,
  type Outlet,
  type OutletLimit,
} from './limits';
export {
  mixingAdvice,
  type MixingAdvice,
  type MixingEnd,
  type MixingFigures,
  type MixingFinding,
  type MixingPlan,
  type MixingReading,
  type NextTurn,
} from './steps';
export { mixingReadingProblem } from './reading-problem';
export { mixingSession, type MixingSession, type MixingStep } from './session';
