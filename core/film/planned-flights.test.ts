import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { adopt, dayJob, proposalOf, solveDay } from '../scheduler';
import { minutesOf } from '../time';
import { beforePairs, contradiction, editFlight, letGo, lightEndMs, moveFlight, moveShot } from '../day';
import { compareFlights } from '../proposals/weigh';
import { dayProblem } from '../scheduler/solve-day';
import { layDown } from '../day/manual-edits';
import { weighFlights } from '../proposals';
import { newRow, type FilmInput } from '../model';
import { deriveFilm } from './derive';
import { faultsOfDay } from '../scheduler/check';
import { searchDay } from '../scheduler/search';
import { DAY, dayPlaces, few, newId, proposed, seeded, taken } from './planning-fixtures';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

describe('planning a day', () => {
  it('asks for every shot that can be flown, with the energy the budget reckons, and breaks no limit', () => {
    for (const date of new Set(film.locations.map((l) => l.date))) {
      const derived = deriveFilm(film);
      const job = dayJob(film, derived, date)!;
      const own = [...derived.shots.values()].filter((s) => s.facts.location.date === date);
      expect(job.groups.flatMap((g) => g.shots.map((s) => s.id)).sort()).toEqual(
        own.map((s) => s.facts.shot.id).sort(),
      );
      for (const s of job.groups.flatMap((g) => g.shots)) {
        // Without weather by the hour the very energy of the budget; with it the most of the window.
        const { facts } = derived.shots.get(s.id)!;
        const { totalWh } = facts.energy!;
        if (film.locations.find((l) => l.id === facts.location.id)!.hours.length === 0)
          expect(s.performWh).toBe(totalWh);
        else expect(s.performWh).toBeGreaterThanOrEqual(totalWh);
      }
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
      const changes = adopt(input, derived, proposal.flights, true, -Infinity, newId);
      expect(changes.filter((c) => c.kind !== 'flight' && c.kind !== 'shot')).toEqual([]);
      const after = taken(input, changes);
      const would = deriveFilm(after);
      const places = dayPlaces(input);
      const flown = places.flatMap((id) => would.places.get(id)!.flights.filter((f) => f.planId !== null));
      expect(flown.flatMap((f) => f.stops.map((s) => s.shotId))).toEqual(
        proposal.flights.flatMap((f) => f.stops.map((s) => s.shotId)),
      );
      const [is, was] = [weighFlights(would, places), weighFlights(derived, places)];
      expect(is.over).toBe(0);
      expect(is.flown.must).toBeGreaterThanOrEqual(was.flown.must);
      expect(compareFlights(is, was)).toBeLessThanOrEqual(0);
      expect(compareFlights(is, is)).toBe(0);
    }
  });
  it('flies in no break of a location, and says when each shot may be flown at the latest', () => {
    const broken = {
      ...film,
      locations: film.locations.map((l) =>
        l.date === DAY ? { ...l, breaks: [{ from: '07:12', minutes: 25 }] } : l,
      ),
    };
    const derived = deriveFilm(broken);
    const job = dayJob(broken, derived, DAY)!;
    const [first] = dayPlaces(broken).map((id) => derived.places.get(id)!);
    const opens = minutesOf(first!.location.windowStart);
    // Seconds from the first window: 07:12 to 07:37.
    expect(job.groups[0]!.breaks).toEqual([
      { earliestS: (432 - opens) * 60, latestS: (432 - opens + 25) * 60 },
    ]);
    const [from, to] = [job.groups[0]!.breaks[0]!.earliestS, job.groups[0]!.breaks[0]!.latestS].map(
      (s) => job.zeroMs + s * 1000,
    ) as [number, number];
    const flights = proposed(broken).flights;
    const there = flights.filter((f) => f.locationId === first!.location.id);
    expect(there.length).toBeGreaterThan(1);
    for (const f of there)
      expect(f.launchMs + f.airborneS * 1000 <= from + 1 || f.launchMs >= to - 1).toBe(true);
    // Some are flown on either side of it.
    expect(new Set(there.map((f) => f.launchMs < from)).size).toBe(2);
    for (const g of job.groups)
      for (const s of g.shots) {
        const place = derived.places.get(g.location.id)!;
        const { shot } = derived.shots.get(s.id)!.facts;
        const latestMs = Math.max(lightEndMs(place, place.location, shot), job.zeroMs + s.earliestS * 1000);
        expect(s.latestS).toBeCloseTo((latestMs - job.zeroMs) / 1000, 6);
      }
  });
  it('a shot the plan flies the other way round is turned when it is taken, and no other', () => {
    const [flight] = proposed(film).flights;
    const [first, ...rest] = flight!.stops;
    const asListed = rest.map((stop) => ({ ...stop, turned: false }));
    const turned = { ...flight!, stops: [{ ...first!, turned: true }, ...asListed] };
    const changes = adopt(film, deriveFilm(film), [turned], false, -Infinity, newId);
    const before = film.shots.find((s) => s.id === first!.shotId)!;
    const reversed = !before.move.reversed;
    expect(changes.filter((c) => c.kind === 'shot')).toEqual([
      { kind: 'shot', id: before.id, after: { ...before, move: { ...before.move, reversed } } },
    ]);
    expect(taken(film, changes).shots.filter((s, i) => s !== film.shots[i])).toHaveLength(1);
  });
  it('what the plan leaves out takes no pack that a later place was given, even where it would fit', () => {
    // A filter of a kilogram: there is not enough in the packs for all.
    const heavy: FilmInput = {
      ...film,
      kit: { ...film.kit, filters: film.kit.filters.map((f, i) => (i === 0 ? { ...f, massG: 1000 } : f)) },
    };
    const after = deriveFilm(
      taken(heavy, adopt(heavy, deriveFilm(heavy), proposed(heavy, DAY, 4).flights, true, -Infinity, newId)),
    );
    const [first, second] = dayPlaces(heavy).map((id) => after.places.get(id)!);
    const given = new Set(second!.flights.filter((f) => f.planId !== null).map((f) => f.packId));
    expect(given.size).toBeGreaterThan(0);
    for (const f of first!.flights) if (f.planId === null) expect(given.has(f.packId)).toBe(false);
    expect(first!.fill.unfit.map((u) => u.reason)).toContain('held');
    for (const f of second!.flights) expect(f.overWh).toBe(0);
  });
  it('taken in part, the rest stays where it was or on the list, and nothing is flown twice', () => {
    const derived = deriveFilm(film);
    const { flights } = proposed(film);
    for (const some of [flights.slice(0, 1), flights.slice(1)]) {
      const after = deriveFilm(taken(film, adopt(film, derived, some, false, -Infinity, newId)));
      const all = [...after.places.values()].flatMap((p) =>
        p.flights.flatMap((f) => f.stops.map((s) => s.shotId)),
      );
      expect(new Set(all).size).toBe(all.length);
      for (const f of some)
        expect(
          [...after.places.values()].some((p) =>
            p.flights.some(
              (x) =>
                x.planId !== null &&
                x.stops.map((s) => s.shotId).join() === f.stops.map((s) => s.shotId).join(),
            ),
          ),
        ).toBe(true);
    }
  });
  it('keeps what is locked and what is pinned', () => {
    const place = dayPlaces(film)[0]!;
    const derived = deriveFilm(film);
    const locked = taken(
      film,
      editFlight(film, derived, place, 0, (f) => ({ ...f, locked: true, stops: [...f.stops].reverse() })),
    );
    const before = deriveFilm(locked).places.get(place)!.flights[0]!;
    const after = deriveFilm(
      taken(locked, adopt(locked, deriveFilm(locked), proposed(locked).flights, true, -Infinity, newId)),
    );
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
    const log = newRow('flightLogEntry', {
      id: newId(),
      filmId: film.film.id,
      aircraftId: first!.aircraftId,
      packId: first!.packId!,
      utcMs: first!.startMs,
      minutes: 14,
      startShare: 1,
      endShare: 0.4,
      plannedWh: first!.usedWh,
      temperatureC: 11,
      shotIds: done,
    });
    const lost = derived.places.get(place.id)!.flights[1]!.packId!;
    const now: FilmInput = {
      ...film,
      film: { ...film.film, leftHome: [lost] },
      kit: { ...film.kit, flightLog: [...film.kit.flightLog, log] },
    };
    const derivedNow = deriveFilm(now);
    expect([...derivedNow.shots.values()].filter((s) => s.done).map((s) => s.facts.shot.id)).toEqual(done);
    const job = dayJob(now, derivedNow, place.date, nowMs)!;
    expect(job.groups.flatMap((g) => g.shots.map((s) => s.id)).some((id) => done.includes(id))).toBe(false);
    const proposal = proposalOf(
      job,
      solveDay(job, seeded(1), () => false),
    );
    for (const f of proposal.flights) {
      expect(f.launchMs).toBeGreaterThanOrEqual(nowMs - 1);
      expect(f.packId).not.toBe(lost);
    }
    const after = deriveFilm(taken(now, adopt(now, derivedNow, proposal.flights, true, nowMs, newId)));
    for (const f of after.places.get(place.id)!.flights)
      expect(f.startMs).toBeGreaterThanOrEqual(nowMs - 60_000);
  });
  it('a place that is over, a day without places, a zone that is none: nothing to plan', () => {
    expect(dayJob(film, deriveFilm(film), '1999-01-01')).toBeNull();
    const broken = { ...film, locations: film.locations.map((l) => ({ ...l, zone: 'Nowhere/Land' })) };
    expect(dayJob(broken, deriveFilm(broken), DAY)).toBeNull();
    expect(dayJob(film, deriveFilm(film), DAY, Date.UTC(2030, 1, 1))!.groups).toEqual([]);
  });
});

describe('turns that are wanted', () => {
  const shot = (id: string, more: object = {}) => ({
    id,
    locationId: 'L',
    turn: 'any' as const,
    afterId: null,
    ...more,
  });
  it('first and last hold for their place, after for one shot', () => {
    expect(beforePairs([shot('a', { turn: 'first' }), shot('b'), shot('c', { afterId: 'b' })])).toEqual([
      ['a', 'b'],
      ['a', 'c'],
      ['b', 'c'],
    ]);
    expect(beforePairs([shot('a', { afterId: 'gone' })])).toEqual([]);
  });
  it('names those that contradict each other, and only those', () => {
    expect(
      contradiction([
        ['a', 'b'],
        ['b', 'c'],
        ['c', 'a'],
        ['x', 'a'],
      ]).sort(),
    ).toEqual(['a', 'b', 'c']);
    expect(
      contradiction(beforePairs([shot('a', { turn: 'first', afterId: 'b' }), shot('b')])).sort(),
    ).toEqual(['a', 'b']);
  });
  it('an order without a ring has none (a shuffled line)', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e'], { minLength: 2 }), (line) => {
        const pairs = line.slice(1).map((b, i) => [line[i]!, b] as const);
        expect(contradiction(pairs)).toEqual([]);
        expect(contradiction([...pairs, [line.at(-1)!, line[0]!]])).toHaveLength(line.length);
      }),
    );
  });
  it('the planner holds to them', () => {
    const own = film.shots.filter((s) => s.locationId === dayPlaces(film)[0]!);
    const wanted = {
      ...film,
      shots: film.shots.map((s) =>
        s === own[4] ? { ...s, turn: 'first' as const } : s === own[0] ? { ...s, afterId: own[5]!.id } : s,
      ),
    };
    const order = proposed(wanted).flights.flatMap((f) => f.stops.map((s) => s.shotId));
    expect(order.indexOf(own[4]!.id)).toBe(0);
    if (order.includes(own[0]!.id) && order.includes(own[5]!.id))
      expect(order.indexOf(own[5]!.id)).toBeLessThan(order.indexOf(own[0]!.id));
  });
});

describe('a flight', () => {
  const idsOf = (input: FilmInput, place: string) =>
    deriveFilm(input)
      .places.get(place)!
      .flights.map((f) => f.id);
  it('keeps its id when its shots change order, when it is decided, and when the plan is applied again', () => {
    for (const { id: place } of film.locations) {
      const ids = idsOf(film, place);
      expect(new Set(ids).size).toBe(ids.length);
      const first = deriveFilm(film).places.get(place)!.flights[0]!;
      const [a, b] = first.stops.map((s) => s.shotId);
      if (a && b) {
        const at = (id: string) => film.shots.find((s) => s.id === id)!.position;
        const swapped = film.shots.map((s) =>
          s.id === a ? { ...s, position: at(b) } : s.id === b ? { ...s, position: at(a) } : s,
        );
        expect(idsOf({ ...film, shots: swapped }, place)).toContain(first.id);
      }
      const decided = taken(film, layDown(film, deriveFilm(film), place).changes);
      expect(idsOf(decided, place)).toEqual(ids);
    }
    const planned = taken(
      film,
      adopt(film, deriveFilm(film), proposed(film).flights, true, -Infinity, newId),
    );
    const again = taken(
      planned,
      adopt(planned, deriveFilm(planned), proposed(planned).flights, true, -Infinity, newId),
    );
    const place = dayPlaces(film)[0]!;
    expect(idsOf(again, place).sort()).toEqual(idsOf(planned, place).sort());
    const kept = idsOf(planned, place).filter((id) => idsOf(film, place).includes(id));
    expect(kept.length).toBeGreaterThan(0);
  });
});

describe('by hand', () => {
  it('laying down changes no flight, and letting go brings the list back', () => {
    for (const place of film.locations) {
      const derived = deriveFilm(film);
      const laid = taken(film, layDown(film, derived, place.id).changes);
      const flown = (input: FilmInput) =>
        deriveFilm(input)
          .places.get(place.id)!
          .flights.map((f) => [
            f.packId,
            f.usedWh.toFixed(6),
            f.startS.toFixed(3),
            f.stops.map((s) => s.shotId).join(),
          ]);
      expect(flown(laid)).toEqual(flown(film));
      expect(flown(taken(laid, letGo(laid, place.id)))).toEqual(flown(film));
    }
  });
  it('a shot goes where it is put, whatever is done: none is lost, none is flown twice', () => {
    const place = film.locations[0]!.id;
    const own = film.shots.filter((s) => s.locationId === place).map((s) => s.id);
    const step = fc.record({
      shot: fc.nat(own.length - 1),
      to: fc.constantFrom<'flight' | 'pack' | 'list'>('flight', 'pack', 'list'),
      index: fc.nat(3),
      at: fc.nat(4),
      pack: fc.nat(6),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 6 }), (steps) => {
        let input = film;
        for (const s of steps) {
          const derived = deriveFilm(input);
          const packId = film.kit.packs[s.pack]!.id;
          const goal =
            s.to === 'flight'
              ? { to: 'flight' as const, index: s.index, at: s.at }
              : s.to === 'pack'
                ? { to: 'pack' as const, packId }
                : { to: 'list' as const };
          input = taken(input, moveShot(input, derived, own[s.shot]!, goal, newId));
          const now = deriveFilm(input).places.get(place)!;
          const all = [
            ...now.flights.flatMap((f) => f.stops.map((x) => x.shotId)),
            ...now.fill.unfit.map((u) => u.shotId),
          ];
          expect([...all].sort()).toEqual([...own].sort());
        }
      }),
      { numRuns: 25, endOnFailure: true },
    );
  }, 60_000);
  it('a locked flight gives nothing away and takes nothing in, another aircraft takes nothing', () => {
    const place = film.locations[0]!.id;
    const locked = taken(
      film,
      editFlight(film, deriveFilm(film), place, 0, (f) => ({ ...f, locked: true })),
    );
    const derived = deriveFilm(locked);
    const { flights } = derived.places.get(place)!;
    expect(moveShot(locked, derived, flights[0]!.stops[0]!.shotId, { to: 'list' }, newId)).toBeNull();
    const other = flights.find((f) => f !== flights[0] && f.aircraftId === flights[0]!.aircraftId);
    if (other)
      expect(
        moveShot(locked, derived, other.stops[0]!.shotId, { to: 'flight', index: 0, at: 0 }, newId),
      ).toBeNull();
    const wren = flights.findIndex((f) => f.aircraftId !== flights[0]!.aircraftId);
    if (wren > 0)
      expect(
        moveShot(locked, derived, flights[wren]!.stops[0]!.shotId, { to: 'flight', index: 0, at: 0 }, newId),
      ).toBeNull();
  });
  it('flights change places with their neighbours', () => {
    const place = film.locations[0]!.id;
    const derived = deriveFilm(film);
    const before = derived.places.get(place)!.flights;
    const after = deriveFilm(taken(film, moveFlight(film, derived, place, 1, -1))).places.get(place)!.flights;
    expect(after.map((f) => f.packId).sort()).toEqual(before.map((f) => f.packId).sort());
    expect(after[0]!.stops.map((s) => s.shotId)).toEqual(before[1]!.stops.map((s) => s.shotId));
    expect(moveFlight(film, derived, place, 0, -1)).toEqual([]);
  });
});
