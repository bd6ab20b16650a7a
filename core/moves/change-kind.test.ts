import { describe, expect, it } from 'vitest';
import { initialValues } from './parameters';
import { MOVES, moveOf } from './registry';
import { changeMoveKind } from './change-kind';
import { newRow } from '../model';

const move = (kind: string, values: Record<string, number> = {}, reversed = false) => ({
  ...newRow('shot', { id: 's' }).move,
  kind,
  values: { ...initialValues(moveOf(kind)!.parameters), ...values },
  reversed,
  locked: ['speedMs'],
});

describe('a move changed to another kind', () => {
  it('keeps every number that means the same, and starts the others from the new kind, for every pair', () => {
    for (const from of MOVES)
      for (const to of MOVES) {
        const next = changeMoveKind(move(from.kind), to.kind)!;
        expect(Object.keys(next.values).sort()).toEqual(to.parameters.map((p) => p.id).sort());
        for (const p of to.parameters) {
          expect(next.values[p.id]).toBeGreaterThanOrEqual(p.min);
          expect(next.values[p.id]).toBeLessThanOrEqual(p.max);
          const same = from.parameters.find((q) => q.id === p.id && q.label === p.label);
          if (same && same.initial >= p.min && same.initial <= p.max)
            expect(next.values[p.id]).toBe(same.initial);
        }
        expect(next.locked).toEqual([]);
      }
  });
  it('turns round only what can be turned, and knows no other kinds', () => {
    const fixed = MOVES.find((m) => !m.reversible)!;
    expect(changeMoveKind(move('push-in', {}, true), fixed.kind)!.reversed).toBe(false);
    expect(changeMoveKind(move('push-in', {}, true), 'pull-back')!.reversed).toBe(true);
    expect(changeMoveKind(move('push-in'), 'loop the loop')).toBeNull();
  });
});
