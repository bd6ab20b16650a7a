export * from './sight';
export * from './tilt';
export * from './ring';
export * from './solid';
export * from './clearance';
export * from './hidden';
export * from './home';
export * from './drift';
