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
export { mixingSession, type MixingSession, type MixingStep } from './session';
