export * from './types';
export * from './exact';
export * from './day';
export * from './search';
export * from './check';
