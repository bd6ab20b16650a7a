import { depthOf } from '@core/shot';
import type { Subject, SubjectKind, Feature } from '@core/model';
import { groundAt, spotsOf } from '@core/site';
import { groundOf, heightIn, LEVEL_GROUND, type HeightGrid } from '@core/terrain';
import fc from 'fast-check';
import { Box3, Texture, Vector3, type Object3D } from 'three';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { SUBJECT_WORDS } from '../format';
import { relief } from './relief';
import { gapFrame, solidOf, wall } from './solids';
import { standing } from './standing';
import { numberIn } from '../../core/testing';

const film = demoFilm();
const KINDS = Object.keys(SUBJECT_WORDS) as SubjectKind[];
const boxOf = (object: Object3D): Box3 => new Box3().setFromObject(object);
const sizes = fc.record({
  widthM: numberIn(0.4, 300),
  heightM: numberIn(0.4, 120),
});
const like = film.subjects[0]! as unknown as Subject;

describe('what a subject looks like', () => {
  it('keeps to its size, stands on the ground and reaches its height, of every kind', () => {
    fc.assert(
      fc.property(fc.constantFrom(...KINDS), sizes, (kind, size) => {
        const subject: Subject = { ...like, kind, ...size };
        const { min, max } = boxOf(solidOf(subject));
        const tolerance = 0.08 * Math.max(size.heightM, 1);
        expect(min.y, kind).toBeGreaterThanOrEqual(-1e-5 * size.heightM);
        expect(min.y, kind).toBeLessThan(0.2 * size.heightM);
        expect(max.y, kind).toBeLessThanOrEqual(size.heightM + tolerance);
        expect(max.y, kind).toBeGreaterThan(0.8 * size.heightM);
        for (const v of [...min.toArray(), ...max.toArray()]) expect(Number.isFinite(v)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  it('a broad one is as broad as it is said to be', () => {
    for (const kind of ['house', 'bridge', 'train', 'field', 'other', 'vehicle', 'boat'] as const) {
      const subject: Subject = { ...like, kind, widthM: 40, heightM: 6 };
      const size = boxOf(solidOf(subject)).getSize(new Vector3());
      expect(size.x / 40, kind).toBeGreaterThan(0.8);
      expect(size.x / 40, kind).toBeLessThan(1.3);
      expect(size.z, kind).toBeLessThan(depthOf(subject) * 1.3);
    }
  });
  it('a wall covers what it says; a gap is left open', () => {
    expect(
      boxOf(wall(12, 5))
        .getSize(new Vector3())
        .toArray()
        .map((v) => Math.round(v * 1e4) / 1e4),
    ).toEqual([12, 5, 0.6]);
    fc.assert(
      fc.property(numberIn(1, 40), numberIn(1, 20), numberIn(1, 40), (w, h, middle) => {
        // No part of the frame reaches into the gap.
        const gap = new Box3(
          new Vector3(-w / 2 + 1e-6, Math.max(0, middle - h / 2) + 1e-6, -5),
          new Vector3(w / 2 - 1e-6, middle + h / 2 - 1e-6, 5),
        );
        for (const part of gapFrame(w, h, middle).children)
          expect(boxOf(part).intersectsBox(gap)).toBe(false);
      }),
      { numRuns: 60 },
    );
  });
});

/** A hillside that rises to the north-east, 10 m a cell. */
const hill: HeightGrid = {
  columns: 12,
  rows: 9,
  cellM: 10,
  westM: -50,
  southM: -40,
  heights: Float32Array.from({ length: 108 }, (_, i) => 200 + (i % 12) * 1.5 + Math.floor(i / 12) * 0.8),
};

describe('what stands on the plan, in the picture', () => {
  const solid = (more: Partial<Feature>): Feature => ({ ...(film.features[0]! as Feature), ...more });
  it('rises from under the ground to its height above it, on a slope as on the level', () => {
    for (const ground of [LEVEL_GROUND, groundOf(hill, 200)]) {
      const wood = solid({
        kind: 'wood',
        shape: 'area',
        heightM: 17,
        points: [
          { xM: -20, yM: -20 },
          { xM: 10, yM: -20 },
          { xM: 10, yM: 15 },
        ],
      });
      const { min, max } = boxOf(standing([wood], ground));
      const heights = spotsOf(wood).map((s) => groundAt(ground, s.x, s.y));
      expect(max.y).toBeCloseTo(Math.max(...heights) + 17, 4);
      expect(min.y).toBeLessThan(Math.min(...heights));
      expect([min.x, max.x, -max.z, -min.z].map((v) => Math.round(v * 1000) / 1000)).toEqual([
        -20, 10, -20, 15,
      ]);
    }
  });
  it('a wire hangs at its height on posts; a zone is not there', () => {
    const wire = solid({
      kind: 'wire',
      shape: 'line',
      heightM: 9,
      points: [
        { xM: 0, yM: 0 },
        { xM: 30, yM: 20 },
      ],
    });
    const group = standing([wire], groundOf(hill, 200));
    expect(boxOf(group).max.y).toBeCloseTo(
      Math.max(...spotsOf(wire).map((s) => groundAt(groundOf(hill, 200), s.x, s.y))) + 9,
      4,
    );
    expect(standing([solid({ kind: 'no-fly', shape: 'area' })], LEVEL_GROUND).children).toEqual([]);
  });
});

describe('the ground in the picture', () => {
  it('lies at every corner as high as the raster says', () => {
    const ground = groundOf(hill, 203);
    const { mesh, lowestM } = relief(ground, new Texture())!;
    const at = mesh.geometry.getAttribute('position');
    let lowest = 0;
    for (let i = 0; i < at.count; i += 1) {
      const [x, y] = [Math.min(60, Math.max(-50, at.getX(i))), Math.min(40, Math.max(-40, -at.getZ(i)))];
      expect(at.getY(i)).toBeCloseTo(heightIn(hill, x, y) - ground.zeroM, 3);
      lowest = Math.min(lowest, at.getY(i));
    }
    expect(lowestM).toBeCloseTo(lowest, 6);
    expect(relief(LEVEL_GROUND, new Texture())).toBeNull();
  });
  it('a hole lies level with the origin', () => {
    const holed = { ...hill, heights: hill.heights.map((h, i) => (i === 50 ? NaN : h)) };
    const { mesh } = relief(groundOf(holed, 203), new Texture())!;
    const at = mesh.geometry.getAttribute('position');
    for (let i = 0; i < at.count; i += 1) expect(Number.isFinite(at.getY(i))).toBe(true);
  });
});
