import { calibrationOf, usedOf } from '@core/energy';
import { FilmDeriver } from '@core/film';
import type { FilmInput, FlightLogEntry } from '@core/model';
import { natureOf, rowsOfFlight, simulateFlight } from '@core/simulated-flight';
import { drawsOf } from '@core/units';
import { demoFilm } from '../../demo';
import { report } from './figures';

const FLIGHTS = 60;
/** Flights the log has before its forecast is held against what came. */
const LEARNED = 20;
const SEASONS = ['one', 'two', 'three', 'four', 'five'];

/** Mean error of the forecast of the next flight's energy, as a share, with the log's correction and without. */
const season = (seed: string): { readonly learned: number; readonly plain: number } => {
  const input = demoFilm() as unknown as FilmInput;
  const derived = new FilmDeriver().derive(input);
  const flights = [...derived.places.values()].flatMap((place) =>
    place.flights.flatMap((flight) => {
      const pack = input.kit.packs.find((p) => p.id === flight.packId);
      return pack ? [{ place, flight, pack }] : [];
    }),
  );
  const [nature, random] = [natureOf(seed), drawsOf(seed)];
  const log: FlightLogEntry[] = [];
  const errors: { readonly learned: number; readonly plain: number }[] = [];
  for (let i = 0; i < FLIGHTS; i += 1) {
    const next = flights[i % flights.length];
    if (!next) break;
    const flown = simulateFlight(derived, next.flight, nature, random);
    const made = {
      ...next,
      aircraft: input.kit.aircraft,
      filmId: input.film.id,
      random,
      newId: () => `${i}`,
    };
    const [entry] = rowsOfFlight(flown, next.flight, made).flights;
    if (!entry?.plannedWh) continue;
    const used = usedOf(entry, next.pack);
    const factor =
      calibrationOf({ flightLog: [...log], packs: input.kit.packs }).craft.get(entry.aircraftId)?.factor ?? 1;
    if (log.length >= LEARNED)
      errors.push({
        learned: Math.abs((entry.plannedWh * factor) / used - 1),
        plain: Math.abs(entry.plannedWh / used - 1),
      });
    log.push({ ...entry, simulated: false, utcMs: i });
  }
  const mean = (of: (e: (typeof errors)[number]) => number): number =>
    errors.reduce((sum, e) => sum + of(e), 0) / Math.max(1, errors.length);
  return { learned: mean((e) => e.learned), plain: mean((e) => e.plain) };
};

/** What a log is good for, held against flights it has not seen. */
export const learning = (): void => {
  const found = SEASONS.map(season);
  const percent = (of: (s: (typeof found)[number]) => number): string =>
    `${((100 * found.reduce((sum, s) => sum + of(s), 0)) / found.length).toFixed(1)} %`;
  report(
    `energy of the next flight, from a log of ${LEARNED} to ${FLIGHTS} simulated flights`,
    `${percent((s) => s.learned)} off on average, ${percent((s) => s.plain)} without the log`,
  );
};
