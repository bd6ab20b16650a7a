import { groundHides, type Ground } from '../terrain';
import { type Box, boxGap, boxOf, crossing, vec, type Vec3 } from '../geometry';
import { topAt, type Solid } from './solid';

/** Height of a pilot's eye above the ground, m. */
export const EYE_M = 1.6;

/** What stands in a line of sight: the ground (null) or a thing, and where. */
export interface Blocked {
  readonly at: Vec3;
  readonly by: Solid | null;
}

const solidHides = (solid: Solid, eye: Vec3, target: Vec3, line: Box): Vec3 | null => {
  if (!solid.opaque || boxGap(solid.box, line) > 0) return null;
  if (target.z <= topAt(solid, target.x, target.y)) return target;
  if (eye.z <= topAt(solid, eye.x, eye.y)) return eye;
  for (const { a, b } of solid.edges) {
    const meet = crossing(eye, target, a, b);
    if (!meet) continue;
    const z = eye.z + (target.z - eye.z) * meet.first;
    if (z <= a.z + (b.z - a.z) * meet.second)
      return vec(eye.x + (target.x - eye.x) * meet.first, eye.y + (target.y - eye.y) * meet.first, z);
  }
  return null;
};

/** What hides an aircraft from an eye; null when the line is free. Signals are lost behind the same things. */
export const hides = (ground: Ground, solids: readonly Solid[], eye: Vec3, target: Vec3): Blocked | null => {
  const line = boxOf([eye, target]);
  for (const solid of solids) {
    const at = solidHides(solid, eye, target, line);
    if (at) return { at, by: solid };
  }
  const at = groundHides(ground, eye, target, 2);
  return at ? { at, by: null } : null;
};

/** Stretches of a way that an eye does not see, as shares of the way, with what hides the first of each. */
export interface HiddenStretch {
  readonly from: number;
  readonly to: number;
  readonly blocked: Blocked;
}

export const hiddenAlong = (
  ground: Ground,
  solids: readonly Solid[],
  eye: Vec3,
  way: readonly Vec3[],
): HiddenStretch[] => {
  const stretches: HiddenStretch[] = [];
  const last = Math.max(1, way.length - 1);
  let open: { from: number; blocked: Blocked } | null = null;
  way.forEach((p, i) => {
    const blocked = hides(ground, solids, eye, p);
    if (blocked && !open) open = { from: i / last, blocked };
    if (!blocked && open) {
      stretches.push({ ...open, to: (i - 1) / last });
      open = null;
    }
  });
  const rest = open as { from: number; blocked: Blocked } | null;
  return rest ? [...stretches, { ...rest, to: 1 }] : stretches;
};
