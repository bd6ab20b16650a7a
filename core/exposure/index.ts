export * from './equation';
export * from './series';
export * from './solve';
