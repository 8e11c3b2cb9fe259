export * from './electric/one-element';
export * from './random';
export * from './registry';
export * from './simulated-family';
export * from './electric/two-element';
