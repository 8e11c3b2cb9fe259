export * from './model';
export * from './compile';
export * from './belief';
export * from './plan';
export * from './explain';
