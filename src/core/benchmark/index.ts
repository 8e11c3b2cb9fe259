/**
 * The engine measured on simulated units, against rivals: what `./ohmmeter bench` runs.
 *
 * @example
 * gasParts.some(({ name }) => name === 'gas-thermopile-engine') // true
 */

export { balancingReportOf } from './balancing-report';
export { balanceHouse, type BalancedHouse, type Balancer } from './balancing-study';
export { countContradictions } from './contradictions';
export { gasParts } from './gas-parts';
export { gasReportOf } from './gas-report';
export type { Part, UnitOutcome } from './part';
export { at90, parts } from './parts';
export { bestPossible, plannersCost, reduce } from './reduced-model';
export { reportOf, type Measured } from './report';
export { measureSpeed } from './speed';
export { benchedFamilies, familyParts } from './family-parts';
export { familyReportOf } from './family-report';
