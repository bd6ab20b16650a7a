import { bearingTo, distance, vec, type Vec3 } from '../geometry';
import { measured, message, yesNo, type Message } from '../messages';
import { takesOf, type ShotFacts } from '../shot';

/** Slower than this a move is a hover, m/s. */
const STILL_MS = 0.1;

const level = (v: Vec3): Vec3 => vec(v.x, v.y, 0);

/** Where a point of the path is from who flies it: distance over the ground, bearing, height above launch. */
const seenFrom = (launch: Vec3, point: Vec3) => ({
  distance: measured(distance(level(launch), level(point)), 'metres', 0),
  bearing: measured(bearingTo(launch, point), 'degrees', 0),
  height: measured(point.z - launch.z, 'metres', 0),
});

/**
 * What to do for a shot, in at most five lines: where to begin, what the camera looks at, how it is flown, where it ends, how
 * often.
 * @param launch launch point of its flight, m in the frame of the location
 */
export const flyingSteps = (facts: ShotFacts, launch: Vec3): Message[] => {
  const { trajectory, shot, film } = facts;
  if (!trajectory) return [];
  const { start, end } = trajectory;
  const takes = takesOf(shot);
  const seconds = measured(trajectory.totalS, 'seconds', 0);
  const to = seenFrom(launch, end.at);
  return [
    message('field.start', seenFrom(launch, start.at)),
    message('field.camera', {
      heading: measured(start.headingDeg, 'degrees', 0),
      tilt: measured(Math.abs(start.tiltDeg), 'degrees', 0),
      up: yesNo(start.tiltDeg > 0),
      level: yesNo(Math.round(Math.abs(start.tiltDeg)) === 0),
    }),
    trajectory.peakSpeedMs < STILL_MS
      ? message('field.hold', { seconds, sticks: shot.handling })
      : message('field.fly', {
          seconds,
          speed: measured(trajectory.peakSpeedMs, 'speed', 1),
          sticks: shot.handling,
        }),
    message('field.end', {
      distance: to.distance,
      bearing: to.bearing,
      height: to.height,
      postRoll: measured(film.preferences.postRollS, 'seconds', 0),
    }),
    message('field.takes', { takes, both: yesNo(shot.takeStyle === 'there-and-back') }),
  ];
};
