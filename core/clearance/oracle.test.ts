import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groundOf, type Ground, type HeightGrid } from '../terrain';
import { between, vec, type Vec3, toSegment } from '../geometry';
import { areaSolid, lineSolid, topAt, type Solid } from './solid';
import { hides } from './hidden';
import { wayHomeOver } from './home';
import { numberIn, Reached } from '../testing';

/** Hills by a few waves, so that every run has ridges and hollows. */
const hilly = (seed: number, amp: number): Ground => {
  const height = (x: number, y: number): number =>
    300 + amp * Math.sin(x / 31 + seed) * Math.cos(y / 43 - seed) + 0.3 * amp * Math.sin((x - y) / 19);
  const grid: HeightGrid = {
    columns: 81,
    rows: 81,
    cellM: 5,
    westM: -200,
    southM: -200,
    heights: Float32Array.from({ length: 81 * 81 }, (_, i) =>
      height(-200 + (i % 81) * 5, -200 + Math.floor(i / 81) * 5),
    ),
  };
  return groundOf(grid, 300);
};
const spot = fc.tuple(numberIn(-150, 150), numberIn(-150, 150));
const ring = fc
  .tuple(spot, numberIn(8, 40), numberIn(4, 30), fc.integer({ min: 3, max: 8 }))
  .map(([[x, y], r, h, n]) =>
    areaSolid(
      'a',
      'A',
      Array.from({ length: n }, (_, k) =>
        vec(x + r * Math.cos((k / n) * 2 * Math.PI), y + r * Math.sin((k / n) * 2 * Math.PI), h),
      ),
      true,
    ),
  );
const thread = fc
  .tuple(spot, spot, numberIn(4, 30))
  .map(([[ax, ay], [bx, by], h]) => lineSolid('w', 'W', [vec(ax, ay, h), vec(bx, by, h + 3)], 0.5, false));

describe('the tallest thing on a way home', () => {
  /** Straight and slow: the whole corridor in steps of a metre. */
  const slowly = (
    ground: Ground,
    solids: readonly Solid[],
    from: Vec3,
    home: Vec3,
    halfM: number,
  ): number => {
    let tallest = -Infinity;
    const [west, east] = [Math.min(from.x, home.x) - halfM, Math.max(from.x, home.x) + halfM];
    const [south, north] = [Math.min(from.y, home.y) - halfM, Math.max(from.y, home.y) + halfM];
    for (let x = west; x <= east; x += 1)
      for (let y = south; y <= north; y += 1) {
        if (toSegment(from, home, x, y) > halfM) continue;
        const z = ground.at(x, y);
        if (z > tallest) tallest = z;
        for (const s of solids) tallest = Math.max(tallest, topAt(s, x, y));
      }
    return tallest;
  };
  it('is never below what a search of the whole corridor finds, and not far above', () => {
    fc.assert(
      fc.property(
        spot,
        fc.integer({ min: 1, max: 9 }),
        numberIn(0, 14),
        fc.array(ring, { maxLength: 3 }),
        ([x, y], seed, amp, solids) => {
          const ground = hilly(seed, amp);
          const [from, home] = [vec(x, y, 60), vec(0, -60, 0)];
          const told = wayHomeOver(ground, solids, from, home, 8, 120).tallestM;
          const slow = slowly(ground, solids, from, home, 8);
          expect(told).toBeGreaterThan(slow - 0.3);
          // One cell beside the corridor counts, too.
          const wider = slowly(ground, solids, from, home, 12);
          expect(told).toBeLessThan(wider + 0.5);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });
  it('names a wire that crosses it, wherever it crosses', () => {
    fc.assert(
      fc.property(numberIn(0.1, 0.9), numberIn(0, Math.PI), (u, turn) => {
        const [from, home] = [vec(90, 120, 40), vec(-30, -50, 0)];
        const at = between(from, home, u);
        const wire = lineSolid(
          'w',
          'Wire',
          [
            vec(at.x - 60 * Math.cos(turn), at.y - 60 * Math.sin(turn), 21),
            vec(at.x + 60 * Math.cos(turn), at.y + 60 * Math.sin(turn), 21),
          ],
          0.5,
          false,
        );
        expect(wayHomeOver(hilly(1, 0), [wire], from, home, 8, 120)).toMatchObject({
          by: wire,
          tallestM: 21,
        });
      }),
    );
  });
});

describe('a line of sight', () => {
  /** Straight and slow: the line in steps of a fifth of a metre. @returns how deep it dips into something, m */
  const depth = (ground: Ground, solids: readonly Solid[], eye: Vec3, target: Vec3): number => {
    const steps = Math.max(1, Math.ceil(Math.hypot(target.x - eye.x, target.y - eye.y) / 0.2));
    let deepest = -Infinity;
    for (let i = 0; i <= steps; i += 1) {
      const p = between(eye, target, i / steps);
      if (i * 0.2 > 2.5 && i < steps) deepest = Math.max(deepest, ground.at(p.x, p.y) - p.z);
      for (const s of solids) if (s.opaque) deepest = Math.max(deepest, topAt(s, p.x, p.y) - p.z);
    }
    return deepest;
  };
  it('is hidden where the line dips in deep, free where it passes clear over; only grazing is left to chance', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        spot,
        spot,
        numberIn(3, 30),
        fc.integer({ min: 1, max: 9 }),
        numberIn(0, 16),
        fc.array(fc.oneof(ring, thread), { minLength: 2, maxLength: 6 }),
        ([ex, ey], [tx, ty], up, seed, amp, solids) => {
          const ground = hilly(seed, amp);
          const eye = vec(ex, ey, ground.at(ex, ey) + 1.6);
          const target = vec(tx, ty, ground.at(tx, ty) + up);
          const dip = depth(ground, solids, eye, target);
          const blocked = hides(ground, solids, eye, target);
          if (dip > 0.6) expect(blocked).not.toBeNull();
          if (dip < -0.6) expect(blocked).toBeNull();
          if (!blocked) return;
          // Where it is hidden lies under or over the line, at or in what hides it.
          const { at, by } = blocked;
          expect(toSegment(eye, target, at.x, at.y)).toBeLessThan(1e-6);
          reached.when(by ? 'by a thing' : 'by the ground', true);
          if (!by) expect(ground.at(at.x, at.y)).toBeGreaterThanOrEqual(at.z - 0.6);
        },
      ),
      { numRuns: 200 },
    );
    for (const what of ['by a thing', 'by the ground']) reached.atLeast(what, 14);
  });
  it('is the same looked at from the other end, as far as nobody stands inside of something', () => {
    fc.assert(
      fc.property(
        spot,
        spot,
        numberIn(20, 60),
        fc.array(ring, { maxLength: 3 }),
        ([ax, ay], [bx, by], z, solids) => {
          const level = hilly(3, 0);
          const [a, b] = [vec(ax, ay, z), vec(bx, by, z / 2 + 5)];
          expect(hides(level, solids, a, b) === null).toBe(hides(level, solids, b, a) === null);
        },
      ),
      { numRuns: 100 },
    );
  });
});
