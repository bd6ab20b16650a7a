import type { Unfit } from '../budget';
import type { Warning } from '../warnings';
import type { FlightFilter, ShotLight } from './light';
import type { Hands } from './hands';
import type { ShotFacts } from './shot';

/** A shot with its costs, its light and what is wrong with it. */
export interface DerivedShot {
  /** Place on the whole list, from 1. */
  readonly number: number;
  readonly facts: ShotFacts;
  readonly light: ShotLight | null;
  /** What its flight is flown with; null where it is in none. */
  readonly filter: FlightFilter | null;
  readonly unfit: Unfit | null;
  readonly hands: Hands | null;
  readonly flightIndex: number | null;
  /** In the can by a logged flight. */
  readonly done: boolean;
  readonly warnings: readonly Warning[];
}
