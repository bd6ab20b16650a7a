import { EYE_M, areaSolid, type Solid } from '../clearance';
import { featureWords, groundAt, solidOf, spotsOf } from '../site';
import type { Feature, Film, Location, Shot, Subject } from '../model';
import { LEVEL_GROUND, type Ground } from '../terrain';
import { vec, type Vec3 } from '../geometry';
import { footprint } from '../shot';

/** The place a flight is looked at in: ground, what stands on it, what it must keep away from, where one launches and stands. */
export interface Scene {
  readonly film: Film;
  readonly location: Location;
  readonly ground: Ground;
  readonly subjects: readonly Subject[];
  readonly features: readonly Feature[];
  /** Features that stand up; subjects stand in `subjectSolids`, by id, since a shot's own is dealt with by itself. */
  readonly solids: readonly Solid[];
  readonly subjectSolids: ReadonlyMap<string, Solid>;
  readonly zones: readonly Feature[];
}

/** Standing subjects are things to hit, too; moving ones are where nobody knows, and a field is ground. */
const subjectSolid = (subject: Subject): Solid =>
  areaSolid(
    subject.id,
    subject.name,
    footprint(subject).map((c) => vec(c.x, c.y, subject.baseM + subject.heightM)),
    subject.kind !== 'bridge',
  );

export const sceneOf = (
  film: Film,
  location: Location,
  subjects: readonly Subject[],
  features: readonly Feature[],
  ground: Ground | undefined,
): Scene => {
  const own = features.filter((f) => f.locationId === location.id);
  const here = subjects.filter((s) => s.locationId === location.id);
  const terrain = ground ?? LEVEL_GROUND;
  return {
    film,
    location,
    ground: terrain,
    subjects: here,
    features: own,
    solids: own.flatMap((f) => {
      const solid = solidOf(f, terrain);
      return solid ? [solid] : [];
    }),
    subjectSolids: new Map(
      here.filter((s) => s.speedMs === 0 && s.kind !== 'field').map((s) => [s.id, subjectSolid(s)]),
    ),
    zones: own.filter((f) => featureWords(f.kind).group === 'zone'),
  };
};

/** What a shot can hit: everything but its own subject. */
export const solidsFor = (scene: Scene, shot: Shot): Solid[] => [
  ...scene.solids,
  ...[...scene.subjectSolids].filter(([id]) => id !== shot.subjectId).map(([, solid]) => solid),
];

/** The pilot's eye: over the nearest marked stand, else over the launch point. */
export const eyeOf = (scene: Scene, launch: Vec3): Vec3 => {
  const stands = scene.features.filter((f) => f.kind === 'stand').flatMap((f) => spotsOf(f).slice(0, 1));
  const away = (s: { x: number; y: number }): number => Math.hypot(s.x - launch.x, s.y - launch.y);
  const nearest =
    stands.reduce<{ x: number; y: number } | null>(
      (best, s) => (!best || away(s) < away(best) ? s : best),
      null,
    ) ?? launch;
  return vec(nearest.x, nearest.y, groundAt(scene.ground, nearest.x, nearest.y) + EYE_M);
};
