export * from './pose';
export * from './types';
export { initialValues } from './parameters';
export * from './registry';
export * from './flown';
export * from './fit';
export * from './timing';
export * from './combine';
export * from './solve';
