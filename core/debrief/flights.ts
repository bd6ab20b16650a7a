import { usedOf } from '../energy';
import type { FilmInput, FlightLogEntry, Location } from '../model';
import { groupBy, mean } from '../units';
import { dateIn, localToUtc, MINUTE_MS, minutesOf } from '../time';
import { locationAt } from '../weather';

/** A logged flight beside its plan. Errors are flown against planned, as a share: +0.1 took a tenth more than planned. */
export interface FlownFlight {
  readonly entry: FlightLogEntry;
  readonly usedWh: number;
  readonly minutesError: number | null;
  readonly energyError: number | null;
  /** Wind that was met less the wind of the plan, m/s. */
  readonly windErrorMs: number | null;
}

/** How far a forecast was off, over some flights. */
export interface ForecastError {
  readonly flights: number;
  /** Mean error as a share; + took more than planned. */
  readonly bias: number;
  /** Mean of the errors without their sign. */
  readonly off: number;
  /** The same of the earlier and of the later half; null under four flights. */
  readonly halves: readonly [earlier: number, later: number] | null;
}

const shareOf = (flown: number, planned: number | null): number | null =>
  planned !== null && planned > 0 ? flown / planned - 1 : null;

/** Minutes from a flight's take-off to the window of a location of its date; Infinity for another date. */
const minutesOff = (entry: FlightLogEntry, { date, zone, windowStart, windowEnd }: Location): number => {
  if (date !== dateIn(entry.utcMs, zone)) return Infinity;
  const [from, to] = [windowStart, windowEnd].map((t) => localToUtc(date, minutesOf(t), zone));
  const before = Math.max(0, (from ?? 0) - entry.utcMs);
  // A window that ends before it begins goes over midnight.
  const after = (to ?? 0) < (from ?? 0) ? 0 : Math.max(0, entry.utcMs - (to ?? 0));
  return (before + after) / MINUTE_MS;
};

/**
 * The location a flight was flown at: that of the flight as it was decided, of a take of its minutes, of a shot that was kept; else
 * the one of its date whose window is nearest.
 */
const locationOf = (input: FilmInput, entry: FlightLogEntry): Location | null => {
  const endMs = entry.utcMs + entry.minutes * MINUTE_MS;
  const known =
    input.flights.find((f) => f.id === entry.flightId)?.locationId ??
    input.takes.find(
      (t) => t.packId === entry.packId && t.utcMs >= entry.utcMs && t.utcMs <= endMs + MINUTE_MS,
    )?.locationId ??
    input.shots.find((s) => entry.shotIds.includes(s.id))?.locationId;
  const sure = input.locations.find((l) => l.id === known);
  if (sure) return sure;
  const [nearest] = input.locations
    .map((location) => ({ location, off: minutesOff(entry, location) }))
    .filter(({ off }) => off < Infinity)
    .sort((x, y) => x.off - y.off);
  return nearest?.location ?? null;
};

/** Logged flights of a film in the order they were flown, each beside what was planned for it. */
export const flownFlights = (input: FilmInput): readonly FlownFlight[] =>
  input.kit.flightLog
    .filter((f) => f.filmId === input.film.id)
    .sort((a, b) => a.utcMs - b.utcMs)
    .map((entry) => {
      const pack = input.kit.packs.find((p) => p.id === entry.packId);
      const usedWh = pack ? usedOf(entry, pack) : 0;
      const location = locationOf(input, entry);
      return {
        entry,
        usedWh,
        minutesError: shareOf(entry.minutes, entry.plannedMinutes),
        energyError: pack ? shareOf(usedWh, entry.plannedWh) : null,
        windErrorMs:
          entry.windMs !== null && location ? entry.windMs - locationAt(location, entry.utcMs).windMs : null,
      };
    });

/** How far a forecast was off; null where nothing was forecast. @param errors in the order they came, as shares */
export const forecastError = (errors: readonly (number | null)[]): ForecastError | null => {
  const known = errors.filter((e) => e !== null);
  if (known.length === 0) return null;
  const off = (list: readonly number[]): number => mean(list.map(Math.abs));
  const half = Math.floor(known.length / 2);
  return {
    flights: known.length,
    bias: mean(known),
    off: off(known),
    halves: known.length >= 4 ? [off(known.slice(0, half)), off(known.slice(-half))] : null,
  };
};

/** A pack of the film with what it took against its plans. */
export interface PackFlown {
  readonly packId: string;
  readonly flights: number;
  /** Mean error of its energy as a share; null where none was planned. */
  readonly bias: number | null;
}

/** What each pack took against its plans, the hungriest first. */
export const packsFlown = (flown: readonly FlownFlight[]): readonly PackFlown[] =>
  [...groupBy(flown, (f) => f.entry.packId)]
    .map(([packId, list]) => ({
      packId,
      flights: list.length,
      bias: forecastError(list.map((f) => f.energyError))?.bias ?? null,
    }))
    .sort((a, b) => (b.bias ?? -Infinity) - (a.bias ?? -Infinity));
