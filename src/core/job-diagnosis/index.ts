export * from './bench-answer';
export * from './carrying';
export * from './closing';
export * from './diagnose';
export * from './doubts';
export * from './evidence';
export * from './expect';
export * from './judge';
export * from './judged';
export * from './leading';
export * from './mind';
export * from './mistakes';
export type { Alternative, NextCheck } from './next-check';
export type { OpenDiagnosis } from './open-diagnosis';
export * from './picture';
export * from './proof';
export type { Recheck } from './recheck';
export * from './result';
export * from './tables';
export {
  isPartRead,
  partReadingSchool,
  readersOf,
  readsPartsFirst,
  type UnreadPart,
} from './unread-part';
