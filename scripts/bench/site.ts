import { demoFilm } from '../../demo';
import { demoRaster, viaductGround } from '../../demo/ground';
import { sceneOf, siteShot } from '@core/location';
import { siteWarnings } from '@core/warnings';
import type { FilmInput, Feature } from '@core/model';
import type { ShotParts } from '@core/shot';
import { nearestAlong } from '@core/clearance';
import { featureWords, newFeature } from '@core/site';
import { groundOf, seenFrom, type HeightGrid } from '@core/terrain';
import { vec } from '@core/geometry';
import { ms, report, spread } from './figures';

const times = (rounds: number, act: () => void): number[] => {
  act();
  return Array.from({ length: rounds }, () => {
    const start = performance.now();
    act();
    return performance.now() - start;
  });
};

/** Rolling ground of a thousand cells a side. */
const large = (): HeightGrid => ({
  columns: 1000,
  rows: 1000,
  cellM: 4,
  westM: -1998,
  southM: -1998,
  heights: Float32Array.from({ length: 1_000_000 }, (_, i) => {
    const [x, y] = [i % 1000, Math.floor(i / 1000)];
    return (
      600 +
      40 * Math.sin(x / 61) * Math.cos(y / 47) +
      12 * Math.sin((x + y) / 13) +
      3 * Math.cos(x / 5) * Math.sin(y / 7)
    );
  }),
});

/** Woods, wires, houses and masts scattered about a place, the same each time. */
export const obstacles = (count: number, locationId: string): Feature[] =>
  Array.from({ length: count }, (_, i) => {
    const kind = (['wood', 'wire', 'building', 'mast', 'tree'] as const)[i % 5] ?? 'mast';
    const words = featureWords(kind);
    const [x, y] = [((i * 7919) % 900) - 450, ((i * 104_729) % 900) - 380];
    const size = kind === 'wood' ? 30 : 9;
    const ring = Array.from({ length: kind === 'wood' ? 9 : 4 }, (_, k, n = kind === 'wood' ? 9 : 4) => ({
      xM: x + size * Math.cos((k / n) * 6.283),
      yM: y + size * Math.sin((k / n) * 6.283),
    }));
    const points =
      words.shapes[0] === 'area'
        ? ring
        : words.shapes[0] === 'line'
          ? [
              { xM: x, yM: y },
              { xM: x + 40, yM: y + 25 },
              { xM: x + 90, yM: y + 20 },
            ]
          : [{ xM: x, yM: y }];
    return newFeature(kind, {
      id: `f0000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      locationId,
      shape: words.shapes[0] ?? 'point',
      points,
    });
  });

/** Speed of what looks at the ground and what stands on it. */
export const runSite = (): void => {
  console.log('\nSite, one thread (in the pages it runs in a worker)');
  const grid = large();
  const seen = spread(
    times(7, () => {
      seenFrom(grid, 600, vec(12, 30, 30), 60, 1500);
    }),
  );
  report('seen area of 1000 × 1000 cells', `median ${ms(seen.median)}, worst ${ms(seen.max)}`);
  const film = demoFilm() as unknown as FilmInput;
  const [location] = film.locations;
  if (!location) return;
  const ground = groundOf(demoRaster(viaductGround), location.elevationM);
  const here = film.shots.filter((s) => s.locationId === location.id);
  const parts: ShotParts[] = Array.from({ length: 60 }, (_, i) => {
    const shot = here[i % here.length];
    if (!shot) throw new Error('no shots');
    return {
      shot: { ...shot, id: `s${i}` },
      film: film.film,
      location,
      ground,
      subject: film.subjects.find((s) => s.id === shot.subjectId) ?? null,
      aircraft: film.kit.aircraft.find((a) => a.id === shot.aircraftId) ?? null,
    };
  });
  const built = spread(
    times(9, () => {
      sceneOf(film.film, location, film.subjects, obstacles(500, location.id), ground);
    }),
  );
  const scene = sceneOf(film.film, location, film.subjects, obstacles(500, location.id), ground);
  report('500 obstacles stood on the ground', `median ${ms(built.median)}`);
  const ways = parts
    .map((p) => siteShot(p, scene))
    .map((_, i) =>
      Array.from({ length: 65 }, (_x, k) =>
        vec(-120 + k * 3 + i, 40 + Math.sin(k / 9 + i) * 60, 12 + (i % 30)),
      ),
    );
  const clear = spread(
    times(15, () => {
      for (const way of ways) {
        nearestAlong(way, scene.solids, 60);
        for (const p of way) ground.at(p.x, p.y);
      }
    }),
  );
  report(
    'clearance of 60 paths from 500 obstacles and the ground',
    `median ${ms(clear.median)}, worst ${ms(clear.max)}`,
  );
  const all = spread(
    times(7, () => {
      for (const p of parts) {
        const site = siteShot(p, scene);
        if (site) siteWarnings({ parts: p, scene, site });
      }
    }),
  );
  report(
    'everything the site means to 60 shots, 500 obstacles',
    `median ${ms(all.median)}, worst ${ms(all.max)}`,
  );
};
