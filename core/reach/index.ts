export * from './sight';
export * from './tilt';
