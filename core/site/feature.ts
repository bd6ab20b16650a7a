import { message, type Name } from '../messages';
import { areaOf, type Spot, vec, type Vec3 } from '../geometry';
import { areaSolid, lineSolid, topAt, type Solid } from '../clearance';
import { stepOver, type Ground } from '../terrain';
import { featureWords } from './kinds';
import type { Feature } from '../model';
import { groundAt, spotsOf } from './spots';

/** How far the top of a side may lie off the straight line between two kept corners, m. */
const BEND_M = 0.15;

/** Tops along a side, its end included: more of them only where the ground bends. */
const bent = (a: Vec3, b: Vec3, topAlong: (x: number, y: number) => Vec3, stepM: number): Vec3[] => {
  const run = Math.hypot(b.x - a.x, b.y - a.y);
  const parts = Math.min(64, Math.ceil(run / stepM));
  let [worst, off]: [Vec3 | null, number] = [null, BEND_M];
  for (let i = 1; i < parts; i += 1) {
    const here = topAlong(a.x + ((b.x - a.x) * i) / parts, a.y + ((b.y - a.y) * i) / parts);
    const away = Math.abs(here.z - (a.z + ((b.z - a.z) * i) / parts));
    if (away > off) {
      worst = here;
      off = away;
    }
  }
  return worst ? [...bent(a, worst, topAlong, stepM), ...bent(worst, b, topAlong, stepM)] : [b];
};

/** Tops along a line or outline. */
const topsOf = (
  spots: readonly Spot[],
  closed: boolean,
  topAlong: (x: number, y: number) => Vec3,
  stepM: number,
): Vec3[] => {
  const corners = spots.map((s) => topAlong(s.x, s.y));
  return corners.flatMap((b, i) => {
    const a = i === 0 ? (closed ? corners.at(-1) : undefined) : corners[i - 1];
    return a ? bent(a, b, topAlong, stepM) : [b];
  });
};

/** How much the ground inside an outline bulges above the flat pieces between its corners, m. */
const bulge = (solid: Solid, ground: Ground, heightM: number): number => {
  const { box } = solid;
  const step = Math.max(stepOver(ground), Math.sqrt(areaOf(solid.ring ?? [])) / 24, 1);
  let most = 0;
  for (let y = box.south; y <= box.north; y += step)
    for (let x = box.west; x <= box.east; x += step) {
      const top = topAt(solid, x, y);
      if (top > -Infinity) most = Math.max(most, groundAt(ground, x, y) + heightM - top);
    }
  return most;
};

/** What a thing is called; by its kind where it has no name. */
export const featureName = ({ name, kind }: Pick<Feature, 'name' | 'kind'>): Name =>
  name || message(`thing.${kind}`);

/**
 * What stands there as something that can be hit. Tops follow the ground under the corners; an area's roof is raised as a whole
 * where the ground inside bulges, so that it is never lower than what grows on it. Null for what does not stand up.
 */
export const solidOf = (feature: Feature, ground: Ground): Solid | null => {
  const { stands, opaque } = featureWords(feature.kind);
  if (!stands || feature.points.length === 0) return null;
  const spots = spotsOf(feature);
  const name = featureName(feature);
  const step = ground.grid ? Math.max(ground.grid.cellM, 2) : Infinity;
  const topAlong = (x: number, y: number): Vec3 => vec(x, y, groundAt(ground, x, y) + feature.heightM);
  if (feature.shape !== 'area')
    return lineSolid(
      feature.id,
      name,
      topsOf(feature.shape === 'line' ? spots : spots.slice(0, 1), false, topAlong, step),
      feature.radiusM,
      opaque,
    );
  const tops = topsOf(spots, true, topAlong, step);
  const flat = areaSolid(feature.id, name, tops, opaque);
  const more = ground.grid ? bulge(flat, ground, feature.heightM) : 0;
  return more > 0.05
    ? areaSolid(
        feature.id,
        name,
        tops.map((t) => vec(t.x, t.y, t.z + more)),
        opaque,
      )
    : flat;
};
