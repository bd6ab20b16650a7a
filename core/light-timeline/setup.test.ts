import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { depthOfField } from '../lens';
import { deriveFilm } from '../film/derive';
import { heaviestFilterKg } from '../payload';
import { overWeightLine } from '../warnings';
import type { DerivedFilm } from '../film';
import type { FilmInput, Shot } from '../model';
import { locationLight } from '../shot';
import { exposurePlan } from './plan';
import { SETUP_LINES, setupSheet } from './setup';
import { numberIn, said } from '../testing';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

const withShot = (title: string, change: Partial<Shot>): FilmInput => ({
  ...film,
  shots: film.shots.map((s) => (s.title === title ? { ...s, ...change } : s)),
});
const shotOf = (derived: DerivedFilm, title: string) =>
  [...derived.shots.values()].find((s) => s.facts.shot.title === title)!;

describe('set-up sheets', () => {
  const contexts = (derived: DerivedFilm, titles: readonly string[]) =>
    titles.map((t) => {
      const shot = shotOf(derived, t);
      return {
        shot,
        choice: shot.light!.exposure.ok ? shot.light!.exposure.value.choice : null,
        filterName: 'ND',
        ramp: null,
        driftStops: 0,
      };
    });
  it('the first flight differs from nothing, the same again from nothing either, another profile in that line', () => {
    const derived = deriveFilm(film);
    const first = setupSheet(contexts(derived, ['Valley wakes', 'Meadow to arches']), null);
    expect(first.lines.some((l) => l.differs)).toBe(false);
    const again = setupSheet(contexts(derived, ['Meadow to arches']), first.left);
    expect(again.lines.filter((l) => l.differs).map((l) => l.id)).toEqual([]);
    const flat = deriveFilm(withShot('Meadow to arches', { profile: 'flat', kelvin: 4100, focusM: 12 }));
    expect(
      setupSheet(contexts(flat, ['Meadow to arches']), first.left)
        .lines.filter((l) => l.differs)
        .map((l) => l.id),
    ).toEqual(expect.arrayContaining(['profile', 'white-balance', 'focus', 'zebra']));
  });
  it('every line has words, for every shot of the film', () => {
    const derived = deriveFilm(film);
    for (const s of derived.shots.values())
      for (const l of setupSheet(contexts(derived, [s.facts.shot.title]), null).lines) {
        expect(said(l.text)).not.toMatch(/undefined|NaN|null/);
        expect(said(l.why)).not.toMatch(/undefined|NaN|null/);
      }
    expect(new Set(SETUP_LINES.map((l) => l.id)).size).toBe(SETUP_LINES.length);
  });
  it('a profile brings its own ISO range', () => {
    const choice = (input: FilmInput) => {
      const s = shotOf(deriveFilm(input), 'Steps of slate');
      if (!s.light?.exposure.ok) throw new Error('no setting');
      return s.light.exposure.value.choice;
    };
    expect(choice(film).iso).toBe(100);
    expect(choice(withShot('Steps of slate', { profile: 'flat' })).iso).toBeGreaterThanOrEqual(400);
  });
  it('depth of field: focused at the hyperfocal distance all is sharp from half of it on', () => {
    const far = depthOfField(24, 9.6, 2.8, Infinity);
    const at = depthOfField(24, 9.6, 2.8, far.hyperfocalM);
    expect(at.farM).toBe(Infinity);
    expect(at.nearM).toBeCloseTo(far.hyperfocalM / 2, 1);
    fc.assert(
      fc.property(
        numberIn(14, 200),
        numberIn(4, 43),
        numberIn(1.4, 16),
        numberIn(0.5, 500),
        (mm, diagonal, n, s) => {
          const d = depthOfField(mm, diagonal, n, s);
          expect(d.nearM).toBeLessThanOrEqual(s + 1e-6);
          expect(d.farM).toBeGreaterThanOrEqual(s - 1e-6);
          expect(depthOfField(mm, diagonal, n * 1.4, s).nearM).toBeLessThanOrEqual(d.nearM + 1e-9);
        },
      ),
    );
  });
});

describe('what a filter weighs', () => {
  it('the heaviest that fits counts, a fixed one by itself, the bare lens nothing', () => {
    const wren = film.kit.aircraft.find((a) => a.name === 'Wren 246')!;
    const { filters } = film.kit;
    expect(heaviestFilterKg(filters, wren.id, null)).toBeCloseTo(0.004, 9);
    expect(heaviestFilterKg(filters, wren.id, filters[0]!.id)).toBeCloseTo(0.002, 9);
    expect(heaviestFilterKg(filters, wren.id, 'bare')).toBe(0);
  });
  it('costs energy, and lifts a small aircraft over a line', () => {
    const energy = (massG: number): number =>
      shotOf(
        deriveFilm({
          ...film,
          kit: { ...film.kit, filters: film.kit.filters.map((f) => ({ ...f, massG })) },
        }),
        'Sleepers from above',
      ).facts.energy!.totalWh;
    expect(energy(6)).toBeGreaterThan(energy(0));
    const wren = film.kit.aircraft.find((a) => a.name === 'Wren 246')!;
    expect(said(overWeightLine(film.film, film.kit, wren)?.say)).toMatch(/250 g: over the 249 g line/);
    expect(
      overWeightLine(
        { ...film.film, preferences: { ...film.film.preferences, weightLinesKg: [] } },
        film.kit,
        wren,
      ),
    ).toBeNull();
    expect(overWeightLine(film.film, film.kit, film.kit.aircraft[0]!)).toBeNull();
  });
});

describe('a time-lapse through the sunrise', () => {
  it('follows the light by its ramp: aperture and filter stay, the end is as bright as the start', () => {
    const { move, cut } = film.shots.find((s) => s.title === 'Valley wakes')!;
    const lapse = withShot('Valley wakes', {
      move: {
        ...move,
        kind: 'time-lapse',
        values: { intervalS: 3, lengthM: 20, distanceM: 80, heightM: 40 },
      },
      cut: { ...cut, by: 'seconds', segments: [{ timelineS: 6, speedFactor: 1, endFactor: null }] },
    });
    const early: FilmInput = {
      ...lapse,
      locations: lapse.locations.map((l) =>
        /viaduct/.test(l.name) ? { ...l, windowStart: '06:30', windowEnd: '09:00' } : l,
      ),
    };
    const derived = deriveFilm(early);
    const shot = shotOf(derived, 'Valley wakes');
    const place = derived.places.get(shot.facts.location.id)!;
    const lit = locationLight(place.location, place.light!, early.readings, early.film.preferences);
    const rows = exposurePlan(place, derived.shots, early.kit, lit).flatMap((f) => f.rows);
    const row = rows.find((r) => r.shotId === shot.facts.shot.id)!;
    expect(rows.filter((r) => r.ramp !== null)).toEqual([row]);
    const [start, end] = [row.start.choice!, row.end.choice!];
    expect(row.ramp!.steps.length).toBeGreaterThan(3);
    expect([end.aperture, end.filterId]).toEqual([start.aperture, start.filterId]);
    expect(Math.abs(end.errorStops - start.errorStops)).toBeLessThan(0.25);
    const last = row.ramp!.steps.at(-1)!;
    expect([end.shutterS, end.iso]).toEqual([last.shutterS, last.iso]);
    const { lines } = setupSheet(
      [{ shot, choice: start, filterName: '', ramp: row.ramp, driftStops: 0 }],
      null,
    );
    expect(said(lines.find((l) => l.id === 'ramp')!.text)).toMatch(/^frame \d+: /);
    expect(said(lines.find((l) => l.id === 'lock')!.text)).toContain('ramp');
  });
});
