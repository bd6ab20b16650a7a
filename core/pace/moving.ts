import type { PathSample } from '../moves';
import { degrees, flatLength, radians, type Vec3 } from '../geometry';
import { edgeDepression } from './ground';

const cross = (a: Vec3, b: Vec3): Vec3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;

/**
 * Rates (°/s) at which the nearest ground in frame moves across and along it, for any movement of the camera:
 * the direction d to the ground point changes by −(v − (v·d)d)/R − Ω×d in the camera's own frame.
 * For straight level flight this is exactly v sin²δ/h (along) and v sinδ/h (across).
 * @returns undefined when no ground is in the lower frame or the camera is at or below the ground
 */
export const edgeRates = (
  sample: PathSample,
  verticalFovDeg: number,
  groundM: number,
): { acrossDegS: number; alongDegS: number } | undefined => {
  const heightM = sample.pose.at.z - groundM;
  const down = edgeDepression(-sample.pose.tiltDeg, verticalFovDeg);
  if (!(heightM > 0) || down <= 0) return undefined;
  const heading = radians(sample.pose.headingDeg);
  const δ = radians(down);
  const right: Vec3 = { x: Math.cos(heading), y: -Math.sin(heading), z: 0 };
  const d: Vec3 = { x: Math.sin(heading) * Math.cos(δ), y: Math.cos(heading) * Math.cos(δ), z: -Math.sin(δ) };
  const range = heightM / Math.sin(δ);
  const v = sample.velocity;
  const radial = dot(v, d);
  const yaw = radians(sample.yawDegS);
  const tilt = radians(sample.tiltDegS);
  const spin: Vec3 = { x: tilt * right.x, y: tilt * right.y, z: -yaw };
  const turned = cross(spin, d);
  const drift: Vec3 = {
    x: -(v.x - radial * d.x) / range - turned.x,
    y: -(v.y - radial * d.y) / range - turned.y,
    z: -(v.z - radial * d.z) / range - turned.z,
  };
  return { acrossDegS: degrees(dot(drift, right)), alongDegS: degrees(dot(drift, cross(right, d))) };
};

export interface MovePace {
  /** Seconds the nearest ground needs across the frame at the fastest moment; Infinity when nothing moves. */
  readonly edgeCrossingS: number;
  /** Seconds the surroundings at the subject's range need across the frame at that moment. */
  readonly subjectCrossingS: number;
  /** Fastest angular rate of the nearest ground, °/s. */
  readonly edgeRateDegS: number;
  /** Height of the camera above the ground at that moment, m. */
  readonly heightM: number;
  readonly speedMs: number;
  readonly edgeDepressionDeg: number;
}

const STILL: MovePace = {
  edgeCrossingS: Infinity,
  subjectCrossingS: Infinity,
  edgeRateDegS: 0,
  heightM: 0,
  speedMs: 0,
  edgeDepressionDeg: 0,
};

/** Pace of a flown move at its fastest moment. */
export const movePace = (
  samples: readonly PathSample[],
  horizontalFovDeg: number,
  verticalFovDeg: number,
  aim: Vec3,
  groundM = 0,
): MovePace =>
  samples.reduce<MovePace>((fastest, sample) => {
    const rates = edgeRates(sample, verticalFovDeg, groundM);
    if (!rates) return fastest;
    const share = flatLength(rates.acrossDegS / horizontalFovDeg, rates.alongDegS / verticalFovDeg);
    if (share < 1e-6 || 1 / share >= fastest.edgeCrossingS) return fastest;
    const { at } = sample.pose;
    const toAim: Vec3 = { x: aim.x - at.x, y: aim.y - at.y, z: aim.z - at.z };
    const range = Math.hypot(toAim.x, toAim.y, toAim.z);
    const speedMs = Math.hypot(sample.velocity.x, sample.velocity.y, sample.velocity.z);
    const along = range > 0 ? dot(sample.velocity, toAim) / range : 0;
    const transverse = Math.sqrt(Math.max(0, speedMs * speedMs - along * along));
    return {
      edgeCrossingS: 1 / share,
      subjectCrossingS:
        transverse > 1e-6 ? (2 * range * Math.tan(radians(horizontalFovDeg) / 2)) / transverse : Infinity,
      edgeRateDegS: Math.hypot(rates.acrossDegS, rates.alongDegS),
      heightM: at.z - groundM,
      speedMs,
      edgeDepressionDeg: edgeDepression(-sample.pose.tiltDeg, verticalFovDeg),
    };
  }, STILL);
