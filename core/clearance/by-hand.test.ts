import { describe, expect, it } from 'vitest';
import { vec, type Vec3 } from '../geometry';
import { LEVEL_GROUND, type Ground } from '../terrain';
import { nearestAlong } from './clearance';
import { hiddenAlong, hides } from './hidden';
import { FIXED_RETURN_M, wayHomeOver } from './home';
import { areaSolid, atLeast, freeAir, lineSolid, topAt } from './solid';

/** A shed of 10 by 10 m and 6 m; a wire from 10 to 20 m over 50 m of ground, half a metre thick each way; a mast of 25 m. */
const square = (west: number, south: number, size: number, z: number): Vec3[] => [
  vec(west, south, z),
  vec(west + size, south, z),
  vec(west + size, south + size, z),
  vec(west, south + size, z),
];
const shed = areaSolid('s', 'Shed', square(0, 0, 10, 6), true);
const wire = lineSolid('w', 'Wire', [vec(0, 0, 10), vec(30, 40, 20)], 0.5, false);
const mast = lineSolid('m', 'Mast', [vec(40, 0, 25)], 1, false);

describe('a solid', () => {
  it('has the box and the top of its corners, thickness included', () => {
    expect(wire).toMatchObject({
      topM: 20,
      ring: null,
      roof: [],
      box: { west: -0.5, east: 30.5, south: -0.5, north: 40.5 },
    });
    expect(wire.edges).toMatchObject([{ runM: 50, ex: 0.6, ey: 0.8 }]);
    expect(mast.edges).toMatchObject([{ runM: 0, ex: 0, ey: 0 }]);
    expect(shed).toMatchObject({ topM: 6, radiusM: 0, box: { west: 0, east: 10, south: 0, north: 10 } });
    expect([shed.edges.length, shed.roof.length]).toEqual([4, 2]);
    expect(shed.edges.map((e) => e.runM)).toEqual([10, 10, 10, 10]);
    // Corners in a line have no top between them.
    const edgeOn = areaSolid('e', 'Edge', [vec(0, 0, 5), vec(5, 0, 9), vec(10, 0, 5)], true);
    expect(edgeOn.roof).toEqual([]);
  });
  it('has a top over its outline and within its radius, edges included, none beside it', () => {
    const tops = (...at: [number, number][]) => at.map(([x, y]) => topAt(shed, x, y));
    expect(tops([5, 5], [0.001, 9.999], [-0.001, 5], [10.001, 5], [5, -0.001], [5, 10.001])).toEqual([
      6,
      6,
      -Infinity,
      -Infinity,
      -Infinity,
      -Infinity,
    ]);
    const slope = areaSolid(
      'o',
      'Slope',
      [vec(0, 0, 0), vec(10, 0, 10), vec(10, 10, 10), vec(0, 10, 0)],
      true,
    );
    expect([topAt(slope, 3, 5), topAt(slope, 9, 1)].map((z) => Math.round(z * 1000) / 1000)).toEqual([3, 9]);
    // An L of 10 by 10 with its corner cut out: within its box and beside it.
    const corner = areaSolid(
      'c',
      'Corner',
      [vec(0, 0, 4), vec(10, 0, 4), vec(10, 5, 4), vec(5, 5, 4), vec(5, 10, 4), vec(0, 10, 4)],
      true,
    );
    expect([topAt(corner, 7, 7), topAt(corner, 2, 7)]).toEqual([-Infinity, 4]);
    expect(freeAir(corner, vec(7, 8, 2))).toBeCloseTo(2, 9);
    expect(topAt(mast, 40.9, 0)).toBe(25);
    expect([topAt(mast, 40.8, 0.8), topAt(mast, 41.1, 0)]).toEqual([-Infinity, -Infinity]);
    // Halfway along the wire, and 0.4 and 0.6 m beside it.
    expect(topAt(wire, 15 - 0.32, 20 + 0.24)).toBeCloseTo(15, 6);
    expect(topAt(wire, 15 - 0.48, 20 + 0.36)).toBe(-Infinity);
  });
  it('keeps free air from a wire: beside it, above it and past its ends', () => {
    const free = (x: number, y: number, z: number) => freeAir(wire, vec(x, y, z));
    expect(free(15, 20, 14)).toBe(0);
    expect(free(11, 23, 10)).toBeCloseTo(4.5, 9);
    expect(free(19, 17, 10)).toBeCloseTo(4.5, 9);
    // Ten above the middle of a hem that rises one in five.
    expect(free(15, 20, 25)).toBeCloseTo((10 * 50) / Math.hypot(50, 10) - 0.5, 9);
    expect(free(33, 44, 15)).toBeCloseTo(4.5, 9);
    expect(free(33, 44, 32)).toBeCloseTo(13 - 0.5, 9);
    expect(free(-3, -4, 8)).toBeCloseTo(4.5, 9);
    expect(free(-3, -4, 22)).toBeCloseTo(13 - 0.5, 9);
    expect(freeAir(mast, vec(43, 4, 20))).toBeCloseTo(4, 9);
    expect(freeAir(mast, vec(43, 0, 29))).toBeCloseTo(4, 9);
    expect(freeAir(mast, vec(40, 0.5, 3))).toBe(0);
  });
  it('keeps it from a roof: straight above, over the eaves, and none inside', () => {
    const free = (x: number, y: number, z: number) => freeAir(shed, vec(x, y, z));
    expect([free(5, 5, 6), free(5, 5, 5.9), free(5, 5, 9), free(-3, 5, 10), free(13, 14, 6)]).toEqual([
      0, 0, 3, 5, 5,
    ]);
    expect([free(5, -2, 0), free(5, 12, -5)]).toEqual([2, 2]);
  });
  it('is never nearer than its box says', () => {
    const told = [vec(-3, -4, 6), vec(13, 5, 10), vec(5, 14, 9), vec(5, 5, 8), vec(5, 5, 1), vec(13, 14, 18)];
    expect(told.map((p) => atLeast(shed, p))).toEqual([5, 5, 5, 2, 0, 13]);
  });
  it('slopes: free air counts along the normal of a roof that rises 3 for 4, whichever way and wherever it stands', () => {
    // Corners 100 m east and 200 m north; 6 m at one side, 13.5 m at the other.
    for (const [ex, ey] of [
      [0, 1],
      [1, 0],
      [0, -1],
      [-1, 0],
    ] as const) {
      const rise = (x: number, y: number): number => 9.75 + 0.75 * ((x - 105) * ex + (y - 205) * ey);
      const corners = square(100, 200, 10, 0).map((c) => vec(c.x, c.y, rise(c.x, c.y)));
      const lean = areaSolid('l', 'Lean-to', corners, true);
      expect(lean.topM).toBe(13.5);
      for (const [x, y] of [
        [105, 205],
        [104, 203],
        [106, 207],
      ] as const) {
        expect(topAt(lean, x, y)).toBeCloseTo(rise(x, y), 9);
        expect(freeAir(lean, vec(x, y, rise(x, y) + 2))).toBeCloseTo(2 * 0.8, 9);
        expect(freeAir(lean, vec(x, y, rise(x, y) - 1))).toBe(0);
      }
      // Beside the low wall and above its hem: down to the hem, where no foot falls on the roof.
      const low = vec(105 - 9 * ex, 205 - 9 * ey, 9);
      expect(freeAir(lean, low)).toBeCloseTo(5, 9);
      // Beside the high wall, under its hem: straight across, though the plane of the roof passes above.
      expect(freeAir(lean, vec(105 + 8 * ex, 205 + 8 * ey, 9))).toBeCloseTo(3, 9);
    }
  });
  it('keeps free air from a steep roof by the foot on it, not by what lies the other way', () => {
    // One for one to the north: a spot over its low end has its foot further up, where the eaves are far.
    const steep = areaSolid(
      't',
      'Steep',
      [vec(0, 0, 0), vec(20, 0, 0), vec(20, 10, 10), vec(0, 10, 10)],
      true,
    );
    expect(freeAir(steep, vec(10, 1, 5))).toBeCloseTo(4 / Math.SQRT2, 9);
    expect(freeAir(steep, vec(10, -1, 5))).toBeCloseTo(6 / Math.SQRT2, 9);
    // Below the eaves to the south no foot falls on the roof: the hem at 0 m, 3 m across and 1 up.
    expect(freeAir(steep, vec(10, -3, 1))).toBeCloseTo(Math.hypot(3, 1), 9);
  });
  it('is a ridge or a valley between the same four corners: its top is that of the piece above the spot', () => {
    const folded = (high: readonly number[]): number =>
      topAt(
        areaSolid(
          'f',
          'Folded',
          square(0, 0, 10, 0).map((c, i) => ({ ...c, z: high.includes(i) ? 5 : 0 })),
          true,
        ),
        high.includes(0) ? 8 : 2,
        4,
      );
    // Whichever way the roof is cut, one of the two is a ridge of 3 m there and the other a valley of 1 m.
    expect([folded([0, 2]), folded([1, 3])].map((z) => Math.round(z * 1e6) / 1e6).sort()).toEqual([1, 3]);
  });
  it('a valley: of two pieces the nearer, and a rope far from where it all begins has its top where it is', () => {
    // Steep to the east, gentle to the west, both down to the line at x = 100; seen from above the gentle side.
    const valley = areaSolid(
      'v',
      'Valley',
      [
        vec(80, 200, 10),
        vec(100, 200, 0),
        vec(110, 200, 20),
        vec(110, 240, 20),
        vec(100, 240, 0),
        vec(80, 240, 10),
      ],
      true,
    );
    const over = (x: number, z: number): number => freeAir(valley, vec(x, 220, z));
    const gentle = (x: number, z: number): number => (z - (100 - x) / 2) / Math.hypot(1, 0.5);
    const steep = (x: number, z: number): number => (z - 2 * (x - 100)) / Math.hypot(1, 2);
    expect(over(99, 10)).toBeCloseTo(Math.min(gentle(99, 10), steep(99, 10)), 9);
    expect(over(95, 6)).toBeCloseTo(Math.min(gentle(95, 6), steep(95, 6)), 9);
    expect(over(90, 8)).toBeCloseTo(gentle(90, 8), 9);
    expect([topAt(valley, 90, 220), topAt(valley, 105, 210)]).toEqual([
      expect.closeTo(5, 9),
      expect.closeTo(10, 9),
    ]);
    const rope = lineSolid('r', 'Rope', [vec(100, 200, 10), vec(130, 240, 20)], 0.5, false);
    expect(topAt(rope, 106 + 0.3, 208 - 0.2)).toBeCloseTo(12, 1);
    expect(topAt(rope, 106 + 0.5, 208 - 0.5)).toBe(-Infinity);
  });
});

describe('the nearest on a way', () => {
  it('is told where it is, and which share of the way that is', () => {
    // Past the shed 4 m in front of it; on the second of two stretches, which are halves of the way to count by.
    const way = [vec(-40, -4, 3), vec(-20, -4, 3), vec(30, -4, 3)];
    const near = nearestAlong(way, [mast, shed], 60)!;
    expect([near.solid.id, near.freeM]).toEqual(['s', 4]);
    expect(near.share).toBeGreaterThan(0.5);
    expect(near.at.x).toBeCloseTo(-20 + (near.share - 0.5) * 100, 9);
    expect([near.at.x >= -0.25, near.at.x <= 10.25]).toEqual([true, true]);
    // Straight at it and over it: the roof is 2 m below one spot only.
    const dive = nearestAlong([vec(5, -40, 53), vec(5, 5, 8), vec(5, 50, 53)], [shed], 60)!;
    expect([dive.freeM, dive.share, dive.at]).toEqual([2, 0.5, vec(5, 5, 8)]);
    expect(nearestAlong([vec(5, 5, 9)], [shed], 60)).toMatchObject({ freeM: 3, share: 0 });
    expect(nearestAlong([vec(5, 20, 3), vec(5, 13, 3)], [shed], 60)).toMatchObject({ freeM: 3, share: 1 });
    expect(nearestAlong([vec(-3, 5, 3), vec(-40, 5, 3)], [shed], 60)).toMatchObject({ freeM: 3, share: 0 });
  });
  it('finds where a long stretch passes, wherever on it that is, to a quarter of a metre', () => {
    for (const [from, to] of [
      [vec(40, -100, 20), vec(40, 100, 20)],
      [vec(40, -7, 20), vec(40, 150, 20)],
      [vec(-160, 4, 20), vec(60, 4, 20)],
    ] as const) {
      const near = nearestAlong([from, to], [mast], 60)!;
      const [dx, dy] = [to.x - from.x, to.y - from.y];
      const share = ((40 - from.x) * dx + (0 - from.y) * dy) / (dx * dx + dy * dy);
      const exact = Math.hypot(from.x + dx * share - 40, from.y + dy * share) - 1;
      expect(near.freeM).toBeGreaterThanOrEqual(Math.max(0, exact));
      expect(near.freeM).toBeLessThanOrEqual(Math.max(0, exact) + 0.25);
      // Within a metre and a half of the mast the free air is told by its thickness.
      expect(Math.abs(near.share - share) * Math.hypot(dx, dy)).toBeLessThan(1.5);
    }
  });
  it('does not look closer where nothing nearer can be', () => {
    let looks = 0;
    const counted = new Proxy(mast, {
      get: (solid, field) => {
        if (field === 'edges') looks += 1;
        return solid[field as keyof typeof solid];
      },
    });
    const lookedAt = (way: Vec3[]): number => {
      looks = 0;
      nearestAlong(way, [counted], 60);
      return looks;
    };
    const circle = Array.from({ length: 61 }, (_, i) =>
      vec(40 + 30 * Math.cos(i / 9.55), 30 * Math.sin(i / 9.55), 20),
    );
    // All of 61 spots are as near as any: each stretch of 3.1 m is looked at in sixteen pieces at the most.
    expect(lookedAt(circle)).toBeGreaterThanOrEqual(61);
    expect(lookedAt(circle)).toBeLessThan(61 * 17);
    // Flown through: at most the halves of the stretches up to it, and nothing after.
    expect(lookedAt([vec(-60, 0, 20), vec(40, 0, 20), vec(140, 0, 20)])).toBeLessThan(10);
    // Far from it: not once.
    expect(lookedAt([vec(-200, 0, 20), vec(-100, 0, 20)])).toBe(0);
    // The far end of a way that comes near is not looked at either.
    const leaving = Array.from({ length: 50 }, (_, i) => vec(45 + 10 * i, 0, 20));
    expect(lookedAt(leaving)).toBeLessThan(8);
  });
  it('of two the nearer, whichever is named first; nothing from the distance on that is cared about', () => {
    const way = [vec(20, -5, 3), vec(20, 30, 3)];
    for (const solids of [
      [shed, mast],
      [mast, shed],
    ])
      expect(nearestAlong(way, solids, 60)).toMatchObject({ solid: shed, freeM: 10 });
    expect([nearestAlong(way, [shed], 10), nearestAlong(way, [shed], 10.01)?.freeM]).toEqual([null, 10]);
    expect(nearestAlong(way, [], 60)).toBeNull();
    expect(nearestAlong([], [shed], 60)).toBeNull();
    // Right through: nothing is left, and nothing else is nearer.
    expect(nearestAlong([vec(-20, 5, 3), vec(40, 5, 3)], [shed, mast], 60)).toMatchObject({ freeM: 0 });
    // High above, a box beside counts its height alone.
    expect(nearestAlong([vec(0, 0, 66), vec(10, 10, 66)], [shed], 60)).toBeNull();
    expect(nearestAlong([vec(0, 0, 65), vec(10, 10, 65)], [shed], 60)?.freeM).toBe(59);
    // A climb counts from where it begins.
    expect(nearestAlong([vec(5, -10, 3), vec(5, -10, 90)], [shed], 60)?.freeM).toBe(10);
  });
});

describe('what hides', () => {
  const eye = vec(5, -20, 2);
  it('is a wall below its top, seen from outside, inside and behind it', () => {
    // Halfway lies the front wall: 6 m are reached there on the way to 10 m.
    const spot = (z: number) => hides(LEVEL_GROUND, [shed], eye, vec(5, 20, z));
    expect([spot(9.9)?.by?.id, spot(10.1)]).toEqual(['s', null]);
    expect(spot(5)?.at).toMatchObject({ x: 5 });
    // Over the front wall and down behind: where the line meets the outline.
    expect(hides(LEVEL_GROUND, [shed], vec(5, -20, 10.8), vec(5, 20, 2))?.at).toEqual(vec(5, 10, 4.2));
    const inside = vec(5, 5, 3);
    expect(hides(LEVEL_GROUND, [shed], eye, inside)).toEqual({ at: inside, by: shed });
    expect(hides(LEVEL_GROUND, [shed], inside, vec(5, 40, 40))).toEqual({ at: inside, by: shed });
    for (const beside of [vec(30, -20, 2), vec(-30, -20, 2)])
      expect(hides(LEVEL_GROUND, [shed], vec(beside.x, 30, 2), beside)).toBeNull();
    expect(hides(LEVEL_GROUND, [shed], vec(-9, -3, 2), vec(19, -3, 2))).toBeNull();
    expect(hides(LEVEL_GROUND, [shed], vec(-9, 13, 2), vec(19, 13, 2))).toBeNull();
    // Both high above; and what is no wall hides nothing.
    expect(hides(LEVEL_GROUND, [shed], vec(5, -20, 7), vec(5, 20, 7))).toBeNull();
    const screen = { ...wire, opaque: true };
    const through = [vec(15, 0, 2), vec(15, 40, 2)] as const;
    expect(hides(LEVEL_GROUND, [wire], ...through)).toBeNull();
    expect(hides(LEVEL_GROUND, [screen], ...through)?.at).toMatchObject({ x: 15, y: 20, z: 2 });
    // A quarter along, its top has risen a quarter of the way from 10 to 20 m.
    const over = (z: number) => hides(LEVEL_GROUND, [screen], vec(7.5, 0, z), vec(7.5, 20, z));
    expect([over(12.4)?.at, over(12.6)]).toEqual([vec(7.5, 10, 12.4), null]);
  });
  it('is ground where nothing stands', () => {
    const hill = {
      at: (_: number, y: number) => (y > 4 && y < 12 ? 30 : 0),
      grid: null,
    } as unknown as Ground;
    expect(hides(hill, [], eye, vec(5, 30, 10))).toMatchObject({ by: null, at: { x: 5 } });
    expect(hides(hill, [], eye, vec(5, 30, 90))).toBeNull();
  });
  it('is told by stretches of the way, the last one to its end', () => {
    // Seven spots on a way behind the shed; those from x = 0 to 10 lie right behind it.
    const way = [-30, -20, 0, 5, 10, 25, 40].map((x) => vec(x, 12, 3));
    const dark = hiddenAlong(LEVEL_GROUND, [shed], vec(5, -100, 2), way);
    expect(dark.map((s) => [s.from * 6, s.to * 6, s.blocked.by?.id])).toEqual([[2, 4, 's']]);
    const ends = hiddenAlong(LEVEL_GROUND, [shed], vec(5, -100, 2), way.slice(0, 4));
    expect(ends.map((s) => [s.from * 3, s.to])).toEqual([[2, 1]]);
    expect(hiddenAlong(LEVEL_GROUND, [shed], vec(5, -100, 2), way.slice(3, 4))).toMatchObject([
      { from: 0, to: 1 },
    ]);
    const twice = hiddenAlong(LEVEL_GROUND, [shed], vec(5, -100, 2), [...way, ...[...way].reverse()]);
    expect(twice.map((s) => [Math.round(s.from * 13), Math.round(s.to * 13)])).toEqual([
      [2, 4],
      [9, 11],
    ]);
  });
});

describe('a way home by hand', () => {
  const over = (solids: Parameters<typeof wayHomeOver>[1], halfM = 10, from = vec(0, 100, 30)) =>
    wayHomeOver(LEVEL_GROUND, solids, from, vec(0, 0, 0), halfM, 120);
  it('passes over a wire within half of its corridor, and names the spot', () => {
    const beside = (x: number) => lineSolid('b', 'Beside', [vec(x, 40, 15), vec(x, 60, 25)], 0.5, false);
    for (const side of [1, -1]) {
      expect(over([beside(9 * side)])).toMatchObject({
        tallestM: 25,
        by: { id: 'b' },
        at: { x: 9 * side, y: 60 },
      });
      // Half a metre of its own and half a step more: 12 m is the last.
      expect([over([beside(11.9 * side)]).by?.id, over([beside(12.1 * side)]).by]).toEqual(['b', null]);
    }
    const level = over([]);
    expect(level).toEqual({ tallestM: 0, by: null, at: expect.anything(), ceilingM: 120, unknown: false });
    // Past its ends as far as to its sides.
    const behind = (y: number) => over([lineSolid('p', 'Past', [vec(0, y, 9)], 0, false)]).by?.id;
    expect([behind(111), behind(112), behind(-11), behind(-12)]).toEqual(['p', undefined, 'p', undefined]);
    // A wire across, far wider than the corridor: its top where the way passes.
    const across = over([lineSolid('a', 'Across', [vec(-300, 50, 0), vec(300, 50, 60)], 0, false)]);
    expect(across.tallestM).toBeGreaterThan(30.8);
    expect(across.tallestM).toBeLessThanOrEqual(30 + 0.1 * 11.5);
  });
  it('of several the tallest, whichever is named first, ground as well; over a spot as along a way', () => {
    const poles = [12, 30, 20].map((z, i) =>
      lineSolid(`${z}`, 'Pole', [vec(2, 20 * (i + 1), z)], 0.2, false),
    );
    expect(over(poles)).toMatchObject({ tallestM: 30, by: { id: '30' } });
    expect(over([...poles].reverse())).toMatchObject({ tallestM: 30, by: { id: '30' } });
    const high = { at: () => 31, grid: null } as unknown as Ground;
    expect(wayHomeOver(high, poles, vec(0, 100, 60), vec(0, 0, 31), 10, 120)).toMatchObject({
      tallestM: 31,
      by: null,
      ceilingM: 151,
    });
    expect(over(poles, 10, vec(0, 0, 30)).by).toBeNull();
    expect(over(poles, 20, vec(0, 0, 30)).by?.id).toBe('12');
    const unknown = { at: () => NaN, grid: null } as unknown as Ground;
    expect(wayHomeOver(unknown, [], vec(0, 50, 30), vec(0, 0, 7), 10, 120)).toMatchObject({
      unknown: true,
      ceilingM: 127,
      tallestM: -Infinity,
    });
  });
  it('finds the highest of a top wherever along it that stands, and as far beside the way as it is thick', () => {
    const falling = lineSolid('f', 'Falling', [vec(9, 40, 25), vec(9, 60, 15)], 0.5, false);
    expect(over([falling])).toMatchObject({ tallestM: 25, at: { x: 9, y: 40 } });
    // Enters the corridor 11.5 m behind home and falls a metre for each metre on.
    const along = over([lineSolid('l', 'Along', [vec(0, -40, 80), vec(0, 40, 0)], 0, false)]);
    expect(along.tallestM).toBeGreaterThan(48);
    expect(along.tallestM).toBeLessThanOrEqual(51.5);
    const thick = (x: number) => over([lineSolid('t', 'Thick', [vec(x, 50, 9)], 10, false)]).by?.id;
    expect([thick(21.4), thick(21.6)]).toEqual(['t', undefined]);
    const hall = areaSolid('h', 'Hall', square(-30, 20, 60, 14), true);
    const inside = over([hall], 2);
    expect(inside).toMatchObject({ tallestM: 14, by: { id: 'h' } });
    expect(Math.hypot(inside.at.x, inside.at.y - 50)).toBeLessThan(60);
  });
  it('counts the ceiling from the ground right below, ends included, and from nothing beyond them', () => {
    const pit = (holds: (x: number, y: number) => boolean) =>
      ({ at: (x: number, y: number) => (holds(x, y) ? -100 : 0), grid: null }) as unknown as Ground;
    const ceiling = (holds: (x: number, y: number) => boolean) =>
      wayHomeOver(pit(holds), [], vec(0, 12, 30), vec(0, 0, 0), 10, 120).ceilingM;
    expect(ceiling((_, y) => y < -0.5)).toBe(120);
    expect(ceiling((_, y) => y > 12.5)).toBe(120);
    expect(ceiling((x) => Math.abs(x) > 1)).toBe(120);
    expect(ceiling((_, y) => y < 0.5)).toBe(20);
    expect(ceiling((_, y) => y > 11.5)).toBe(20);
  });
  it('names the spot of the highest ground, and home where none is known', () => {
    const peak = (px: number, py: number): Ground =>
      ({ at: (x: number, y: number) => 20 - Math.hypot(x - px, y - py), grid: null }) as unknown as Ground;
    for (const [x, y] of [
      [5, 50],
      [-5, 50],
      [0, 5],
    ] as const) {
      const told = wayHomeOver(peak(x, y), [], vec(0, 100, 60), vec(0, 0, 0), 10, 120);
      expect(told).toMatchObject({ tallestM: 20, by: null, at: { x, y } });
    }
    const unknown = { at: () => NaN, grid: null } as unknown as Ground;
    expect(wayHomeOver(unknown, [], vec(0, 50, 30), vec(3, 4, 7), 10, 120).at).toEqual({ x: 3, y: 4 });
  });
  it('reaches a cell beyond its corridor on every side and round its ends, no corner farther', () => {
    // Half 22 m and cells of 5 m: rows at 25 m count, so does 25 m past the ends; 25 m both ways is beyond a cell and its diagonal.
    const spike = (px: number, py: number): number =>
      wayHomeOver(
        {
          at: (x: number, y: number) => (Math.hypot(x - px, y - py) < 0.5 ? 50 : 0),
          grid: null,
        } as unknown as Ground,
        [],
        vec(0, 100, 60),
        vec(0, 0, 0),
        22,
        120,
      ).tallestM;
    for (const [x, y] of [
      [25, 50],
      [-25, 50],
      [0, 125],
      [0, -25],
      [10, -25],
      [-10, 125],
    ] as const)
      expect(spike(x, y)).toBe(50);
    for (const [x, y] of [
      [25, -25],
      [-25, -25],
      [25, 125],
      [-25, 125],
      [30, 50],
      [0, -35],
    ] as const)
      expect(spike(x, y)).toBe(0);
  });
  it('is told at least the highest of ground that rises evenly, inside its corridor with round ends', () => {
    const reached = { spots: 0 };
    for (const [runM, halfM] of [
      [0, 10],
      [37, 10],
      [100, 4],
    ] as const)
      for (let deg = 0; deg < 360; deg += 15) {
        const [ux, uy] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
        const rise = (x: number, y: number): number => 0.5 * (x * uy + y * ux) + 0.3 * x;
        const ground = { at: rise, grid: null } as unknown as Ground;
        const from = vec(runM * ux, runM * uy, 90);
        const told = wayHomeOver(ground, [], from, vec(0, 0, 0), halfM, 120).tallestM;
        for (let at = 0; at < 36; at += 1) {
          const [cx, cy] = [Math.cos(at / 5.73) * halfM, Math.sin(at / 5.73) * halfM];
          reached.spots += 1;
          for (const end of [vec(0, 0, 0), from])
            expect(told).toBeGreaterThanOrEqual(rise(end.x + cx, end.y + cy));
        }
        // And not of what lies far outside: a cell and its diagonal.
        expect(told).toBeLessThanOrEqual(
          Math.max(rise(0, 0), rise(from.x, from.y)) + (halfM + 5 * Math.SQRT2 + 5) * Math.hypot(0.8, 0.5),
        );
      }
    expect(reached.spots).toBe(3 * 24 * 36);
  });
  it('is shown beside the heights people set without looking', () => {
    expect(FIXED_RETURN_M).toEqual([
      [60, 60],
      [80, 100],
    ]);
  });
});
