import type { UnfitReason } from '../budget';
import type { WindTooStrong } from '../energy';
import type { LightDay } from '../light';
import type { Warning } from './types';
import type { PilotSkill, ShotLight, ShotFacts } from '../shot';
import type { FlightFilter, LocationPlan } from '../day';

/** A shot with its place in the day: what a rule looks at. */
export interface ShotContext {
  readonly facts: ShotFacts;
  /** Light of the location's day, and when its window closes, UTC ms. */
  readonly dayLight: LightDay | null;
  readonly windowToMs: number;
  readonly light: ShotLight | null;
  readonly filter: FlightFilter | null;
  /** Why it is in no flight, and how much energy it lacks, Wh; null where it is in one. */
  readonly unfitReason: UnfitReason | null;
  readonly shortWh: number;
  /** What the wind is too strong by, where it keeps the shot out. */
  readonly unfitWind: WindTooStrong | null;
  readonly hands: PilotSkill | null;
}

/** One thing worth warning about on a shot. One file each or a small family, registered in one list. */
export type ShotRule = (context: ShotContext) => Warning | null;

export type LocationRule = (place: LocationPlan, shots: readonly ShotFacts[]) => Warning | null;

export const onShot = (context: ShotContext): { kind: 'shot'; id: string } => ({
  kind: 'shot',
  id: context.facts.shot.id,
});
