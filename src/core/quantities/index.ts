export * from './units';
export * from './kept';
export * from './format';
export * from './parse';
export { quantityTable } from './quantity-table';
