export * from './random';
export * from './unit';
export { faultWeights } from './faults';
