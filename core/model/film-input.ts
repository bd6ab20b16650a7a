import type { Ground } from '../terrain';
import type { Answer } from './check';
import type { Feature } from './feature';
import type { Film } from './film';
import type { FlightPlan } from './flight';
import type { GroundShot } from './ground-shot';
import type { Kit } from './kit';
import type { Location, Reading } from './location';
import type { Shot } from './shot';
import type { Subject } from './subject';
import type { Take } from './take';

/** A film with everything its plan is worked out from. */
export interface FilmInput {
  readonly film: Film;
  readonly locations: readonly Location[];
  readonly subjects: readonly Subject[];
  readonly shots: readonly Shot[];
  readonly readings: readonly Reading[];
  /** What is drawn on the maps of the locations. */
  readonly features: readonly Feature[];
  /** Flights a person decided; shots in none are put on packs in list order after them. */
  readonly flights: readonly FlightPlan[];
  readonly answers: readonly Answer[];
  readonly takes: readonly Take[];
  /** What the cut needs from the ground. */
  readonly groundShots: readonly GroundShot[];
  /** Ground by location, where a height grid is known; elsewhere it is taken as level. */
  readonly terrain?: ReadonlyMap<string, Ground>;
  readonly kit: Kit;
}
