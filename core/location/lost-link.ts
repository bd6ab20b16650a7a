import { toShape, type Vec3 } from '../geometry';
import { topAt, wayHomeOver, type Solid } from '../clearance';
import { featureWords, spotsOf } from '../site';
import type { Shot, LossAction } from '../model';
import type { Scene } from './scene';
import type { SiteShot } from './types';

interface Along {
  readonly points: readonly Vec3[];
  readonly overhead: string | null;
  readonly home: SiteShot['home'];
  readonly launch: Vec3;
  readonly solids: readonly Solid[];
}

/** What lies under a place: the first of things and zones there. */
const below = (scene: Scene, solids: readonly Solid[], p: Vec3): string | null => {
  const solid = solids.find((s) => topAt(s, p.x, p.y) > -Infinity);
  if (solid) return solid.name;
  const zone = scene.zones.find(
    (f) => toShape(spotsOf(f), f.shape === 'area', p.x, p.y) <= (f.shape === 'point' ? f.radiusM : 0),
  );
  return zone ? zone.name || featureWords(zone.kind).name : null;
};

const metres = (m: number): string => `${Math.max(0, m).toFixed(0)} m`;

/** What a return at the set height would meet from the worst place of a path. */
const returning = (scene: Scene, { overhead, home, launch }: Along): string => {
  if (overhead) return `climbs into ${overhead} first`;
  if (!home) return 'nothing known on the way';
  const { corridorM } = scene.film.preferences;
  const heightM = Math.max(home.from.z, launch.z + scene.location.returnHeightM);
  const { tallestM } = wayHomeOver(
    scene.ground,
    [...scene.solids, ...scene.subjectSolids.values()],
    { ...home.from, z: heightM },
    launch,
    corridorM,
    scene.location.ceilingM,
  );
  const over = heightM - tallestM;
  return over <= 0 ? `flies into ${home.by}` : `passes ${home.by} with ${metres(over)} over it`;
};

/**
 * What each action on a lost signal would meet, and which one is advised: return in the open; hover where something stands
 * overhead, or where the way home is shut. Ordinary practice, no rule; the person confirms it.
 */
export const lossOf = (scene: Scene, shot: Shot, along: Along): SiteShot['loss'] => {
  const chosen: LossAction = shot.lossAction ?? scene.location.lossAction;
  const underneath =
    along.points.map((p) => below(scene, along.solids, p)).find((name) => name !== null) ?? null;
  const back = returning(scene, along);
  const shut = back.startsWith('flies into');
  const meets = {
    return: back,
    hover: 'stays until the pack asks for a landing, then comes down on the spot',
    land: underneath ? `comes down on ${underneath}` : 'comes down on open ground',
  };
  if (along.overhead)
    return { chosen, advice: 'hover', why: `Under ${along.overhead} a return climbs into it.`, meets };
  if (shut)
    return {
      chosen,
      advice: 'hover',
      why: `At the return height set, the way home meets ${along.home?.by ?? 'something'}.`,
      meets,
    };
  return { chosen, advice: 'return', why: 'The sky over the path is open.', meets };
};
