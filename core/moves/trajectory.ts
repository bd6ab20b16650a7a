import { type Message } from '../messages';
import type { CutStyle } from '../model';
import { distance, lengthOf, radians, turnBetween, type Vec3 } from '../geometry';
import { found, type Result } from '../units';
import type { Pose } from './pose';
import { timingOf, type Timing } from './timing';
import type { Easing, Frames, MoveMark, MoveShape, StickInput } from './types';

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
export interface Trajectory {
  readonly totalS: number;
  readonly steadyS: number;
  /** Second from which the cut can use it. */
  readonly steadyFromS: number;
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
  /** Moments to know, with the second at which they come. */
  readonly marks: readonly (MoveMark & { readonly timeS: number })[];
  readonly start: Pose;
  readonly end: Pose;
  readonly samples: readonly PathSample[];
  /** Single frames taken instead of video; null for video. */
  readonly frames: Frames | null;
  readonly gap: MoveShape['gap'] | null;
}

/** Intervals a path is sampled in where its shape asks for no more; even, so that Simpson's rule applies. */
export const PATH_INTERVALS = 16;

/** Rates above these count as an input being used. */
const INPUT_FLOOR = { ms: 0.12, degS: 0.4 } as const;

const INPUTS: readonly StickInput[] = ['throttle', 'forward', 'sideways', 'yaw', 'tilt', 'zoom'];

/** Inputs in use at a sample, one bit each in the order of `INPUTS`. */
const inputBits = ({ pose, velocity, yawDegS, tiltDegS }: PathSample): number => {
  const heading = radians(pose.headingDeg);
  const forward = velocity.x * Math.sin(heading) + velocity.y * Math.cos(heading);
  const sideways = velocity.x * Math.cos(heading) - velocity.y * Math.sin(heading);
  const moves = (rate: number, bit: number): number => (Math.abs(rate) > INPUT_FLOOR.ms ? bit : 0);
  const turns = (rate: number, bit: number): number => (Math.abs(rate) > INPUT_FLOOR.degS ? bit : 0);
  return (
    moves(velocity.z, 1) | moves(forward, 2) | moves(sideways, 4) | turns(yawDegS, 8) | turns(tiltDegS, 16)
  );
};

const bitCount = (bits: number): number => INPUTS.reduce((n, _, i) => n + ((bits >> i) & 1), 0);

/** What a path comes to over its samples. */
const measure = (samples: readonly PathSample[]) => {
  let [used, simultaneous, peakYawDegS, peakTiltDegS, lowestM, highestM] = [0, 0, 0, 0, Infinity, -Infinity];
  for (const sample of samples) {
    const bits = inputBits(sample);
    used |= bits;
    simultaneous = Math.max(simultaneous, bitCount(bits));
    peakYawDegS = Math.max(peakYawDegS, Math.abs(sample.yawDegS));
    peakTiltDegS = Math.max(peakTiltDegS, Math.abs(sample.tiltDegS));
    lowestM = Math.min(lowestM, sample.pose.at.z);
    highestM = Math.max(highestM, sample.pose.at.z);
  }
  return {
    inputs: INPUTS.filter((_, i) => (used >> i) & 1),
    simultaneous,
    peakYawDegS,
    peakTiltDegS,
    lowestM,
    highestM,
  };
};

const poseAtTime = (shape: MoveShape, timing: Timing, timeS: number): Pose =>
  shape.poseAt(shape.extent.by === 'hold' ? 0 : timing.shareAt(timeS));

/** Rates by a one-sided difference over a ten-thousandth of the move: wrong by half its acceleration times that, a millimetre a second. */
const sampleAt = (shape: MoveShape, timing: Timing, timeS: number): PathSample => {
  const step = (timeS < timing.totalS / 2 ? 1e-4 : -1e-4) * timing.totalS || 1;
  const pose = poseAtTime(shape, timing, timeS);
  const near = poseAtTime(shape, timing, timeS + step);
  return {
    timeS,
    pose,
    velocity: {
      x: (near.at.x - pose.at.x) / step,
      y: (near.at.y - pose.at.y) / step,
      z: (near.at.z - pose.at.z) / step,
    },
    yawDegS: turnBetween(pose.headingDeg, near.headingDeg) / step,
    tiltDegS: (near.tiltDeg - pose.tiltDeg) / step,
  };
};

const samplesOf = (shape: MoveShape, timing: Timing, intervals: number): PathSample[] => {
  const samples: PathSample[] = [];
  for (let i = 0; i <= intervals; i += 1)
    samples.push(sampleAt(shape, timing, (timing.totalS * i) / intervals));
  return samples;
};

const pathLength = (samples: readonly PathSample[]): number =>
  samples.reduce((sum, s, i) => {
    const before = samples[i - 1];
    return before ? sum + distance(before.pose.at, s.pose.at) : sum;
  }, 0);

/**
 * Times, samples and measures a laid-out move.
 * @param holdS seconds a hold lasts; other moves ignore it
 * @param finest intervals wanted at least, where the path is to be looked at closely
 * @returns the trajectory, or the reason it cannot be timed
 */
export const fly = (
  shape: MoveShape,
  easing: Easing,
  cut: CutStyle,
  holdS: number,
  finest = 0,
): Result<Trajectory, Message> => {
  const timing = timingOf(shape.extent, easing, holdS);
  if (!timing.ok) return timing;
  const { totalS, steadyS, steadyFromS, peakMs } = timing.value;
  const intervals = Math.max(PATH_INTERVALS, shape.intervals ?? 0, 2 * Math.ceil(finest / 2));
  const samples = samplesOf(shape, timing.value, intervals);
  const { inputs, simultaneous, peakYawDegS, peakTiltDegS, lowestM, highestM } = measure(samples);
  const { by } = shape.extent;
  const wholeCounts =
    by === 'hold' || by === 'time' || shape.frames !== undefined || (cut === 'whole' && by !== 'legs');
  return found({
    totalS,
    steadyS,
    steadyFromS: wholeCounts ? 0 : steadyFromS,
    usableS: wholeCounts ? totalS : steadyS,
    lengthM: 'lengthM' in shape.extent ? shape.extent.lengthM : pathLength(samples),
    // What is added to a move in legs comes on top of their own speeds.
    peakSpeedMs:
      by === 'turn'
        ? 0
        : by === 'legs'
          ? Math.max(peakMs, ...samples.map((s) => lengthOf(s.velocity)))
          : peakMs,
    inputs,
    simultaneous,
    peakYawDegS,
    peakTiltDegS,
    lowestM,
    highestM,
    marks: (shape.marks ?? []).map((m) => ({ ...m, timeS: timing.value.timeAt(m.share) })),
    start: shape.poseAt(0),
    end: shape.poseAt(1),
    samples,
    frames: shape.frames ?? null,
    gap: shape.gap ?? null,
  });
};
