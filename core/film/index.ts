export * from './types';
export * from './defaults';
export * from './derive';
export * from './explain';
export type { ShotFacts, ShotEnergy } from './shot';
export { easingOf, windOf } from './shot';
export { BARE, type ShotLight } from './exposure';
export type { PlaceFacts, TimedFlight } from './place';
export type { BudgetFacts } from './budget';
