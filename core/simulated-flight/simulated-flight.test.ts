import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { calibrationOf } from '../energy';
import { FilmDeriver } from '../film';
import {
  flownTake,
  matchRecord,
  pathDeviation,
  recordFigures,
  recordInMetres,
  recordOfFlight,
} from '../flight-record';
import { vec } from '../geometry';
import { newRow, type FlightLogEntry } from '../model';
import { numberIn } from '../testing';
import { matchClips, clipFaults } from '../card-match';
import { metresFlown, natureOf, simulateCard, simulateDay, simulateFlight, type Nature } from '.';

const input = demoFilm();
const derived = new FilmDeriver().derive(input);
const flights = [...derived.places.values()].flatMap((p) => [...p.flights]);
const locationOf = (id: string) => input.locations.find((l) => l.id === id)!;
const seeded = (seed: number) => {
  const rng = xoroshiro128plus(seed);
  // The first draws of small seeds are all small.
  for (let i = 0; i < 20; i += 1) rng.next();
  return () => (rng.next() >>> 0) / 2 ** 32;
};
const EXACT: Nature = {
  appetite: 1,
  pace: 1,
  spread: 0,
  wanderM: 0,
  keeperRate: 1,
  windShare: 1,
  windTurnDeg: 0,
};

describe('a simulated flight', () => {
  it('with no nature of its own is the plan: minutes, energy, takes', () => {
    for (const flight of flights) {
      const flown = simulateFlight(derived, flight, EXACT, seeded(1));
      expect(flown.usedWh).toBeCloseTo(flight.usedWh, 6);
      expect(Math.abs(flown.seconds - flight.seconds)).toBeLessThan(1e-6);
      const takes = flight.stops.map((s) => derived.shots.get(s.shotId)!.facts.shot.takes);
      expect(flown.takes.length).toBe(takes.reduce((a, b) => a + b, 0));
      expect(flown.takes.every((t) => t.good)).toBe(true);
      expect(flown.samples.at(-1)!.at).toEqual(flight.launch.at);
      const shares = flown.samples.map((s) => s.share);
      expect([...shares].sort((a, b) => b - a)).toEqual(shares);
      expect(metresFlown(flown)).toBeGreaterThan(0);
    }
  });

  it('takes as much more as its appetite, and as much longer as its pilot', () => {
    const flight = flights[0]!;
    fc.assert(
      fc.property(numberIn(0.7, 1.5), numberIn(0.8, 1.6), fc.nat(), (appetite, pace, seed) => {
        const hungry = simulateFlight(derived, flight, { ...EXACT, appetite }, seeded(seed));
        expect(hungry.usedWh / flight.usedWh).toBeCloseTo(appetite, 6);
        const slow = simulateFlight(derived, flight, { ...EXACT, pace }, seeded(seed));
        if (Math.abs(pace - 1) > 0.01)
          expect(Math.sign(slow.seconds - flight.seconds)).toBe(Math.sign(pace - 1));
      }),
    );
  });

  it('teaches the plan its appetite from its log', () => {
    const nature: Nature = {
      appetite: 1.12,
      pace: 1.05,
      spread: 0.08,
      wanderM: 0.5,
      keeperRate: 0.6,
      windShare: 1,
      windTurnDeg: 0,
    };
    const aircraftId = flights[0]!.aircraftId;
    const own = flights.filter((f) => f.aircraftId === aircraftId && f.packId !== null);
    const log: FlightLogEntry[] = Array.from({ length: 24 }, (_, i) => {
      const flight = own[i % own.length]!;
      const flown = simulateFlight(derived, flight, nature, seeded(i + 1));
      const pack = input.kit.packs.find((p) => p.id === flight.packId)!;
      return newRow('flightLogEntry', {
        id: `${i}`,
        aircraftId,
        packId: pack.id,
        utcMs: i,
        minutes: flown.seconds / 60,
        startShare: 1,
        endShare: 1 - flown.usedWh / (pack.ratedWh * pack.health),
        plannedWh: flight.usedWh,
        temperatureC: 25,
      });
    });
    const factor = calibrationOf({ flightLog: log, packs: input.kit.packs }).craft.get(aircraftId)!.factor;
    // Set-ups that last longer draw more with them.
    expect(factor).toBeGreaterThan(1.1);
    expect(factor).toBeLessThan(1.2);
  });
});

describe('a simulated card', () => {
  const notedTakes = (n: number, gapS: number) =>
    Array.from({ length: n }, (_, i) => ({
      id: `take ${i}`,
      utcMs: Date.UTC(2027, 4, 14, 5) + i * gapS * 1000,
      lengthS: 12 + ((i * 7) % 23),
      fps: i % 3 === 0 ? 50 : 25,
      widthPx: 3840,
    }));

  it('from four takes on has one missing, one cut short, one unplanned, and a clock that is behind; the match finds all four', () => {
    const reached = { all: 0 };
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 60 }),
        fc.integer({ min: 45, max: 400 }),
        fc.string(),
        (n, gapS, seed) => {
          const takes = notedTakes(n, gapS);
          const card = simulateCard(takes, seed);
          expect(card.clips.length).toBe(n);
          expect(new Set(card.clips.map((c) => c.name)).size).toBe(n);
          expect(new Set([card.missing, card.short]).size).toBe(2);
          const match = matchClips(card.clips, takes);
          expect(Math.abs(match.clockOffsetS - card.clockS)).toBeLessThan(4);
          expect(match.missing.map((t) => t.id)).toEqual([card.missing]);
          expect(match.unplanned.map((c) => c.name)).toEqual([card.unplanned]);
          const short = match.pairs.find((p) => p.take.id === card.short)!;
          expect(clipFaults(short, short.take.lengthS * 0.6)).toEqual(['too-short']);
          for (const p of match.pairs)
            expect(card.clips.find((c) => c.name === p.clip.name)!.takeId).toBe(p.take.id);
          reached.all += 1;
        },
      ),
    );
    expect(reached.all).toBeGreaterThan(50);
  });

  it('of a flight of the film, whoever flies it, has its four faults found', () => {
    const [flight] = flights;
    let reached = 0;
    for (let n = 0; n < 300; n += 1) {
      const flown = simulateFlight(derived, flight!, natureOf(`film ${n}`), seeded(n));
      const takes = flown.takes.map((t, i) => {
        const { facts } = derived.shots.get(t.shotId)!;
        return {
          id: `${n} ${i}`,
          utcMs: Math.round(flight!.startMs + 1000 * t.endS),
          lengthS: facts.trajectory!.totalS,
          fps: facts.mode!.fps,
          widthPx: facts.mode!.widthPx,
        };
      });
      const card = simulateCard(takes, `film ${n}`);
      const match = matchClips(card.clips, takes);
      expect(
        match.missing.map((t) => t.id),
        `film ${n}`,
      ).toEqual([card.missing]);
      expect(
        match.unplanned.map((c) => c.name),
        `film ${n}`,
      ).toEqual([card.unplanned]);
      const short = match.pairs.find((p) => p.take.id === card.short);
      expect(short && clipFaults(short, 3), `film ${n}`).toEqual(['too-short']);
      reached += 1;
    }
    expect(reached).toBe(300);
  });

  it('of fewer takes has a clip for each; without any it is empty; the same takes give the same card', () => {
    for (const n of [0, 1, 3]) {
      const card = simulateCard(notedTakes(n, 90), 'x');
      expect(card.clips.map((c) => c.takeId)).toEqual(notedTakes(n, 90).map((t) => t.id));
      expect([card.missing, card.short, card.unplanned]).toEqual([null, null, null]);
    }
    const takes = notedTakes(9, 90);
    expect(simulateCard([...takes].reverse(), 'x')).toEqual(simulateCard(takes, 'x'));
    expect(simulateCard(takes, 'y')).not.toEqual(simulateCard(takes, 'x'));
  });

  it('comes from an aircraft and a pilot that differ from text to text, within what they may be', () => {
    const all = Array.from({ length: 200 }, (_, i) => natureOf(`film ${i}`));
    const spread = (of: (n: Nature) => number): number[] => [
      Math.min(...all.map(of)),
      Math.max(...all.map(of)),
    ];
    expect(natureOf('film 3')).toEqual(all[3]);
    const [least, most] = spread((n) => n.appetite) as [number, number];
    expect(least).toBeGreaterThanOrEqual(0.95);
    expect(least).toBeLessThan(0.97);
    expect(most).toBeLessThanOrEqual(1.2);
    expect(most).toBeGreaterThan(1.17);
    expect(spread((n) => n.keeperRate)[1]).toBeLessThanOrEqual(0.8);
  });
});

describe('a flight record', () => {
  const candidates = { locations: input.locations, flights, log: [] };
  const nature: Nature = { ...EXACT, wanderM: 0.6, spread: 0.05 };

  it('of a simulated flight comes back as that flight: place, plan, minutes, charge', () => {
    for (const [i, flight] of flights.entries()) {
      const flown = simulateFlight(derived, flight, nature, seeded(i));
      const location = locationOf(flight.locationId);
      const record = recordOfFlight(flown.samples, location, flight.startMs);
      const match = matchRecord(record, candidates)!;
      expect(match.location?.id).toBe(location.id);
      expect(match.flight?.id).toBe(flight.id);
      expect(match.figures.minutes).toBeCloseTo(flown.seconds / 60, 0);
      expect(match.figures.endShare).toBe(flown.endShare);
      expect(match.figures.metres).toBeCloseTo(metresFlown(flown), -2);
      const logged = newRow('flightLogEntry', {
        id: 'x',
        aircraftId: flight.aircraftId,
        packId: flight.packId ?? '',
        utcMs: flight.startMs + 60_000,
        minutes: 5,
        startShare: 1,
        endShare: 0.5,
      });
      const again = matchRecord(record, { ...candidates, log: [logged] })!;
      expect([again.entry?.id, again.flight]).toEqual(['x', null]);
    }
  });

  it('strays from its planned path by what it wandered, and not at all where it did not', () => {
    const flight = flights[0]!;
    const exact = simulateFlight(derived, flight, EXACT, seeded(3)).samples;
    const takes = exact.filter((s) => s.phase === 'take').map((s) => s.at);
    const location = locationOf(flight.locationId);
    const there = recordInMetres(recordOfFlight(exact, location, 0), location);
    for (const [i, at] of there.entries()) {
      expect(at.x).toBeCloseTo(exact[i]!.at.x, 3);
      expect(at.y).toBeCloseTo(exact[i]!.at.y, 3);
    }
    expect(pathDeviation(takes, takes)!.farthestM).toBeCloseTo(0, 6);
    const loose = simulateFlight(derived, flight, { ...EXACT, wanderM: 3 }, seeded(3)).samples;
    const off = pathDeviation(
      loose.filter((s) => s.phase === 'take').map((s) => s.at),
      takes,
    )!;
    expect(off.farthestM).toBeGreaterThan(1);
    expect(off.farthestM).toBeLessThan(20);
    expect(off.meanM).toBeLessThan(off.farthestM);
    expect(pathDeviation([], takes)).toBeNull();
  });

  it('holds the takes of its shots: their own line within what it wandered, back over the ground it took off from', () => {
    let found = 0;
    for (const [i, flight] of flights.entries()) {
      const flown = simulateFlight(derived, flight, { ...EXACT, wanderM: 0.2 }, seeded(i));
      const location = locationOf(flight.locationId);
      const record = recordOfFlight(flown.samples, location, flight.startMs);
      const at = recordInMetres(record, location, flight.launch.at.z);
      const spots = record.points.map((p, k) => ({ utcMs: p.utcMs, at: at[k]! }));
      for (const take of flown.takes) {
        const { facts } = derived.shots.get(take.shotId)!;
        if (!facts.trajectory) continue;
        const lengthS = facts.seconds.takeS;
        const planned = facts.trajectory.samples.map((s) => s.pose.at);
        const own = flownTake(spots, { endMs: flight.startMs + take.endS * 1000, lengthS }, planned);
        if (!own) continue;
        found += 1;
        expect(own.deviation.meanM, facts.shot.title).toBeLessThan(1.5);
        expect(own.corrections).toEqual([]);
      }
    }
    expect(found).toBeGreaterThan(10);
  });

  it('tells a correction in the middle of a take by its second, side and size; easing in and what a fix wanders are none', () => {
    const planned = [vec(0, 0, 20), vec(0, 100, 20)];
    const flownWith = (sideM: (s: number) => number, upM: (s: number) => number = () => 0) =>
      flownTake(
        Array.from({ length: 21 }, (_, s) => ({ utcMs: s * 1000, at: vec(sideM(s), s * 5, 20 + upM(s)) })),
        { endMs: 20_000, lengthS: 20 },
        planned,
      )!;
    const bump = (centreS: number, m: number) => (s: number) => m * Math.exp(-(((s - centreS) / 2) ** 2));
    expect(flownWith(() => 0).corrections).toEqual([]);
    expect(flownWith(() => 4).corrections).toEqual([]);
    expect(flownWith((s) => 0.3 * s).corrections).toEqual([]);
    expect(flownWith((s) => (s % 2 === 0 ? 0.8 : -0.8)).corrections).toEqual([]);
    fc.assert(
      fc.property(numberIn(6, 14), numberIn(4, 15), fc.boolean(), (centre, m, left) => {
        const [turn, ...more] = flownWith(bump(centre, left ? -m : m)).corrections;
        expect(more).toEqual([]);
        expect(turn!.way).toBe('sideways');
        expect(Math.abs(turn!.atS - centre)).toBeLessThanOrEqual(1);
        expect(turn!.byM).toBeGreaterThan(m * 0.6);
        expect(turn!.byM).toBeLessThanOrEqual(m);
        expect(flownWith(() => 0, bump(centre, m)).corrections.map((c) => c.way)).toEqual(['height']);
      }),
    );
    expect(flownWith(bump(1, 6)).corrections).toEqual([]);
    expect(flownTake([], { endMs: 0, lengthS: 9 }, planned)).toBeNull();
    expect(flownTake([{ utcMs: 0, at: vec(0, 0, 0) }], { endMs: 0, lengthS: 9 }, planned)).toBeNull();
  });

  it('without heights or charge still has its minutes; one moment is none', () => {
    const point = { utcMs: 0, latitude: 43, longitude: 4, heightM: null, share: null };
    const far = matchRecord(
      { points: [point, { ...point, utcMs: 120_000 }] },
      { ...candidates, locations: [] },
    )!;
    expect([far.figures.minutes, far.figures.highestM, far.figures.endShare]).toEqual([2, null, null]);
    expect([far.location, far.flight]).toEqual([null, null]);
    expect(recordFigures({ points: [point] })).toBeNull();
    expect(recordFigures({ points: [] })).toBeNull();
  });
});

describe('a simulated day', () => {
  const day = simulateDay(
    derived,
    [...derived.places.values()],
    input.kit,
    input.film,
    natureOf('day'),
    seeded(5),
    (() => {
      let n = 0;
      return () => `row ${(n += 1)}`;
    })(),
  );

  it('marks every take and flight, and teaches the kit nothing', () => {
    expect(day.flights.length).toBe(flights.filter((f) => f.packId !== null).length);
    expect(day.takes.length).toBeGreaterThan(20);
    expect([...day.takes, ...day.flights].every((row) => row.simulated)).toBe(true);
    const kit = input.kit;
    const before = calibrationOf(kit);
    const after = calibrationOf({ packs: kit.packs, flightLog: [...kit.flightLog, ...day.flights] });
    expect(after).toEqual(before);
    const real = day.flights.map((f) => ({ ...f, simulated: false }));
    expect(calibrationOf({ packs: kit.packs, flightLog: [...kit.flightLog, ...real] })).not.toEqual(before);
  });

  it('has its takes in the air of their own flight, in the order of its stops', () => {
    for (const flight of flights) {
      const entry = day.flights.find((f) => f.flightId === flight.id && f.packId === flight.packId);
      if (!entry) continue;
      const own = day.takes.filter(
        (t) =>
          t.packId === flight.packId &&
          t.utcMs >= flight.startMs &&
          t.utcMs <= flight.startMs + entry.minutes * 60_000 + 6000,
      );
      const order = flight.stops.map((s) => s.shotId);
      const at = own.map((t) => order.indexOf(t.shotId));
      expect(own.length).toBeGreaterThan(0);
      expect([...at].sort((a, b) => a - b)).toEqual(at);
    }
  });
});
