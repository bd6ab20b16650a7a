import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { offset, vec } from '../geometry';
import { frameShape } from './aspect';
import { fieldOfView } from './view';
import { horizonInFrame, projectLine, projectPoint, type View } from './project';
import { numberIn } from '../testing';

const fov = fieldOfView(24, frameShape('16:9'));
const project = (view: View, x: number, y: number, z: number) =>
  projectPoint(view, fov.horizontalDeg, fov.verticalDeg, vec(x, y, z));
const view = fc.record({
  at: fc.record({
    x: numberIn(-200, 200),
    y: numberIn(-200, 200),
    z: numberIn(1, 120),
  }),
  headingDeg: numberIn(0, 360),
  tiltDeg: numberIn(-89, 60),
});
/** A point along a direction from the camera, by heading, tilt and distance. */
const along = (v: View, headingDeg: number, tiltDeg: number, m: number) => {
  const t = (tiltDeg * Math.PI) / 180;
  const flat = offset(v.at, headingDeg, m * Math.cos(t), v.at.z);
  return vec(flat.x, flat.y, v.at.z + m * Math.sin(t));
};

describe('what the camera sees', () => {
  it('a point on the axis is in the middle, at its distance', () => {
    fc.assert(
      fc.property(view, numberIn(1, 500), (v, m) => {
        const p = along(v, v.headingDeg, v.tiltDeg, m);
        const seen = project(v, p.x, p.y, p.z)!;
        expect(seen.x).toBeCloseTo(0, 6);
        expect(seen.y).toBeCloseTo(0, 6);
        expect(seen.depthM).toBeCloseTo(m, 4);
      }),
    );
  });

  it('half the field of view up lies on the upper edge, half of it aside on the side edge', () => {
    const level: View = { at: vec(10, 20, 30), headingDeg: 140, tiltDeg: 0 };
    const up = along(level, 140, fov.verticalDeg / 2, 50);
    const right = along(level, 140 + fov.horizontalDeg / 2, 0, 50);
    expect(project(level, up.x, up.y, up.z)?.y).toBeCloseTo(1, 6);
    expect(project(level, right.x, right.y, right.z)?.x).toBeCloseTo(1, 6);
  });

  it('what is behind is not seen', () => {
    fc.assert(
      fc.property(view, (v) => {
        const p = along(v, v.headingDeg + 180, -v.tiltDeg, 40);
        expect(project(v, p.x, p.y, p.z)).toBeNull();
      }),
    );
  });

  it('the horizon is where far ground ends', () => {
    fc.assert(
      fc.property(numberIn(-40, 20), numberIn(0, 359), (tiltDeg, headingDeg) => {
        const v: View = { at: vec(0, 0, 20), headingDeg, tiltDeg };
        const far = along(v, headingDeg, 0, 5e6);
        expect(project(v, far.x, far.y, 0)?.y).toBeCloseTo(horizonInFrame(tiltDeg, fov.verticalDeg), 3);
      }),
    );
  });

  it('a line that passes the camera is cut off in front of it, never turned over', () => {
    fc.assert(
      fc.property(view, numberIn(2, 80), numberIn(2, 80), (v, ahead, behind) => {
        const a = along(v, v.headingDeg, v.tiltDeg, ahead);
        const b = along(v, v.headingDeg + 180, -v.tiltDeg, behind);
        const seen = projectLine(
          v,
          fov.horizontalDeg,
          fov.verticalDeg,
          { ...a, x: a.x + 1 },
          { ...b, x: b.x + 1 },
        );
        if (seen) for (const end of seen) expect(end.depthM).toBeGreaterThan(0.05);
      }),
    );
    const v: View = { at: vec(0, 0, 10), headingDeg: 0, tiltDeg: 0 };
    expect(projectLine(v, 76, 47, vec(0, -5, 0), vec(3, -50, 0))).toBeNull();
  });
});
