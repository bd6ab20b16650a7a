import { measured, message, type Message, type Name } from '../messages';
import { toShape, type Vec3 } from '../geometry';
import { topAt, wayHomeOver, type Solid } from '../clearance';
import { isUnderWay, launchFeature, spotsOf, featureName } from '../site';
import type { Shot, LossAction } from '../model';
import type { Scene } from './scene';
import type { SiteShot } from './types';

interface Along {
  readonly points: readonly Vec3[];
  readonly overhead: Name | null;
  readonly home: SiteShot['home'];
  readonly launch: Vec3;
  readonly launchId: string | null;
  readonly solids: readonly Solid[];
}

/** What lies under a place: the first of things and zones there. */
const below = (scene: Scene, solids: readonly Solid[], p: Vec3): Name | null => {
  const solid = solids.find((s) => topAt(s, p.x, p.y) > -Infinity);
  if (solid) return solid.name;
  const zone = scene.zones.find(
    (f) => toShape(spotsOf(f), f.shape === 'area', p.x, p.y) <= (f.shape === 'point' ? f.radiusM : 0),
  );
  return zone ? featureName(zone) : null;
};

/** What a return at the set height would meet from the worst place of a path. */
const returning = (
  scene: Scene,
  { overhead, home, launch }: Along,
): { readonly meets: Message; readonly shut: boolean } => {
  if (overhead) return { meets: message('lost-link.climbs-into', { overhead }), shut: false };
  if (!home) return { meets: message('lost-link.unknown'), shut: false };
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
  return over <= 0
    ? { meets: message('lost-link.flies-into', { obstacle: home.by }), shut: true }
    : {
        meets: message('lost-link.passes', { obstacle: home.by, over: measured(over, 'metres', 0) }),
        shut: false,
      };
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
  const meets = {
    return: back.meets,
    hover: message('lost-link.hovers'),
    land: underneath ? message('lost-link.lands-on', { underneath }) : message('lost-link.lands'),
  };
  const from = launchFeature(scene.features, along.launchId);
  if (from && isUnderWay(from))
    return {
      chosen,
      advice: 'hover',
      why: message('location.loss-of.under-way', {
        launch: featureName(from),
        metres: measured(from.movesMs * 60, 'metres', 0),
      }),
      meets: { ...meets, return: message('lost-link.finds-nobody') },
    };
  if (along.overhead)
    return {
      chosen,
      advice: 'hover',
      why: message('location.loss-of.why', { overhead: along.overhead }),
      meets,
    };
  if (back.shut)
    return {
      chosen,
      advice: 'hover',
      why: message('location.loss-of.why.2', { by: along.home?.by ?? message('thing.any') }),
      meets,
    };
  return { chosen, advice: 'return', why: message('location.loss-of.why.3'), meets };
};
