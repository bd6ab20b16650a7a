import { areaOf, areaSolid, lineSolid, topAt, type Solid, type Spot } from '../reach';
import { stepOver, type Ground } from '../terrain';
import { vec, type Vec3 } from '../units';
import { featureWords, type FeatureKind, type FeatureShape } from './kinds';

/** Something drawn on the plan of a place; local metres. */
export interface Feature {
  readonly id: string;
  readonly locationId: string;
  readonly kind: FeatureKind;
  readonly name: string;
  /** One place, the corners of a line, or the outline of an area without its first corner again. */
  readonly points: readonly { readonly xM: number; readonly yM: number }[];
  readonly shape: FeatureShape;
  /** Above the ground it stands on, m. */
  readonly heightM: number;
  readonly radiusM: number;
  readonly keepM: number;
  /** Where the knowledge of an area comes from, until when it holds (a date, or empty), and whether a yes was given. */
  readonly source: string;
  readonly until: string;
  readonly granted: boolean;
  readonly notes: string;
}

export const spotsOf = (feature: Pick<Feature, 'points'>): Spot[] => feature.points.map((p) => ({ x: p.xM, y: p.yM }));

/** Ground taken as level with the origin where it is not known. */
const known = (z: number): number => (Number.isNaN(z) ? 0 : z);

export const groundAt = (ground: Ground, x: number, y: number): number => known(ground.at(x, y));

/** A point on the ground at a place. */
export const onGround = (ground: Ground, x: number, y: number): Vec3 => vec(x, y, groundAt(ground, x, y));

/** Corners along a line or outline, with more between them where the ground could bend. */
const dense = (spots: readonly Spot[], closed: boolean, stepM: number): Spot[] => spots.flatMap((b, i) => {
  const a = i === 0 ? (closed ? spots.at(-1) : undefined) : spots[i - 1];
  if (!a) return [b];
  const parts = Math.min(40, Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / stepM)));
  return Array.from({ length: parts }, (_, k) => ({ x: a.x + ((b.x - a.x) * (k + 1)) / parts, y: a.y + ((b.y - a.y) * (k + 1)) / parts }));
});

/** How much the ground inside an outline bulges above the flat pieces between its corners, m. */
const bulge = (solid: Solid, ground: Ground, heightM: number): number => {
  const { box } = solid;
  const step = Math.max(stepOver(ground), Math.sqrt(areaOf(solid.ring ?? [])) / 24, 1);
  let most = 0;
  for (let y = box.south; y <= box.north; y += step) for (let x = box.west; x <= box.east; x += step) {
    const top = topAt(solid, x, y);
    if (top > -Infinity) most = Math.max(most, groundAt(ground, x, y) + heightM - top);
  }
  return most;
};

/**
 * What stands there as something that can be hit. Tops follow the ground under the corners; an area's roof is raised as a whole
 * where the ground inside bulges, so that it is never lower than what grows on it. Null for what does not stand up.
 */
export const solidOf = (feature: Feature, ground: Ground): Solid | null => {
  const { stands, opaque } = featureWords(feature.kind);
  if (!stands || feature.points.length === 0) return null;
  const spots = spotsOf(feature);
  const name = feature.name || featureWords(feature.kind).name;
  const step = ground.grid ? Math.max(ground.grid.cellM, 5) : Infinity;
  const top = (s: Spot, more: number): Vec3 => vec(s.x, s.y, groundAt(ground, s.x, s.y) + feature.heightM + more);
  if (feature.shape !== 'area') return lineSolid(feature.id, name, (feature.shape === 'line' ? dense(spots, false, step) : spots.slice(0, 1)).map((s) => top(s, 0)), feature.radiusM, opaque);
  const outline = ground.grid ? dense(spots, true, step) : spots;
  const flat = areaSolid(feature.id, name, outline.map((s) => top(s, 0)), opaque);
  const more = ground.grid ? bulge(flat, ground, feature.heightM) : 0;
  return more > 0.05 ? areaSolid(feature.id, name, outline.map((s) => top(s, more)), opaque) : flat;
};
