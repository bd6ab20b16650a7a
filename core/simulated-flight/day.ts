import { logFlight, plannedFigures, type FilmPlan, type LocationPlan, type TimedFlight } from '../day';
import { newRow, TAKE_REASONS, type FlightLogEntry, type Kit, type Pack, type Take } from '../model';
import { clockText } from '../time';
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
  readonly filmId: string;
  /** Even draws from 0 to 1. */
  readonly random: () => number;
  readonly newId: () => string;
}

/** Takes and log of one flown flight, as a pilot would write them, each marked as simulated. */
export const rowsOfFlight = (
  flown: SimulatedFlight,
  flight: TimedFlight,
  { derived, place, pack, aircraft, filmId, random, newId }: SimulatedRows,
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
    windMs: null,
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
  kit: Pick<Kit, 'aircraft' | 'packs'>,
  film: { readonly id: string },
  nature: Nature,
  random: () => number,
  newId: () => string,
): SimulatedDay => {
  const days = places.flatMap((place) =>
    place.flights.flatMap((flight) => {
      const pack = kit.packs.find((p) => p.id === flight.packId);
      if (!pack) return [];
      const flown = simulateFlight(derived, flight, nature, random);
      const made = { derived, place, pack, aircraft: kit.aircraft, filmId: film.id, random, newId };
      return [rowsOfFlight(flown, flight, made)];
    }),
  );
  return { takes: days.flatMap((d) => d.takes), flights: days.flatMap((d) => d.flights) };
};
