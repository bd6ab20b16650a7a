import type { Ability } from '../model';
import { measured, message, type Message } from '../messages';
import { distance, offset, radians, type Vec3 } from '../geometry';
import type { CameraMove, Trajectory, MoveSubject } from '../moves';
import { trackBehind, trackBeside, trackInPlace } from './follow';
import { slowSticks, terrainHold } from './height';
import { pointRoute, straightLine } from './line';
import { orbitPoint } from './orbit';
import type { Aid, AidAnswer, AidTask } from './types';

export { type Aid, type AidAnswer } from './types';

/** Every aid there is, in the order they are offered. */
export const AIDS: readonly Aid[] = [
  orbitPoint,
  trackBehind,
  trackBeside,
  trackInPlace,
  straightLine,
  pointRoute,
  terrainHold,
  slowSticks,
];

const limited = (task: AidTask, { maxSpeedMs, minDistanceM, maxDistanceM }: Ability): Message | null => {
  if (task.trajectory.peakSpeedMs > maxSpeedMs + 1e-6)
    return message('aid.too-fast', {
      most: measured(maxSpeedMs, 'speed', 1),
      wanted: measured(task.trajectory.peakSpeedMs, 'speed', 1),
    });
  if (task.nearM < minDistanceM - 1e-6)
    return message('aid.too-near', {
      least: measured(minDistanceM, 'metres', 0),
      near: measured(task.nearM, 'metres', 0),
    });
  if (task.farM > maxDistanceM + 1e-6)
    return message('aid.too-far', {
      most: measured(maxDistanceM, 'metres', 0),
      far: measured(task.farM, 'metres', 0),
    });
  return null;
};

/** Distances over the ground from the subject; one that moves along with the move is where it is by then. */
const distancesOf = (
  move: CameraMove,
  { samples, start, end }: Trajectory,
  subject: MoveSubject,
): number[] => {
  const heading = radians(subject.headingDeg);
  const along = (p: Vec3): number => p.x * Math.sin(heading) + p.y * Math.cos(heading);
  const run = move.direction === 'with' ? along(end.at) - along(start.at) : 0;
  const middle = (along(start.at) + along(end.at)) / 2;
  return samples.map(({ pose: { at } }) =>
    distance({ ...at, z: 0 }, offset(subject.aim, subject.headingDeg, run === 0 ? 0 : along(at) - middle, 0)),
  );
};

/**
 * Which of an aircraft's abilities could fly a move, and why the others could not. By hand is always possible; an aid is a
 * suggestion with its limits.
 */
export const aidsFor = (
  abilities: readonly Ability[],
  move: CameraMove,
  trajectory: Trajectory,
  subject: MoveSubject,
): AidAnswer[] => {
  const over = distancesOf(move, trajectory, subject);
  const task: AidTask = { move, trajectory, subject, nearM: Math.min(...over), farM: Math.max(...over) };
  return AIDS.flatMap((aid) => {
    const ability = abilities.find((a) => a.kind === aid.kind);
    if (!ability) return [];
    const unable = aid.unable(task, ability);
    const limit = unable === null ? limited(task, ability) : null;
    return [{ aid, could: unable === null && limit === null, say: unable ?? aid.caution, limit }];
  });
};
