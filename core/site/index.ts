export * from './kinds';
export * from './feature';
export * from './spots';
export * from './measure';
export * from './pins';
