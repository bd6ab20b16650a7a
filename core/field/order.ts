import type { LocationPlan } from '../day';

/** A shot in the order it is flown on a day. */
export interface FieldStop {
  readonly shotId: string;
  readonly locationId: string;
  /** Flight at its location, from 0; null where it is in none. */
  readonly flightIndex: number | null;
  readonly flightId: string | null;
  readonly startMs: number | null;
}

/**
 * Shots of a day in the order they are flown: by location, flight and stop, then those no flight carries.
 * @param locations plans of one date in the order they are come to
 */
export const fieldOrder = (locations: readonly LocationPlan[]): FieldStop[] => [
  ...locations.flatMap((l) =>
    l.flights.flatMap((f, flightIndex) =>
      f.stops.map(({ shotId }) => ({
        shotId,
        locationId: l.location.id,
        flightIndex,
        flightId: f.id,
        startMs: f.shotMs[shotId] ?? f.startMs,
      })),
    ),
  ),
  ...locations.flatMap((l) =>
    l.fill.unfit.map(({ shotId }) => ({
      shotId,
      locationId: l.location.id,
      flightIndex: null,
      flightId: null,
      startMs: null,
    })),
  ),
];

/** The shot to fly next: the first that is not done, from the one in hand on, then from the top. */
export const nextStop = (
  order: readonly FieldStop[],
  done: ReadonlySet<string>,
  afterId: string,
): FieldStop | null => {
  const at = order.findIndex((s) => s.shotId === afterId);
  const turned = [...order.slice(at + 1), ...order.slice(0, Math.max(0, at))];
  return turned.find((s) => !done.has(s.shotId)) ?? null;
};
