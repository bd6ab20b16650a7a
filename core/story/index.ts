export * from './variety';
export * from './simpler';
export * from './usage';
export * from './board';
export * from './coverage';
