import earcut from 'earcut';
import type { Vec3 } from '../units';
import { inRing, nearestShare, type Spot } from './ring';

/** Something that stands on the ground and can be hit: everything under its top counts as full, down to the ground and below. */
export interface Solid {
  readonly id: string;
  readonly name: string;
  /** Hides what is behind it; a wire or a mast does not. */
  readonly opaque: boolean;
  /** Half its thickness beyond its line or point, m. */
  readonly radiusM: number;
  /** Stretches from a to b with the height of the top at both ends; a point is one of no length. */
  readonly edges: readonly Edge[];
  /** Outline of an area and the flat pieces of its top. */
  readonly ring: readonly Spot[] | null;
  readonly roof: readonly Triangle[];
  readonly topM: number;
  readonly box: { readonly west: number; readonly south: number; readonly east: number; readonly north: number };
}

export interface Edge { readonly a: Vec3; readonly b: Vec3 }
export type Triangle = readonly [Vec3, Vec3, Vec3];

const boxOf = (spots: readonly Spot[], more: number): Solid['box'] => ({
  west: Math.min(...spots.map((s) => s.x)) - more, east: Math.max(...spots.map((s) => s.x)) + more,
  south: Math.min(...spots.map((s) => s.y)) - more, north: Math.max(...spots.map((s) => s.y)) + more,
});

/** A mast, a tree, a wire on poles: a line of tops. */
export const lineSolid = (id: string, name: string, tops: readonly Vec3[], radiusM: number, opaque: boolean): Solid => {
  const edges = tops.length === 1 ? tops.map((a) => ({ a, b: a })) : tops.slice(1).map((b, i) => ({ a: tops[i] ?? b, b }));
  return { id, name, opaque, radiusM, edges, ring: null, roof: [], topM: Math.max(...tops.map((t) => t.z)), box: boxOf(tops, radiusM) };
};

/** A wood, a building: an outline of tops, its roof in flat pieces between them. */
export const areaSolid = (id: string, name: string, tops: readonly Vec3[], opaque: boolean): Solid => {
  const cut = earcut(tops.flatMap((t) => [t.x, t.y]));
  const roof: Triangle[] = [];
  for (let i = 0; i + 2 < cut.length; i += 3) {
    const [a, b, c] = [tops[cut[i] ?? -1], tops[cut[i + 1] ?? -1], tops[cut[i + 2] ?? -1]];
    if (a && b && c) roof.push([a, b, c]);
  }
  return {
    id, name, opaque, radiusM: 0, ring: tops, roof, topM: Math.max(...tops.map((t) => t.z)), box: boxOf(tops, 0),
    edges: tops.map((b, i) => ({ a: tops[(i + tops.length - 1) % tops.length] ?? b, b })),
  };
};

const planeAt = ([a, b, c]: Triangle, x: number, y: number): { readonly z: number; readonly inside: boolean } => {
  const d = (b.y - c.y) * (a.x - c.x) + (c.x - b.x) * (a.y - c.y);
  const u = ((b.y - c.y) * (x - c.x) + (c.x - b.x) * (y - c.y)) / d;
  const v = ((c.y - a.y) * (x - c.x) + (a.x - c.x) * (y - c.y)) / d;
  return { z: u * a.z + v * b.z + (1 - u - v) * c.z, inside: u >= -1e-9 && v >= -1e-9 && u + v <= 1 + 1e-9 };
};

/** Height of the top over a place, local z; −Infinity beside it. Lines and points have their top within their radius. */
export const topAt = (solid: Solid, x: number, y: number): number => {
  if (solid.ring) {
    if (!inRing(solid.ring, x, y)) return -Infinity;
    let top = -Infinity;
    for (const triangle of solid.roof) { const at = planeAt(triangle, x, y); if (at.inside && at.z > top) top = at.z; }
    return top;
  }
  let top = -Infinity;
  for (const { a, b } of solid.edges) {
    const u = nearestShare(a.x, a.y, b.x, b.y, x, y);
    if (Math.hypot(x - a.x - (b.x - a.x) * u, y - a.y - (b.y - a.y) * u) <= solid.radiusM) top = Math.max(top, a.z + (b.z - a.z) * u);
  }
  return top;
};

/** From a point to a curtain hanging from an edge down without end, m: the nearest of its face, its two sides and its upper hem. */
const toCurtain = ({ a, b }: Edge, p: Vec3): number => {
  const run = Math.hypot(b.x - a.x, b.y - a.y);
  if (run === 0) return Math.hypot(p.x - a.x, p.y - a.y, Math.max(0, p.z - a.z));
  const [ex, ey] = [(b.x - a.x) / run, (b.y - a.y) / run];
  const along = (p.x - a.x) * ex + (p.y - a.y) * ey;
  const across = (p.x - a.x) * ey - (p.y - a.y) * ex;
  const on = Math.min(run, Math.max(0, along));
  const top = a.z + ((b.z - a.z) * on) / run;
  if (p.z <= top) return Math.hypot(across, along - on);
  // Above the hem at that place: the nearest point is on the hem, or beside an end.
  const [hx, hz] = [run, b.z - a.z];
  const u = Math.min(1, Math.max(0, (along * hx + (p.z - a.z) * hz) / (hx * hx + hz * hz)));
  const [s, z] = [hx * u, a.z + hz * u];
  const sideways = Math.min(along >= 0 ? Infinity : Math.hypot(along, Math.max(0, p.z - a.z)), along <= run ? Infinity : Math.hypot(along - run, Math.max(0, p.z - b.z)));
  return Math.hypot(across, Math.min(Math.hypot(along - s, p.z - z), sideways));
};

/** From a point above a flat piece to it along its normal, m; Infinity where the foot falls beside it. */
const toFace = ([a, b, c]: Triangle, p: Vec3): number => {
  const [ux, uy, uz] = [b.x - a.x, b.y - a.y, b.z - a.z];
  const [vx, vy, vz] = [c.x - a.x, c.y - a.y, c.z - a.z];
  const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const size = Math.hypot(nx, ny, nz);
  if (size === 0) return Infinity;
  const away = ((p.x - a.x) * nx + (p.y - a.y) * ny + (p.z - a.z) * nz) / size;
  return planeAt([a, b, c], p.x - (away * nx) / size, p.y - (away * ny) / size).inside ? Math.abs(away) : Infinity;
};

/** Free air between a point and a solid, m; 0 inside it. */
export const freeAir = (solid: Solid, p: Vec3): number => {
  if (solid.ring && p.z <= topAt(solid, p.x, p.y)) return 0;
  let least = Infinity;
  for (const edge of solid.edges) least = Math.min(least, toCurtain(edge, p));
  for (const face of solid.roof) least = Math.min(least, toFace(face, p));
  return Math.max(0, least - solid.radiusM);
};

/** Never more than the free air, at little cost: from the box about a solid. */
export const atLeast = ({ box, topM }: Solid, p: Vec3): number =>
  Math.hypot(Math.max(0, box.west - p.x, p.x - box.east), Math.max(0, box.south - p.y, p.y - box.north), Math.max(0, p.z - topM));
