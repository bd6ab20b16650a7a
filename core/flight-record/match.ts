import type { TimedFlight } from '../day';
import { greatCircle } from '../geometry';
import type { FlightLogEntry, Location } from '../model';
import { recordFigures, type FlightRecord, type RecordFigures } from './record';

/** Flights a record could be of. */
export interface MatchCandidates {
  readonly locations: readonly Location[];
  /** Flights of the plan, by location. */
  readonly flights: readonly TimedFlight[];
  readonly log: readonly FlightLogEntry[];
}

/** What a record belongs to. */
export interface RecordMatch {
  readonly figures: RecordFigures;
  readonly location: Location | null;
  /** A flight that is in the log already. */
  readonly entry: FlightLogEntry | null;
  /** The planned flight it is nearest to; null where it was logged already, or nothing is near. */
  readonly flight: TimedFlight | null;
}

/** A record that begins farther than this from every location belongs to none, m. */
const NEAR_M = 3000;
/** Take-off times farther apart than this are other flights, ms. */
const SAME_LOG_MS = 5 * 60_000;
const SAME_PLAN_MS = 3 * 3_600_000;

const nearest = <T>(list: readonly T[], of: (t: T) => number, most: number): T | null => {
  let best: T | null = null;
  let least = most;
  for (const t of list) {
    const d = of(t);
    if (d <= least) [best, least] = [t, d];
  }
  return best;
};

/** Which location, logged flight or planned flight a record is of, by place and time; null where it has no figures. */
export const matchRecord = (record: FlightRecord, candidates: MatchCandidates): RecordMatch | null => {
  const figures = recordFigures(record);
  const start = record.points[0];
  if (!figures || !start) return null;
  const location = nearest(
    candidates.locations.filter((l) => l.placed),
    (l) => greatCircle(l, start),
    NEAR_M,
  );
  const apart = (utcMs: number): number => Math.abs(utcMs - figures.takeOffMs);
  const entry = nearest(candidates.log, (f) => apart(f.utcMs), SAME_LOG_MS);
  const flight =
    entry || !location
      ? null
      : nearest(
          candidates.flights.filter((f) => f.locationId === location.id),
          (f) => apart(f.startMs),
          SAME_PLAN_MS,
        );
  return { figures, location, entry, flight };
};
