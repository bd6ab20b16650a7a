export * from './power';
export * from './pack';
export * from './calibrate';
export * from './leg';
export * from './path';
