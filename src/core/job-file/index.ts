/**
 * The open format of a job: read, checked, and folded into what stands.
 *
 * @example
 * const { catalogue } = familyOf('gas-storage-pilot');
 * foldEntries([], catalogue).lifted // []
 * pointerPart('a/b') // 'a~1b'
 */

export * from './generated/job-types';
export * from './as-seen-by';
export * from './catalogue';
export * from './clocks';
export * from './closed';
export * from './corrections';
export * from './in-order';
export { complaintProblems, entryProblems, plateProblems } from './entry-problems';
export * from './fold';
export * from './for-person';
export { isAnybodyThere, type ProofEnd } from './isolation';
export * from './log-places';
export * from './logs';
export * from './long-logbook';
export * from './permitted-work';
export { pointerPart, type JobFileProblem } from './problem';
export * from './proof-of-dead';
export * from './quantity';
export * from './gaps';
export * from './runs';
export * from './wire-map';
export { currentVersion } from './migrations';
export * from './read';
export * from './running-fold';
export { distinct, inWords, lineOf } from './schema-words';
export { soundProblems } from './sound';
export type * from './services';
export * from './state';
export { isTimeZone } from './time-zone';
