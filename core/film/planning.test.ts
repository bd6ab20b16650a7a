import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { STILL_S } from '../footage';
import { NOTHING_ADDED, MOVES } from '../moves';
import { distance } from '../geometry';
import {
  bandsOf,
  clearanceOf,
  explain,
  footprint,
  freeKnobs,
  layoutOf,
  momentAt,
  solveShot,
  subjectAt,
  TARGETS,
  trackOf,
  type ShotParts,
} from '../shot';
import { boardOf } from '../story';
import { readBoard } from '../story/board';
import { FIGURES } from '../shot/figures';
import { practiceSheet, proposeCoverage } from '../proposals';
import { targetNow } from '../shot/solve';
import { newRow, type FilmInput, type Shot } from '../model';
import { deriveFilm } from './derive';
import { numberIn, said } from '../testing';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

const parts = (change: Partial<Shot>, title = 'Along the parapet'): ShotParts => {
  const shot = { ...film.shots.find((s) => s.title === title)!, ...change };
  return {
    shot,
    film: film.film,
    location: film.locations.find((l) => l.id === shot.locationId)!,
    subject: film.subjects.find((s) => s.id === shot.subjectId) ?? null,
    aircraft: film.kit.aircraft.find((a) => a.id === shot.aircraftId) ?? null,
  };
};
const withShot = (change: Partial<Shot>, title = 'Along the parapet') => {
  const input = { ...film, shots: film.shots.map((s) => (s.title === title ? { ...s, ...change } : s)) };
  return [...deriveFilm(input).shots.values()].find((s) => s.facts.shot.title === title)!;
};

describe('solving a shot', () => {
  it('gives what was asked and leaves alone what is locked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          'slide',
          'push-in',
          'orbit',
          'part-orbit',
          'rise',
          'drop-in',
          'pan',
          'spiral-out',
          'track',
        ),
        fc.constantFrom(...TARGETS.map((t) => t.id)),
        numberIn(0.6, 1.6),
        fc.boolean(),
        (kind, target, factor, lockSpeed) => {
          const move = {
            kind,
            values: {},
            reversed: false,
            added: NOTHING_ADDED,
            points: [],
            locked: lockSpeed ? ['speedMs', 'rateDegS'] : [],
          };
          const p = parts({ move });
          const now = targetNow(p, target);
          if (now === null || !Number.isFinite(now) || now === 0) return;
          const solved = solveShot(p, target, now * factor);
          if (!solved.ok) {
            expect(said(solved.reason)).toMatch(/nearest|locked|no path|finds/);
            return;
          }
          const after = { ...p, shot: { ...p.shot, move: { ...move, values: solved.value } } };
          expect(targetNow(after, target)! / (now * factor)).toBeCloseTo(1, 2);
          if (lockSpeed) {
            expect(solved.value['speedMs']).toBe(undefined);
            expect(solved.value['rateDegS']).toBe(undefined);
          }
        },
      ),
      { numRuns: 150 },
    );
  });
  it('names what gives way, and says so when nothing may', () => {
    const p = parts({});
    expect(freeKnobs(p, 'usableS').map((k) => k.id)).toEqual(['speedMs', 'lengthM']);
    const locked = parts({ move: { ...p.shot.move, locked: ['speedMs', 'lengthM'] } });
    const r = solveShot(locked, 'usableS', 9);
    expect(r.ok ? '' : said(r.reason)).toMatch(/locked/);
    const by = solveShot(p, 'usableS', 9, 'lengthM');
    expect(by.ok && by.value['speedMs']).toBe(p.shot.move.values['speedMs']);
  });
});

describe('what is recorded', () => {
  it('stills besides cost hover and room; stills alone cost no takes', () => {
    const [video, both, stills] = (['video', 'both', 'stills'] as const).map(
      (records) => withShot({ records, stills: 5 }).facts,
    );
    const MB = 1e6 * video!.camera!.stillMB;
    expect(both!.seconds.airS - video!.seconds.airS).toBeCloseTo(5 * STILL_S, 9);
    expect(both!.bytes - video!.bytes).toBeCloseTo(5 * MB, 3);
    expect(both!.energy!.totalWh).toBeGreaterThan(video!.energy!.totalWh);
    expect(stills!.seconds.recordedS).toBe(0);
    expect(stills!.bytes).toBeCloseTo(5 * MB, 3);
    expect(stills!.seconds.airS).toBeCloseTo(video!.shot.setupS + 5 * STILL_S, 9);
  });
  it('a time-lapse counts frames, and as many as the clip has', () => {
    const { facts } = withShot({
      move: {
        kind: 'time-lapse',
        values: { intervalS: 1 },
        reversed: false,
        added: NOTHING_ADDED,
        points: [],
        locked: [],
      },
      takes: 1,
    });
    const frames = Math.round(facts.segments[0]!.timelineS * film.film.timelineFps);
    expect(facts.trajectory!.frames!.count).toBe(frames);
    expect(facts.bytes).toBeCloseTo(frames * facts.camera!.stillMB * 1e6, 0);
    expect(facts.seconds.recordedS).toBe(0);
    expect(facts.trajectory!.totalS).toBeCloseTo(frames - 1, 6);
  });
  it('the pilot in the shot walks there and back, take by take, while it records', () => {
    const [without, walked] = [withShot({ walkS: null }).facts, withShot({ walkS: 20 }).facts];
    expect(walked.seconds.airS - without.seconds.airS).toBeCloseTo(2 * 20 * without.shot.takes, 9);
    expect(walked.seconds.recordedS - without.seconds.recordedS).toBeCloseTo(2 * 20 * without.shot.takes, 9);
    expect(walked.bytes).toBeGreaterThan(without.bytes);
  });
  it('a ramp counts its mean, and handles are on top', () => {
    const cut = (speedFactor: number, endFactor: number | null) => ({
      cut: { by: 'seconds' as const, beats: 0, segments: [{ timelineS: 6, speedFactor, endFactor }] },
    });
    expect(withShot(cut(1, 3)).facts.capturedS).toBeCloseTo(withShot(cut(2, null)).facts.capturedS, 9);
    expect(withShot(cut(2, null)).facts.wantedS).toBeCloseTo(12 + 2 * film.film.preferences.handleS, 9);
  });
  it('counts are beats by the film’s count', () => {
    const beats = withShot({
      cut: { by: 'beats', beats: 16, segments: [{ timelineS: 1, speedFactor: 1, endFactor: null }] },
    }).facts.capturedS;
    expect(
      withShot({
        cut: { by: 'counts', beats: 2, segments: [{ timelineS: 1, speedFactor: 1, endFactor: null }] },
      }).facts.capturedS,
    ).toBeCloseTo(beats, 9);
    const two = withShot({
      cut: {
        by: 'beats',
        beats: 16,
        segments: [
          { timelineS: 1, speedFactor: 1, endFactor: null },
          { timelineS: 3, speedFactor: 1, endFactor: null },
        ],
      },
    }).facts.segments;
    expect(two[1]!.timelineS / two[0]!.timelineS).toBeCloseTo(3, 9);
  });
});

describe('sums', () => {
  it('add up whatever a shot asks for', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('slide', 'hold', 'panorama', 'time-lapse', 'bracket', 'four-pass', 'orbit'),
        fc.constantFrom<Shot['records']>('video', 'stills', 'both'),
        fc.option(fc.integer({ min: 0, max: 60 })),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 0, max: 9 }),
        fc.constantFrom<Shot['takeStyle']>('same-way', 'there-and-back'),
        (kind, records, walkS, takes, stills, takeStyle) => {
          const { facts } = withShot({
            records,
            walkS,
            takes,
            stills,
            takeStyle,
            move: { kind, values: {}, reversed: false, added: NOTHING_ADDED, points: [], locked: [] },
          });
          for (const id of ['take', 'air', 'energy', 'bytes'] as const) {
            const sum = explain(id, facts);
            expect(
              sum.terms.reduce((a, t) => a + t.value, 0),
              `${id} of ${kind}, ${records}`,
            ).toBeCloseTo(sum.value, 6);
          }
          for (const id of FIGURES) expect(said(explain(id, facts).formula)).toMatch(/\S/);
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('story board', () => {
  it('follows the list until a shot gets a place of its own', () => {
    const derived = deriveFilm(film);
    expect(boardOf(derived, []).places.map((p) => p.id)).toEqual(derived.order);
    const last = derived.order.at(-1)!;
    const moved = deriveFilm({
      ...film,
      shots: film.shots.map((s) => (s.id === last ? { ...s, cutPosition: 'a0' } : s)),
    });
    const order = boardOf(moved, []).places.map((p) => p.id);
    expect([...order].sort()).toEqual([...derived.order].sort());
    expect(boardOf(moved, []).totalS).toBeCloseTo(boardOf(derived, []).totalS, 9);
    expect(boardOf(moved, []).places[0]!.fromS).toBe(0);
  });
  it('holds shots from the ground where they belong, and none of them costs a pack or changes a flight', () => {
    const [here, there] = film.locations;
    const ground = (n: number, locationId: string) =>
      newRow('groundShot', {
        id: `bbbbbbbb-0000-4000-8000-00000000000${n}`,
        locationId,
        position: `a${n}`,
        timelineS: 3 + n,
      });
    const plain = deriveFilm({ ...film, groundShots: [] });
    const groundShots = [ground(2, here!.id), ground(1, here!.id), ground(3, there!.id)];
    const derived = deriveFilm({ ...film, groundShots });
    expect([...derived.places.values()].map((p) => p.flights)).toEqual(
      [...plain.places.values()].map((p) => p.flights),
    );
    expect(derived.budget.timelineS).toBeCloseTo(plain.budget.timelineS + 5 + 4 + 6, 9);
    const board = boardOf(derived, groundShots);
    expect(board.totalS).toBeCloseTo(derived.budget.timelineS, 9);
    const ids = board.places.map((p) => p.id);
    const lastHere = ids.findLastIndex((id) => derived.shots.get(id)?.facts.location.id === here!.id);
    expect(ids.slice(lastHere + 1, lastHere + 3)).toEqual([groundShots[1]!.id, groundShots[0]!.id]);
    // Once the cut is ordered by itself, a shot from the ground may open it.
    const ordered = boardOf(
      deriveFilm({ ...film, shots: film.shots.map((s, i) => ({ ...s, cutPosition: `b${100 + i}` })) }),
      groundShots.map((g, i) => ({ ...g, cutPosition: i === 2 ? 'a0' : `c${i}` })),
    ).places;
    expect(ordered[0]!.id).toBe(groundShots[2]!.id);
    expect(ordered.slice(-2).map((p) => p.id)).toEqual([groundShots[0]!.id, groundShots[1]!.id]);
    expect(board.places.map((p) => p.fromS)).toEqual(
      board.places.map((_, i) => board.places.slice(0, i).reduce((s, p) => s + p.timelineS, 0)),
    );
  });
  it('breaks a row of the same direction by a shot from the ground', () => {
    const still = (id: string) => ({ id, direction: 'still' as const, role: 'open' as const, timelineS: 5 });
    const codes = (list: Parameters<typeof readBoard>[0]) => readBoard(list).map((r) => r.code);
    expect(codes(['a', 'b', 'c'].map(still))).toContain('board.run');
    expect(codes([still('a'), still('b'), { ...still('g'), direction: null }, still('c')])).not.toContain(
      'board.run',
    );
  });
  it('holds every shot once, whatever has a place of its own', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.constantFrom('a0', 'a1', 'b', 'Zz', 'm5'), { nil: '' }), {
          minLength: 18,
          maxLength: 18,
        }),
        (keys) => {
          const derived = deriveFilm({
            ...film,
            shots: film.shots.map((s, i) => ({ ...s, cutPosition: keys[i]! })),
          });
          const places = boardOf(derived, []).places.map((p) => p.shot!.facts.shot);
          expect(places.map((s) => s.id).sort()).toEqual([...derived.order].sort());
          const own = places.filter((s) => s.cutPosition !== '').map((s) => s.cutPosition);
          expect(own).toEqual([...own].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)));
        },
      ),
      { numRuns: 30 },
    );
  });
  it('remarks on a push-in at the end, unless it is flown backwards', () => {
    const only = (kind: string, reversed: boolean) => {
      const shots = film.shots
        .slice(0, 3)
        .map((s, i) =>
          i === 2
            ? { ...s, move: { kind, values: {}, reversed, added: NOTHING_ADDED, points: [], locked: [] } }
            : s,
        );
      return boardOf(deriveFilm({ ...film, shots }), []).remarks.map((r) => r.code);
    };
    expect(only('push-in', false)).toContain('board.ends-toward');
    expect(only('push-in', true)).not.toContain('board.ends-toward');
  });
});

describe('coverage', () => {
  it.each(['Viaduct', 'Morning train', 'Quarryman', 'Salt pans', 'Incline house'])(
    'a set for %s has a path for each, small ones first, and only names what fits as fitting',
    (name) => {
      const subject = film.subjects.find((s) => s.name === name)!;
      const template = { ...film.shots.find((s) => s.locationId === subject.locationId)!, takes: 1 };
      const set = proposeCoverage(film, subject.id, template, (i) => `p${i}`);
      expect(set.length).toBeGreaterThanOrEqual(7);
      for (const p of set) {
        expect(p.derived?.facts.noPath, `${p.shot.title}: ${p.derived?.facts.noPath}`).toBeNull();
        expect(
          p.derived!.warnings.filter((w) => w.code === 'move.subject' || w.code === 'move.no-path'),
        ).toEqual([]);
        expect(p.fits).toBe(p.derived!.unfit === null);
      }
      const optional = set.map((p) => p.like.optional);
      expect(optional.indexOf(false)).toBe(optional.lastIndexOf(true) + 1);
      expect(set.map((p) => p.like.title)).toContain(subject.speedMs > 0 ? 'Alongside' : 'Leave');
    },
  );
  it('knows nobody, proposes nothing', () =>
    expect(proposeCoverage(film, 'nobody', film.shots[0]!, String)).toEqual([]));
});

describe('free air to a subject', () => {
  const bridge = () => film.subjects.find((s) => s.name === 'Viaduct')!;
  it('is the distance to a box along its heading, whichever way it is turned', () => {
    fc.assert(
      fc.property(
        numberIn(0, 360),
        numberIn(-200, 200),
        numberIn(-200, 200),
        numberIn(0, 80),
        (headingDeg, x, y, z) => {
          const subject = { ...bridge(), headingDeg };
          const middle = { x: subject.xM, y: subject.yM, z: 0 };
          // The nearest of many places of the box is never nearer, and hardly farther.
          const free = clearanceOf(subject)(middle, { x, y, z });
          const [a, b, , d] = footprint(subject);
          let least = Infinity;
          for (let i = 0; i <= 24; i += 1)
            for (let j = 0; j <= 6; j += 1)
              for (let k = 0; k <= 6; k += 1) {
                const p = {
                  x: a!.x + ((b!.x - a!.x) * i) / 24 + ((d!.x - a!.x) * j) / 6,
                  y: a!.y + ((b!.y - a!.y) * i) / 24 + ((d!.y - a!.y) * j) / 6,
                  z: subject.baseM + (subject.heightM * k) / 6,
                };
                least = Math.min(least, distance(p, { x, y, z }));
              }
          expect(free).toBeLessThanOrEqual(least + 1e-6);
          expect(least - free).toBeLessThan(4);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('a long thin subject may be passed close beside, not through', () => {
    const beside = (distanceM: number): string[] =>
      withShot({
        move: {
          kind: 'slide',
          values: { distanceM, heightM: 10, lengthM: 20, fromBearingDeg: 180 },
          reversed: false,
          added: NOTHING_ADDED,
          points: [],
          locked: [],
        },
      }).warnings.map((w) => w.code);
    expect(beside(12)).not.toContain('move.subject');
    expect(beside(5)).toContain('move.subject');
  });
});

describe('practice sheet', () => {
  it('lists the moves below steady, least practised first, each with the shots that ask for it', () => {
    const derived = deriveFilm(film);
    const sheet = practiceSheet(derived, film.film, film.kit);
    expect(sheet.flatMap((r) => r.shots).sort((a, b) => a - b)).toEqual(derived.order.map((_, i) => i + 1));
    const wanted = sheet.filter((r) => r.wanted);
    expect(wanted.every((r) => r.level < 3)).toBe(true);
    expect(wanted.map((r) => r.level)).toEqual([...wanted.map((r) => r.level)].sort());
    expect(sheet.findIndex((r) => !r.wanted)).toBe(wanted.length);
    expect(practiceSheet(derived, { ...film.film, pilotId: null }, film.kit)).toEqual([]);
  });
});

describe('a move as it is looked at', () => {
  it('starts and ends as it is flown, and its moments lie between their neighbours', () => {
    for (const shot of deriveFilm(film).shots.values()) {
      const track = trackOf(shot)!;
      const flown = shot.facts.trajectory!;
      expect(track.totalS).toBeCloseTo(flown.totalS, 6);
      expect(track.samples[0]!.pose).toEqual(flown.start);
      expect(momentAt(track, -5).pose.at).toEqual(flown.start.at);
      expect(distance(momentAt(track, 1e6).pose.at, flown.end.at)).toBeLessThan(1e-6);
      expect(track.usableToS - track.usableFromS).toBeCloseTo(Math.min(flown.usableS, flown.totalS), 6);
      const bands = bandsOf(track);
      expect(bands[0]!.fromS).toBe(0);
      expect(bands.at(-1)!.toS).toBeCloseTo(track.totalS, 6);
      for (let t = 0; t < track.totalS; t += track.totalS / 37) {
        const m = momentAt(track, t);
        const exact = flown.lengthM > 0 ? distance(m.pose.at, momentAt(track, t + 0.05).pose.at) : 0;
        expect(exact).toBeLessThanOrEqual((flown.peakSpeedMs + 0.05) * 0.06);
      }
    }
  });
  it('a moving subject is at its own place in the middle, and stays beside a move that goes along', () => {
    const derived = deriveFilm(film);
    const train = [...derived.shots.values()].find(
      (s) => s.facts.subject?.speedMs === 4 && s.facts.move?.kind === 'part-orbit',
    )!;
    expect(
      distance(subjectAt(train.facts, train.facts.trajectory!.totalS / 2), train.facts.aim.aim),
    ).toBeLessThan(1e-9);
    expect(
      distance(subjectAt(train.facts, 0), subjectAt(train.facts, train.facts.trajectory!.totalS)),
    ).toBeCloseTo(4 * train.facts.trajectory!.totalS, 6);
    const along = withShot({
      subjectId: train.facts.subject!.id,
      move: {
        kind: 'track',
        values: { speedMs: 4 },
        reversed: false,
        added: NOTHING_ADDED,
        points: [],
        locked: [],
      },
    });
    for (const s of trackOf(along)!.samples)
      expect(Math.abs(s.distanceM - trackOf(along)!.samples[0]!.distanceM)).toBeLessThan(0.6);
  });
});

describe('every move in a film', () => {
  it.each(MOVES.map((m) => m.kind))(
    '%s: derived with its initial numbers it has a cost or a sentence',
    (kind) => {
      const derived = withShot({
        move: {
          kind,
          values: {},
          reversed: false,
          added: NOTHING_ADDED,
          points: [
            { xM: 0, yM: 40, zM: 10, speedMs: 3 },
            { xM: 40, yM: 60, zM: 20, speedMs: 4 },
          ],
          locked: [],
        },
      });
      if (derived.facts.trajectory) expect(derived.facts.energy!.totalWh).toBeGreaterThan(0);
      else expect(said(derived.facts.noPath)).toMatch(/^[A-Z].*\.$/);
      expect(layoutOf(derived.facts).wantedS).toBe(derived.facts.wantedS);
    },
  );
});
