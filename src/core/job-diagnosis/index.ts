/**
 * The engine put to a job: its logbook as evidence, suspects, next check, proof and picture.
 *
 * @example
 * const unit = { family: 'electric-storage-two-element', plate: { rated: { volt: 240 }, elements: { upper: { watt: 4500 }, lower: { watt: 4500 } } } };
 * const job = { format: 'ohmmeter-job', version: 1, job: { id: '018f0000-0000-7000-8000-000000000001' }, unit, complaint: { kind: 'no-hot-water', answers: {} }, entries: [] };
 * const { answer } = diagnoseJob(job, { depth: 'one-step' });
 * answer.suspects.length > 3 // true
 * answer.decided // false
 */

export * from './answer-for';
export * from './bench-answer';
export * from './carrying';
export * from './closing';
export * from './diagnose';
export * from './doubts';
export * from './evidence';
export * from './expect';
export * from './judge';
export * from './judged';
export * from './joint-verdicts';
export * from './leading';
export * from './mind';
export type { Alternative, NextCheck } from './next-check';
export type { OpenDiagnosis } from './open-diagnosis';
export * from './picture';
export type {
  PathState,
  PictureSetting,
  PictureState,
  SuspectedPart,
  SymbolState,
  TerminalState,
} from '../appliances';
export type { GoodReading } from '../diagnosis';
export * from './proof';
export type { Recheck } from './recheck';
export * from './report-answer';
export * from './result';
export * from './stop';
export * from './table-pack';
export * from './tables';
export { partReadingSchool, type UnreadPart } from './unread-part';
export { isWayOpen } from './before-it';
export { judgedQuantity } from './result';
