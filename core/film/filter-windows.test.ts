import { beforeAll, describe, expect, it } from 'vitest';
import { filterFitOf } from '../day';
import type { FilmInput } from '../model';
import { filterWindows } from '../scheduler/filter-windows';
import { knownScene, locationLight } from '../shot';
import { Reached } from '../testing';
import { deriveFilm } from './derive';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

describe('while a filter bears the light', () => {
  it('its window begins and ends where it fits, ten minutes beyond it does not, and without one it fits nowhere', () => {
    const reached = new Reached();
    const derived = deriveFilm(film);
    for (const { facts } of derived.shots.values()) {
      const place = derived.places.get(facts.location.id)!;
      if (!place.light || !facts.trajectory) continue;
      const lit = locationLight(place.location, place.light, film.readings, film.film.preferences);
      const { airS } = facts.seconds;
      for (const lastS of [0, 1000, 7000]) {
        const span = { earliestS: 500, latestS: 500 + airS + lastS };
        const { settings, windows } = filterWindows(facts, film.kit, lit, place.windowFromMs, span);
        // Looks are even, at both ends, and never more than ten minutes apart.
        const gapS = lastS === 0 ? 0 : lastS / Math.ceil(lastS / 600);
        const fits = (key: string, s: number): boolean => {
          const ms = place.windowFromMs + s * 1000;
          const fit = filterFitOf(facts, knownScene(facts, film.kit, lit, ms), lit, ms + airS * 1000);
          const any = fit.fixed || fit.fitCosts.size === 0;
          return any ? fit.candidates.some((c) => c.key === key) : fit.fitCosts.has(key);
        };
        expect(settings).toEqual(Object.keys(windows));
        for (const key of settings) {
          const { earliestS, latestS } = windows[key]!;
          const endS = latestS - airS;
          expect([fits(key, earliestS), fits(key, endS)], `${facts.shot.title} ${key}`).toEqual([true, true]);
          expect([earliestS >= span.earliestS, latestS <= span.latestS + 1e-9]).toEqual([true, true]);
          if (reached.when('opens later', earliestS > span.earliestS + 1))
            expect(fits(key, earliestS - gapS)).toBe(false);
          if (reached.when('closes sooner', latestS < span.latestS - 1))
            expect(fits(key, endS + gapS)).toBe(false);
        }
        for (const { id, factor } of film.kit.filters)
          if (reached.when('never', !settings.includes(`${id}@${factor}`)))
            for (const s of [span.earliestS, span.latestS - airS])
              expect(fits(`${id}@${factor}`, s)).toBe(false);
      }
    }
    reached.atLeast('opens later', 40);
    reached.atLeast('closes sooner', 40);
    reached.atLeast('never', 100);
  });
});
