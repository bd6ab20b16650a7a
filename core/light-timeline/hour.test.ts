import { said } from '../testing';
import { MINUTE_MS } from '../time';
import { beforeAll, describe, expect, it } from 'vitest';
import { solveExposure } from '../exposure';
import { sceneLight } from '../light';
import { conditionsOf, exposureTask, locationLight } from '../shot';
import { deriveFilm } from '../film/derive';
import type { DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import { filterHours } from './hour';

let film: FilmInput;
let derived: DerivedFilm;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
  derived = deriveFilm(film);
});

describe('what a filter is good for over an hour', () => {
  it('is as long as the exposure solver, asked at each minute with that filter on, comes out in light', () => {
    let seen = 0;
    for (const place of derived.places.values()) {
      const lit = locationLight(place.location, place.light!, film.readings, film.film.preferences);
      const { facts } = [...derived.shots.values()].find(
        (s) => s.facts.location.id === place.location.id && s.facts.camera,
      )!;
      for (const startMs of [place.windowFromMs, place.windowToMs - 30 * MINUTE_MS]) {
        const { filters, ev100, endEv100 } = filterHours(
          facts,
          film.kit,
          lit,
          startMs,
          film.film.preferences.cleanIsoStops,
        );
        const conditions = conditionsOf(lit, facts);
        expect([ev100, endEv100]).toEqual(
          [startMs, startMs + 60 * MINUTE_MS].map((ms) => sceneLight(ms, conditions).ev100),
        );
        expect(filters.map((f) => f.minutes)).toEqual(
          filters.map((f) => f.minutes).toSorted((a, b) => b - a),
        );
        for (const f of filters) {
          expect(f.toMs - f.fromMs).toBeGreaterThanOrEqual((f.minutes - 1) * MINUTE_MS);
          for (const ms of [f.fromMs, f.toMs]) {
            const scene = sceneLight(ms, conditions);
            const task = exposureTask(facts, film.kit, scene, conditions.altitudeAt(startMs), undefined);
            const solved = solveExposure({
              ...task,
              filters: f.filterId === null ? [] : [{ id: f.filterId, factor: f.factor }],
              fixed: { filterId: f.filterId },
            });
            if (!solved.ok) throw new Error(said(solved.reason));
            expect(
              Math.abs(solved.value.choice.errorStops),
              `${place.location.name} ${f.filterId}@${f.factor}`,
            ).toBeLessThan(0.51);
            expect(solved.value.choice.shutterAngleDeg).toBeLessThanOrEqual(360.5);
            seen += 1;
          }
        }
      }
    }
    expect(seen).toBeGreaterThan(8);
  });
});
