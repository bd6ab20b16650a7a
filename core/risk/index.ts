export * from './types';
export * from './simulate';
