export * from './one-element';
export * from './random';
export * from './registry';
export * from './simulated-family';
export * from './two-element';
export * from './unit';
