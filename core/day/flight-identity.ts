import type { Flight } from '../budget';
import { parse, v5 } from 'uuid';

/** Ids of flights are made from this and from where they stand. */
const NAMESPACE = parse('3f1c9a52-6d0e-4b7c-9f58-2f4f0c1d7be4');

/**
 * Id of the nth flight of an aircraft at a location that follows from list order alone. It is the same whatever shots it flies
 * and in whatever order, so that answers and log entries stay with it. UUID version 5 (RFC 9562).
 * @param n from 0
 */
export const listFlightId = (locationId: string, aircraftId: string, n: number): string =>
  v5(`${locationId}/${aircraftId}/${n}`, NAMESPACE);

/**
 * Ids of the flights of a location, in their order: its own for a flight a person decided; for one that follows from list order
 * the first number of its aircraft that no decided and no logged flight has.
 * @param taken ids of all decided and all logged flights
 */
export const flightIds = (
  flights: readonly Pick<Flight, 'planId' | 'aircraftId'>[],
  locationId: string,
  taken: ReadonlySet<string>,
): string[] => {
  const next = new Map<string, number>();
  return flights.map(({ planId, aircraftId }) => {
    if (planId !== null) return planId;
    for (let n = next.get(aircraftId) ?? 0; ; n += 1) {
      const id = listFlightId(locationId, aircraftId, n);
      if (taken.has(id)) continue;
      next.set(aircraftId, n + 1);
      return id;
    }
  });
};

/** A flight as far as telling whether another one takes its place goes. */
interface Comparable {
  readonly id: string;
  readonly aircraftId: string;
  readonly stops: readonly { readonly shotId: string }[];
}

/**
 * Which flights take the place of which: each new flight continues the old one of its aircraft with which it shares most shots,
 * most shared first; an old flight is continued once.
 * @returns id of the old flight for each new one, null where it continues none
 */
export const continuedIds = (
  old: readonly Comparable[],
  fresh: readonly Omit<Comparable, 'id'>[],
): (string | null)[] => {
  const pairs = fresh.flatMap((f, index) => {
    const shots = new Set(f.stops.map((s) => s.shotId));
    return old
      .filter((o) => o.aircraftId === f.aircraftId)
      .map((o) => ({ index, id: o.id, shared: o.stops.filter((s) => shots.has(s.shotId)).length }))
      .filter((p) => p.shared > 0);
  });
  pairs.sort((a, b) => b.shared - a.shared || a.index - b.index);
  const ids: (string | null)[] = fresh.map(() => null);
  const used = new Set<string>();
  for (const { index, id } of pairs) {
    if (ids[index] !== null || used.has(id)) continue;
    ids[index] = id;
    used.add(id);
  }
  return ids;
};
