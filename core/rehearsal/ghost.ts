import { radians, turnBetween, type Vec3 } from '../geometry';
import type { Handling } from '../model';
import type { Pose, Trajectory } from '../moves';
import type { FlownState, RehearsedCraft } from './flight';
import { poseOf } from './flight';
import type { Controls } from './sticks';

/** The planned move at a moment. */
export interface PlannedMoment {
  readonly pose: Pose;
  readonly velocity: Vec3;
  readonly yawDegS: number;
  readonly tiltDegS: number;
}

const mix = (a: number, b: number, t: number): number => a + (b - a) * t;

/** Where the plan is at a second of the move, straight between its samples; held before and after it. */
export const plannedAt = (trajectory: Pick<Trajectory, 'samples'>, tS: number): PlannedMoment | null => {
  const { samples } = trajectory;
  const i = samples.findIndex((s) => s.timeS >= tS);
  const b = i === -1 ? samples.at(-1) : samples[i];
  if (!b) return null;
  const a = samples[i - 1];
  if (i <= 0 || !a) return i === 0 ? b : { ...b, velocity: { x: 0, y: 0, z: 0 }, yawDegS: 0, tiltDegS: 0 };
  const t = b.timeS > a.timeS ? (tS - a.timeS) / (b.timeS - a.timeS) : 1;
  return {
    pose: {
      at: {
        x: mix(a.pose.at.x, b.pose.at.x, t),
        y: mix(a.pose.at.y, b.pose.at.y, t),
        z: mix(a.pose.at.z, b.pose.at.z, t),
      },
      headingDeg: a.pose.headingDeg + turnBetween(a.pose.headingDeg, b.pose.headingDeg) * t,
      tiltDeg: mix(a.pose.tiltDeg, b.pose.tiltDeg, t),
    },
    velocity: {
      x: mix(a.velocity.x, b.velocity.x, t),
      y: mix(a.velocity.y, b.velocity.y, t),
      z: mix(a.velocity.z, b.velocity.z, t),
    },
    yawDegS: mix(a.yawDegS, b.yawDegS, t),
    tiltDegS: mix(a.tiltDegS, b.tiltDegS, t),
  };
};

/** Stick that gives a share of full rate through a curve: the curve turned round, by bisection. */
const stickFor = (expo: number, share: number): number => {
  const wanted = Math.min(1, Math.abs(share));
  let [low, high] = [0, 1];
  for (let i = 0; i < 30; i += 1) {
    const x = (low + high) / 2;
    if ((1 - expo) * x + expo * x ** 3 < wanted) low = x;
    else high = x;
  }
  return Math.sign(share) * ((low + high) / 2);
};

/** How hard the ghost pulls back to its line, per second. */
const PULL = { at: 1.2, turn: 2 } as const;

/** What a pilot who never errs would ask of the sticks at a moment of a planned move. */
export const ghostControls = (state: FlownState, trajectory: Trajectory, craft: RehearsedCraft): Controls => {
  const plan = plannedAt(trajectory, state.tS);
  if (!plan) return { forward: 0, right: 0, up: 0, yaw: 0, tilt: 0 };
  const { profile } = craft;
  const pose = poseOf(state, craft);
  const ahead = plannedAt(trajectory, state.tS + 0.35) ?? plan;
  const vx = ahead.velocity.x + PULL.at * (plan.pose.at.x - state.at.x);
  const vy = ahead.velocity.y + PULL.at * (plan.pose.at.y - state.at.y);
  const vz = ahead.velocity.z + PULL.at * (plan.pose.at.z - state.at.z);
  const h = radians(pose.headingDeg);
  const asks = (rate: number, most: number): number => stickFor(profile.expo, rate / Math.max(1e-6, most));
  const lagged = (rate: number, next: number, off: number): number => (rate + next) / 2 + PULL.turn * off;
  return {
    forward: asks(vx * Math.sin(h) + vy * Math.cos(h), profile.maxSpeedMs),
    right: asks(vx * Math.cos(h) - vy * Math.sin(h), profile.maxSpeedMs),
    up: asks(vz, vz > 0 ? craft.maxClimbMs : craft.maxDescentMs),
    yaw: asks(
      lagged(plan.yawDegS, ahead.yawDegS, turnBetween(pose.headingDeg, plan.pose.headingDeg)),
      profile.maxYawDegS,
    ),
    tilt: asks(lagged(plan.tiltDegS, ahead.tiltDegS, plan.pose.tiltDeg - pose.tiltDeg), profile.maxTiltDegS),
  };
};

/** Whether a stick profile can give what a move asks at all. */
export const profileGives = (profile: Handling, trajectory: Trajectory): boolean =>
  trajectory.peakSpeedMs <= profile.maxSpeedMs * 1.001 &&
  trajectory.peakYawDegS <= profile.maxYawDegS * 1.001;
