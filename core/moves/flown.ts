import { rampProgress, rampTiming, type CutStyle, type RampTiming } from '../footage';
import { distance, found, none, radians, turnBetween, type Result, type Vec3 } from '../units';
import type { Pose } from './pose';
import type { MoveShape, StickInput } from './types';

/** How gently an aircraft is started and stopped. */
export interface Easing {
  /** Mean acceleration along a path, m/s². */
  readonly accelMs2: number;
  /** Mean angular acceleration of a turn, °/s². */
  readonly turnAccelDegS2: number;
}

/** A pose at a moment with the rates there. */
export interface PathSample {
  readonly timeS: number;
  readonly pose: Pose;
  /** Velocity over ground, m/s. */
  readonly velocity: Vec3;
  readonly yawDegS: number;
  readonly tiltDegS: number;
}

/** A move as it is flown: timed, sampled evenly in time, measured. */
export interface FlownMove {
  readonly totalS: number;
  readonly steadyS: number;
  readonly usableS: number;
  readonly lengthM: number;
  readonly peakSpeedMs: number;
  readonly peakYawDegS: number;
  readonly peakTiltDegS: number;
  readonly lowestM: number;
  readonly highestM: number;
  readonly inputs: readonly StickInput[];
  /** Most inputs in use at one moment. */
  readonly simultaneous: number;
  readonly start: Pose;
  readonly end: Pose;
  readonly samples: readonly PathSample[];
}

/** Intervals a path is sampled in; even, so that Simpson's rule applies. */
export const PATH_INTERVALS = 24;

/** Rates above these count as an input being used. */
const INPUT_FLOOR = { ms: 0.12, degS: 0.4 } as const;

const timingOf = (shape: MoveShape, easing: Easing, holdS: number): Result<RampTiming> => {
  const { extent } = shape;
  if (extent.by === 'path') return rampTiming(extent.lengthM, extent.speedMs, easing.accelMs2);
  if (extent.by === 'turn') return rampTiming(extent.turnDeg, extent.rateDegS, easing.turnAccelDegS2);
  if (!(holdS > 0)) return none('A hold needs some seconds.');
  return found({ totalS: holdS, steadyS: holdS, peakMs: 0, rampS: 0 });
};

const inputsOf = ({ pose, velocity, yawDegS, tiltDegS }: PathSample): StickInput[] => {
  const heading = radians(pose.headingDeg);
  const forward = velocity.x * Math.sin(heading) + velocity.y * Math.cos(heading);
  const sideways = velocity.x * Math.cos(heading) - velocity.y * Math.sin(heading);
  const used: StickInput[] = [];
  if (Math.abs(velocity.z) > INPUT_FLOOR.ms) used.push('throttle');
  if (Math.abs(forward) > INPUT_FLOOR.ms) used.push('forward');
  if (Math.abs(sideways) > INPUT_FLOOR.ms) used.push('sideways');
  if (Math.abs(yawDegS) > INPUT_FLOOR.degS) used.push('yaw');
  if (Math.abs(tiltDegS) > INPUT_FLOOR.degS) used.push('tilt');
  return used;
};

const poseAtTime = (shape: MoveShape, timing: RampTiming, timeS: number): Pose =>
  shape.poseAt(shape.extent.by === 'hold' ? 0 : rampProgress(timing, timeS));

/** Rates by a one-sided difference over a ten-thousandth of the move: wrong by half its acceleration times that, a millimetre a second. */
const sampleAt = (shape: MoveShape, timing: RampTiming, timeS: number): PathSample => {
  const step = (timeS < timing.totalS / 2 ? 1e-4 : -1e-4) * timing.totalS || 1;
  const pose = poseAtTime(shape, timing, timeS);
  const near = poseAtTime(shape, timing, timeS + step);
  return {
    timeS,
    pose,
    velocity: { x: (near.at.x - pose.at.x) / step, y: (near.at.y - pose.at.y) / step, z: (near.at.z - pose.at.z) / step },
    yawDegS: turnBetween(pose.headingDeg, near.headingDeg) / step,
    tiltDegS: (near.tiltDeg - pose.tiltDeg) / step,
  };
};

const pathLength = (samples: readonly PathSample[]): number =>
  samples.reduce((sum, s, i) => { const before = samples[i - 1]; return before ? sum + distance(before.pose.at, s.pose.at) : sum; }, 0);

/**
 * Times, samples and measures a laid-out move.
 * @param holdS seconds a hold lasts; other moves ignore it
 * @returns the flown move, or the reason it cannot be timed
 */
export const fly = (shape: MoveShape, easing: Easing, cut: CutStyle, holdS: number): Result<FlownMove> => {
  const timing = timingOf(shape, easing, holdS);
  if (!timing.ok) return timing;
  const { totalS, steadyS } = timing.value;
  const samples = Array.from({ length: PATH_INTERVALS + 1 }, (_, i) => sampleAt(shape, timing.value, (totalS * i) / PATH_INTERVALS));
  const peak = (of: (s: PathSample) => number): number => samples.reduce((max, s) => Math.max(max, of(s)), 0);
  const heights = samples.map((s) => s.pose.at.z);
  const used = samples.map(inputsOf);
  return found({
    totalS, steadyS,
    usableS: shape.extent.by === 'hold' || cut === 'whole' ? totalS : steadyS,
    lengthM: shape.extent.by === 'path' ? shape.extent.lengthM : pathLength(samples),
    peakSpeedMs: shape.extent.by === 'path' ? timing.value.peakMs : 0,
    peakYawDegS: peak((s) => Math.abs(s.yawDegS)),
    peakTiltDegS: peak((s) => Math.abs(s.tiltDegS)),
    lowestM: Math.min(...heights),
    highestM: Math.max(...heights),
    inputs: [...new Set(used.flat())],
    simultaneous: used.reduce((max, list) => Math.max(max, list.length), 0),
    start: shape.poseAt(0),
    end: shape.poseAt(1),
    samples,
  });
};
