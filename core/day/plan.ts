import type { Unfit } from '../budget';
import type { ChargeRun } from '../charge';
import type { PilotSkill, ShotLight, ShotFacts } from '../shot';
import type { FlightFilter } from './flight-filters';
import type { LocationPlan } from './location-flights';

/** A shot with its costs, its light and its flight. */
export interface PlannedShot {
  /** Place on the whole list, from 1. */
  readonly number: number;
  readonly facts: ShotFacts;
  readonly light: ShotLight | null;
  /** What its flight is flown with; null where it is in none. */
  readonly filter: FlightFilter | null;
  readonly unfit: Unfit | null;
  /** What the film's pilot brings to it. */
  readonly hands: PilotSkill | null;
  readonly flightIndex: number | null;
  /** Recorded by a logged flight. */
  readonly done: boolean;
}

/** Shots and flights of a whole film as they are planned. */
export interface FilmPlan<S extends PlannedShot = PlannedShot> {
  readonly shots: ReadonlyMap<string, S>;
  /** Ids of the shots in list order. */
  readonly order: readonly string[];
  readonly places: ReadonlyMap<string, LocationPlan>;
  /** Packs on chargers between flights, by date. */
  readonly charges: ReadonlyMap<string, readonly ChargeRun[]>;
  /** Shots that are recorded. */
  readonly done: ReadonlySet<string>;
}
