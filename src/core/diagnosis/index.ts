export * from './access';
export * from './belief';
export * from './compile';
export * from './danger';
export * from './explain';
export * from './model';
export type { PackedTable } from './packed-table';
export * from './plan';
export type { Outlook } from './rollout';
