export * from './clock';
export * from './sun';
export * from './windows';
export * from './scene';
export * from './sky';
export * from './against';
