import { aimOf, frameOnGround, shadowsOf } from '@core/shot';
import { homeWay, type LaunchIdea, type SiteShot } from '@core/location';
import type { DerivedShot } from '@core/film';
import type { SunPosition } from '@core/light';
import { dragHandlesOf, type PathSample } from '@core/moves';
import type { Vec3 } from '@core/geometry';
import type { Entity } from '@core/model';
import { fixed } from '../../format';
import type { Spot } from '../../map/features';
import type { GripPart } from '../../map/styles';
import type { Layers } from './useLayers';
import type { Plan } from './usePlan';
import { tr } from './messages';

const xy = (v: { readonly x: number; readonly y: number }): Spot => ({ xM: v.x, yM: v.y });

interface Seen {
  readonly plan: Plan;
  readonly shot: DerivedShot | null;
  readonly sample: PathSample | null;
  readonly launch: Vec3 | null;
  readonly layers: Layers;
  readonly facts: SiteShot | null;
  readonly sun: SunPosition | null;
  readonly ideas: readonly LaunchIdea[];
}

/** What the plan shows besides what is drawn on it: frame, shadows, way home, the moment, what hides it, ideas. */
export const extrasOf = ({ plan, shot, sample, launch, layers, facts, sun, ideas }: Seen) => ({
  frame:
    shot && sample && layers.frame
      ? frameOnGround(sample.pose, shot.facts.fov, plan.ground.value).map(xy)
      : [],
  moment: sample ? { at: xy(sample.pose.at), turnDeg: sample.pose.headingDeg } : null,
  home:
    shot?.facts.trajectory && launch
      ? homeWay(shot.facts.trajectory.end.at, launch, plan.place.value?.returnHeightM ?? 0).map(xy)
      : [],
  shadows:
    sun && layers.shadows
      ? shadowsOf(plan.subjects.value, plan.things.value, sun).map((ring) => ring.map(xy))
      : [],
  sightlines: facts ? facts.sight.hidden.map((h) => [xy(facts.eye), xy(h.at)]) : [],
  ideas: ideas.map((i, n) => ({
    at: { xM: i.xM, yM: i.yM },
    text: tr('ideaSeen', { n: n + 1, percent: fixed(i.seenMusts * 100) }),
  })),
});

/** Pins of a picture being laid; else drag handles of the picked shot and the launch point at the origin, where the place has no other. */
export const handlesOf = (
  plan: Plan,
  shot: DerivedShot | null,
  pinning: Entity<'picture'> | null,
): { part: GripPart; shotId: string; at: Spot }[] => {
  if (pinning)
    return pinning.pins.map((p, i) => ({
      part: 'pin',
      shotId: `${pinning.id} ${i}`,
      at: { xM: p.xM, yM: p.yM },
    }));
  const { value: place } = plan.place;
  const own = plan.things.value.some((t) => t.id === place?.launchId);
  const origin = own ? [] : [{ part: 'launch' as const, shotId: '', at: { xM: 0, yM: 0 } }];
  const move = shot?.facts.move;
  if (!shot || !move) return origin;
  if (move.byPoints)
    return [
      ...shot.facts.shot.move.points.map((p, i) => ({
        part: 'point' as const,
        shotId: `${shot.facts.shot.id} ${i}`,
        at: { xM: p.xM, yM: p.yM },
      })),
      ...origin,
    ];
  const subject = plan.subjects.value.find((s) => s.id === shot.facts.shot.subjectId) ?? null;
  return [
    ...dragHandlesOf(move, shot.facts.shot.move.values, aimOf(subject)).map((g) => ({
      part: g.part,
      shotId: shot.facts.shot.id,
      at: xy(g.at),
    })),
    ...origin,
  ];
};
