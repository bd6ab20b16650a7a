import type { Unfit } from '../budget';
import type { Warning } from '../warnings';
import type { ShotLight } from './exposure';
import type { Hands } from './hands';
import type { ShotFacts } from './shot';

/** A shot with its costs, its light and what is wrong with it. */
export interface DerivedShot {
  /** Place on the whole list, from 1. */
  readonly number: number;
  readonly facts: ShotFacts;
  readonly light: ShotLight | null;
  readonly unfit: Unfit | null;
  readonly hands: Hands | null;
  readonly flightIndex: number | null;
  readonly warnings: readonly Warning[];
}
