import { bearing, bearingTo, flatLength, offset, type Vec3 } from '../geometry';
import type { CameraMove, MoveSubject } from './types';
import type { MoveValues } from '../model';

/** A place on the map by which a move's distance and side can be dragged. */
export interface DragHandle {
  readonly part: 'near' | 'end';
  readonly at: Vec3;
}

/** Number that holds the distance a move is flown at; where there is one of its own, startM and endM are heights. */
const nearId = ({ parameters }: CameraMove): string | null =>
  ['radiusM', 'distanceM', 'startM'].find((id) => parameters.some((p) => p.id === id)) ?? null;

/** Side of the subject its far end lies on: a gap is left on the other side. */
const endTurn = ({ kind }: CameraMove): number => (kind === 'fly-through' ? 180 : 0);

const limited = (move: CameraMove, id: string, value: number): number => {
  const p = move.parameters.find((q) => q.id === id);
  return p ? Math.min(p.max, Math.max(p.min, Math.round(value * 10) / 10)) : value;
};

/** Grips of a move about its subject; none where bearing and distance are not its own numbers. */
export const dragHandlesOf = (move: CameraMove, values: MoveValues, { aim }: MoveSubject): DragHandle[] => {
  const near = nearId(move);
  const has = (id: string): boolean => move.parameters.some((p) => p.id === id);
  if (!near || !has('fromBearingDeg')) return [];
  const get = (id: string): number => values[id] ?? move.parameters.find((p) => p.id === id)?.initial ?? 0;
  const from = get('fromBearingDeg');
  return [
    { part: 'near', at: offset(aim, from, get(near), aim.z) },
    ...(near === 'startM' && has('endM')
      ? [{ part: 'end' as const, at: offset(aim, from + endTurn(move), get('endM'), aim.z) }]
      : []),
  ];
};

/** Numbers of a move with a handle dragged to a place on the map: the near one sets side and distance, the far one its distance. */
export const withDragHandle = (
  move: CameraMove,
  values: MoveValues,
  { aim }: MoveSubject,
  part: DragHandle['part'],
  to: { readonly x: number; readonly y: number },
): MoveValues => {
  const near = nearId(move);
  if (!near) return values;
  const distance = flatLength(to.x - aim.x, to.y - aim.y);
  if (part === 'end') return { ...values, endM: limited(move, 'endM', distance) };
  const side = Math.round(bearingTo(aim, { x: to.x, y: to.y, z: aim.z }));
  return { ...values, [near]: limited(move, near, distance), fromBearingDeg: bearing(side) };
};
