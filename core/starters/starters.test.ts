import { describe, expect, it } from 'vitest';
import { FilmDeriver } from '../film';
import type { FilmInput, Kit } from '../model';
import { SCHEMAS } from '../model';
import { Value } from '@sinclair/typebox/value';
import { airframeFaults } from '../energy';
import { MOVES } from '../moves';
import { AIRCRAFT_CLASSES, EXPERIENCES, FILM_TEMPLATES, levelsOf, starterFilm, type StarterFilm } from '.';

const EMPTY_KIT: Kit = {
  aircraft: [],
  packs: [],
  cards: [],
  filters: [],
  pilots: [],
  practice: [],
  chargers: [],
  devices: [],
  flightLog: [],
  gear: [],
  cardMoves: [],
  checks: [],
};
const start = (
  template: number,
  craft: number | null,
  at: { latitude: number; longitude: number } | null,
) => {
  let n = 0;
  return starterFilm(
    {
      name: 'First',
      pilot: { name: 'Pilot', experience: 'practised' },
      template: FILM_TEMPLATES[template]!,
      craft: craft === null ? null : AIRCRAFT_CLASSES[craft]!,
      timelineFps: 25,
      owned: [],
      at,
      zone: 'Europe/Madrid',
      date: '2027-05-14',
    },
    () => `00000000-0000-4000-8000-${String((n += 1)).padStart(12, '0')}`,
  );
};
const inputOf = (s: StarterFilm): FilmInput => ({
  film: s.film,
  locations: s.locations,
  subjects: s.subjects,
  shots: s.shots,
  readings: [],
  features: [],
  flights: [],
  answers: [],
  takes: [],
  groundShots: [],
  kit: { ...EMPTY_KIT, ...s.kit },
});
const VALLEY = { latitude: 43.18, longitude: -4.83 };
const PAIRS = FILM_TEMPLATES.flatMap((t, i) =>
  AIRCRAFT_CLASSES.map((c, k) => [t.code, c.code, i, k] as const),
);

describe('a film begun from a template', () => {
  it.each(PAIRS)('%s with a %s aircraft costs energy and flies in the first flights', (_t, _c, i, k) => {
    const started = start(i, k, VALLEY);
    const derived = new FilmDeriver().derive(inputOf(started));
    expect(derived.shots.size).toBe(FILM_TEMPLATES[i]!.shots.length);
    for (const { facts } of derived.shots.values()) {
      expect(facts.noPath, facts.shot.title).toBeNull();
      expect(facts.energy?.totalWh ?? 0, facts.shot.title).toBeGreaterThan(0.05);
    }
    if (started.shots.length > 0)
      expect(derived.places.get(started.locations[0]!.id)!.flights.length).toBeGreaterThan(0);
  });

  it('needs no coordinates for a first cost, and works out no light until they are known', () => {
    for (const at of [null, VALLEY]) {
      const derived = new FilmDeriver().derive(inputOf(start(0, 1, at)));
      const [plan] = derived.places.values();
      expect(plan!.light === null).toBe(at === null);
      expect([...derived.shots.values()].every((s) => (s.facts.energy?.totalWh ?? 0) > 0)).toBe(true);
    }
  });

  it('makes rows the schemas take, with ids and titles of their own', () => {
    for (const [, , i, k] of PAIRS) {
      const s = start(i, k, VALLEY);
      const rows = [
        ['film', [s.film]],
        ['location', s.locations],
        ['subject', s.subjects],
        ['shot', s.shots],
        ['aircraft', s.kit.aircraft],
        ['pack', s.kit.packs],
        ['card', s.kit.cards],
        ['filter', s.kit.filters],
        ['pilot', s.kit.pilots],
      ] as const;
      for (const [kind, list] of rows)
        for (const row of list ?? [])
          expect([...Value.Errors(SCHEMAS[kind], row)].map((e) => `${kind}${e.path} ${e.message}`)).toEqual(
            [],
          );
      const ids = rows.flatMap(([, list]) => (list ?? []).map((r) => r.id));
      expect(new Set(ids).size).toBe(ids.length);
    }
    expect(new Set(FILM_TEMPLATES.map((t) => t.code)).size).toBe(FILM_TEMPLATES.length);
  });

  it('comes with a pilot whose levels follow from experience: more of it is never less, more inputs are never easier', () => {
    const { film: begun, kit } = start(0, 1, null);
    expect(begun.pilotId).toBe(kit.pilots![0]!.id);
    const [fresh, practised, expert] = EXPERIENCES.map(levelsOf);
    for (const { kind } of MOVES) {
      expect(fresh![kind]).toBeLessThanOrEqual(practised![kind]!);
      expect(practised![kind]).toBeLessThanOrEqual(expert![kind]!);
    }
    expect(practised!['hold']).toBeGreaterThan(practised!['spiral-out']!);
    // A beginner is told to practise what an expert just flies.
    expect(new Set(Object.values(fresh!)).size).toBeGreaterThan(2);
    expect(Math.min(...Object.values(expert!))).toBeGreaterThanOrEqual(3);
  });

  it('has classes whose figures no one would doubt, each named as typical', () => {
    for (const [k, c] of AIRCRAFT_CLASSES.entries()) {
      const craft = start(0, k, null).kit.aircraft![0]!;
      expect(airframeFaults(craft), c.code).toEqual([]);
      for (const field of craft.typical) expect(craft).toHaveProperty(field);
      expect(craft.massKg * 1000).toBeCloseTo(c.massG, 6);
    }
  });
});
