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
export * from './result';
export * from './stop';
export * from './tables';
export { partReadingSchool, readsPartsFirst, type UnreadPart } from './unread-part';
export { isWayOpen } from './before-it';
export { judgedQuantity } from './result';
