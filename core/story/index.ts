export * from './variety';
export * from './simpler';
