import { FilmDeriver } from '@core/film';
import type { FilmInput } from '@core/model';
import { simulateDay } from '@core/simulated-flight';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { demoFilm } from './film';
import { demoId } from './ids';

/** The simulated aircraft of the made-up film, and who flies it: a little hungrier and slower than planned. */
const NATURE = {
  appetite: 1.06,
  pace: 1.08,
  spread: 0.06,
  wanderM: 0.5,
  keeperRate: 0.45,
  windShare: 1.15,
  windTurnDeg: 12,
};

/** In a made-up film the made-up day counts as if somebody had flown it. */
const asFlown = <T extends { readonly simulated: boolean }>(row: T): T => ({ ...row, simulated: false });

/** The made-up film after its first day, flown by the simulated aircraft. The same day every time. */
export const flownDemoFilm = (): ReturnType<typeof demoFilm> => {
  const file = demoFilm();
  const input = file as unknown as FilmInput;
  const derived = new FilmDeriver().derive(input);
  const [date] = input.locations.map((l) => l.date).sort();
  const rng = xoroshiro128plus(20_270_514);
  let n = 0;
  const { takes, flights } = simulateDay(
    derived,
    [...derived.places.values()].filter((p) => p.location.date === date),
    input.kit,
    input.film,
    NATURE,
    () => (rng.next() >>> 0) / 2 ** 32,
    () => demoId(30, (n += 1)),
  );
  return {
    ...file,
    takes: [...file.takes, ...takes.map(asFlown)],
    kit: { ...file.kit, flightLog: [...file.kit.flightLog, ...flights.map(asFlown)] },
  };
};
