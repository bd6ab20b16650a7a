export * from './bytes';
