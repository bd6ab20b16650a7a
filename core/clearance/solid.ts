import type { Name } from '../messages';
import earcut from 'earcut';
import { type Box, boxOf, flatLength, gapTo, inBox, nearestShare, type Spot, type Vec3 } from '../geometry';

/** Something that stands on the ground and can be hit: everything under its top counts as full, down to the ground and below. */
export interface Solid {
  readonly id: string;
  readonly name: Name;
  /** Hides what is behind it; a wire or a mast does not. */
  readonly opaque: boolean;
  /** Half its thickness beyond its line or point, m. */
  readonly radiusM: number;
  /** Stretches from a to b with the height of the top at both ends; a point is one of no length. */
  readonly edges: readonly Edge[];
  /** Outline of an area and the flat pieces of its top. */
  readonly ring: readonly Spot[] | null;
  readonly roof: readonly Face[];
  readonly topM: number;
  readonly box: Box;
}

/** A stretch of a top, with its run over the ground (m) and direction worked out once. */
export interface Edge {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly runM: number;
  readonly ex: number;
  readonly ey: number;
}
export type Triangle = readonly [Vec3, Vec3, Vec3];
/** A flat piece of a roof with its plane: unit normal pointing up and offset. */
export interface Face {
  readonly corners: Triangle;
  readonly nx: number;
  readonly ny: number;
  readonly nz: number;
  readonly d: number;
}

const edge = (a: Vec3, b: Vec3): Edge => {
  const runM = flatLength(b.x - a.x, b.y - a.y);
  return { a, b, runM, ex: runM > 0 ? (b.x - a.x) / runM : 0, ey: runM > 0 ? (b.y - a.y) / runM : 0 };
};

/** Null for a piece seen edge-on from above: it has no top. */
const face = (corners: Triangle): Face | null => {
  const [a, b, c] = corners;
  const [ux, uy, uz] = [b.x - a.x, b.y - a.y, b.z - a.z];
  const [vx, vy, vz] = [c.x - a.x, c.y - a.y, c.z - a.z];
  const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  if (Math.abs(nz) < 1e-9) return null;
  const size = Math.hypot(nx, ny, nz) * Math.sign(nz);
  return { corners, nx: nx / size, ny: ny / size, nz: nz / size, d: (nx * a.x + ny * a.y + nz * a.z) / size };
};

/** A mast, a tree, a wire on poles: a line of tops. */
export const lineSolid = (
  id: string,
  name: Name,
  tops: readonly Vec3[],
  radiusM: number,
  opaque: boolean,
): Solid => {
  const edges =
    tops.length === 1 ? tops.map((a) => edge(a, a)) : tops.slice(1).map((b, i) => edge(tops[i] ?? b, b));
  return {
    id,
    name,
    opaque,
    radiusM,
    edges,
    ring: null,
    roof: [],
    topM: Math.max(...tops.map((t) => t.z)),
    box: boxOf(tops, radiusM),
  };
};

/** A wood, a building: an outline of tops, its roof in flat pieces between them. */
export const areaSolid = (id: string, name: Name, tops: readonly Vec3[], opaque: boolean): Solid => {
  const cut = earcut(tops.flatMap((t) => [t.x, t.y]));
  const roof: Face[] = [];
  for (let i = 0; i + 2 < cut.length; i += 3) {
    const [a, b, c] = [tops[cut[i] ?? -1], tops[cut[i + 1] ?? -1], tops[cut[i + 2] ?? -1]];
    const piece = a && b && c ? face([a, b, c]) : null;
    if (piece) roof.push(piece);
  }
  return {
    id,
    name,
    opaque,
    radiusM: 0,
    ring: tops,
    roof,
    topM: Math.max(...tops.map((t) => t.z)),
    box: boxOf(tops),
    edges: tops.map((b, i) => edge(tops[(i + tops.length - 1) % tops.length] ?? b, b)),
  };
};

/** Whether a place lies under or over a flat piece, edges included. */
const over = ([a, b, c]: Triangle, x: number, y: number): boolean => {
  const d = (b.y - c.y) * (a.x - c.x) + (c.x - b.x) * (a.y - c.y);
  const u = ((b.y - c.y) * (x - c.x) + (c.x - b.x) * (y - c.y)) / d;
  const v = ((c.y - a.y) * (x - c.x) + (a.x - c.x) * (y - c.y)) / d;
  return u >= -1e-9 && v >= -1e-9 && u + v <= 1 + 1e-9;
};

/** Height of the top over a place, local z; −Infinity beside it. Lines and points have their top within their radius. */
export const topAt = (solid: Solid, x: number, y: number): number => {
  let top = -Infinity;
  if (!inBox(solid.box, x, y)) return top;
  for (const { corners, nx, ny, nz, d } of solid.roof) {
    const z = (d - nx * x - ny * y) / nz;
    if (z > top && over(corners, x, y)) top = z;
  }
  if (solid.ring) return top;
  for (const { a, b } of solid.edges) {
    const u = nearestShare(a.x, a.y, b.x, b.y, x, y);
    if (flatLength(x - a.x - (b.x - a.x) * u, y - a.y - (b.y - a.y) * u) <= solid.radiusM)
      top = Math.max(top, a.z + (b.z - a.z) * u);
  }
  return top;
};

/**
 * From a point to a curtain hanging from an edge down without end, m: the nearest of its face and its upper hem.
 * @param least what is farther than this need not be told exactly
 */
const toCurtain = ({ a, b, runM, ex, ey }: Edge, p: Vec3, least: number): number => {
  const [dx, dy] = [p.x - a.x, p.y - a.y];
  if (runM === 0) return Math.hypot(dx, dy, Math.max(0, p.z - a.z));
  const across = dx * ey - dy * ex;
  if (Math.abs(across) >= least) return Infinity;
  const along = dx * ex + dy * ey;
  const on = Math.min(runM, Math.max(0, along));
  if (p.z <= a.z + ((b.z - a.z) * on) / runM) return flatLength(across, along - on);
  // Above the hem at that place: the nearest point is on the hem, its ends included.
  const hz = b.z - a.z;
  const u = Math.min(1, Math.max(0, (along * runM + (p.z - a.z) * hz) / (runM * runM + hz * hz)));
  const hem = flatLength(along - runM * u, p.z - a.z - hz * u);
  return flatLength(across, hem);
};

/** Free air between a point and a solid, m; 0 inside it. */
export const freeAir = (solid: Solid, p: Vec3): number => {
  if (solid.ring && p.z <= solid.topM && p.z <= topAt(solid, p.x, p.y)) return 0;
  let least = Infinity;
  for (const e of solid.edges) least = Math.min(least, toCurtain(e, p, least));
  for (const { corners, nx, ny, nz, d } of solid.roof) {
    const away = nx * p.x + ny * p.y + nz * p.z - d;
    // Along the normal down to the piece, where its foot falls on it.
    if (away >= 0 && away < least && over(corners, p.x - away * nx, p.y - away * ny)) least = away;
  }
  return Math.max(0, least - solid.radiusM);
};

/** Never more than the free air, at little cost: from the box about a solid. */
export const atLeast = ({ box, topM }: Solid, p: Vec3): number =>
  flatLength(gapTo(box, p.x, p.y), Math.max(0, p.z - topM));
