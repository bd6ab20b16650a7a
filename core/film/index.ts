export * from './types';
export * from './preferences';
export * from './defaults';
export * from './derive';
export type { DerivedShot } from './derived';
export * from './explain';
export * from './variety';
export type { Lack, VarietyReading } from '../story';
export type { Cure, Severity, Warning } from '../warnings';
export { shotFacts, type ShotFacts } from './shot';
export { stillsOf, takesOf, windOf, type ShotEnergy } from './costs';
export {
  aimOf,
  easingOf,
  flyLayout,
  layoutOf,
  meanSpeedOf,
  secondsOf,
  type Layout,
  type ShotParts,
} from './layout';
export * from './solve';
export * from './board';
export * from './coverage';
export { suggestedSticks, type Hands } from './hands';
export * from './light';
export * from './minutes';
export { kitAlong, placeDay, type PlaceFacts, type TimedFlight } from './place';
export type { BudgetFacts } from './budget';
export { INTERNAL_SHARE, isUsed, type CardFacts, type FlightLoad, type PolicyCost } from './cards';
export type { Away } from './away';
export * from './track';
export * from './practice';
export * from './subject';
export { launchOf } from './launchPoint';
export * from './site';
export { frameOnGround } from './frame';
export { shadowsOf } from './shadow';
export * from './flights';
export { calibrationOf, flyable } from './learn';
export { inOrder } from '../units';
export type { FilmPlan, PlannedShot } from './plan';
