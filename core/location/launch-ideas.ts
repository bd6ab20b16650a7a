import { hides, topAt, EYE_M, type Solid } from '../clearance';
import { boxOf, inRing, distance, vec, type Vec3 } from '../geometry';
import { onGround, spotsOf } from '../site';
import { slopeAt } from '../terrain';
import { flyLayout, layoutOf, type ShotParts } from '../shot';
import { solidsFor, type Scene } from './scene';

/** A place to launch from, with what speaks for it. */
export interface LaunchIdea {
  readonly xM: number;
  readonly yM: number;
  /** Share of the looked-at poses that are seen from there, must-have shots first. */
  readonly seenMusts: number;
  readonly seenAll: number;
  /** Metres flown out to and home from every shot. */
  readonly flownM: number;
  readonly slopeDeg: number;
}

const PER_PATH = 6;
/** Steeper ground is no place to stand a pad on. */
const STEEPEST_DEG = 12;

interface Path {
  readonly must: boolean;
  readonly points: readonly Vec3[];
  readonly solids: readonly Solid[];
}

const pathsOf = (scene: Scene, shots: readonly ShotParts[]): Path[] =>
  shots.flatMap((parts) => {
    const path = flyLayout(layoutOf(parts), parts);
    if (!path.ok) return [];
    const all = path.value.samples;
    const points = Array.from(
      { length: PER_PATH },
      (_, i) => all[Math.round((i / (PER_PATH - 1)) * (all.length - 1))]?.pose.at,
    ).filter((p) => p !== undefined);
    return [
      {
        must: parts.shot.priority === 'must',
        points,
        solids: solidsFor(scene, parts.shot).filter((s) => s.opaque),
      },
    ];
  });

const blockedSpot = (scene: Scene, x: number, y: number): boolean =>
  scene.zones.some(
    (f) =>
      f.shape === 'area' &&
      (f.kind === 'no-fly' ||
        f.kind === 'water' ||
        f.kind === 'people' ||
        (f.kind === 'permission' && !f.granted)) &&
      inRing(spotsOf(f), x, y),
  ) || [...scene.solids, ...scene.subjectSolids.values()].some((s) => topAt(s, x, y) > -Infinity);

/** What one place is worth; null where nobody launches. */
const ideaAt = (scene: Scene, paths: readonly Path[], x: number, y: number): LaunchIdea | null => {
  if (blockedSpot(scene, x, y) || Number.isNaN(scene.ground.at(x, y))) return null;
  const slopeDeg = slopeAt(scene.ground.at, x, y, Math.max(2, scene.ground.grid?.cellM ?? 2));
  if (slopeDeg > STEEPEST_DEG) return null;
  const spot = onGround(scene.ground, x, y);
  const eye = vec(spot.x, spot.y, spot.z + EYE_M);
  let [musts, mustSeen, all, seen, flownM] = [0, 0, 0, 0, 0];
  for (const { must, points, solids } of paths) {
    const free = points.filter((p) => !hides(scene.ground, solids, eye, p)).length;
    if (must) {
      musts += points.length;
      mustSeen += free;
    }
    all += points.length;
    seen += free;
    const [first, last] = [points[0], points.at(-1)];
    if (first && last) flownM += distance(spot, first) + distance(last, spot);
  }
  return {
    xM: x,
    yM: y,
    seenMusts: musts > 0 ? mustSeen / musts : 1,
    seenAll: all > 0 ? seen / all : 1,
    flownM,
    slopeDeg,
  };
};

/** Looked at beside shots and launch point, m. */
const ASIDE_M = 60;

/**
 * Places to launch from: those from which most of every must-have path is seen come first, then of the others, then those
 * with the least flying out and home. Looks at a raster about the shots.
 * @param about middle of the raster and half its side, m; left out, the shots' own spread
 * @param finest most places looked at along a side
 */
export const suggestLaunches = (
  scene: Scene,
  shots: readonly ShotParts[],
  about?: { readonly x: number; readonly y: number; readonly halfM: number },
  finest = 24,
): LaunchIdea[] => {
  const paths = pathsOf(scene, shots);
  const all = paths.flatMap((p) => p.points);
  if (all.length === 0) return [];
  const box = about ? boxOf([about], about.halfM) : boxOf([{ x: 0, y: 0 }, ...all], ASIDE_M);
  const step = Math.max(box.east - box.west, box.north - box.south) / finest;
  const ideas: LaunchIdea[] = [];
  for (let y = box.south; y <= box.north; y += step)
    for (let x = box.west; x <= box.east; x += step) {
      const idea = ideaAt(scene, paths, x, y);
      if (idea) ideas.push(idea);
    }
  ideas.sort(
    (a, b) => b.seenMusts - a.seenMusts || Math.round((b.seenAll - a.seenAll) * 20) || a.flownM - b.flownM,
  );
  // Neighbours of a better place say nothing new.
  const apart: LaunchIdea[] = [];
  for (const idea of ideas) {
    if (apart.every((o) => Math.hypot(o.xM - idea.xM, o.yM - idea.yM) > step * 3)) apart.push(idea);
    if (apart.length === 3) break;
  }
  return apart;
};
