import { logFlight, plannedFigures, type FilmPlan, type LocationPlan } from '../day';
import { newRow, TAKE_REASONS, type FlightLogEntry, type Kit, type Take } from '../model';
import { clockText } from '../time';
import { simulateFlight, type Nature } from './simulate';

/** What a day leaves behind that the simulated aircraft flew. */
export interface SimulatedDay {
  readonly takes: readonly Take[];
  readonly flights: readonly FlightLogEntry[];
}

/** Told on every row of a simulated day. */
const MARKED = 'Simulated aircraft.';

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
  const takes: Take[] = [];
  const flights: FlightLogEntry[] = [];
  for (const place of places)
    for (const flight of place.flights) {
      const pack = kit.packs.find((p) => p.id === flight.packId);
      if (!pack) continue;
      const flown = simulateFlight(derived, flight, nature, random);
      const own = flown.takes.map((t): Take =>
        newRow('take', {
          id: newId(),
          locationId: place.location.id,
          shotId: t.shotId,
          utcMs: Math.round(flight.startMs + t.endS * 1000),
          rating: t.good ? 'good' : random() < 0.4 ? 'maybe' : 'no-good',
          reason: t.good ? null : (TAKE_REASONS[Math.floor(random() * 5)] ?? null),
          aircraftId: flight.aircraftId,
          packId: flight.packId,
          notes: MARKED,
        }),
      );
      takes.push(...own);
      const report = {
        filmId: film.id,
        flightId: flight.id,
        aircraftId: flight.aircraftId,
        takeOff: clockText(flight.startMs, place.location.zone),
        minutes: Math.round(flown.seconds / 6) / 10,
        ...plannedFigures(flight, kit.aircraft),
        windMs: null,
        startShare: flown.startShare,
        endShare: flown.endShare,
        temperatureC: place.location.temperatureC,
        outcome: 'as-planned' as const,
        condition: 'sound' as const,
        shotIds: own.filter((t) => t.rating === 'good').map((t) => t.shotId),
        notes: MARKED,
      };
      for (const row of logFlight(report, pack, place.location, null, newId()))
        if (row.kind === 'flightLogEntry') flights.push(row.after as FlightLogEntry);
    }
  return { takes, flights };
};
