import { radians, type Vec3 } from '../geometry';

/** Where and how a camera looks; heading and tilt in degrees. */
export interface View {
  readonly at: Vec3;
  readonly headingDeg: number;
  readonly tiltDeg: number;
}

/** A point in the frame: x right and y up, −1 to 1 at the edges; depth in metres along the axis. */
export interface FramePoint {
  readonly x: number;
  readonly y: number;
  readonly depthM: number;
}

/** A point in the camera's own axes: right, up, and along the axis, m. */
const toCamera = (view: View, point: Vec3): Vec3 => {
  const h = radians(view.headingDeg);
  const t = radians(view.tiltDeg);
  const dx = point.x - view.at.x;
  const dy = point.y - view.at.y;
  const dz = point.z - view.at.z;
  const along = dx * Math.sin(h) + dy * Math.cos(h);
  return {
    x: dx * Math.cos(h) - dy * Math.sin(h),
    y: dz * Math.cos(t) - along * Math.sin(t),
    z: along * Math.cos(t) + dz * Math.sin(t),
  };
};

/**
 * Pinhole projection into the frame: x = right / (depth tan(h/2)), y = up / (depth tan(v/2)).
 * @returns null for a point at or behind the camera
 */
export const projectPoint = (
  view: View,
  horizontalDeg: number,
  verticalDeg: number,
  point: Vec3,
): FramePoint | null => {
  const c = toCamera(view, point);
  if (c.z < 0.05) return null;
  return {
    x: c.x / (c.z * Math.tan(radians(horizontalDeg) / 2)),
    y: c.y / (c.z * Math.tan(radians(verticalDeg) / 2)),
    depthM: c.z,
  };
};

/** Height of the horizon in the frame: tan(−tilt)/tan(v/2); beyond ±1 it is out of sight. */
export const horizonInFrame = (tiltDeg: number, verticalDeg: number): number =>
  Math.tan(radians(Math.max(-89.9, Math.min(89.9, -tiltDeg)))) / Math.tan(radians(verticalDeg) / 2);

/** A straight line from a to b as it shows in the frame, cut off just before the camera; null when all of it is behind. */
export const projectLine = (
  view: View,
  horizontalDeg: number,
  verticalDeg: number,
  a: Vec3,
  b: Vec3,
): readonly [FramePoint, FramePoint] | null => {
  const near = 0.3;
  const za = toCamera(view, a).z;
  const zb = toCamera(view, b).z;
  if (za < near && zb < near) return null;
  const cut = (from: Vec3, to: Vec3, zFrom: number, zTo: number): Vec3 => {
    if (zFrom >= near) return from;
    const u = (near - zFrom) / (zTo - zFrom);
    return {
      x: from.x + (to.x - from.x) * u,
      y: from.y + (to.y - from.y) * u,
      z: from.z + (to.z - from.z) * u,
    };
  };
  const pa = projectPoint(view, horizontalDeg, verticalDeg, cut(a, b, za, zb));
  const pb = projectPoint(view, horizontalDeg, verticalDeg, cut(b, a, zb, za));
  return pa && pb ? [pa, pb] : null;
};
