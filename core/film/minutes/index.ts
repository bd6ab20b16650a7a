export * from './job';
export * from './window';
export * from './rules';
export * from './place';
export * from './plan';
export * from './setup';
export * from './days';
export * from './hour';
