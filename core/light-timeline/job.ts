import type { ExposureTask } from '../exposure';
import type { Kit, LightWish, Shot } from '../model';
import type { Look, SkySeen } from '../light';
import type { Vec3 } from '../geometry';
import type { PlannedShot } from '../day';
import { flyLayout, layoutOf, looksOf, exposureTask } from '../shot';

/** A shot as its light is looked at minute by minute: plain data, so that it can be sent beside the page. */
export interface LightJob {
  readonly shotId: string;
  readonly wants: LightWish;
  readonly shot: Pick<
    Shot,
    'offsetStops' | 'surface' | 'lit' | 'litShare' | 'notBefore' | 'notAfter' | 'move'
  >;
  readonly skySeen: SkySeen | null;
  readonly atMs: number;
  readonly airS: number;
  /** What a single take lasts, s. */
  readonly takeS: number;
  readonly looks: readonly Look[];
  readonly headingDeg: number | null;
  readonly horizontalFovDeg: number;
  readonly verticalFovDeg: number;
  readonly task: ExposureTask;
  /** Directions it looks in when flown from its end; null where that cannot be or makes no difference. */
  readonly reversedLooks: readonly Look[] | null;
  /** Where it looks steeply down from: the aircraft's shadow could be in the picture. */
  readonly steep: readonly { readonly at: Vec3; readonly headingDeg: number; readonly tiltDeg: number }[];
  readonly spanM: number;
}

/** Steeper than this the ground under the aircraft is in the frame or near it, deg. */
const STEEP_DEG = -45;

const reversedLooks = ({ facts, light }: PlannedShot): Look[] | null => {
  if (!light?.sunInLens || !facts.move?.reversible) return null;
  const move = { ...facts.shot.move, reversed: !facts.shot.move.reversed };
  const parts = { ...facts, shot: { ...facts.shot, move } };
  const trajectory = flyLayout(layoutOf(parts), parts);
  return trajectory.ok ? looksOf({ trajectory: trajectory.value }) : null;
};

/** What is sent of a shot; null where its light is not known. */
export const lightJob = (shot: PlannedShot, kit: Pick<Kit, 'filters'>): LightJob | null => {
  const { facts, light, filter } = shot;
  if (!light || !facts.trajectory) return null;
  const looks = looksOf(facts);
  const { offsetStops, surface, lit, litShare, notBefore, notAfter, move } = facts.shot;
  return {
    shotId: facts.shot.id,
    wants: facts.shot.wants,
    shot: { offsetStops, surface, lit, litShare, notBefore, notAfter, move },
    skySeen: facts.skySeen,
    atMs: light.atMs,
    airS: facts.seconds.airS,
    takeS: facts.seconds.takeS,
    looks,
    headingDeg: light.headingDeg,
    horizontalFovDeg: facts.fov.horizontalDeg,
    verticalFovDeg: facts.fov.verticalDeg,
    task: exposureTask(facts, kit, light.scene, light.sun.altitudeDeg, filter ?? undefined),
    reversedLooks: reversedLooks(shot),
    steep: facts.trajectory.samples.filter((s) => s.pose.tiltDeg < STEEP_DEG).map((s) => s.pose),
    spanM: facts.aircraft?.spanM ?? 0.3,
  };
};
