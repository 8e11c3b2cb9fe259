/** Simulated houses of radiators, for benchmarks and tests: pipes, radiators and paint of their own. */
export * from './house';
export * from './thermometer';
export { houseNumbers } from './numbers';
