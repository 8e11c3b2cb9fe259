export * from './generated/job-types';
export * from './catalogue';
export * from './fold';
export * from './read';
