import { describe, expect, it } from 'vitest';
import { initialValues } from './parameters';
import { MOVES, moveOf } from './registry';
import { changeMoveKind } from './change-kind';
import { newRow } from '../model';
import { PLAIN_CONTEXT } from './types';

const move = (kind: string, values: Record<string, number> = {}, reversed = false) => ({
  ...newRow('shot', { id: 's' }).move,
  kind,
  values: { ...initialValues(moveOf(kind)!.parameters), ...values },
  reversed,
  locked: ['speedMs'],
});

const subject = { aim: { x: 0, y: 80, z: 5 }, heightM: 10, widthM: 12, headingDeg: 90, speedMs: 2 };
const context = {
  ...PLAIN_CONTEXT,
  craft: {
    name: 'A',
    spanM: 0.4,
    heightM: 0.15,
    massKg: 0.7,
    dragAreaM2: 0.02,
    fixedTiltDeg: 15,
    densityKgM3: 1.2,
    maxYawDegS: 60,
  },
};
const change = (from: Parameters<typeof changeMoveKind>[0], to: string) =>
  changeMoveKind(from, to, subject, context);

describe('a move changed to another kind', () => {
  it('is flyable at once, for every pair of kinds, with numbers within the limits', () => {
    let kept = 0;
    for (const from of MOVES)
      for (const to of MOVES) {
        const next = change(move(from.kind), to.kind)!;
        expect(Object.keys(next.values).sort()).toEqual(to.parameters.map((p) => p.id).sort());
        for (const p of to.parameters) {
          expect(next.values[p.id]).toBeGreaterThanOrEqual(p.min);
          expect(next.values[p.id]).toBeLessThanOrEqual(p.max);
          if (next.values[p.id] !== p.initial) kept += 1;
        }
        const shape = to.shape(next.values, subject, { ...context, points: next.points });
        expect(shape.ok, `${from.kind} to ${to.kind}: ${shape.ok ? '' : shape.reason}`).toBe(true);
        expect(next.locked).toEqual([]);
      }
    expect(kept).toBeGreaterThan(50);
  });
  it('takes over distance, height and side, also where the new kind calls the distance a radius', () => {
    const from = move('push-in', { startM: 90, heightM: 22, fromBearingDeg: 200 });
    expect(change(from, 'orbit')!.values).toMatchObject({ heightM: 22 });
    const orbit = move('orbit', { radiusM: 47, heightM: 18 });
    const hold = change(orbit, 'hold')!;
    expect(hold.values).toMatchObject({ distanceM: 47, heightM: 18 });
    expect(change(hold, 'orbit')!.values).toMatchObject({ radiusM: 47, heightM: 18 });
  });
  it('drops only what makes the path impossible: a rise that would end lower than it starts', () => {
    const high = move('descend', { startM: 100, endM: 60 });
    const rise = change(high, 'rise')!;
    expect(rise.values['endM']!).toBeGreaterThan(rise.values['startM']!);
  });
  it('turns round only what can be turned, and knows no other kinds', () => {
    const fixed = MOVES.find((m) => !m.reversible)!;
    expect(change(move('push-in', {}, true), fixed.kind)!.reversed).toBe(false);
    expect(change(move('push-in', {}, true), 'pull-back')!.reversed).toBe(true);
    expect(change(move('push-in'), 'loop the loop')).toBeNull();
  });
});
