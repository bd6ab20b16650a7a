import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';
import type { TimedFlight } from './location-flights';
import { inOrder } from '../units';
import type { FilmPlan } from './plan';
import type { FilmInput, FlightPlan } from '../model';
import type { FlightChange } from './flight-change';

const planOf = (flight: TimedFlight, position: string): FlightPlan => ({
  id: flight.id,
  locationId: flight.locationId,
  position,
  aircraftId: flight.aircraftId,
  launchId: flight.launch.id,
  packId: flight.packId,
  locked: false,
  notBefore: null,
  stops: flight.stops.map((s) => ({ shotId: s.shotId, pinned: s.pinned })),
});

/**
 * Lays a place's flights down as they are: what fell out of the list becomes something a person decided. Flights that are laid
 * down already stay as they are.
 */
export const layDown = (
  input: FilmInput,
  derived: FilmPlan,
  locationId: string,
): { flights: FlightPlan[]; changes: FlightChange[] } => {
  const place = derived.places.get(locationId);
  const own = new Map(input.flights.map((f) => [f.id, f]));
  const flown = place?.flights ?? [];
  const keys = generateNKeysBetween(null, null, flown.length);
  const flights = flown.map((f, i) => {
    const known = f.planId === null ? undefined : own.get(f.planId);
    return known ? { ...known, position: keys[i] ?? 'a0' } : planOf(f, keys[i] ?? 'a0');
  });
  return {
    flights,
    changes: flights
      .filter((f) => own.get(f.id)?.position !== f.position)
      .map((f) => ({ kind: 'flight', id: f.id, after: f })),
  };
};

/** Where a shot is to go: into a flight before one of its stops, or onto a pack as a flight of its own, or out of all. */
export type Goal =
  | { readonly to: 'flight'; readonly index: number; readonly at: number }
  | { readonly to: 'pack'; readonly packId: string }
  | { readonly to: 'list' };

const settled = (before: readonly FlightPlan[], after: readonly FlightPlan[]): FlightChange[] => {
  const known = new Map(before.map((f) => [f.id, f]));
  return [
    ...before
      .filter((f) => !after.some((a) => a.id === f.id))
      .map((f): FlightChange => ({ kind: 'flight', id: f.id, after: null })),
    ...after
      .filter((f) => known.get(f.id) !== f)
      .map((f): FlightChange => ({ kind: 'flight', id: f.id, after: f })),
  ];
};

type Stop = FlightPlan['stops'][number];

/** Puts a stop into a flight; null where that is another aircraft's, or locked. */
const intoFlight = (
  flights: readonly FlightPlan[],
  from: FlightPlan | undefined,
  stop: Stop,
  aircraftId: string,
  goal: Extract<Goal, { to: 'flight' }>,
): FlightPlan[] | null => {
  const target = flights[goal.index];
  if (!target || target.locked || target.aircraftId !== aircraftId) return null;
  const was = target.id === from?.id ? from.stops.findIndex((s) => s.shotId === stop.shotId) : -1;
  const at = was !== -1 && was < goal.at ? goal.at - 1 : goal.at;
  return flights.map((f) =>
    f === target ? { ...f, stops: [...f.stops.slice(0, at), stop, ...f.stops.slice(at)] } : f,
  );
};

/**
 * Moves a shot by hand: the place's flights are laid down as they are, with that one changed. A flight that is left empty goes.
 * @returns null where it cannot be: another aircraft, a locked flight
 */
export const moveShot = (
  input: FilmInput,
  derived: FilmPlan,
  shotId: string,
  goal: Goal,
  newId: () => string,
): FlightChange[] | null => {
  const facts = derived.shots.get(shotId)?.facts;
  if (!facts?.aircraft) return null;
  const {
    aircraft,
    location: { id: locationId },
  } = facts;
  const { flights } = layDown(input, derived, locationId);
  const from = flights.find((f) => f.stops.some((s) => s.shotId === shotId));
  if (from?.locked) return null;
  const stop: Stop = from?.stops.find((s) => s.shotId === shotId) ?? { shotId, pinned: false };
  const without = flights.map((f) =>
    f === from ? { ...f, stops: f.stops.filter((s) => s.shotId !== shotId) } : f,
  );
  const alone = (packId: string): FlightPlan => ({
    id: newId(),
    locationId,
    position: generateKeyBetween(without.at(-1)?.position ?? null, null),
    aircraftId: aircraft.id,
    launchId: facts.shot.launchId ?? facts.location.launchId,
    packId,
    stops: [{ ...stop, pinned: false }],
    locked: false,
    notBefore: null,
  });
  const next =
    goal.to === 'flight'
      ? intoFlight(without, from, stop, aircraft.id, goal)
      : goal.to === 'pack'
        ? [...without, alone(goal.packId)]
        : without;
  return (
    next &&
    settled(
      inOrder(input.flights.filter((f) => f.locationId === locationId)),
      next.filter((f) => f.stops.length > 0),
    )
  );
};

/** Changes one flight of a place, laying all of them down first. @param index as it is shown for the place */
export const editFlight = (
  input: FilmInput,
  derived: FilmPlan,
  locationId: string,
  index: number,
  edit: (flight: FlightPlan) => FlightPlan,
): FlightChange[] => {
  const { flights } = layDown(input, derived, locationId);
  const stored = inOrder(input.flights.filter((f) => f.locationId === locationId));
  return settled(
    stored,
    flights.map((f, i) => (i === index ? edit(f) : f)),
  );
};

/** Moves a flight before or after its neighbour. */
export const moveFlight = (
  input: FilmInput,
  derived: FilmPlan,
  locationId: string,
  index: number,
  by: -1 | 1,
): FlightChange[] => {
  const { flights } = layDown(input, derived, locationId);
  const other = index + by;
  const [a, b] = [flights[index], flights[other]];
  if (!a || !b) return [];
  const stored = inOrder(input.flights.filter((f) => f.locationId === locationId));
  return settled(
    stored,
    flights.map((f) =>
      f === a ? { ...a, position: b.position } : f === b ? { ...b, position: a.position } : f,
    ),
  );
};

/** Lets go of what was laid down at a place: its shots fall onto packs in list order again. Locked flights stay. */
export const letGo = (input: FilmInput, locationId: string): FlightChange[] =>
  input.flights
    .filter((f) => f.locationId === locationId && !f.locked)
    .map((f) => ({ kind: 'flight', id: f.id, after: null }));
