export * from './types';
export * from './registry';
export * from './sheet';
export * from './go';
export * from './order';
export * from './bag';
export { livingCards, readerMBs, toCopy, type LivingCard } from './checks/cards';
