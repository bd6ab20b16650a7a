import { deriveFilm } from '../../core/film/derive';
import { lightJob, shotWindow, sunMinutes, weighDates, type LightJob } from '@core/light-timeline';
import { lightWarnings } from '@core/warnings';
import { locationLight, type LocationLight } from '@core/shot';
import type { FilmInput } from '@core/model';
import type { LocationPlan } from '@core/day';
import { ms, report, spread } from './figures';

/** Every shot of a film over the minutes of its window: the best setting, the light it wants, the sun against the lens. */
export const runLight = (film: FilmInput, rounds: number): void => {
  const derived = deriveFilm(film);
  const places = [...derived.places.values()].flatMap(
    (place): { place: LocationPlan; lit: LocationLight; jobs: LightJob[] }[] => {
      if (!place.light) return [];
      const jobs = [...derived.shots.values()]
        .filter((s) => s.facts.location.id === place.location.id)
        .flatMap((s) => {
          const job = lightJob(s, film.kit);
          return job ? [job] : [];
        });
      return [
        {
          place,
          lit: locationLight(place.location, place.light, film.readings, film.film.preferences),
          jobs,
        },
      ];
    },
  );
  const minutes = places.reduce(
    (sum, { place, jobs }) => sum + jobs.length * ((place.windowToMs - place.windowFromMs) / 60_000 + 1),
    0,
  );
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    for (const { place, lit, jobs } of places) {
      const sky = sunMinutes(lit, place.windowFromMs, place.windowToMs);
      for (const job of jobs) lightWarnings(lit, job, shotWindow(lit, job, sky), sky);
    }
    return performance.now() - start;
  });
  const s = spread(times.slice(5));
  report(
    `exposure of ${film.shots.length} shots over their windows, ${minutes.toFixed(0)} shot minutes`,
    `median ${ms(s.median)}, p95 ${ms(s.p95)}, ${((s.median / minutes) * 1000).toFixed(1)} µs each`,
  );
  const [first] = places;
  if (!first) return;
  const days = spread(
    Array.from({ length: 12 }, () => {
      const start = performance.now();
      weighDates(film.film, first.place.location, first.jobs, 7);
      return performance.now() - start;
    }).slice(2),
  );
  report(`seven dates weighed for ${first.jobs.length} shots`, `median ${ms(days.median)}`);
};
