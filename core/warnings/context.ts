import type { Unfit } from '../budget';
import type { Warning } from './types';
import type { PilotSkill, ShotLight, ShotFacts } from '../shot';
import type { FlightFilter, LocationPlan } from '../day';

/** A shot with its place in the day: what a rule looks at. */
export interface ShotContext {
  readonly facts: ShotFacts;
  readonly place: LocationPlan;
  readonly light: ShotLight | null;
  readonly filter: FlightFilter | null;
  readonly unfit: Unfit | null;
  readonly hands: PilotSkill | null;
}

/** One thing worth warning about on a shot. One file each or a small family, registered in one list. */
export type ShotRule = (context: ShotContext) => Warning | null;

export type LocationRule = (place: LocationPlan, shots: readonly ShotFacts[]) => Warning | null;

export const onShot = (context: ShotContext): { kind: 'shot'; id: string } => ({
  kind: 'shot',
  id: context.facts.shot.id,
});
