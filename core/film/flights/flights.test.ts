import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { adopt, beforePairs, compareFlights, contradiction, curesFor, dayJob, dayProblem, deriveFilm, editFlight, energyCurve, explainFlight, explainSupply, layDown, letGo, moveFlight, moveShot, proposalOf, riskDay, solveDay, weighFlights, withChanges, withPackMore, withTakeLess, type DayProposal, type FilmInput, type FlightChange } from '..';
import { faultsOfDay, searchDay } from '../../plan';
import { simulate } from '../../risk';

let film: FilmInput;
beforeAll(async () => { film = (await import('../../../demo')).demoFilm() as FilmInput; });
const seeded = (seed: number): (() => number) => { const rng = xoroshiro128plus(seed); return () => (rng.next() >>> 0) / 2 ** 32; };
let ids = 0;
const newId = (): string => { ids += 1; return `00000000-0000-4000-8000-${String(ids).padStart(12, '0')}`; };
const DAY = '2027-05-14';
const dayPlaces = (input: FilmInput, date = DAY) => input.locations.filter((l) => l.date === date).map((l) => l.id);
const proposed = (input: FilmInput, date = DAY, rounds = 30): DayProposal => {
  const job = dayJob(input, deriveFilm(input), date)!;
  let left = rounds;
  return proposalOf(job, solveDay(job, seeded(1), () => { left -= 1; return left > 0; }));
};
const taken = (input: FilmInput, changes: readonly FlightChange[] | null): FilmInput => withChanges(input, changes ?? []);
const few = (input: FilmInput, keep: number): FilmInput => ({ ...input, kit: { ...input.kit, chargers: [], packs: input.kit.packs.map((p) => ({ ...p, retired: p.aircraftIds[0] === input.kit.aircraft[0]!.id && Number(p.name.slice(1)) > keep })) } });

describe('planning a day', () => {
  it('asks for every shot that can be flown, with the energy the budget reckons, and breaks no limit', () => {
    for (const date of new Set(film.locations.map((l) => l.date))) {
      const derived = deriveFilm(film);
      const job = dayJob(film, derived, date)!;
      const own = [...derived.shots.values()].filter((s) => s.facts.location.date === date);
      expect(job.groups.flatMap((g) => g.shots.map((s) => s.id)).sort()).toEqual(own.map((s) => s.facts.shot.id).sort());
      for (const s of job.groups.flatMap((g) => g.shots)) expect(s.performWh).toBe(derived.shots.get(s.id)!.facts.energy!.totalWh);
      const problem = dayProblem(job);
      expect(faultsOfDay(problem, searchDay(problem, seeded(1)).next().value.plan)).toEqual([]);
      // It can be sent beside the page.
      expect(structuredClone(job)).toEqual(job);
    }
  });
  it('taken as proposed it flies what was proposed, within every pack, and no worse than the list', () => {
    for (const input of [film, few(film, 2), few(film, 1)]) {
      const derived = deriveFilm(input);
      const proposal = proposed(input);
      const after = taken(input, adopt(input, derived, proposal.flights, true, -Infinity, newId));
      const would = deriveFilm(after);
      const places = dayPlaces(input);
      const flown = places.flatMap((id) => would.places.get(id)!.flights.filter((f) => f.planId !== null));
      expect(flown.flatMap((f) => f.stops.map((s) => s.shotId))).toEqual(proposal.flights.flatMap((f) => f.stops.map((s) => s.shotId)));
      const [is, was] = [weighFlights(would, places), weighFlights(derived, places)];
      expect(is.over).toBe(0);
      expect(is.flown.must).toBeGreaterThanOrEqual(was.flown.must);
      expect(compareFlights(is, was)).toBeLessThanOrEqual(0);
      expect(compareFlights(is, is)).toBe(0);
    }
  });
  it('taken in part, the rest stays where it was or on the list, and nothing is flown twice', () => {
    const derived = deriveFilm(film);
    const { flights } = proposed(film);
    for (const some of [flights.slice(0, 1), flights.slice(1)]) {
      const after = deriveFilm(taken(film, adopt(film, derived, some, false, -Infinity, newId)));
      const all = [...after.places.values()].flatMap((p) => p.flights.flatMap((f) => f.stops.map((s) => s.shotId)));
      expect(new Set(all).size).toBe(all.length);
      for (const f of some) expect([...after.places.values()].some((p) => p.flights.some((x) => x.planId !== null && x.stops.map((s) => s.shotId).join() === f.stops.map((s) => s.shotId).join()))).toBe(true);
    }
  });
  it('keeps what is locked and what is pinned', () => {
    const place = dayPlaces(film)[0]!;
    const derived = deriveFilm(film);
    const locked = taken(film, editFlight(film, derived, place, 0, (f) => ({ ...f, locked: true, stops: [...f.stops].reverse() }), newId));
    const before = deriveFilm(locked).places.get(place)!.flights[0]!;
    const after = deriveFilm(taken(locked, adopt(locked, deriveFilm(locked), proposed(locked).flights, true, -Infinity, newId)));
    const same = after.places.get(place)!.flights.find((f) => f.planId === before.planId)!;
    expect(same.stops.map((s) => s.shotId)).toEqual(before.stops.map((s) => s.shotId));
    expect(same.packId).toBe(before.packId);
  });
  it('replans from now: what is done is left out, nothing leaves before, a lost pack is not flown', () => {
    const place = film.locations[0]!;
    const derived = deriveFilm(film);
    const [first] = derived.places.get(place.id)!.flights;
    const nowMs = first!.endMs + 20 * 60_000;
    const done = first!.stops.map((s) => s.shotId);
    const log = { id: newId(), filmId: film.film.id, flightId: null, aircraftId: first!.aircraftId, packId: first!.packId!, utcMs: first!.startMs, minutes: 14, startShare: 1, endShare: 0.4, plannedWh: first!.usedWh, temperatureC: 11, verdict: 'as-planned' as const, condition: 'sound' as const, shotIds: done };
    const lost = derived.places.get(place.id)!.flights[1]!.packId!;
    const now: FilmInput = { ...film, film: { ...film.film, leftHome: [lost] }, kit: { ...film.kit, flown: [...film.kit.flown, log] } };
    const derivedNow = deriveFilm(now);
    expect([...derivedNow.shots.values()].filter((s) => s.done).map((s) => s.facts.shot.id)).toEqual(done);
    const job = dayJob(now, derivedNow, place.date, nowMs)!;
    expect(job.groups.flatMap((g) => g.shots.map((s) => s.id)).some((id) => done.includes(id))).toBe(false);
    const proposal = proposalOf(job, solveDay(job, seeded(1), () => false));
    for (const f of proposal.flights) { expect(f.launchMs).toBeGreaterThanOrEqual(nowMs - 1); expect(f.packId).not.toBe(lost); }
    const after = deriveFilm(taken(now, adopt(now, derivedNow, proposal.flights, true, nowMs, newId)));
    for (const f of after.places.get(place.id)!.flights) expect(f.startMs).toBeGreaterThanOrEqual(nowMs - 60_000);
  });
  it('a place that is over, a day without places, a zone that is none: nothing to plan', () => {
    expect(dayJob(film, deriveFilm(film), '1999-01-01')).toBeNull();
    const broken = { ...film, locations: film.locations.map((l) => ({ ...l, zone: 'Nowhere/Land' })) };
    expect(dayJob(broken, deriveFilm(broken), DAY)).toBeNull();
    expect(dayJob(film, deriveFilm(film), DAY, Date.UTC(2030, 1, 1))!.groups).toEqual([]);
  });
});

describe('turns that are wanted', () => {
  const shot = (id: string, more: object = {}) => ({ id, locationId: 'L', turn: 'any' as const, afterId: null, ...more });
  it('first and last hold for their place, after for one shot', () => {
    expect(beforePairs([shot('a', { turn: 'first' }), shot('b'), shot('c', { afterId: 'b' })])).toEqual([['a', 'b'], ['a', 'c'], ['b', 'c']]);
    expect(beforePairs([shot('a', { afterId: 'gone' })])).toEqual([]);
  });
  it('names those that contradict each other, and only those', () => {
    expect(contradiction([['a', 'b'], ['b', 'c'], ['c', 'a'], ['x', 'a']]).sort()).toEqual(['a', 'b', 'c']);
    expect(contradiction(beforePairs([shot('a', { turn: 'first', afterId: 'b' }), shot('b')])).sort()).toEqual(['a', 'b']);
  });
  it('an order without a ring has none (a shuffled line)', () => {
    fc.assert(fc.property(fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e'], { minLength: 2 }), (line) => {
      const pairs = line.slice(1).map((b, i) => [line[i]!, b] as const);
      expect(contradiction(pairs)).toEqual([]);
      expect(contradiction([...pairs, [line.at(-1)!, line[0]!]])).toHaveLength(line.length);
    }));
  });
  it('the planner holds to them', () => {
    const own = film.shots.filter((s) => s.locationId === dayPlaces(film)[0]!);
    const wanted = { ...film, shots: film.shots.map((s) => (s === own[4] ? { ...s, turn: 'first' as const } : s === own[0] ? { ...s, afterId: own[5]!.id } : s)) };
    const order = proposed(wanted).flights.flatMap((f) => f.stops.map((s) => s.shotId));
    expect(order.indexOf(own[4]!.id)).toBe(0);
    if (order.includes(own[0]!.id) && order.includes(own[5]!.id)) expect(order.indexOf(own[5]!.id)).toBeLessThan(order.indexOf(own[0]!.id));
  });
});

describe('by hand', () => {
  it('laying down changes no flight, and letting go brings the list back', () => {
    for (const place of film.locations) {
      const derived = deriveFilm(film);
      const laid = taken(film, layDown(film, derived, place.id, newId).changes);
      const flown = (input: FilmInput) => deriveFilm(input).places.get(place.id)!.flights.map((f) => [f.packId, f.usedWh.toFixed(6), f.startS.toFixed(3), f.stops.map((s) => s.shotId).join()]);
      expect(flown(laid)).toEqual(flown(film));
      expect(flown(taken(laid, letGo(laid, place.id)))).toEqual(flown(film));
    }
  });
  it('a shot goes where it is put, whatever is done: none is lost, none is flown twice', () => {
    const place = film.locations[0]!.id;
    const own = film.shots.filter((s) => s.locationId === place).map((s) => s.id);
    const step = fc.record({ shot: fc.nat(own.length - 1), to: fc.constantFrom<'flight' | 'pack' | 'list'>('flight', 'pack', 'list'), index: fc.nat(3), at: fc.nat(4), pack: fc.nat(6) });
    fc.assert(fc.property(fc.array(step, { minLength: 1, maxLength: 6 }), (steps) => {
      let input = film;
      for (const s of steps) {
        const derived = deriveFilm(input);
        const packId = film.kit.packs[s.pack]!.id;
        const goal = s.to === 'flight' ? { to: 'flight' as const, index: s.index, at: s.at } : s.to === 'pack' ? { to: 'pack' as const, packId } : { to: 'list' as const };
        input = taken(input, moveShot(input, derived, own[s.shot]!, goal, newId));
        const now = deriveFilm(input).places.get(place)!;
        const all = [...now.flights.flatMap((f) => f.stops.map((x) => x.shotId)), ...now.fill.unfit.map((u) => u.shotId)];
        expect([...all].sort()).toEqual([...own].sort());
      }
    }), { numRuns: 25, endOnFailure: true });
  }, 60_000);
  it('a locked flight gives nothing away and takes nothing in, another aircraft takes nothing', () => {
    const place = film.locations[0]!.id;
    const locked = taken(film, editFlight(film, deriveFilm(film), place, 0, (f) => ({ ...f, locked: true }), newId));
    const derived = deriveFilm(locked);
    const { flights } = derived.places.get(place)!;
    expect(moveShot(locked, derived, flights[0]!.stops[0]!.shotId, { to: 'list' }, newId)).toBeNull();
    const other = flights.find((f) => f !== flights[0] && f.aircraftId === flights[0]!.aircraftId);
    if (other) expect(moveShot(locked, derived, other.stops[0]!.shotId, { to: 'flight', index: 0, at: 0 }, newId)).toBeNull();
    const wren = flights.findIndex((f) => f.aircraftId !== flights[0]!.aircraftId);
    if (wren > 0) expect(moveShot(locked, derived, flights[wren]!.stops[0]!.shotId, { to: 'flight', index: 0, at: 0 }, newId)).toBeNull();
  });
  it('flights change places with their neighbours', () => {
    const place = film.locations[0]!.id;
    const derived = deriveFilm(film);
    const before = derived.places.get(place)!.flights;
    const after = deriveFilm(taken(film, moveFlight(film, derived, place, 1, -1, newId))).places.get(place)!.flights;
    expect(after.map((f) => f.packId).sort()).toEqual(before.map((f) => f.packId).sort());
    expect(after[0]!.stops.map((s) => s.shotId)).toEqual(before[1]!.stops.map((s) => s.shotId));
    expect(moveFlight(film, derived, place, 0, -1, newId)).toEqual([]);
  });
});

describe('energy along a flight', () => {
  it('ends at what the budget says, falls all the way, and the way home from the last stop is the budget’s', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values()) for (const flight of place.flights) {
      const rated = film.kit.packs.find((p) => p.id === flight.packId)!.ratedWh;
      const kit = film.kit;
      const learnedKit = { ...kit, aircraft: [...derived.shots.values()].map((s) => s.facts.aircraft!) };
      const curve = energyCurve(derived, film.film, learnedKit, place, flight, rated)!;
      const { steps } = curve;
      for (let i = 1; i < steps.length; i += 1) { expect(steps[i]!.leftWh).toBeLessThanOrEqual(steps[i - 1]!.leftWh + 1e-9); expect(steps[i]!.tS).toBeGreaterThanOrEqual(steps[i - 1]!.tS - 1e-9); }
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
});

describe('figures that unfold', () => {
  it('add up to what the rail shows', () => {
    const derived = deriveFilm(film);
    for (const place of derived.places.values()) for (const flight of place.flights) {
      const pack = film.kit.packs.find((p) => p.id === flight.packId)!;
      for (const [sum, total] of [[explainFlight(flight, derived), flight.usedWh], [explainSupply(flight, pack, film.film, place.location), flight.supply.usableWh]] as const) {
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
    for (const s of left) for (const cure of curesFor(tight, derived, s.facts.shot.id)) {
      offered += 1;
      const { entity, id, fields } = cure.set!;
      const put = <T extends { readonly id: string }>(list: readonly T[]): T[] => list.map((x) => (x.id === id ? { ...x, ...fields } : x));
      const cured = entity === 'film' ? { ...tight, film: { ...tight.film, ...fields } } as FilmInput : entity === 'shot' ? { ...tight, shots: put(tight.shots) } : entity === 'pack' ? { ...tight, kit: { ...tight.kit, packs: put(tight.kit.packs) } } : { ...tight, locations: put(tight.locations) };
      const would = deriveFilm(cured);
      expect(would.shots.get(s.facts.shot.id)!.flightIndex, cure.say).not.toBeNull();
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
    const flights = dayPlaces(film).flatMap((id) => derived.places.get(id)!.flights).sort((a, b) => a.startMs - b.startMs);
    day.flights.forEach((f, i) => {
      const planned = flights[i]!;
      const seconds = f.takeoffS + f.stops.reduce((sum, s) => sum + s.legS + s.setupS + s.takes * s.takeS + (s.takes - 1) * s.betweenS, 0) + f.stops.at(-1)!.homeS;
      const wh = f.takeoffWh + f.stops.reduce((sum, s) => sum + s.legWh + s.setupWh + s.takes * s.takeWh + (s.takes - 1) * s.betweenWh, 0) + f.stops.at(-1)!.homeWh;
      expect(seconds).toBeCloseTo(planned.seconds, 6);
      expect(wh).toBeCloseTo(planned.usedWh, 6);
    });
    expect(riskDay(film, derived, '1999-01-01')).toBeNull();
  });
  it('one pack more does not hurt, and one take less is of the shot that costs most', () => {
    const tight = few(film, 2);
    const day = riskDay(tight, deriveFilm(tight), DAY)!;
    const plain = simulate(day, 600, seeded(2));
    const more = simulate(withPackMore(day, plain.missing), 600, seeded(2));
    expect(more.allMusts).toBeGreaterThanOrEqual(plain.allMusts - 0.05);
    const less = withTakeLess(day)!;
    expect(less.day.flights.flatMap((f) => f.stops).find((s) => s.id === less.id)!.takes).toBe(day.flights.flatMap((f) => f.stops).find((s) => s.id === less.id)!.takes - 1);
  });
});

describe('what cannot be', () => {
  const withPacks = (change: object): FilmInput => ({ ...film, kit: { ...film.kit, packs: film.kit.packs.map((p) => ({ ...p, ...change })) } });
  it('no pack charged: every slate says so, and charging is what helps', () => {
    const empty = withPacks({ charge: 0 });
    const derived = deriveFilm(empty);
    const first = [...derived.places.values()][0]!;
    expect(first.flights).toEqual([]);
    expect(new Set(first.fill.unfit.map((u) => u.reason))).toEqual(new Set(['no-charge']));
    expect(proposed(empty).flights).toEqual([]);
    expect(curesFor(empty, derived, first.fill.unfit[0]!.shotId)[0]?.say).toMatch(/^Charge P1/);
  });
  it('swollen or hurt packs are never planned with, whatever they hold, and are named with their caution', () => {
    for (const condition of ['swollen', 'damaged'] as const) {
      const derived = deriveFilm(withPacks({ condition }));
      expect([...derived.places.values()].flatMap((p) => p.flights)).toEqual([]);
      const warning = derived.budget.warnings.find((w) => w.code === 'pack.failing')!;
      expect(warning.severity).toBe('stop');
      expect(warning.why).toContain('Do not charge or fly it');
      expect(proposed(withPacks({ condition })).flights).toEqual([]);
    }
  });
  it('a must that fits on no pack says how much it lacks; with too much wind nothing flies', () => {
    const must = film.shots.find((s) => s.priority === 'must')!;
    const long = { ...film, shots: film.shots.map((s) => (s === must ? { ...s, takes: 40, setupS: 3000 } : s)) };
    const lacking = deriveFilm(long).shots.get(must.id)!.unfit!;
    expect(lacking.reason).toBe('over-pack');
    expect(lacking.shortWh).toBeGreaterThan(5);
    const stormy = { ...film, locations: film.locations.map((l) => ({ ...l, windMs: 40, gustMs: 45 })) };
    const derived = deriveFilm(stormy);
    expect([...derived.places.values()].flatMap((p) => p.flights)).toEqual([]);
    expect(proposed(stormy).flights).toEqual([]);
  });
  it('a flight laid down on a pack that is not along, or on an aircraft its slates left, is told and loses nothing', () => {
    const place = dayPlaces(film)[0]!;
    const laid = taken(film, layDown(film, deriveFilm(film), place, newId).changes);
    const packId = laid.flights[0]!.packId!;
    const gone = deriveFilm({ ...laid, film: { ...laid.film, leftHome: [packId] } });
    expect(gone.placeWarnings.get(place)!.find((w) => w.code === 'flight.over')?.say).toContain('has no pack');
    const other = film.kit.aircraft[1]!.id;
    const moved = { ...laid, shots: laid.shots.map((s) => (s.locationId === place ? { ...s, aircraftId: other, cameraId: 'main', modeId: '25' } : s)) };
    const now = deriveFilm(moved).places.get(place)!;
    expect([...now.flights.flatMap((f) => f.stops.map((s) => s.shotId)), ...now.fill.unfit.map((u) => u.shotId)].sort()).toEqual(film.shots.filter((s) => s.locationId === place).map((s) => s.id).sort());
  });
});
