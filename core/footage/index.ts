export * from './ramp';
export * from './captured';
export * from './takes';
export * from './still';
