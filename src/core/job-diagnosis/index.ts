export * from './diagnose';
export * from './expect';
export * from './picture';
export * from './proof';
export { callEntryId } from './evidence';
