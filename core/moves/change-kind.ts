import type { Shot } from '../model';
import { initialValues } from './parameters';
import { moveOf } from './registry';
import type { MoveParameter } from './types';

const labelOf = (list: readonly MoveParameter[], id: string): string | undefined =>
  list.find((p) => p.id === id)?.label;

/**
 * A move changed to another kind. Every number that means the same in both stays: the same name under the same id, within the
 * limits of the new kind. Null for a kind there is none of.
 */
export const changeMoveKind = (move: Shot['move'], kind: string): Shot['move'] | null => {
  const to = moveOf(kind);
  if (!to) return null;
  const from = moveOf(move.kind)?.parameters ?? [];
  const kept = Object.entries(move.values).filter(([id, v]) =>
    to.parameters.some((p) => p.id === id && v >= p.min && v <= p.max && p.label === labelOf(from, id)),
  );
  return {
    ...move,
    kind,
    values: { ...initialValues(to.parameters), ...Object.fromEntries(kept) },
    locked: [],
    reversed: move.reversed && to.reversible,
  };
};
