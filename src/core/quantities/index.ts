export * from './units';
export * from './format';
export * from './parse';
