export * from './search-words';
