import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groundOf, LEVEL_GROUND } from '../terrain';
import { between, distance, vec, type Vec3, areaOf, crossesItself, inRing, toShape } from '../geometry';
import { areaSolid, freeAir, lineSolid, topAt, type Solid } from './solid';
import { gustDrift } from './drift';
import { hiddenAlong, hides } from './hidden';
import { nearestAlong } from './clearance';
import { wayHomeOver } from './home';
import { numberIn } from '../testing';

const part = numberIn(-80, 80);
const high = numberIn(2, 40);
const point = fc.tuple(part, part, high).map(([x, y, z]) => vec(x, y, z));

/** Straight and slow: the solid as a cloud of points, its top and everything below it. */
const cloud = (solid: Solid): Vec3[] => {
  const points: Vec3[] = [];
  const column = (x: number, y: number, top: number): void => {
    for (let z = top; z > top - 60; z -= 1) points.push(vec(x, y, z));
  };
  for (const { a, b } of solid.edges)
    for (let i = 0; i <= 60; i += 1) {
      const p = between(a, b, i / 60);
      column(p.x, p.y, p.z);
    }
  if (solid.ring)
    for (let x = solid.box.west; x <= solid.box.east; x += 1)
      for (let y = solid.box.south; y <= solid.box.north; y += 1) {
        const top = topAt(solid, x, y);
        if (top > -Infinity) points.push(vec(x, y, top));
      }
  return points;
};
const slowly = (solid: Solid, points: readonly Vec3[], p: Vec3): number =>
  solid.ring && p.z <= topAt(solid, p.x, p.y)
    ? 0
    : Math.max(0, points.reduce((least, q) => Math.min(least, distance(p, q)), Infinity) - solid.radiusM);

const wood = areaSolid(
  'w',
  'Wood',
  [vec(-20, -15, 18), vec(25, -10, 22), vec(18, 20, 30), vec(-5, 8, 20), vec(-22, 22, 16)],
  true,
);
const wire = lineSolid('l', 'Wire', [vec(-60, 30, 9), vec(0, 40, 12), vec(50, 35, 8)], 0.5, false);
const mast = lineSolid('m', 'Mast', [vec(40, -40, 25)], 0.5, false);

describe('free air', () => {
  it.each([wood, wire, mast])('is what a cloud of points has ($name)', (solid) => {
    const points = cloud(solid);
    fc.assert(
      fc.property(point, (p) => {
        expect(Math.abs(freeAir(solid, p) - slowly(solid, points, p))).toBeLessThan(1.2);
      }),
      { numRuns: 150 },
    );
  });
  it('changes by no more than one goes', () => {
    fc.assert(
      fc.property(point, point, fc.constantFrom(wood, wire, mast), (a, b, solid) => {
        expect(Math.abs(freeAir(solid, a) - freeAir(solid, b))).toBeLessThanOrEqual(distance(a, b) + 1e-6);
      }),
    );
  });
  it('is nothing inside, and grows straight up above a level roof', () => {
    const box = areaSolid('b', 'Shed', [vec(0, 0, 6), vec(10, 0, 6), vec(10, 10, 6), vec(0, 10, 6)], true);
    expect([
      freeAir(box, vec(5, 5, 3)),
      freeAir(box, vec(5, 5, 16)),
      freeAir(box, vec(-4, 5, 3)),
      freeAir(box, vec(13, 5, 10)),
    ]).toEqual([0, 10, 4, 5]);
  });
});

describe('clearance of a way', () => {
  const solids = [wood, wire, mast];
  it('is that of the closest of a thousand places on it', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 6 }), (way) => {
        const near = nearestAlong(way, solids, 500);
        let least = Infinity;
        for (let i = 1; i < way.length; i += 1)
          for (let k = 0; k <= 300; k += 1) {
            const [a, b] = [way[i - 1], way[i]];
            if (a && b) for (const s of solids) least = Math.min(least, freeAir(s, between(a, b, k / 300)));
          }
        expect(Math.abs((near?.freeM ?? Infinity) - least)).toBeLessThan(0.5);
        expect(
          Math.abs(freeAir(near?.solid ?? wood, near?.at ?? vec(0, 0, 0)) - (near?.freeM ?? -1)),
        ).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });
  it('names nothing beyond what is cared about, and each thing within it', () => {
    expect(nearestAlong([vec(500, 500, 20), vec(510, 500, 20)], solids, 60)).toBeNull();
    expect(nearestAlong([vec(0, 0, 60)], solids, 60)?.solid.name).toBe('Wood');
    // Within the box about a slanting wire, and far from the wire itself: 80/√2 m.
    const slant = lineSolid('d', 'Slant', [vec(0, 0, 10), vec(100, 100, 10)], 0, false);
    const aside = [vec(90, 10, 5)];
    expect(nearestAlong(aside, [slant], 56)).toBeNull();
    expect(nearestAlong(aside, [slant], 57)?.freeM).toBeCloseTo(80 / Math.SQRT2, 9);
  });
});

describe('outlines', () => {
  const ring = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
    { x: 0, y: 10 },
  ];
  it('know inside, size, distance, and whether they cross themselves', () => {
    expect([
      inRing(ring, 5, 5),
      inRing(ring, 15, 5),
      areaOf(ring),
      toShape(ring, true, 13, 14),
      toShape(ring, true, 5, 5),
      toShape(ring, false, 1, 5),
    ]).toEqual([true, false, 100, 5, 0, 5]);
    expect(crossesItself(ring)).toBe(false);
    expect(
      crossesItself([
        { x: 0, y: 0 },
        { x: 10, y: 10 },
        { x: 10, y: 0 },
        { x: 0, y: 10 },
      ]),
    ).toBe(true);
  });
});

describe('sight', () => {
  it('a wood hides what is low behind it; a wire and a mast hide nothing', () => {
    const eye = vec(0, -100, 1.6);
    expect(hides(LEVEL_GROUND, [wood], eye, vec(0, 80, 12))?.by).toBe(wood);
    expect(hides(LEVEL_GROUND, [wood], eye, vec(0, 80, 120))).toBeNull();
    expect(hides(LEVEL_GROUND, [wire, mast], eye, vec(0, 80, 5))).toBeNull();
    expect(hides(LEVEL_GROUND, [wood], vec(0, 0, 1.6), vec(0, -80, 30))?.by).toBe(wood);
  });
  it('tells the hidden stretches of a way', () => {
    const way = Array.from({ length: 41 }, (_, i) => vec(-100 + i * 5, 60, 10));
    const hidden = hiddenAlong(LEVEL_GROUND, [wood], vec(0, -60, 1.6), way);
    expect(hidden).toHaveLength(1);
    expect(hidden[0]?.from).toBeGreaterThan(0.2);
    expect(hidden[0]?.to).toBeLessThan(0.9);
  });
});

describe('way home', () => {
  it('finds the tallest thing in the corridor and passes over what is beside it', () => {
    const from = vec(0, 100, 30);
    expect(wayHomeOver(LEVEL_GROUND, [wood, mast], from, vec(0, -60, 0), 10, 120)).toMatchObject({
      by: wood,
      ceilingM: 120,
      unknown: false,
    });
    expect(wayHomeOver(LEVEL_GROUND, [mast], from, vec(0, -60, 0), 10, 120)).toMatchObject({
      by: null,
      tallestM: 0,
    });
    expect(wayHomeOver(LEVEL_GROUND, [mast], vec(32, 0, 30), vec(32, -80, 0), 10, 120).tallestM).toBe(25);
  });
  it('a wood raised raises what the way home asks for by as much', () => {
    fc.assert(
      fc.property(numberIn(0, 30), (more) => {
        const taller = areaSolid(
          'w',
          'Wood',
          (wood.ring ?? []).map((p) => ({ ...(p as Vec3), z: (p as Vec3).z + more })),
          true,
        );
        const [a, b] = [wood, taller].map(
          (s) => wayHomeOver(LEVEL_GROUND, [s], vec(0, 100, 30), vec(0, -60, 0), 10, 120).tallestM,
        );
        expect((b ?? 0) - (a ?? 0)).toBeCloseTo(more, 6);
      }),
    );
  });
  it('the ceiling counts from the lowest ground below', () => {
    const falling = groundOf(
      {
        columns: 21,
        rows: 2,
        cellM: 10,
        westM: 0,
        southM: -5,
        heights: Float32Array.from({ length: 42 }, (_, i) => 500 - (i % 21) * 4),
      },
      500,
    );
    expect(wayHomeOver(falling, [], vec(200, 0, 60), vec(0, 0, 0), 2, 120).ceilingM).toBeCloseTo(40, 3);
  });
});

it('a gust carries farther the longer it takes to hold against it', () =>
  expect([gustDrift(3, 7, 1.5), gustDrift(7, 3, 1.5)]).toEqual([6, 0]));
