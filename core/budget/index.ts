export * from './flight';
export * from './fill';
