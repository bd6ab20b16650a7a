export * from './bytes';
export * from './assign';
