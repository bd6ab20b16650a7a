export * from './types';
export * from './exact';
export * from './search';
export * from './check';
