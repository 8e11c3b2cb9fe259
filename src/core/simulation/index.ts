export * from './random';
export * from './unit';
