import type { Shot } from '../model';
import { initialValues } from './parameters';
import { moveOf } from './registry';
import type { CameraMove, MoveContext, MoveParameter, MoveSubject } from './types';
import { PLAIN_CONTEXT } from './types';

/** Numbers that mean the same under another name: how far away, and how high, a move begins. */
const ALIKE: readonly (readonly string[])[] = [
  ['distanceM', 'radiusM'],
  ['heightM', 'startHeightM'],
];

const labelOf = (list: readonly MoveParameter[], id: string): string | undefined =>
  list.find((p) => p.id === id)?.label;

/** What a parameter of the new kind takes from the old numbers; undefined where nothing means the same. */
const takenOver = (
  p: MoveParameter,
  values: Shot['move']['values'],
  from: readonly MoveParameter[],
): number | undefined => {
  const own = p.label === labelOf(from, p.id) ? values[p.id] : undefined;
  const alike = ALIKE.find((ids) => ids.includes(p.id))
    ?.filter((id) => id !== p.id)
    .map((id) => values[id])
    .find((v) => v !== undefined);
  const value = own ?? (values[p.id] === undefined ? alike : undefined);
  return value !== undefined && value >= p.min && value <= p.max ? value : undefined;
};

/** A route to begin with: from over the launch point half way to the subject. */
const straightTo = ({ aim, heightM }: MoveSubject): Shot['move']['points'] =>
  [0.1, 0.5].map((share) => ({
    xM: aim.x * share,
    yM: aim.y * share,
    zM: Math.max(10, aim.z + heightM),
    speedMs: 3,
  }));

/** Values that describe a path: as many of the old numbers as the new kind can be flown with. */
const flyable = (
  to: CameraMove,
  kept: Readonly<Record<string, number>>,
  subject: MoveSubject,
  context: MoveContext,
): Readonly<Record<string, number>> => {
  const initial = initialValues(to.parameters);
  const flies = (values: Readonly<Record<string, number>>): boolean => to.shape(values, subject, context).ok;
  const without = (dropped: readonly string[]) => ({
    ...initial,
    ...Object.fromEntries(Object.entries(kept).filter(([id]) => !dropped.includes(id))),
  });
  const ids = Object.keys(kept);
  const tries = [[], ...ids.map((id) => [id]), ...ids.flatMap((a, i) => ids.slice(i + 1).map((b) => [a, b]))];
  const dropped = tries.find((gone) => flies(without(gone)));
  return dropped ? without(dropped) : initial;
};

/**
 * A move changed to another kind. Every number that means the same in both stays, within the limits of the new kind; where
 * they describe no path together, as few as must be go back to the start of the new kind. Null for a kind there is none of.
 * @param subject what is aimed at, for telling whether the numbers describe a path
 */
export const changeMoveKind = (
  move: Shot['move'],
  kind: string,
  subject: MoveSubject,
  context: MoveContext = PLAIN_CONTEXT,
): Shot['move'] | null => {
  const to = moveOf(kind);
  if (!to) return null;
  const from = moveOf(move.kind)?.parameters ?? [];
  const kept = Object.fromEntries(
    to.parameters.flatMap((p) => {
      const value = takenOver(p, move.values, from);
      return value === undefined ? [] : [[p.id, value] as const];
    }),
  );
  const points = to.byPoints && move.points.length < 2 ? straightTo(subject) : move.points;
  return {
    ...move,
    kind,
    points,
    values: flyable(to, kept, subject, { ...context, points }),
    locked: [],
    reversed: move.reversed && to.reversible,
  };
};
