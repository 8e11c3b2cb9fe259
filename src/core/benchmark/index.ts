export { countContradictions } from './contradictions';
export { at90, parts, type UnitOutcome } from './parts';
export { bestPossible, plannersCost, reduce } from './reduced-model';
export { reportOf, type Measured } from './report';
export { measureSpeed } from './speed';
