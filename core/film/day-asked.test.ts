import { beforeAll, describe, expect, it } from 'vitest';
import { layDown } from '../day/manual-edits';
import type { FilmInput, FlightPlan } from '../model';
import { adopt, dayJob } from '../scheduler';
import type { ProposedFlight } from '../scheduler/apply-plan';
import { dayProblem } from '../scheduler/solve-day';
import { deriveFilm } from './derive';
import { DAY, dayPlaces, newId, proposed, taken } from './planning-fixtures';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

describe('what is asked of the planner', () => {
  it('each shot is worth what its priority is: a must a thousand shoulds, a should a thousand coulds', () => {
    const worth = { must: 1_000_000, should: 1000, could: 1 };
    const asked = dayJob(film, deriveFilm(film), DAY)!.groups.flatMap((g) => g.shots);
    const priorities = new Map(film.shots.map((s) => [s.id, s.priority]));
    expect(new Set(asked.map((s) => priorities.get(s.id))).size).toBe(3);
    for (const s of asked) expect(s.weight).toBe(worth[priorities.get(s.id)!]);
  });

  it('the way to each location but the first, and nothing but its own day', () => {
    const away: FilmInput = {
      ...film,
      locations: film.locations.map((l, i) => ({ ...l, travelMin: 25 + i })),
    };
    const [, second] = dayPlaces(away).map((id) => away.locations.find((l) => l.id === id)!);
    const job = dayJob(away, deriveFilm(away), DAY)!;
    expect(job.travelS).toEqual([0, second!.travelMin * 60]);
    expect(new Set(job.groups.map((g) => g.location.date))).toEqual(new Set([DAY]));
    expect(job.before).toEqual([]);
  });

  it('one shot a flight, from a full pack each time, where that is how packs are used; else what fits, and what is left flies on', () => {
    const asked = (packUse: FilmInput['film']['preferences']['packUse']) => {
      const preferences = { ...film.film.preferences, packUse };
      const input: FilmInput = { ...film, film: { ...film.film, preferences } };
      const { groups, packs } = dayProblem(dayJob(input, deriveFilm(input), DAY)!);
      return {
        stops: new Set(groups.map((g) => g.mostStops)),
        flyOn: new Set(packs.map((p) => p.fullWh !== undefined)),
      };
    };
    expect(asked('one-shot')).toEqual({ stops: new Set([1]), flyOn: new Set([false]) });
    expect(asked('several')).toEqual({ stops: new Set([undefined]), flyOn: new Set([true]) });
  });

  it('leaves out a shot that no aircraft flies', () => {
    const [first] = film.shots.filter((s) => dayPlaces(film).includes(s.locationId));
    const without: FilmInput = {
      ...film,
      shots: film.shots.map((s) => (s.id === first!.id ? { ...s, aircraftId: null } : s)),
    };
    const ids = (input: FilmInput): string[] =>
      dayJob(input, deriveFilm(input), DAY)!.groups.flatMap((g) => g.shots.map((s) => s.id));
    expect(ids(without).sort()).toEqual(
      ids(film)
        .filter((id) => id !== first!.id)
        .sort(),
    );
  });
});

describe('a proposal that is taken', () => {
  const rowsOf = (input: FilmInput, flights: readonly ProposedFlight[], all: boolean, nowMs = -Infinity) =>
    adopt(input, deriveFilm(input), flights, all, nowMs, newId).flatMap((c): FlightPlan[] =>
      c.kind === 'flight' && c.after ? [c.after] : [],
    );

  it('is one row for each flight, at its own location, with its own pack and shots', () => {
    const { flights } = proposed(film);
    expect(new Set(flights.map((f) => f.locationId)).size).toBe(2);
    const rows = rowsOf(film, flights, true);
    const told = (f: Omit<FlightPlan, 'id' | 'position' | 'locked' | 'notBefore'>) =>
      [f.locationId, f.packId, f.aircraftId, f.launchId, ...f.stops.map((s) => s.shotId)].join(' ');
    expect(rows.map(told).sort()).toEqual(
      flights.map((f) => told({ ...f, stops: f.stops.map((s) => ({ ...s, pinned: false })) })).sort(),
    );
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
  });

  it('leaves no earlier than it was asked for, and says nothing of it where the window opens later', () => {
    const { flights } = proposed(film);
    const place = dayPlaces(film)[0]!;
    const opensMs = deriveFilm(film).places.get(place)!.windowFromMs;
    const asked = (nowMs: number) => [
      ...new Set(
        rowsOf(film, flights, true, nowMs)
          .filter((r) => r.locationId === place)
          .map((r) => r.notBefore),
      ),
    ];
    expect([asked(-Infinity), asked(opensMs), asked(opensMs + 5 * 60_000)]).toEqual([
      [null],
      [null],
      ['07:10'],
    ]);
  });

  it('takes a shot out of a flight that stays, which keeps its id and the rest', () => {
    const place = dayPlaces(film)[0]!;
    const laid = taken(film, layDown(film, deriveFilm(film), place).changes);
    const long = laid.flights.find((f) => f.locationId === place && f.stops.length > 2)!;
    const [first, ...rest] = long.stops;
    const one: ProposedFlight = {
      locationId: place,
      launchId: long.launchId,
      aircraftId: long.aircraftId,
      packId: film.kit.packs.find((p) => p.aircraftIds.includes(long.aircraftId) && p.id !== long.packId)!.id,
      launchMs: deriveFilm(laid).places.get(place)!.windowFromMs,
      airborneS: 100,
      wattHours: 2,
      stops: [{ shotId: first!.shotId, turned: false }],
      fixed: false,
    };
    const after = taken(laid, adopt(laid, deriveFilm(laid), [one], false, -Infinity, newId));
    expect(after.flights.find((f) => f.id === long.id)?.stops).toEqual(rest);
    const fresh = after.flights.filter((f) => !laid.flights.some((x) => x.id === f.id));
    expect(fresh.map((f) => f.stops.map((s) => s.shotId))).toEqual([[first!.shotId]]);
    expect(after.flights).toHaveLength(laid.flights.length + 1);
  });
});
