export * from './bytes';
export * from './assign';
export * from './life';
export * from './offload';
export * from './naming';
