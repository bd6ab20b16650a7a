import { calibrationOf, usedOf } from '@core/energy';
import { FilmDeriver, type DerivedFilm } from '@core/film';
import type { FilmInput, FlightLogEntry } from '@core/model';
import { natureOf, ownAir, rowsOfFlight, simulateFlight } from '@core/simulated-flight';
import { setUpTimes } from '@core/pilot';
import { drawsOf, mean } from '@core/units';
import { demoFilm } from '../../demo';
import { report } from './figures';

const FLIGHTS = 60;
/** Flights the log has before its forecast is held against what came. */
const LEARNED = 20;
const SEASONS = ['one', 'two', 'three', 'four', 'five'];

/** Mean error of a forecast, as a share, with the log's correction and without. */
interface Forecast {
  readonly learned: number;
  readonly plain: number;
}

const flightsOf = (input: FilmInput, derived: DerivedFilm) =>
  [...derived.places.values()].flatMap((place) =>
    place.flights.flatMap((flight) => {
      const pack = input.kit.packs.find((p) => p.id === flight.packId);
      return pack ? [{ place, flight, pack }] : [];
    }),
  );

const meanOf = (errors: readonly Forecast[]): Forecast => ({
  learned: mean(errors.map((e) => Math.abs(e.learned))),
  plain: mean(errors.map((e) => Math.abs(e.plain))),
});

/** How far the next flight's energy and minutes were off, over a season of flights of one aircraft and pilot. */
const season = (seed: string): { readonly energy: Forecast; readonly minutes: Forecast } => {
  const input = demoFilm() as unknown as FilmInput;
  const derived = new FilmDeriver().derive(input);
  const flights = flightsOf(input, derived);
  const [nature, random] = [natureOf(seed), drawsOf(seed)];
  const log: FlightLogEntry[] = [];
  const energy: Forecast[] = [];
  const minutes: Forecast[] = [];
  for (let i = 0; i < FLIGHTS; i += 1) {
    const next = flights[i % flights.length];
    if (!next) break;
    const made = {
      ...next,
      derived,
      aircraft: input.kit.aircraft,
      air: ownAir(input.film, input.kit, next.place.location, next.flight, nature),
      filmId: input.film.id,
      random,
      newId: () => `${i}`,
    };
    const flown = simulateFlight(derived, next.flight, nature, random, made.air);
    const [entry] = rowsOfFlight(flown, next.flight, made).flights;
    if (!entry?.plannedWh || !entry.plannedMinutes) continue;
    const { plannedWh, plannedMinutes, plannedSetUpMin } = entry;
    const used = usedOf(entry, next.pack);
    const hunger =
      calibrationOf({ flightLog: [...log], packs: input.kit.packs }).craft.get(entry.aircraftId)?.factor ?? 1;
    const setUp = setUpTimes(log).get(entry.aircraftId)?.factor ?? 1;
    const forecastMin = plannedMinutes + (plannedSetUpMin ?? 0) * (setUp - 1);
    if (log.length >= LEARNED) {
      energy.push({
        learned: (plannedWh * hunger * forecastMin) / plannedMinutes / used - 1,
        plain: plannedWh / used - 1,
      });
      minutes.push({
        learned: forecastMin / entry.minutes - 1,
        plain: plannedMinutes / entry.minutes - 1,
      });
    }
    log.push({ ...entry, simulated: false, utcMs: i });
  }
  return { energy: meanOf(energy), minutes: meanOf(minutes) };
};

/** What a log is good for, held against flights it has not seen. */
export const learning = (): void => {
  const found = SEASONS.map(season);
  const percent = (of: (s: (typeof found)[number]) => number): string =>
    `${(100 * mean(found.map(of))).toFixed(1)} %`;
  for (const what of ['energy', 'minutes'] as const)
    report(
      `${what} of the next flight, from a log of ${LEARNED} to ${FLIGHTS} simulated flights`,
      `${percent((s) => s[what].learned)} off on average, ${percent((s) => s[what].plain)} without the log`,
    );
};
