export * from './power';
export * from './pack';
export * from './leg';
export * from './path';
