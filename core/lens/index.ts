export * from './aspect';
export * from './view';
export * from './framing';
export * from './project';
export * from './focus';
