import { groundAt } from '../site';
import { LEVEL_GROUND, type Ground } from '../terrain';
import type { FieldOfView } from '../lens';
import type { Pose } from '../moves';
import { radians, vec, type Vec3 } from '../geometry';

/** How far a frame is followed out over the ground where it looks toward the horizon, m. */
const FARTHEST_M = 1200;

/** Where a ray meets the ground, or its end over the ground where it meets none. */
const meets = (ground: Ground, from: Vec3, dx: number, dy: number, dz: number): Vec3 => {
  const flat = Math.hypot(dx, dy);
  const step = ground.grid ? Math.max(2, ground.grid.cellM / 2) : FARTHEST_M;
  if (!ground.grid && dz < 0) {
    const t = Math.min(-from.z / dz, flat > 0 ? FARTHEST_M / flat : Infinity);
    return vec(from.x + dx * t, from.y + dy * t, 0);
  }
  for (let t = 0; t * flat <= FARTHEST_M; t += step / Math.max(flat, 0.15)) {
    const [x, y, z] = [from.x + dx * t, from.y + dy * t, from.z + dz * t];
    if (z <= groundAt(ground, x, y)) return vec(x, y, z);
  }
  const far = FARTHEST_M / Math.max(flat, 1e-6);
  return vec(from.x + dx * far, from.y + dy * far, groundAt(ground, from.x + dx * far, from.y + dy * far));
};

/**
 * What of the ground a camera frames, as an outline on the map: the four corners of the picture followed down to the ground.
 * Corners that look over the horizon end at 1200 m.
 */
export const frameOnGround = (pose: Pose, fov: FieldOfView, ground: Ground = LEVEL_GROUND): Vec3[] => {
  const [h, t] = [radians(pose.headingDeg), radians(pose.tiltDeg)];
  const forward = vec(Math.sin(h) * Math.cos(t), Math.cos(h) * Math.cos(t), Math.sin(t));
  const right = vec(Math.cos(h), -Math.sin(h), 0);
  const up = vec(-Math.sin(h) * Math.sin(t), -Math.cos(h) * Math.sin(t), Math.cos(t));
  const [tanH, tanV] = [Math.tan(radians(fov.horizontalDeg / 2)), Math.tan(radians(fov.verticalDeg / 2))];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([sx, sy]) =>
    meets(
      ground,
      pose.at,
      forward.x + right.x * tanH * (sx ?? 0) + up.x * tanV * (sy ?? 0),
      forward.y + right.y * tanH * (sx ?? 0) + up.y * tanV * (sy ?? 0),
      forward.z + up.z * tanV * (sy ?? 0),
    ),
  );
};
