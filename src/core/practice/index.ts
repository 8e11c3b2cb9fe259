export * from './run-job';
