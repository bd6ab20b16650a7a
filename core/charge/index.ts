export * from './curve';
export * from './day';
export * from './evening';
