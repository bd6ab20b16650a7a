import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { projectPoint } from '../lens';
import { groundOf, type HeightGrid } from '../terrain';
import { vec } from '../geometry';
import { frameOnGround } from './ground-frame';
import { numberIn } from '../testing';

const fov = { horizontalDeg: 62, verticalDeg: 38, diagonalDeg: 70 };

describe('what of the ground a camera frames', () => {
  it('seen back through the lens lies in the corners of the picture', () => {
    fc.assert(
      fc.property(numberIn(0, 359), numberIn(-88, -30), numberIn(5, 100), (headingDeg, tiltDeg, z) => {
        const pose = { at: vec(12, -7, z), headingDeg, tiltDeg };
        const corners = frameOnGround(pose, fov).map((p) =>
          projectPoint(pose, fov.horizontalDeg, fov.verticalDeg, p),
        );
        for (const [i, c] of corners.entries()) {
          expect(c).not.toBeNull();
          expect(c?.x).toBeCloseTo([-1, 1, 1, -1][i] ?? 0, 4);
          expect(c?.y).toBeCloseTo([-1, -1, 1, 1][i] ?? 0, 4);
        }
      }),
    );
  });
  it('ends at a hillside that stands in the picture, and nowhere beyond the ground known', () => {
    const wall: HeightGrid = {
      columns: 101,
      rows: 101,
      cellM: 5,
      westM: -250,
      southM: -250,
      heights: Float32Array.from({ length: 101 * 101 }, (_, i) =>
        -250 + Math.floor(i / 101) * 5 > 100 ? 160 : 0,
      ),
    };
    const frame = frameOnGround({ at: vec(0, 0, 20), headingDeg: 0, tiltDeg: -5 }, fov, groundOf(wall, 0));
    for (const p of frame) expect(p.y).toBeLessThan(112);
    expect(Math.max(...frame.map((p) => p.z))).toBeGreaterThan(0);
  });
  it('grows with the height it is taken from', () => {
    const width = (z: number): number => {
      const xs = frameOnGround({ at: vec(0, 0, z), headingDeg: 0, tiltDeg: -90 }, fov).map((p) => p.x);
      return Math.max(...xs) - Math.min(...xs);
    };
    fc.assert(
      fc.property(numberIn(2, 100), numberIn(0.1, 50), (z, more) => {
        expect(width(z + more) / width(z)).toBeCloseTo((z + more) / z, 6);
      }),
    );
  });
});
