import { message } from '../messages';
import { windSpeedAt, SHEAR } from '../air';
import {
  gustDrift,
  hiddenAlong,
  nearestAlong,
  sightLimit,
  topAt,
  wayHomeOver,
  type Solid,
} from '../clearance';
import { toShape, bearingTo, distance, vec, type Vec3 } from '../geometry';
import { spotsOf } from '../site';
import type { Feature } from '../model';
import { flyLayout, layoutOf, type ShotParts } from '../shot';
import { lossOf } from './lost-link';
import { travelSide } from './travel-side';
import { launchOf } from './launch-point';
import { eyeOf, solidsFor, type Scene } from './scene';
import type { SiteShot, ZoneMeet } from './types';

/** Poses a path is looked at in; what lies between them is found by halving. */
const CLOSELY = 64;
/** Ways home are looked at from so many places of a path. */
const HOMES = 9;
/** What is farther than this from a path is not named, m. */
const CARED_M = 60;

interface Way {
  readonly points: readonly Vec3[];
  readonly totalS: number;
}

const secondAt = (way: Way, share: number): number => share * way.totalS;

const heightsOver = (scene: Scene, way: Way) => {
  let lowest: SiteShot['lowest'] = null;
  let highest: SiteShot['highest'] = null;
  let groundUnknown = false;
  way.points.forEach((at, i) => {
    const ground = scene.ground.at(at.x, at.y);
    if (Number.isNaN(ground)) {
      groundUnknown = true;
      return;
    }
    const seen = {
      aboveGroundM: at.z - ground,
      at,
      timeS: secondAt(way, i / Math.max(1, way.points.length - 1)),
    };
    if (!lowest || seen.aboveGroundM < lowest.aboveGroundM) lowest = seen;
    if (!highest || seen.aboveGroundM > highest.aboveGroundM) highest = seen;
  });
  return { lowest: lowest as SiteShot['lowest'], highest: highest as SiteShot['highest'], groundUnknown };
};

const sightOf = (
  scene: Scene,
  solids: readonly Solid[],
  eye: Vec3,
  way: Way,
  largestM: number,
): SiteShot['sight'] => {
  let [farthestM, farthestS] = [0, 0];
  way.points.forEach((p, i) => {
    const away = distance(eye, p);
    if (away > farthestM) {
      farthestM = away;
      farthestS = secondAt(way, i / Math.max(1, way.points.length - 1));
    }
  });
  const hidden = hiddenAlong(scene.ground, solids, eye, way.points).map((h) => ({
    fromS: secondAt(way, h.from),
    toS: secondAt(way, h.to),
    by: h.blocked.by?.name ?? message('thing.ground'),
    at: h.blocked.at,
  }));
  return {
    limitM: sightLimit('multirotor', largestM, scene.location.visibilityM),
    farthestM,
    farthestS,
    hidden,
  };
};

const closed = (f: Feature): boolean => f.shape === 'area';
const nearTo = (f: Feature, p: Vec3): number =>
  Math.max(0, toShape(spotsOf(f), closed(f), p.x, p.y) - (f.shape === 'point' ? f.radiusM : 0));

/** A straight way as places every few metres. */
const places = (a: Vec3, b: Vec3, stepM: number): Vec3[] => {
  const parts = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / stepM));
  return Array.from({ length: parts + 1 }, (_, i) =>
    vec(a.x + ((b.x - a.x) * i) / parts, a.y + ((b.y - a.y) * i) / parts, a.z),
  );
};

const zoneMeet = (f: Feature, way: Way, home: Vec3): ZoneMeet | null => {
  const keep = f.keepM;
  let [fromS, toS, nearM, at]: [number, number, number, Vec3] = [Infinity, -Infinity, Infinity, home];
  way.points.forEach((p, i) => {
    const near = nearTo(f, p);
    if (near < nearM) {
      nearM = near;
      at = p;
    }
    if (near <= keep) {
      const t = secondAt(way, i / Math.max(1, way.points.length - 1));
      fromS = Math.min(fromS, t);
      toS = Math.max(toS, t);
    }
  });
  if (fromS <= toS) return { featureId: f.id, fromS, toS, nearM, at, onWayHome: false };
  const last = way.points.at(-1);
  const first = way.points[0];
  const legs = [...(last ? places(last, home, 5) : []), ...(first ? places(home, first, 5) : [])];
  const hit = legs.find((p) => nearTo(f, p) <= keep);
  return hit
    ? { featureId: f.id, fromS: way.totalS, toS: way.totalS, nearM: nearTo(f, hit), at: hit, onWayHome: true }
    : null;
};

const homeOf = (scene: Scene, solids: readonly Solid[], way: Way, launch: Vec3): SiteShot['home'] => {
  const { corridorM, returnMarginM } = scene.film.preferences;
  let worst: SiteShot['home'] = null;
  let mostM = Infinity;
  const last = way.points.length - 1;
  for (let k = 0; k < HOMES; k += 1) {
    const i = Math.round((k / (HOMES - 1)) * last);
    const from = way.points[i];
    if (!from) continue;
    const over = wayHomeOver(scene.ground, solids, from, launch, corridorM, scene.location.ceilingM);
    if (over.tallestM === -Infinity) continue;
    mostM = Math.min(mostM, over.ceilingM - launch.z);
    if (!worst || over.tallestM > worst.tallestM)
      worst = {
        from,
        fromS: secondAt(way, i / Math.max(1, last)),
        tallestM: over.tallestM,
        by: over.by?.name ?? message('thing.ground'),
        at: over.at,
        needM: over.tallestM + returnMarginM - launch.z,
        mostM,
      };
  }
  return worst && { ...worst, mostM };
};

/** Works out what a place means to a shot. Null when the shot has no path. */
export const siteShot = (parts: ShotParts, scene: Scene): SiteShot | null => {
  const { shot, aircraft, location } = parts;
  const path = flyLayout(layoutOf(parts), parts, shot.move.values, CLOSELY);
  if (!path.ok) return null;
  const way: Way = { points: path.value.samples.map((s) => s.pose.at), totalS: path.value.totalS };
  const [first, last] = [way.points[0], way.points.at(-1)];
  if (!first || !last) return null;
  const solids = solidsFor(scene, shot);
  const launch = launchOf(scene.features, scene.ground, location, shot);
  const eye = eyeOf(scene, launch.at);
  const [spanM, heightM] = [aircraft?.spanM ?? 0.4, aircraft?.heightM ?? 0.15];
  const near = nearestAlong(way.points, solids, CARED_M);
  const heights = heightsOver(scene, way);
  const wind = (of: number): number => windSpeedAt(of, path.value.highestM, SHEAR[location.terrain]);
  const under = solids.find((s) => s.opaque && way.points.some((p) => p.z < topAt(s, p.x, p.y)));
  const waterAt = (p: Vec3): boolean => scene.zones.some((f) => f.kind === 'water' && nearTo(f, p) <= 0);
  const wet = way.points.filter(waterAt);
  const planBs = scene.features.filter((f) => f.kind === 'plan-b').flatMap(spotsOf);
  const planBM =
    wet.length === 0 || planBs.length === 0
      ? null
      : Math.max(...wet.map((p) => Math.min(...planBs.map((b) => Math.hypot(b.x - p.x, b.y - p.y)))));
  const home = homeOf(scene, [...scene.solids, ...scene.subjectSolids.values()], way, launch.at);
  const overhead = under?.name ?? null;
  return {
    shotId: shot.id,
    launchId: launch.id,
    launch: launch.at,
    eye,
    nearest: near && {
      id: near.solid.id,
      name: near.solid.name,
      freeM: near.freeM - Math.hypot(spanM, heightM) / 2,
      topM: near.solid.topM,
      at: near.at,
      timeS: secondAt(way, near.share),
      goes: travelSide(
        path.value.samples.map((s) => s.pose),
        near.share,
      ),
    },
    gap: path.value.gap ?? null,
    driftM: gustDrift(
      wind(location.windMs),
      wind(Math.max(location.gustMs, location.windMs)),
      scene.film.preferences.reactionS,
    ),
    ...heights,
    sight: sightOf(scene, solids, eye, way, spanM),
    zones: scene.zones
      .filter((f) => f.kind !== 'water')
      .flatMap((f) => {
        const meet = zoneMeet(f, way, launch.at);
        return meet ? [meet] : [];
      }),
    home,
    overWaterS: (wet.length / way.points.length) * way.totalS,
    planBM,
    overhead: overhead,
    loss: lossOf(scene, shot, {
      points: way.points,
      overhead,
      home,
      launch: launch.at,
      launchId: launch.id,
      solids,
    }),
    fromPilot: [first, last].map((p) => ({
      bearingDeg: bearingTo(eye, p),
      distanceM: Math.hypot(p.x - eye.x, p.y - eye.y),
    })),
  };
};
