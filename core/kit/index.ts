export * from './types';
export * from './weight';
