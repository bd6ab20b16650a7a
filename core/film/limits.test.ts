import { sharesAfterEvening } from '../charge';
import { said } from '../testing';
import { beforeAll, describe, expect, it } from 'vitest';
import { curesFor } from '../proposals';
import { energyCurve, explainFlight, explainSupply } from '../day';
import { layDown } from '../day/manual-edits';
import { riskDay, withPackMore, withTakeLess, simulate } from '../risk';
import { newRow, type FilmInput } from '../model';
import { deriveFilm } from './derive';
import { DAY, dayPlaces, few, proposed, seeded, taken } from './planning-fixtures';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

describe('energy along a flight', () => {
  it('ends at what the budget says, falls all the way, and the way home from the last stop is the budget’s', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values())
      for (const flight of place.flights) {
        const rated = film.kit.packs.find((p) => p.id === flight.packId)!.ratedWh;
        const kit = film.kit;
        const learnedKit = { ...kit, aircraft: [...derived.shots.values()].map((s) => s.facts.aircraft!) };
        const curve = energyCurve(derived, film.film, learnedKit, place, flight, rated)!;
        const { steps } = curve;
        for (let i = 1; i < steps.length; i += 1) {
          expect(steps[i]!.leftWh).toBeLessThanOrEqual(steps[i - 1]!.leftWh + 1e-9);
          expect(steps[i]!.tS).toBeGreaterThanOrEqual(steps[i - 1]!.tS - 1e-9);
        }
        const lastStop = flight.stops.at(-1)!;
        expect(steps.at(-2)!.leftWh).toBeCloseTo(flight.supply.availableWh - lastStop.usedWh, 6);
        expect(steps.at(-2)!.homeWh).toBeCloseTo(lastStop.homeWh, 6);
        expect(steps.at(-2)!.tS).toBeCloseTo(lastStop.atS + lastStop.airS - flight.startS, 6);
        expect(curve.noReturn).toBeNull();
      }
  });
  it('marks where the way home would eat what is never planned', () => {
    const derived = deriveFilm(film);
    const place = derived.places.get(film.locations[0]!.id)!;
    const [flight] = place.flights;
    const poor = { ...flight!, supply: { ...flight!.supply, availableWh: flight!.usedWh * 0.6 } };
    const curve = energyCurve(derived, film.film, film.kit, place, poor, 46)!;
    expect(curve.noReturn).not.toBeNull();
    expect(curve.noReturn!.leftWh).toBeLessThan(curve.noReturn!.homeWh + 4.6);
    expect(curve.turnBackS!).toBeLessThanOrEqual(curve.noReturn!.tS);
  });
  it('marks the last step at which turning back still lands with the reserve', () => {
    const derived = deriveFilm(film);
    const place = derived.places.get(film.locations[0]!.id)!;
    const [flight] = place.flights;
    const { supply, usedWh } = flight!;
    const thin = { ...flight!, supply: { ...supply, availableWh: supply.reserveWh + 0.7 * usedWh } };
    const curve = energyCurve(derived, film.film, film.kit, place, thin, 46)!;
    // Whoever turns then still lands with the reserve; at the next step no more.
    const at = curve.steps.findIndex((s) => s.tS === curve.turnBackS);
    const [then, after] = curve.steps.slice(at);
    expect(then!.leftWh).toBeGreaterThanOrEqual(then!.homeWh + curve.reserveWh);
    expect(after!.leftWh).toBeLessThan(after!.homeWh + curve.reserveWh);
  });
});

describe('figures that unfold', () => {
  it('add up to what the rail shows', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values())
      for (const flight of place.flights) {
        const pack = film.kit.packs.find((p) => p.id === flight.packId)!;
        for (const [sum, total] of [
          [explainFlight(flight, derived), flight.usedWh],
          [explainSupply(flight, pack, film.film, place.location), flight.supply.usableWh],
        ] as const) {
          expect(sum.value).toBe(total);
          expect(sum.terms.reduce((a, t) => a + t.value, 0)).toBeCloseTo(total, 6);
          expect(new Set(sum.terms.map((t) => t.label)).size).toBe(sum.terms.length);
        }
      }
  });
});

describe('what would help', () => {
  it('every cure that is offered was tried: the shot is flown with it and nothing is lost', () => {
    const tight = few(film, 1);
    const derived = deriveFilm(tight);
    const left = [...derived.shots.values()].filter((s) => s.unfit);
    expect(left.length).toBeGreaterThan(0);
    let offered = 0;
    for (const s of left)
      for (const cure of curesFor(tight, derived, s.facts.shot.id)) {
        offered += 1;
        const { entity, id, fields } = cure.set!;
        const put = <T extends { readonly id: string }>(list: readonly T[]): T[] =>
          list.map((x) => (x.id === id ? { ...x, ...fields } : x));
        const cured =
          entity === 'film'
            ? ({ ...tight, film: { ...tight.film, ...fields } } as FilmInput)
            : entity === 'shot'
              ? { ...tight, shots: put(tight.shots) }
              : entity === 'pack'
                ? { ...tight, kit: { ...tight.kit, packs: put(tight.kit.packs) } }
                : { ...tight, locations: put(tight.locations) };
        const would = deriveFilm(cured);
        expect(would.shots.get(s.facts.shot.id)!.flightIndex, said(cure.say)).not.toBeNull();
        expect(would.budget.mustsUnfit).toBeLessThanOrEqual(derived.budget.mustsUnfit);
      }
    expect(offered).toBeGreaterThan(0);
    expect(curesFor(tight, derived, 'gone')).toEqual([]);
  });
});

describe('chances of a day', () => {
  it('the dice see the energy and the seconds the budget reckons', () => {
    const derived = deriveFilm(film);
    const day = riskDay(film, derived, DAY)!;
    const flights = dayPlaces(film)
      .flatMap((id) => derived.places.get(id)!.flights)
      .sort((a, b) => a.startMs - b.startMs);
    day.flights.forEach((f, i) => {
      const planned = flights[i]!;
      const seconds =
        f.takeoffS +
        f.stops.reduce(
          (sum, s) => sum + s.legS + s.setupS + s.takes * s.takeS + (s.takes - 1) * s.betweenS,
          0,
        ) +
        f.stops.at(-1)!.homeS;
      const wh =
        f.takeoffWh +
        f.stops.reduce(
          (sum, s) => sum + s.legWh + s.setupWh + s.takes * s.takeWh + (s.takes - 1) * s.betweenWh,
          0,
        ) +
        f.stops.at(-1)!.homeWh;
      expect(seconds).toBeCloseTo(planned.seconds, 6);
      expect(wh).toBeCloseTo(planned.usedWh, 6);
    });
    expect(riskDay(film, derived, '1999-01-01')).toBeNull();
  });
  it('a rehearsed move is set up sooner in the dice, not in the plan; the switch takes it back', () => {
    const shot = film.shots.find((s) => s.move.kind === 'orbit')!;
    const row = { ...newRow('practice', { id: shot.id, pilotId: film.film.pilotId!, moveKind: 'orbit' }) };
    const with12 = {
      ...film.kit,
      practice: [{ ...row, handling: 'simulator' as const, tries: 12, keepers: 12 }],
    };
    const stopOf = (input: FilmInput) => {
      const derived = deriveFilm(input);
      const { date } = derived.shots.get(shot.id)!.facts.location;
      return riskDay(input, derived, date)!
        .flights.flatMap((f) => f.stops)
        .find((s) => s.id === shot.id)!;
    };
    const plain = stopOf({ ...film, kit: { ...film.kit, practice: [] } });
    const rehearsed = stopOf({ ...film, kit: with12 });
    expect(rehearsed.setupS).toBeCloseTo(0.9 * plain.setupS, 9);
    expect(rehearsed.setupWh).toBeCloseTo(0.9 * plain.setupWh, 9);
    expect(rehearsed.keeperRate).toBeGreaterThan(plain.keeperRate);
    const off = { ...film.film, preferences: { ...film.film.preferences, countRehearsed: false } };
    expect(stopOf({ ...film, film: off, kit: with12 })).toEqual(plain);
  });
  it('one pack more does not hurt, and one take less is of the shot that costs most', () => {
    const tight = few(film, 2);
    const day = riskDay(tight, deriveFilm(tight), DAY)!;
    const plain = simulate(day, 600, seeded(2));
    const more = simulate(withPackMore(day, plain.missing), 600, seeded(2));
    expect(more.allMusts).toBeGreaterThanOrEqual(plain.allMusts - 0.05);
    const less = withTakeLess(day)!;
    expect(less.day.flights.flatMap((f) => f.stops).find((s) => s.id === less.id)!.takes).toBe(
      day.flights.flatMap((f) => f.stops).find((s) => s.id === less.id)!.takes - 1,
    );
  });
});

describe('what cannot be', () => {
  const withPacks = (change: object): FilmInput => ({
    ...film,
    kit: { ...film.kit, packs: film.kit.packs.map((p) => ({ ...p, ...change })) },
  });
  it('no pack charged: every shot says so, and charging is what helps', () => {
    const whole = withPacks({ charge: 0 });
    const empty = { ...whole, kit: { ...whole.kit, chargers: [] } };
    const derived = deriveFilm(empty);
    const first = [...derived.places.values()][0]!;
    expect(first.flights).toEqual([]);
    expect(new Set(first.fill.unfit.map((u) => u.reason))).toEqual(new Set(['no-charge']));
    expect(proposed(empty).flights).toEqual([]);
    expect(said(curesFor(empty, derived, first.fill.unfit[0]!.shotId)[0]?.say)).toMatch(/^Charge P1/);
  });
  it('what the evening before charges is in the plan, as far as its chargers and their sources go', () => {
    const low = withPacks({ charge: 0.3, chargedOn: null });
    const usable = (input: FilmInput): number[] => {
      const { flights, fill } = [...deriveFilm(input).places.values()][0]!;
      const untouched = fill.remainingPacks.filter((p) => flights.every((f) => f.packId !== p.packId));
      return [...flights.slice(0, 1).map((f) => f.supply), ...untouched].map((p) => p.availableWh / p.fullWh);
    };
    expect(Math.min(...usable(low))).toBeGreaterThan(0.99);
    const { preferences } = low.film;
    const without = { ...low, film: { ...low.film, preferences: { ...preferences, topUpBefore: false } } };
    for (const share of usable(without)) expect(share).toBeLessThan(0.31);
    const bank = { ...low.kit.chargers[0]!, source: 'bank' as const, sourceWh: 10 };
    const few = { ...low, kit: { ...low.kit, chargers: [bank] } };
    const full = low.kit.packs.reduce((sum, p) => sum + p.ratedWh * p.health, 0);
    const after = sharesAfterEvening(low.kit.packs, [bank], '2027-05-14');
    const gained = low.kit.packs.reduce((sum, p) => sum + (after.get(p.id)! - 0.3) * p.ratedWh * p.health, 0);
    expect(gained).toBeLessThanOrEqual(10 * bank.efficiency + 1e-6);
    expect(gained).toBeLessThan(full * 0.7);
    expect(Math.min(...usable(few))).toBeLessThan(0.5);
  });
  it('frames that come faster than the card writes are named with the interval it keeps up with, and no longer', () => {
    const frameEvery = (intervalS: number, writeMBs: number, kind = 'time-lapse'): FilmInput => ({
      ...film,
      shots: film.shots.map((s) =>
        s.title === 'Valley wakes'
          ? { ...s, stillAs: 'compressed', move: { ...s.move, kind, values: { intervalS } } }
          : s,
      ),
      kit: {
        ...film.kit,
        cards: film.kit.cards.map((c) => ({ ...c, writeMBs })),
        aircraft: film.kit.aircraft.map((a) => ({
          ...a,
          cameras: a.cameras.map((c) => ({ ...c, stillMB: 24 })),
        })),
      },
    });
    const told = (input: FilmInput) => {
      const { budget } = deriveFilm(input);
      return budget.warnings.filter((w) => w.code === 'card.frames');
    };
    let named = 0;
    for (const [intervalS, writeMBs] of [
      [0.5, 59],
      [0.5, 61],
      [1, 21],
      [2, 16],
      [2, 14],
    ] as const) {
      const warnings = told(frameEvery(intervalS, writeMBs));
      expect(warnings.length, `${intervalS} s, ${writeMBs} MB/s`).toBe(
        (24 / intervalS) * 1.25 > writeMBs ? 1 : 0,
      );
      const move = warnings[0]?.cures[0]?.set?.fields['move'] as
        { values: { intervalS: number } } | undefined;
      if (!move) continue;
      named += 1;
      expect(told(frameEvery(move.values.intervalS, writeMBs))).toEqual([]);
      expect(told(frameEvery(move.values.intervalS - 0.5, writeMBs)).length).toBe(1);
    }
    expect(named).toBe(3);
    // A time-lapse records no video: the rate of its mode is not what the card must bear.
    const slow = (kind: string): boolean =>
      deriveFilm({
        ...frameEvery(60, 1, kind),
        shots: frameEvery(60, 1, kind).shots.filter((s) => s.title === 'Valley wakes'),
      }).budget.warnings.some((w) => w.code === 'card.slow');
    expect([slow('time-lapse'), slow('hold')]).toEqual([false, true]);
  });
  it('the pack of the demo kit that falls behind its sisters is named by its log', () => {
    const failing = deriveFilm(film).budget.warnings.filter((w) => w.code === 'pack.failing');
    expect(failing.map((w) => said(w.say)).join()).toMatch(/^P3.*12.% faster/);
  });
  it('swollen or hurt packs are never planned with, whatever they hold, and are named with their caution', () => {
    for (const condition of ['swollen', 'damaged'] as const) {
      const derived = deriveFilm(withPacks({ condition }));
      expect([...derived.places.values()].flatMap((p) => p.flights)).toEqual([]);
      const warning = derived.budget.warnings.find((w) => w.code === 'pack.failing')!;
      expect(warning.severity).toBe('stop');
      expect(said(warning.why)).toContain('Do not charge or fly it');
      expect(proposed(withPacks({ condition })).flights).toEqual([]);
    }
  });
  it('a must that fits on no pack says how much it lacks; with too much wind nothing flies', () => {
    const must = film.shots.find((s) => s.priority === 'must')!;
    const long = {
      ...film,
      shots: film.shots.map((s) => (s === must ? { ...s, takes: 40, setupS: 3000 } : s)),
    };
    const lacking = deriveFilm(long).shots.get(must.id)!.unfit!;
    expect(lacking.reason).toBe('over-pack');
    expect(lacking.shortWh).toBeGreaterThan(5);
    const stormy = {
      ...film,
      locations: film.locations.map((l) => ({ ...l, hours: [], windMs: 40, gustMs: 45 })),
    };
    const derived = deriveFilm(stormy);
    expect([...derived.places.values()].flatMap((p) => p.flights)).toEqual([]);
    expect(proposed(stormy).flights).toEqual([]);
  });
  it('a flight laid down on a pack that is not along, or on an aircraft its shots left, is told and loses nothing', () => {
    const place = dayPlaces(film)[0]!;
    const laid = taken(film, layDown(film, deriveFilm(film), place).changes);
    const packId = laid.flights[0]!.packId!;
    const gone = deriveFilm({ ...laid, film: { ...laid.film, leftHome: [packId] } });
    expect(said(gone.locationWarnings.get(place)!.find((w) => w.code === 'flight.over')?.say)).toContain(
      'has no pack',
    );
    const other = film.kit.aircraft[1]!.id;
    const moved = {
      ...laid,
      shots: laid.shots.map((s) =>
        s.locationId === place ? { ...s, aircraftId: other, cameraId: 'main', modeId: '25' } : s,
      ),
    };
    const now = deriveFilm(moved).places.get(place)!;
    expect(
      [
        ...now.flights.flatMap((f) => f.stops.map((s) => s.shotId)),
        ...now.fill.unfit.map((u) => u.shotId),
      ].sort(),
    ).toEqual(
      film.shots
        .filter((s) => s.locationId === place)
        .map((s) => s.id)
        .sort(),
    );
  });
});
