export * from './diagnose';
export { callEntryId, evidenceOf, observableOfReading } from './evidence';
