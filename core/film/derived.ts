import type { Warning } from '../warnings';
import type { PlannedShot } from '../day';

/** A shot with everything worked out about it, and what is wrong with it. */
export interface DerivedShot extends PlannedShot {
  readonly warnings: readonly Warning[];
}
