import { demoFilm } from '../../demo';
import { deriveFilm } from '../../core/film/derive';
import { FilmDeriver } from '@core/film';
import { shotFacts, type ShotParts } from '@core/shot';
import type { FilmInput } from '@core/model';
import { ms, report, spread, writeKept } from './figures';
import { learning } from './learning';
import { runLight } from './light';
import { manyShots } from './many-shots';
import { runPlan } from './plan';
import { runSite } from './site';

const filmOf = (count: number): FilmInput => {
  const film = { ...demoFilm(), shots: manyShots(count) };
  return film as unknown as FilmInput;
};

const partsOf = (film: FilmInput): ShotParts[] =>
  film.shots.flatMap((shot) => {
    const location = film.locations.find((l) => l.id === shot.locationId);
    return location
      ? [
          {
            shot,
            film: film.film,
            location,
            subject: film.subjects.find((s) => s.id === shot.subjectId) ?? null,
            aircraft: film.kit.aircraft.find((a) => a.id === shot.aircraftId) ?? null,
          },
        ]
      : [];
  });

const timed = (rounds: number, act: (round: number) => void): number[] => {
  for (let i = 0; i < 200; i += 1) act(i);
  return Array.from({ length: rounds }, (_, i) => {
    const start = performance.now();
    act(i);
    return performance.now() - start;
  });
};

export const run = async (): Promise<void> => {
  console.log('\nCore, one thread');
  for (const count of [60, 500]) {
    const film = filmOf(count);
    const fresh = spread(timed(100, () => deriveFilm(film)));
    report(
      `every cost and warning of ${count} shots, nothing remembered`,
      `median ${ms(fresh.median)}, p95 ${ms(fresh.p95)}`,
    );
    const parts = partsOf(film);
    const facts = spread(
      timed(60, () => {
        for (const p of parts) shotFacts(p);
      }),
    );
    report(`paths, costs and framing of ${count} shots`, `median ${ms(facts.median)}, p95 ${ms(facts.p95)}`);
    const reckoner = new FilmDeriver();
    reckoner.derive(film);
    const drag = spread(
      timed(200, (i) => {
        const shots = film.shots.map((s, n) =>
          n === 30
            ? { ...s, move: { ...s.move, values: { ...s.move.values, speedMs: 2 + (i % 40) / 20 } } }
            : s,
        );
        reckoner.derive({ ...film, shots });
      }),
    );
    report(
      `one slider moved, ${count} shots`,
      `median ${ms(drag.median)}, p95 ${ms(drag.p95)}, ${(fresh.median / drag.median).toFixed(1)} times less than afresh`,
    );
  }
  runLight(filmOf(60), 40);
  await runPlan(filmOf(60), 60, demoFilm() as unknown as FilmInput);
  runSite();
  learning();
  writeKept('core');
};
