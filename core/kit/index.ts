export * from './camera';
export * from './types';
export * from './gear';
export * from './weight';
