export * from './kinds';
export * from './feature';
export * from './pins';
