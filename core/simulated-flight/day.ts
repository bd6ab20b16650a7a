import { logFlight, plannedFigures, type FilmPlan, type LocationPlan, type TimedFlight } from '../day';
import {
  newRow,
  TAKE_REASONS,
  type Film,
  type FlightLogEntry,
  type Kit,
  type Pack,
  type Take,
} from '../model';
import { clockText } from '../time';
import { ownAir, type OwnAir } from './own-air';
import { simulateFlight, type Nature, type SimulatedFlight } from './simulate';

/** What flights leave behind that the simulated aircraft flew. */
export interface SimulatedDay {
  readonly takes: readonly Take[];
  readonly flights: readonly FlightLogEntry[];
}

/** What the rows of a flight are made with. */
export interface SimulatedRows {
  readonly derived: FilmPlan;
  readonly place: LocationPlan;
  readonly pack: Pack;
  readonly aircraft: Kit['aircraft'];
  /** The air it was flown in, which the log reads at 10 m; null where it was that of the plan. */
  readonly air: OwnAir | null;
  readonly filmId: string;
  /** Even draws from 0 to 1. */
  readonly random: () => number;
  readonly newId: () => string;
}

/** Takes and log of one flown flight, as a pilot would write them, each marked as simulated. */
export const rowsOfFlight = (
  flown: SimulatedFlight,
  flight: TimedFlight,
  { derived, place, pack, aircraft, air, filmId, random, newId }: SimulatedRows,
): SimulatedDay => {
  const takes = flown.takes.map((t): Take =>
    newRow('take', {
      id: newId(),
      locationId: place.location.id,
      shotId: t.shotId,
      utcMs: Math.round(flight.startMs + t.endS * 1000),
      rating: t.good ? 'good' : random() < 0.4 ? 'maybe' : 'no-good',
      reason: t.good ? null : (TAKE_REASONS[Math.floor(random() * 5)] ?? null),
      aircraftId: flight.aircraftId,
      packId: flight.packId,
      simulated: true,
    }),
  );
  const report = {
    filmId,
    flightId: flight.id,
    aircraftId: flight.aircraftId,
    takeOff: clockText(flight.startMs, place.location.zone),
    minutes: Math.round(flown.seconds / 6) / 10,
    ...plannedFigures(flight, aircraft, derived.shots),
    windMs: air && Math.round(air.real.speedAt10mMs * 10) / 10,
    startShare: flown.startShare,
    endShare: flown.endShare,
    temperatureC: place.location.temperatureC,
    outcome: 'as-planned' as const,
    condition: 'sound' as const,
    shotIds: takes.filter((t) => t.rating === 'good').map((t) => t.shotId),
    notes: '',
  };
  const flights = logFlight(report, pack, place.location, null, newId()).flatMap((row) =>
    row.kind === 'flightLogEntry' ? [{ ...(row.after as FlightLogEntry), simulated: true }] : [],
  );
  return { takes, flights };
};

/**
 * Flies every planned flight of some locations, and writes takes and log as a pilot would.
 * @param nature of the aircraft and who flies it @param random even draws from 0 to 1 @param newId of each row
 */
export const simulateDay = (
  derived: FilmPlan,
  places: readonly LocationPlan[],
  kit: Pick<Kit, 'aircraft' | 'packs' | 'filters'>,
  film: Film,
  nature: Nature,
  random: () => number,
  newId: () => string,
): SimulatedDay => {
  const days = places.flatMap((place) =>
    place.flights.flatMap((flight) => {
      const pack = kit.packs.find((p) => p.id === flight.packId);
      if (!pack) return [];
      const air = ownAir(film, kit, place.location, flight, nature);
      const flown = simulateFlight(derived, flight, nature, random, air);
      const made = { derived, place, pack, aircraft: kit.aircraft, air, filmId: film.id, random, newId };
      return [rowsOfFlight(flown, flight, made)];
    }),
  );
  return { takes: days.flatMap((d) => d.takes), flights: days.flatMap((d) => d.flights) };
};
