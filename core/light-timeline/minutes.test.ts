import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { clockText, localToUtc, minutesOf } from '../time';
import { bestDate, weighDates } from './days';
import { conditionsOf, locationLight, type LocationLight } from '../shot';
import { deriveFilm } from '../film/derive';
import { flightFilters, type FilterFit } from '../day';
import { lightWarnings, locationLightWarnings, type Warning } from '../warnings';
import { marksOf, type FilmInput, type Location, type Shot } from '../model';
import type { DerivedFilm } from '../film';
import { exposurePlan } from './plan';
import { lightJob } from './job';
import { shotWindow, sunMinutes, type ShotWindow } from './window';
import { numberIn, said } from '../testing';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

const withShot = (title: string, change: Partial<Shot>, input = film): FilmInput => ({
  ...input,
  shots: input.shots.map((s) => (s.title === title ? { ...s, ...change } : s)),
});
const withPlace = (name: RegExp, change: Partial<Location>, input = film): FilmInput => ({
  ...input,
  locations: input.locations.map((l) => (name.test(l.name) ? { ...l, ...change } : l)),
});
const shotOf = (derived: DerivedFilm, title: string) =>
  [...derived.shots.values()].find((s) => s.facts.shot.title === title)!;
const litOf = (input: FilmInput, derived: DerivedFilm, locationId: string): LocationLight => {
  const p = derived.places.get(locationId)!;
  return locationLight(p.location, p.light!, input.readings, input.film.preferences);
};

const looked = (input: FilmInput, title: string): { warnings: Warning[]; window: ShotWindow } => {
  const derived = deriveFilm(input);
  const shot = shotOf(derived, title);
  const place = derived.places.get(shot.facts.location.id)!;
  const lit = litOf(input, derived, place.location.id);
  const sky = sunMinutes(
    lit,
    place.windowFromMs,
    Math.max(place.windowToMs, ...place.flights.map((f) => f.endMs)),
  );
  const job = lightJob(shot, input.kit)!;
  const window = shotWindow(lit, job, sky);
  return { window, warnings: lightWarnings(lit, job, window, sky) };
};
const codes = (list: readonly Warning[]): string[] => list.map((w) => w.code);
const applied = (input: FilmInput, warning: Warning, say: RegExp): FilmInput => {
  const cure = warning.cures.find((c) => say.test(said(c.say)))!;
  return {
    ...input,
    shots: input.shots.map((s) => (s.id === cure.set!.id ? { ...s, ...cure.set!.fields } : s)),
  };
};

describe('one filter for a flight', () => {
  it('shots of one part share it, what holds has no mark, and none is changed without a landing', () => {
    const derived = deriveFilm(film);
    let flights = 0;
    for (const place of derived.places.values())
      for (const flight of place.flights) {
        flights += 1;
        const own = flight.stops.map((s) => derived.shots.get(s.shotId)!);
        own.forEach((s, i) => {
          const before = own[i - 1];
          if (before && before.filter!.part === s.filter!.part)
            expect(s.filter!.filterId).toBe(before.filter!.filterId);
          expect(s.filter!.lands).toBe(before !== undefined && before.filter!.part !== s.filter!.part);
          if (s.filter!.holds && s.light!.exposure.ok) {
            expect(s.light!.exposure.value.choice.filterId).toBe(s.filter!.filterId);
            expect(s.light!.exposure.value.choice.marks, s.facts.shot.title).toEqual([]);
          }
        });
      }
    expect(flights).toBeGreaterThan(4);
  });

  const bearings = fc.array(
    fc.record({
      keys: fc.subarray(['a', 'b', 'c', 'd']),
      costs: fc.array(numberIn(0, 5), { minLength: 4, maxLength: 4 }),
    }),
    { minLength: 1, maxLength: 7 },
  );
  const made = (list: readonly { keys: string[]; costs: number[] }[]): FilterFit[] =>
    list.map(({ keys, costs }) => ({
      missCosts: new Map(),
      fitCosts: new Map(keys.map((k, i) => [k, costs[i] ?? 0])),
      candidates: ['a', 'b', 'c', 'd'].map((k) => ({ filterId: k, stops: 1, cost: 0, key: k })),
      fixed: false,
    }));
  it('lands as seldom as any choice of filters would', () => {
    fc.assert(
      fc.property(bearings, (list) => {
        const filters = flightFilters(made(list));
        const landings = filters.filter((f) => f.lands).length;
        // Every choice of a filter for each shot that its light allows, by dynamic programming over the last one on.
        let least = new Map(['a', 'b', 'c', 'd'].map((k) => [k, 0]));
        list.forEach(({ keys }, i) => {
          const allowed = keys.length > 0 ? keys : ['a', 'b', 'c', 'd'];
          const best = i === 0 ? 0 : Math.min(...least.values());
          least = new Map(
            allowed.map((k) => [k, i === 0 ? 0 : Math.min(least.get(k) ?? Infinity, best + 1)]),
          );
        });
        expect(landings).toBe(Math.min(...least.values()));
        filters.forEach((f, i) => expect(f.holds).toBe(list[i]!.keys.includes(f.filterId ?? '')));
      }),
    );
  });

  it('a filter fixed to another costs a landing, and freeing it takes the landing away', () => {
    const fixed = withShot('Along the parapet', {
      exposure: {
        aperture: null,
        shutterS: null,
        iso: null,
        filterId: film.kit.filters.find((f) => f.name === 'ND 128')!.id,
      },
    });
    const told = shotOf(deriveFilm(fixed), 'Along the parapet').warnings.find(
      (w) => w.code === 'exposure.filter-change',
    )!;
    expect(said(told.cures[0]?.say)).toMatch(/Free/);
    expect(
      codes(shotOf(deriveFilm(applied(fixed, told, /Free/)), 'Along the parapet').warnings),
    ).not.toContain('exposure.filter-change');
  });

  it('where nothing bears the light, the nearest is on: the strongest at noon, none at night', () => {
    const weak = { ...film, kit: { ...film.kit, filters: film.kit.filters.filter((f) => f.factor <= 16) } };
    const noon = shotOf(
      deriveFilm(withPlace(/viaduct/, { windowStart: '13:30', windowEnd: '15:00' }, weak)),
      'Sleepers from above',
    );
    expect(noon.filter).toMatchObject({ holds: false, lands: false });
    expect(noon.filter!.stops).toBe(5);
    const dark = shotOf(
      deriveFilm(withPlace(/viaduct/, { windowStart: '03:00', windowEnd: '04:00' })),
      'Along the parapet',
    );
    expect(dark.filter).toMatchObject({ filterId: null, holds: false });
  });

  it('a variable filter is offered at whole stops up to its strongest', () => {
    const vario = film.kit.filters.find((f) => f.kind === 'variable')!;
    expect(marksOf(vario)).toEqual([4, 8, 16, 32]);
    expect(marksOf({ ...vario, factor: 3, strongest: 10 })).toEqual([3, 6, 10]);
    expect(marksOf(film.kit.filters[0]!)).toEqual([4]);
  });
});

describe('exposure over a flight', () => {
  it('a filter holds over its shots, and neither a minute longer nor shorter than it says', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values()) {
      const lit = litOf(film, derived, place.location.id);
      for (const f of exposurePlan(place, derived.shots, film.kit, lit)) {
        expect(f.rows.map((r) => r.shotId)).toEqual(f.flight.stops.map((s) => s.shotId));
        for (const part of f.parts) {
          if (!part.holds) continue;
          expect(part.holds.fromMs).toBeLessThanOrEqual(part.fromMs);
          expect(part.holds.toMs).toBeGreaterThanOrEqual(part.toMs);
          expect(part.longest!.toMs - part.longest!.fromMs).toBeGreaterThanOrEqual(
            part.holds.toMs - part.holds.fromMs - 1,
          );
        }
        for (const r of f.rows)
          expect(Math.sign(r.end.ev100 - r.start.ev100)).toBe(Math.sign(r.stopsPerMinute));
      }
    }
  });
  it('at sunrise the light grows, at dusk it falls', () => {
    const derived = deriveFilm(film);
    const growth = (name: RegExp): number[] => {
      const place = [...derived.places.values()].find((p) => name.test(p.location.name))!;
      return exposurePlan(place, derived.shots, film.kit, litOf(film, derived, place.location.id)).flatMap(
        (f) => f.rows.map((r) => r.stopsPerMinute),
      );
    };
    expect(growth(/viaduct/).every((g) => g > 0)).toBe(true);
    expect(
      growth(/pans/)
        .slice(0, 3)
        .every((g) => g < 0),
    ).toBe(true);
  });
});

describe('the light of a shot over its window', () => {
  it('what is offered against the sun in the lens keeps it out', () => {
    let tried = 0;
    for (const { title } of film.shots) {
      const told = looked(film, title).warnings.find((w) => w.code === 'light.sun-in-lens');
      for (const cure of told?.cures.filter((c) => c.set && !/want it so/.test(said(c.say))) ?? []) {
        tried += 1;
        const after = applied(
          film,
          told!,
          new RegExp(
            said(cure.say)
              .slice(0, 12)
              .replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&'),
          ),
        );
        expect(codes(looked(after, title).warnings), `${title}: ${said(cure.say)}`).not.toContain(
          'light.sun-in-lens',
        );
      }
    }
    expect(tried).toBeGreaterThan(0);
  });
  it('good minutes have the wanted light, a setting and no sun in the lens, and no others do', () => {
    for (const title of ['Mirror at dusk', 'Leave it to the blue', 'Valley wakes', 'Steps of slate']) {
      const { window } = looked(film, title);
      for (const g of window.good) {
        expect(window.wished.some((w) => w.fromMs <= g.fromMs && w.toMs >= g.toMs)).toBe(true);
        expect(window.exposed.some((w) => w.fromMs <= g.fromMs && w.toMs >= g.toMs)).toBe(true);
      }
      for (const s of window.settings)
        if (s.choice && s.choice.marks.length === 0)
          expect(window.exposed.some((w) => s.utcMs >= w.fromMs && s.utcMs < w.toMs)).toBe(true);
    }
  });
  const down = (): FilmInput => withPlace(/viaduct/, { windowStart: '13:40', windowEnd: '14:40' });
  it('looking down near noon the own shadow is seen from near, not from high up nor with a low sun', () => {
    const low = (heightM: number) =>
      withShot(
        'Sleepers from above',
        {
          move: {
            ...film.shots.find((s) => s.title === 'Sleepers from above')!.move,
            values: { heightM, turnDeg: 60, rateDegS: 5, fromBearingDeg: 180 },
          },
        },
        down(),
      );
    const subjectM = 28;
    expect(codes(looked(low(subjectM + 6), 'Sleepers from above').warnings)).toContain('light.own-shadow');
    expect(codes(looked(low(110), 'Sleepers from above').warnings)).not.toContain('light.own-shadow');
    expect(codes(looked(film, 'Sleepers from above').warnings)).not.toContain('light.own-shadow');
  });
  it('warns of a high sun at noon unless that is wanted', () => {
    expect(codes(looked(down(), 'Valley wakes').warnings)).toContain('light.noon');
    expect(
      codes(looked(withShot('Valley wakes', { wants: 'hard' }, down()), 'Valley wakes').warnings),
    ).not.toContain('light.noon');
    expect(
      codes(looked(withPlace(/viaduct/, { sky: 'overcast' }, down()), 'Valley wakes').warnings),
    ).not.toContain('light.noon');
  });
  it('tells a black sky late in the evening, with the minute it still held colour', () => {
    const late = withShot(
      'Leave it to the blue',
      { wants: 'any' },
      withPlace(/pans/, { windowStart: '22:00', windowEnd: '23:50' }),
    );
    const last = withShot('Leave it to the blue', { wants: 'any', notBefore: '23:20' }, late);
    const told = looked(last, 'Leave it to the blue').warnings.find((w) => w.code === 'light.black-sky')!;
    expect(said(told.say)).toMatch(/23:2/);
    expect(said(told.cures[0]?.say)).toMatch(/22:\d\d/);
  });
});

describe('places and their light', () => {
  const told = (input: FilmInput, name: RegExp): Warning[] => {
    const d = deriveFilm(input);
    const p = [...d.places.values()].find((x) => name.test(x.location.name))!;
    return locationLightWarnings(
      p,
      [...d.shots.values()].filter((s) => s.facts.location.id === p.location.id).map((s) => s.facts.shot),
      input.readings,
    );
  };
  it('says when one leaves before the lamps come on, and staying as long as it asks cures it', () => {
    const early = withPlace(/pans/, { windowEnd: '21:45' });
    const w = told(early, /pans/).find((x) => x.code === 'light.before-lamps')!;
    const until = w.cures[0]!.set!.fields['windowEnd'] as string;
    expect(codes(told(withPlace(/pans/, { windowEnd: until }), /pans/))).not.toContain('light.before-lamps');
    expect(codes(told(withPlace(/pans/, { windowEnd: '21:45', lamps: 'none' }), /pans/))).not.toContain(
      'light.before-lamps',
    );
  });
  it('a reading of another date is named and not used', () => {
    const location = film.locations[0]!;
    const at = (date: string): number => localToUtc(date, minutesOf('07:00'), location.zone);
    const read = (utcMs: number): FilmInput => ({
      ...film,
      readings: [{ id: 'r', locationId: location.id, utcMs, ev100: 4, of: null }],
    });
    expect(codes(told(read(at('2027-05-10')), /viaduct/))).toContain('light.stale-reading');
    const light = (input: FilmInput): number => shotOf(deriveFilm(input), 'Valley wakes').light!.scene.ev100;
    expect(light(read(at('2027-05-10')))).toBe(light(film));
    expect(light(read(at('2027-05-14')))).toBeLessThan(light(film));
  });
  it('a shot is held back to its minute, and what follows it comes later', () => {
    const held = deriveFilm(withShot('Along the parapet', { notBefore: '07:40' }));
    const zone = 'Europe/Madrid';
    expect(clockText(shotOf(held, 'Along the parapet').light!.atMs, zone)).toBe('07:40');
    expect(shotOf(held, 'Train takes the bridge').light!.atMs).toBeGreaterThan(
      shotOf(held, 'Along the parapet').light!.atMs,
    );
    expect(shotOf(held, 'Meadow to arches').light!.atMs).toBe(
      shotOf(deriveFilm(film), 'Meadow to arches').light!.atMs,
    );
    const outside = withShot('Along the parapet', { notBefore: '09:30' });
    expect(codes(told(outside, /viaduct/))).toContain('light.pin');
  });
  it('a minute past midnight belongs to a window that runs past it', () => {
    const night = withShot(
      'Leave it to the blue',
      { wants: 'any', notBefore: '00:20' },
      withPlace(/pans/, { windowStart: '23:00', windowEnd: '01:00' }),
    );
    expect(clockText(shotOf(deriveFilm(night), 'Leave it to the blue').light!.atMs, 'Europe/Madrid')).toBe(
      '00:20',
    );
  });
  it('clock and coordinates that do not belong together are told', () => {
    const all = (zone: string): string[] =>
      codes([...deriveFilm(withPlace(/viaduct/, { zone })).locationWarnings.values()].flat());
    expect(all('Asia/Tokyo')).toContain('place.zone-apart');
    for (const zone of ['Europe/Madrid', 'Europe/Lisbon', 'Africa/Casablanca'])
      expect(all(zone)).not.toContain('place.zone-apart');
  });
  it('polar night says so and still exposes', () => {
    const polar = deriveFilm(
      withPlace(/viaduct/, {
        latitude: 78.2,
        longitude: 15.6,
        zone: 'Arctic/Longyearbyen',
        date: '2027-12-21',
      }),
    );
    expect(codes([...polar.locationWarnings.values()].flat())).toContain('place.no-sunrise');
    expect(shotOf(polar, 'Valley wakes').light!.exposure.ok).toBe(true);
    expect(codes(shotOf(polar, 'Valley wakes').warnings)).toContain('light.wish');
  });
});

describe('dates', () => {
  it('weighs seven dates; in autumn golden hours come later each day, so the first serves a morning best', () => {
    const autumn = withPlace(/viaduct/, { date: '2027-10-10', windowStart: '08:00', windowEnd: '09:05' });
    const derived = deriveFilm(autumn);
    const place = derived.places.get(film.locations[0]!.id)!;
    const jobs = [...derived.shots.values()]
      .filter((s) => s.facts.location.id === place.location.id)
      .map((s) => lightJob(s, film.kit)!);
    const dates = weighDates(film.film, place.location, jobs, 7);
    expect(dates.map((d) => d.date)).toEqual([
      '2027-10-10',
      '2027-10-11',
      '2027-10-12',
      '2027-10-13',
      '2027-10-14',
      '2027-10-15',
      '2027-10-16',
    ]);
    for (const d of dates) {
      expect(d.served).toBeLessThanOrEqual(jobs.length);
      expect(d.wantedMin).toBeGreaterThanOrEqual(0);
    }
    expect(bestDate(dates)?.served).toBe(Math.max(...dates.map((d) => d.served)));
    expect(bestDate([])).toBeNull();
  });
});

describe('readings', () => {
  it('hold for their own day and the night after', () => {
    const derived = deriveFilm(film);
    const place = derived.places.get(film.locations[2]!.id)!;
    const { startMs, endMs } = place.light!.sun;
    const made = [startMs - 1, startMs, endMs + 3_600_000, endMs + 13 * 3_600_000].map((utcMs, i) => ({
      id: String(i),
      locationId: place.location.id,
      utcMs,
      ev100: 3,
      of: null,
    }));
    const lit = locationLight(place.location, place.light!, made, film.film.preferences);
    expect(lit.readings.map((r) => r.id)).toEqual(['1', '2']);
    expect(
      conditionsOf(lit, {
        shot: { offsetStops: 1, surface: 'snow', lit: 'shaded', litShare: 0 },
        skySeen: null,
      }).offsetStops,
    ).toBe(0);
  });
});
