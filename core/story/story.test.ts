import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { initialValues, moveOf, MOVES } from '../moves';
import { vec } from '../geometry';
import { heightClass, JUDGED_FROM, readVariety, type VarietyShot } from './variety';
import { simplerMove } from './simpler';

const shot = fc.record<VarietyShot>({
  lens: fc.constantFrom('wide', 'normal', 'long'),
  distance: fc.constantFrom('near', 'medium', 'far'),
  height: fc.constantFrom('low', 'middle', 'high'),
  direction: fc.constantFrom('still', 'toward', 'away', 'across', 'around', 'up', 'down', 'with'),
});
const subject = { aim: vec(0, 80, 5), heightM: 10, widthM: 10, headingDeg: 0, speedMs: 3 };

describe('variety', () => {
  it('counts every shot once in each aspect', () => {
    fc.assert(
      fc.property(fc.array(shot, { maxLength: 30 }), (shots) => {
        const reading = readVariety(shots);
        for (const aspect of [reading.distance, reading.height, reading.direction])
          expect(Object.values(aspect).reduce((a, b) => a + b, 0)).toBe(shots.length);
      }),
    );
  });

  it('names only what is missing, and adding it takes the remark away', () => {
    fc.assert(
      fc.property(fc.array(shot, { minLength: JUDGED_FROM, maxLength: 12 }), (shots) => {
        for (const lack of readVariety(shots).lacks) {
          expect(shots.some((s) => s[lack.aspect] === lack.missing)).toBe(false);
          const more = [...shots, { ...shots[0]!, [lack.aspect]: lack.missing } as VarietyShot];
          expect(readVariety(more).lacks.map((l) => l.say)).not.toContain(lack.say);
        }
      }),
    );
  });

  it('does not judge a list of two', () => expect(readVariety([]).lacks).toEqual([]));

  it('proposes moves that exist, can be flown and bring what they promise', () => {
    const all = readVariety(
      Array.from(
        { length: 3 },
        () => ({ distance: 'medium', height: 'middle', direction: 'with' }) as VarietyShot,
      ),
    ).lacks;
    expect(all.length).toBeGreaterThan(8);
    for (const lack of all) {
      const move = moveOf(lack.move.kind)!;
      const shape = move.shape({ ...initialValues(move.parameters), ...lack.move.values }, subject);
      expect(shape.ok).toBe(true);
      if (lack.aspect === 'direction') expect(move.direction).toBe(lack.missing);
      if (lack.aspect === 'height' && shape.ok)
        expect(heightClass(shape.value.poseAt(lack.missing === 'high' ? 1 : 0.5).at.z)).toBe(lack.missing);
    }
  });
});

describe('the simpler move', () => {
  it('exists, and leads to one that has none in a few steps', () => {
    for (const move of MOVES) {
      let kind: string | undefined = move.kind;
      for (let i = 0; i < 5 && kind !== undefined; i += 1) {
        expect(moveOf(kind)).toBeDefined();
        kind = simplerMove(kind);
      }
      expect(kind).toBeUndefined();
    }
  });
});
