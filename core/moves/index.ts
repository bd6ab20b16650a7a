export * from './pose';
export * from './types';
export { initialValues } from './parameters';
export * from './registry';
export * from './flown';
export * from './fit';
