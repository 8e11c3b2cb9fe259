/**
 * Procedures: steps with their timers, what they need, what they leave in the logbook, and where each leads.
 *
 * @example
 * const flush = familyOf('gas-storage-pilot').procedures.find(({ id }) => id === 'flush');
 * const run = { run: 'r', procedure: 'flush', startedAt: '2026-01-05T08:00:00Z', marks: [{ step: 'heat-off', phase: 'done', at: '2026-01-05T08:01:00Z' }] };
 * positionOf(flush, run).step.id // 'hose'
 * clockWords(245) // '4:05'
 */

export type { Procedure, ProcedureStep } from './generated/procedure-types';
export * from './cautions';
export * from './finish-step';
export * from './fit-procedure';
export * from './holding';
export * from './position';
export * from './read-procedure';
export * from './timer';
