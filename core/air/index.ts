export * from './density';
export * from './wind';
