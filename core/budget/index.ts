export * from './flights';
