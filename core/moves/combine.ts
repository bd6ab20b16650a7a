import type { Added } from '../model';
import {
  bearing,
  bearingTo,
  distance,
  flatLength,
  lengthOf,
  minus,
  offset,
  turnBetween,
  vec,
  type Vec3,
} from '../geometry';
import { alongCurve } from './curve';
import { lookAlong, lookAt, type Pose } from './pose';
import type { Extent, MoveShape, MoveSubject } from './types';

export const NOTHING_ADDED: Added = { riseM: 0, awayM: 0, aroundDeg: 0, yawDeg: 0, tiltDeg: 0 };

/** Less than this of every input, m or deg, is nothing. */
const LEAST = 0.01;

export const addsNothing = (a: Added): boolean =>
  [a.riseM, a.awayM, a.aroundDeg, a.yawDeg, a.tiltDeg].every((x) => Math.abs(x) < LEAST);

/** Speed of what is added to a move that itself stands, and rate of what is turned, where the move has none of its own. */
export const ADDED_SPEED_MS = 2;
export const ADDED_RATE_DEG_S = 6;

/** A camera this near to pointing at the subject is taken to keep it framed. */
const FRAMED_WITHIN_DEG = 1.5;

const moved = (at: Vec3, share: number, added: Added, aim: Vec3): Vec3 => {
  const out = flatLength(at.x - aim.x, at.y - aim.y);
  const from = out > 0.01 ? bearingTo(aim, at) : 0;
  const there = offset(aim, from + added.aroundDeg * share, Math.max(0, out + added.awayM * share), at.z);
  return vec(there.x, there.y, there.z + added.riseM * share);
};

const isFramed = (pose: Pose, aim: Vec3): boolean => {
  if (distance(pose.at, aim) < 0.5) return false;
  const wanted = lookAt(pose.at, aim);
  return (
    Math.abs(wanted.tiltDeg - pose.tiltDeg) < FRAMED_WITHIN_DEG &&
    (Math.abs(wanted.tiltDeg) > 85 ||
      Math.abs(turnBetween(wanted.headingDeg, pose.headingDeg)) < FRAMED_WITHIN_DEG)
  );
};

/** Speed along the combined path: the move's own, or one that keeps the seconds of a turn. */
const combinedExtent = (own: Extent, lengthM: number, added: Added): Extent => {
  if (own.by === 'time') return { ...own, lengthM };
  if (own.by === 'speeds') return { ...own, lengthM };
  if (own.by === 'legs') return own;
  if (lengthM < 0.1) {
    const turnDeg = Math.max(Math.abs(added.yawDeg), Math.abs(added.tiltDeg));
    return own.by === 'hold' && turnDeg >= LEAST ? { by: 'turn', turnDeg, rateDegS: ADDED_RATE_DEG_S } : own;
  }
  if (own.by === 'path') return { by: 'path', lengthM, speedMs: own.speedMs };
  if (own.by === 'turn') return { by: 'path', lengthM, speedMs: lengthM / (own.turnDeg / own.rateDegS) };
  return { by: 'path', lengthM, speedMs: ADDED_SPEED_MS };
};

/**
 * A move with inputs added on top: rise, go away, go round, turn, tilt, all at once and evenly along it. A subject the move
 * keeps framed stays framed.
 */
export const combined = (shape: MoveShape, added: Added, subject: MoveSubject): MoveShape => {
  if (addsNothing(added)) return shape;
  const keeps = isFramed(shape.poseAt(0), subject.aim) && isFramed(shape.poseAt(1), subject.aim);
  const poseOf = (share: number): Pose => {
    const own = shape.poseAt(share);
    const at = moved(own.at, share, added, subject.aim);
    const look = keeps
      ? lookAt(at, subject.aim)
      : lookAlong(at, own.headingDeg + added.aroundDeg * share, own.tiltDeg);
    return {
      at,
      headingDeg: bearing(look.headingDeg + added.yawDeg * share),
      tiltDeg: Math.max(-90, Math.min(90, look.tiltDeg + added.tiltDeg * share)),
    };
  };
  if (shape.extent.by === 'legs') return { ...shape, poseAt: poseOf };
  const curve = alongCurve((u) => poseOf(u).at, Math.ceil(Math.abs(added.aroundDeg) * 2));
  const extent = combinedExtent(shape.extent, curve.lengthM, added);
  const still = curve.lengthM < 0.1;
  return {
    ...shape,
    extent,
    intervals: Math.max(shape.intervals ?? 0, 2 * Math.ceil(Math.abs(added.aroundDeg) / 30)),
    poseAt: (share) => poseOf(still ? share : curve.parameterAt(share)),
  };
};

/** A path flown from its end to its start. */
export const reversed = (shape: MoveShape): MoveShape => {
  const { extent } = shape;
  return {
    ...shape,
    extent:
      extent.by === 'speeds'
        ? { ...extent, speedAt: (share) => extent.speedAt(1 - share) }
        : extent.by === 'legs'
          ? { by: 'legs', legs: [...extent.legs].reverse() }
          : extent,
    poseAt: (share) => shape.poseAt(1 - share),
    ...(shape.marks ? { marks: shape.marks.map((m) => ({ ...m, share: 1 - m.share })) } : {}),
  };
};

/** How far apart two places of a path are; used where a straight line is all that is wanted. */
export const spanOf = (shape: MoveShape): number => lengthOf(minus(shape.poseAt(0).at, shape.poseAt(1).at));
