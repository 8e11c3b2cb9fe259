/**
 * What a job's temperatures tell: by themselves, under each leading suspect, and of its repair.
 *
 * @example
 * const unit = { family: 'electric-storage-two-element', plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } } };
 * const answer = temperatureAnswer({ format: 'ohmmeter-job', version: 1, job: { id: '018f0000-0000-7000-8000-000000000001' }, unit, entries: [] });
 * answer.courses // []
 * answer.explanations.length // 4
 */
export { knownCelsiusOf } from './known-temperatures';
export type { LogFacts } from './log-facts';
export type { ProofLevel, ProofRun } from './proof-run';
export { temperatureAnswer } from './temperature-answer';
export type { Explanation, TemperatureAnswer } from './temperature-answer';
