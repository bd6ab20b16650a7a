import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { fillFlights, type FlightRules, type PackSupply, type ShotCost } from '../budget';
import { legFlyer, powerModel } from '../energy';
import { NOTHING_ADDED } from '../moves';
import { deriveFilm, FilmDeriver } from './derive';
import { explain } from '../shot';
import { FIGURES } from '../shot/figures';
import type { FilmInput, Shot } from '../model';
import { numberIn, said } from '../testing';

/** The made-up film, loaded at run time: the core itself imports nobody. */
let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

const withShots = (change: (s: Shot) => Shot): FilmInput => ({ ...film, shots: film.shots.map(change) });
const limits = (input: FilmInput): void => {
  for (const place of deriveFilm(input).places.values())
    for (const flight of place.flights) {
      expect(flight.usedWh).toBeLessThanOrEqual(flight.supply.usableWh + 1e-6);
      for (const stop of flight.stops)
        expect(flight.supply.availableWh - stop.usedWh - stop.homeWh).toBeGreaterThanOrEqual(
          flight.supply.reserveWh - 1e-6,
        );
    }
};

describe('a derived film', () => {
  it('has every shot either in exactly one flight or named as not fitting', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 18, maxLength: 18 }),
        fc.constantFrom('several', 'one-shot'),
        (takes, packUse) => {
          const input: FilmInput = {
            ...film,
            film: { ...film.film, preferences: { ...film.film.preferences, packUse: packUse as 'several' } },
            shots: film.shots.map((s, i) => ({ ...s, takes: takes[i]! })),
          };
          const derived = deriveFilm(input);
          const flown = [...derived.places.values()].flatMap((p) =>
            p.flights.flatMap((f) => f.stops.map((s) => s.shotId)),
          );
          const unfit = [...derived.places.values()].flatMap((p) => p.fill.unfit.map((u) => u.shotId));
          expect([...flown, ...unfit].sort()).toEqual(film.shots.map((s) => s.id).sort());
          limits(input);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('never charges a pack for more than it holds in a day', () => {
    const derived = deriveFilm(withShots((s) => ({ ...s, takes: 6 })));
    const perDay = new Map<string, number>();
    for (const place of derived.places.values())
      for (const f of place.flights) {
        const key = `${place.location.date}|${f.packId}`;
        perDay.set(key, (perDay.get(key) ?? 0) + f.usedWh);
      }
    for (const [key, used] of perDay) {
      const pack = film.kit.packs.find((p) => p.id === key.split('|')[1])!;
      expect(used).toBeLessThanOrEqual(pack.ratedWh * 0.7 + 1e-6);
    }
  });

  it('more wind never flies more for the same packs, and costs no less out and back', () => {
    const energy = (windMs: number): number => {
      const derived = deriveFilm({
        ...film,
        locations: film.locations.map((l) => ({ ...l, hours: [], windMs, gustMs: windMs })),
      });
      return [...derived.shots.values()]
        .filter(
          (s) =>
            s.facts.shot.takeStyle === 'there-and-back' &&
            s.facts.shot.takes === 2 &&
            s.facts.shot.move.kind !== 'orbit',
        )
        .reduce((sum, s) => sum + (s.facts.energy?.movesWh ?? 0), 0);
    };
    // A light wind helps a hovering aircraft (translational lift), so the law is tested above that.
    const curve = [6, 7, 8, 9, 10].map(energy);
    expect([...curve].sort((a, b) => a - b)).toEqual(curve);
  });

  it('tells one changed shot ahead of the whole, with the same facts as the whole then has', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 17 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom(1, 1.5, 2),
        (i, takes, zoom) => {
          const reckoner = new FilmDeriver();
          const before = reckoner.derive(film);
          const input: FilmInput = {
            ...film,
            shots: film.shots.map((s, n) => (n === i ? { ...s, takes, zoom } : s)),
          };
          const id = film.shots[i]!.id;
          const ahead = reckoner.shot(input, before, id)!;
          const whole = reckoner.derive(input).shots.get(id)!;
          expect(ahead.facts).toBe(whole.facts);
          expect(ahead.number).toBe(whole.number);
          const afresh = deriveFilm(input).shots.get(id)!.facts;
          expect({ ...afresh, surfaceAt: null }).toEqual({ ...ahead.facts, surfaceAt: null });
        },
      ),
      { numRuns: 30 },
    );
    const reckoner = new FilmDeriver();
    const before = reckoner.derive(film);
    for (const id of before.order) expect(reckoner.shot(film, before, id)).toBe(before.shots.get(id));
    expect(reckoner.shot(film, before, 'nobody')).toBeNull();
    expect(reckoner.shot({ ...film, shots: [] }, before, before.order[0]!)).toBe(
      before.shots.get(before.order[0]!),
    );
  });

  it('gives the same answer remembered as worked out afresh, whatever changes', () => {
    const reckoner = new FilmDeriver();
    reckoner.derive(film);
    fc.assert(
      fc.property(
        fc.nat({ max: 17 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('clear', 'heavy', 'overcast'),
        numberIn(0, 6),
        (i, takes, sky, windMs) => {
          const input: FilmInput = {
            ...film,
            shots: film.shots.map((s, n) => (n === i ? { ...s, takes } : s)),
            locations: film.locations.map((l, n) =>
              n === i % 3 ? { ...l, hours: [], sky: sky as 'clear', windMs } : l,
            ),
          };
          const mine = reckoner.derive(input);
          const fresh = deriveFilm(input);
          expect(mine.budget).toEqual(fresh.budget);
          expect([...mine.shots.values()].map((s) => [s.number, s.warnings, s.light?.exposure])).toEqual(
            [...fresh.shots.values()].map((s) => [s.number, s.warnings, s.light?.exposure]),
          );
        },
      ),
      { numRuns: 30 },
    );
  });

  it('recomputes one shot when one shot changes', () => {
    const reckoner = new FilmDeriver();
    const before = reckoner.derive(film);
    const last = film.shots.at(-1)!;
    const after = reckoner.derive({
      ...film,
      shots: film.shots.map((s) => (s === last ? { ...s, title: 'other' } : s)),
    });
    const same = [...after.shots].filter(([id, s]) => before.shots.get(id)?.facts === s.facts).length;
    expect(same).toBe(film.shots.length - 1);
  });

  it('times shots one after another inside their flights, and waits on the ground for wanted light', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values()) {
      let clock = place.windowFromMs;
      for (const flight of place.flights) {
        expect(flight.startMs).toBeGreaterThanOrEqual(clock - 1);
        for (const stop of flight.stops) {
          expect(flight.shotMs[stop.shotId]).toBeGreaterThan(flight.startMs);
        }
        clock = flight.endMs;
      }
    }
    const blue = film.shots.find((s) => s.wants === 'blue')!;
    const shot = derived.shots.get(blue.id)!;
    const window = derived.places
      .get(blue.locationId)!
      .light!.windows.find((w) => w.kind === 'blue' && w.part === 'evening')!;
    expect(shot.light!.atMs).toBeGreaterThanOrEqual(window.fromMs);
    expect(shot.warnings.map((w) => w.code)).not.toContain('light.wish');
  });

  it('keeps the reserve the film asks for, and a held-back pack on the ground', () => {
    const more: FilmInput = {
      ...film,
      film: {
        ...film.film,
        preferences: { ...film.film.preferences, reserveShare: 0.4, holdBackSpare: true },
      },
    };
    limits(more);
    const used = new Set(
      [...deriveFilm(more).places.values()].flatMap((p) => p.flights.map((f) => f.packId)),
    );
    for (const craft of film.kit.aircraft) {
      const packs = film.kit.packs.filter((p) => p.aircraftIds.includes(craft.id));
      expect(used.has(packs.at(-1)!.id)).toBe(false);
    }
  });

  it('leaves out what stays at home and what is retired', () => {
    const [first, ...others] = film.kit.packs;
    const home = deriveFilm({ ...film, film: { ...film.film, leftHome: others.map((p) => p.id) } });
    const retired = deriveFilm({
      ...film,
      kit: { ...film.kit, packs: film.kit.packs.map((p) => (p === first ? p : { ...p, retired: true })) },
    });
    expect(home.budget).toEqual(retired.budget);
    expect(home.budget.packsShort).toBeGreaterThan(0);
  });

  it('without packs, cards, aircraft or shots it still answers', () => {
    const empty = deriveFilm({
      ...film,
      kit: {
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
      },
    });
    expect(empty.budget).toMatchObject({ shotsFitting: 0, shotsUnfit: 18, packsUsed: 0 });
    expect(empty.budget.warnings.map((w) => w.code)).toContain('pack.none');
    expect(deriveFilm({ ...film, shots: [], locations: [], subjects: [] }).budget).toMatchObject({
      shotsFitting: 0,
      airborneS: 0,
    });
    expect(
      [...deriveFilm({ ...film, subjects: [] }).shots.values()].every((s) =>
        s.warnings.some((w) => w.code === 'shot.no-subject'),
      ),
    ).toBe(true);
  });

  it('says what is wrong with a place instead of guessing', () => {
    const odd = (change: object) =>
      deriveFilm({ ...film, locations: film.locations.map((l, i) => (i === 0 ? { ...l, ...change } : l)) });
    const codes = (change: object): string[] =>
      [...odd(change).locationWarnings.values()].flat().map((w) => w.code);
    expect(codes({ zone: 'Nowhere/Land' })).toContain('place.zone');
    expect(
      codes({ latitude: 78.2, longitude: 15.6, zone: 'Arctic/Longyearbyen', date: '2027-06-20' }),
    ).toContain('place.no-sunrise');
    expect(codes({ visibilityM: 400 })).toContain('place.visibility');
    expect(codes({ windowStart: '23:10', windowEnd: '23:50' })).toContain('place.night');
    const stormy = odd({ hours: [], windMs: 25, gustMs: 30 });
    expect([...stormy.shots.values()][0]!.warnings.map((w) => w.code)).toContain('budget.wind');
  });
});

describe('warnings', () => {
  const codesOf = (change: Partial<Shot>, title = 'Along the parapet'): string[] => {
    const derived = deriveFilm(withShots((s) => (s.title === title ? { ...s, ...change } : s)));
    return [...derived.shots.values()].find((s) => s.facts.shot.title === title)!.warnings.map((w) => w.code);
  };
  const move = (kind: string, values: Record<string, number>, more: Partial<Shot['move']> = {}) => ({
    move: { kind, values, reversed: false, added: NOTHING_ADDED, points: [], locked: [], ...more },
  });
  it.each([
    ['move.no-path', move('orbit', { radiusM: 0 })],
    ['move.too-close-is-subject', move('orbit', { radiusM: 9, heightM: 10 })],
    ['move.ceiling', move('rise', { startM: 3, endM: 160 })],
    ['move.too-fast', move('slide', { lengthM: 1500, speedMs: 30 })],
    ['move.yaw', move('orbit', { radiusM: 5, speedMs: 6, heightM: 90 })],
    ['pace.fast', move('slide', { distanceM: 45, heightM: 1.5, speedMs: 9, lengthM: 200 })],
    ['kit.no-aircraft', { aircraftId: null }],
    ['shot.no-subject', { subjectId: null }],
    ['light.wish', { wants: 'night' as const }],
    ['move.subject-stands', move('track', {})],
    ['lens.zoom', { zoom: 2 }],
    ['lens.zoom-beyond', { zoom: 9 }],
    ['exposure.over', { exposure: { aperture: 2.8, shutterS: 1 / 50, iso: 6400, filterId: 'bare' } }],
    ['move.inputs', move('drop-in', {})],
    ['move.gap', move('fly-through', { gapWidthM: 1.5 })],
    ['move.no-path', move('fly-through', { gapWidthM: 0.4 })],
    ['move.handling', { ...move('slide', { speedMs: 5, lengthM: 120 }), handling: 'slow' as const }],
    ['move.hasty', { ...move('slide', { heightM: 2, distanceM: 75 }), handling: 'fast' as const }],
    ['takes.few', { ...move('orbit', { radiusM: 90 }), takes: 1 }],
    ['use.release', { usage: { people: 'release-wanted' as const, property: 'wide' as const } }],
    [
      'cut.wild',
      {
        cut: {
          by: 'seconds' as const,
          beats: 0,
          segments: [{ timelineS: 1, speedFactor: 100, endFactor: null }],
        },
      },
    ],
    [
      'cut.fast',
      {
        cut: {
          by: 'seconds' as const,
          beats: 0,
          segments: [{ timelineS: 2, speedFactor: 2, endFactor: 16 }],
        },
      },
    ],
    [
      'cut.slow-frames',
      {
        cut: {
          by: 'seconds' as const,
          beats: 0,
          segments: [{ timelineS: 4, speedFactor: 0.5, endFactor: null }],
        },
      },
    ],
    ['move.outrun-is-subject', move('track', {})],
  ])('%s', (code, change) => {
    const told =
      { 'move.too-close-is-subject': 'move.subject', 'move.outrun-is-subject': 'move.subject-stands' }[
        code
      ] ?? code;
    expect(codesOf(change)).toContain(told);
  });

  it('a cure with fields cures what it is for', () => {
    const curable = [
      {
        cut: {
          by: 'seconds' as const,
          beats: 0,
          segments: [{ timelineS: 30, speedFactor: 1, endFactor: null }],
        },
      },
      move('slide', { lengthM: 1500, speedMs: 30 }),
      move('slide', { distanceM: 45, heightM: 3, speedMs: 9, lengthM: 200 }),
    ];
    for (const change of curable) {
      const input = withShots((s) => (s.title === 'Along the parapet' ? { ...s, ...change } : s));
      const before = [...deriveFilm(input).shots.values()].find(
        (s) => s.facts.shot.title === 'Along the parapet',
      )!;
      const sick = before.warnings.filter((w) =>
        ['move.too-short', 'move.too-fast', 'pace.fast'].includes(w.code),
      );
      expect(sick.length).toBeGreaterThan(0);
      for (const warning of sick)
        for (const cure of warning.cures.filter((c) => c.set)) {
          const cured = {
            ...input,
            shots: input.shots.map((s) => (s.id === cure.set!.id ? { ...s, ...cure.set!.fields } : s)),
          };
          const after = deriveFilm(cured).shots.get(cure.set!.id)!;
          expect(after.warnings.map((w) => w.code)).not.toContain(warning.code);
        }
    }
  });

  it('a move along with a subject is flown at its speed, and the cure sets it', () => {
    const input: FilmInput = {
      ...film,
      subjects: film.subjects.map((s) => (s.name === 'Viaduct' ? { ...s, headingDeg: 90, speedMs: 6 } : s)),
      shots: film.shots.map((s) =>
        s.title === 'Along the parapet' ? { ...s, ...move('track', { speedMs: 3 }) } : s,
      ),
    };
    const shot = [...deriveFilm(input).shots.values()].find(
      (s) => s.facts.shot.title === 'Along the parapet',
    )!;
    const cure = shot.warnings.find((w) => w.code === 'move.subject-speed')!.cures[0]!.set!;
    const cured = deriveFilm({
      ...input,
      shots: input.shots.map((s) => (s.id === cure.id ? { ...s, ...cure.fields } : s)),
    }).shots.get(cure.id)!;
    expect(cured.facts.shot.move.values['speedMs']).toBe(6);
    expect(cured.warnings.map((w) => w.code)).not.toContain('move.subject-speed');
  });

  it('beats without a tempo and stills without a shot are told', () => {
    const derived = deriveFilm({ ...film, film: { ...film.film, tempoBpm: 0, stillsWanted: true } });
    const inBeats = [...derived.shots.values()].filter((s) => s.facts.shot.cut.by === 'beats');
    expect(inBeats.length).toBeGreaterThan(0);
    for (const s of inBeats) expect(s.warnings.map((w) => w.code)).toContain('cut.no-tempo');
    expect(derived.budget.warnings.map((w) => w.code)).toContain('film.stills');
  });

  it('always come with a sentence, a reason and, where they stop, a cure or a cause', () => {
    for (const shot of deriveFilm(withShots((s) => ({ ...s, takes: 40 }))).shots.values())
      for (const w of shot.warnings) {
        expect(said(w.say)).toMatch(/\S.*[.]$/);
        expect(said(w.why)).toMatch(/\S/);
        expect(`${said(w.say)}${said(w.why)}`).not.toMatch(/NaN|undefined|Infinity/);
      }
  });
});

describe('sums', () => {
  it('every figure of every shot opens, and what adds up adds up', () => {
    for (const { facts } of deriveFilm(film).shots.values()) {
      for (const id of FIGURES) {
        const sum = explain(id, facts);
        expect(said(sum.formula)).toMatch(/\S/);
        expect(said(sum.source)).toMatch(/\S/);
      }
      const total = (id: 'take' | 'air' | 'energy'): void => {
        const sum = explain(id, facts);
        expect(sum.terms.reduce((a, t) => a + t.value, 0)).toBeCloseTo(sum.value, 6);
      };
      total('take');
      total('air');
      total('energy');
    }
  });
});

describe('filling packs in list order', () => {
  const craft = {
    massKg: 0.72,
    rotors: 4,
    rotorDiameterM: 0.19,
    packWh: 46,
    hoverMinutes: 31,
    cruiseMinutes: 34,
    cruiseSpeedMs: 7,
    maxSpeedMs: 19,
    windLimitMs: 11.5,
  };
  const flyer = legFlyer({
    power: powerModel(craft, 1.225),
    repositionMs: 9,
    topAirspeedMs: 0.8 * craft.maxSpeedMs,
    maxClimbMs: 6,
    maxDescentMs: 4,
    homeGustShare: 0.5,
  });
  const rules: FlightRules = {
    wind: { speedAt10mMs: 0, gustAt10mMs: 0, fromDeg: 0, shear: 0.14 },
    returnHeightM: 40,
    onePackOneShot: false,
    swapS: 180,
    flyerOf: (id) => (id === 'A' ? flyer : undefined),
    atOnce: false,
    breaks: [],
    readyS: 0,
    windowS: 7200,
  };
  const shot = (n: number, wattHours: number, notBeforeS = 0): ShotCost => ({
    shotId: `s${n}`,
    aircraftId: 'A',
    from: { x: 20 * n, y: 50, z: 20 },
    to: { x: 20 * n + 10, y: 60, z: 25 },
    airS: wattHours * 40,
    wattHours,
    notBeforeS,
  });
  const pack = (n: number, usableWh: number): PackSupply => ({
    packId: `p${n}`,
    aircraftIds: ['A'],
    usableWh,
    reserveWh: 13.8,
    availableWh: usableWh + 13.8,
    fullWh: usableWh + 13.8,
  });
  const costs = fc.array(numberIn(0.2, 12), { minLength: 1, maxLength: 14 });

  it('one more pack of a kind that carries any two of the shots never flies less', () => {
    // In list order this is no law for packs of all sizes: a large shot may take the new pack and leave nothing for small ones.
    fc.assert(
      fc.property(costs, fc.nat(5), (list, packs) => {
        const shots = list.map((wh, i) => shot(i, wh));
        const fill = (n: number) =>
          fillFlights(
            shots,
            Array.from({ length: n }, (_, i) => pack(i, 36)),
            [pack(99, 36)],
            rules,
          );
        expect(fill(packs + 1).unfit.length).toBeLessThanOrEqual(fill(packs).unfit.length);
      }),
    );
  });

  it('the packs said to be short are enough when they are added', () => {
    fc.assert(
      fc.property(costs, (list) => {
        const shots = list.map((wh, i) => shot(i, wh));
        const none = fillFlights(shots, [], [pack(99, 30)], rules);
        expect(none.unfit).toHaveLength(shots.length);
        const all = fillFlights(
          shots,
          none.hypothetical.map((_, i) => pack(i, 30)),
          [pack(99, 30)],
          rules,
        );
        expect(all.unfit).toEqual([]);
      }),
    );
  });

  it('a launch waits on the ground for light, and the pack flies again after', () => {
    const { flights } = fillFlights([shot(1, 3), shot(2, 3, 3600)], [pack(1, 30)], [pack(9, 30)], rules);
    expect(flights).toHaveLength(2);
    expect(flights.map((f) => f.packId)).toEqual(['p1', 'p1']);
    expect(flights[1]!.stops[0]!.atS).toBeCloseTo(3600, 6);
    expect(flights[1]!.supply.usableWh).toBeCloseTo(30 - flights[0]!.usedWh, 9);
  });

  it('names what a shot lacks', () => {
    const { unfit } = fillFlights(
      [shot(1, 60), { ...shot(2, 1), aircraftId: 'B' }],
      [pack(1, 30)],
      [pack(9, 30)],
      rules,
    );
    expect(unfit).toEqual([
      { shotId: 's1', reason: 'over-pack', shortWh: expect.any(Number) as number },
      { shotId: 's2', reason: 'no-aircraft', shortWh: 0 },
    ]);
    expect(unfit[0]!.shortWh).toBeGreaterThan(30);
  });
});
