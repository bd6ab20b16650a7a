export * from './scene';
export * from './task';
export * from './shot';
export * from './filters';
export * from './weight';
