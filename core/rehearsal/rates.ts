import { GRAVITY } from '../air';
import { degrees, radians, vec, type Vec3 } from '../geometry';
import type { HandlingName } from '../model';
import type { Pose } from '../moves';
import { curveAt } from '../sticks';
import type { Controls } from './sticks';

/** How an aircraft lies in the air: nose up and right side down are positive, deg. */
export interface Attitude {
  readonly pitchDeg: number;
  readonly rollDeg: number;
}
export const LEVEL: Attitude = { pitchDeg: 0, rollDeg: 0 };

/** Pitch and roll at full stick by stick profile, deg/s. Own estimates: from a first lesson to brisk flying. */
export const RATE_DEG_S: Readonly<Record<HandlingName, number>> = { slow: 120, normal: 240, fast: 420 };
/** Most thrust against weight. Own estimate for an aircraft built to be flown so. */
const THRUST_RATIO = 3;
/** Lean at which it flies its top speed and holds its height, deg: drag follows from it. */
const TOP_LEAN_DEG = 45;
/** Beyond this the nose is not told from the tail by heading and pitch, deg. */
const STEEPEST_DEG = 85;

interface Axes {
  readonly forward: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
}

const along = (a: Vec3, x: number, b: Vec3, y: number): Vec3 =>
  vec(a.x * x + b.x * y, a.y * x + b.y * y, a.z * x + b.z * y);

/** Axes of an aircraft that heads somewhere at an attitude; x east, y north, z up. */
export const axesOf = (headingDeg: number, { pitchDeg, rollDeg }: Attitude): Axes => {
  const [h, p, r] = [radians(headingDeg), radians(pitchDeg), radians(rollDeg)];
  const ahead = vec(Math.sin(h), Math.cos(h), 0);
  const beside = vec(Math.cos(h), -Math.sin(h), 0);
  const top = vec(0, 0, 1);
  const lifted = along(top, Math.cos(p), ahead, -Math.sin(p));
  return {
    forward: along(ahead, Math.cos(p), top, Math.sin(p)),
    right: along(beside, Math.cos(r), lifted, -Math.sin(r)),
    up: along(lifted, Math.cos(r), beside, Math.sin(r)),
  };
};

/**
 * The attitude a moment later: sticks ask for rates about the aircraft's own axes, which stay when the sticks are let go.
 * Kinematics of Euler angles in the order heading, pitch, roll.
 * @param rateDegS pitch and roll at full stick @param yawDegS turn at full stick @param expo flatness of the middle, 0–1
 * @param s step, s
 * @returns attitude, and the turn of the heading in the step, deg
 */
export const turned = (
  now: Attitude,
  c: Controls,
  { rateDegS, yawDegS, expo }: { readonly rateDegS: number; readonly yawDegS: number; readonly expo: number },
  s: number,
): { readonly attitude: Attitude; readonly yawDeg: number } => {
  const [p, r] = [radians(now.pitchDeg), radians(now.rollDeg)];
  const roll = curveAt(expo, c.right) * rateDegS;
  const nod = -curveAt(expo, c.forward) * rateDegS;
  const yaw = curveAt(expo, c.yaw) * yawDegS;
  const about = nod * Math.sin(r) + yaw * Math.cos(r);
  const pitchDeg = now.pitchDeg + (nod * Math.cos(r) - yaw * Math.sin(r)) * s;
  const rollDeg = now.rollDeg + (roll + about * Math.tan(p)) * s;
  return {
    attitude: {
      pitchDeg: Math.max(-STEEPEST_DEG, Math.min(STEEPEST_DEG, pitchDeg)),
      rollDeg: ((((rollDeg + 180) % 360) + 360) % 360) - 180,
    },
    yawDeg: (about / Math.cos(p)) * s,
  };
};

/** Thrust against mass, m/s²: the middle of the stick carries the weight of a level aircraft. */
const thrustOf = (up: number): number => GRAVITY * (1 + (up > 0 ? up * (THRUST_RATIO - 1) : up));

/**
 * Acceleration of an aircraft that holds no position: thrust along its own axis, weight, drag that grows with the square of the
 * speed through the air and makes it fly its top speed at the lean above.
 * @param air velocity through the air, m/s @param topSpeedMs of the aircraft
 */
export const freeAccel = (
  headingDeg: number,
  attitude: Attitude,
  up: number,
  air: Vec3,
  topSpeedMs: number,
): Vec3 => {
  const axis = axesOf(headingDeg, attitude).up;
  const thrust = thrustOf(up);
  const drag =
    (Math.hypot(air.x, air.y, air.z) * GRAVITY * Math.tan(radians(TOP_LEAN_DEG))) / topSpeedMs ** 2;
  return vec(
    axis.x * thrust - air.x * drag,
    axis.y * thrust - air.y * drag,
    axis.z * thrust - GRAVITY - air.z * drag,
  );
};

/** Where a camera looks that is screwed on at a tilt: heading, tilt and roll of the picture. */
export const fixedPose = (at: Vec3, headingDeg: number, attitude: Attitude, tiltDeg: number): Pose => {
  const { forward, right, up } = axesOf(headingDeg, attitude);
  const t = radians(tiltDeg);
  const looks = along(forward, Math.cos(t), up, Math.sin(t));
  const top = along(up, Math.cos(t), forward, -Math.sin(t));
  return {
    at,
    headingDeg: (degrees(Math.atan2(looks.x, looks.y)) + 360) % 360,
    tiltDeg: degrees(Math.asin(Math.max(-1, Math.min(1, looks.z)))),
    rollDeg: degrees(Math.atan2(-right.z, top.z)),
  };
};
