import { inRing, type Vec3 } from '../geometry';
import { spotsOf } from '../site';
import type { Feature } from '../model';
import type { ShotFacts } from '../shot';

export type LossRisk = 'water' | 'far';

const known = new WeakMap<
  ShotFacts,
  {
    readonly wet: readonly Feature[];
    readonly x: number;
    readonly y: number;
    readonly awayM: number;
    readonly away: LossRisk | null;
  }
>();

/** Areas of water of a place. */
export const waterOf = (features: readonly Feature[], locationId: string): Feature[] =>
  features.filter((f) => f.locationId === locationId && f.kind === 'water' && f.shape === 'area');

const sameList = (a: readonly Feature[], b: readonly Feature[]): boolean =>
  a.length === b.length && a.every((f, i) => f === b[i]);

/**
 * Whether a shot is flown where an aircraft that comes down is gone with its card: over water, or far from who launched it.
 * @param awayM distance over the ground from which it is far, m
 */
export const lossRiskOf = (
  facts: ShotFacts,
  wet: readonly Feature[],
  launch: Vec3,
  awayM: number,
): LossRisk | null => {
  const before = known.get(facts);
  if (
    before &&
    before.x === launch.x &&
    before.y === launch.y &&
    before.awayM === awayM &&
    sameList(before.wet, wet)
  )
    return before.away;
  const spots = facts.trajectory?.samples.map((s) => s.pose.at) ?? [];
  const rings = spots.length > 0 ? wet.map(spotsOf) : [];
  const away = rings.some((r) => spots.some((p) => inRing(r, p.x, p.y)))
    ? 'water'
    : spots.some((p) => Math.hypot(p.x - launch.x, p.y - launch.y) > awayM)
      ? 'far'
      : null;
  known.set(facts, { wet, x: launch.x, y: launch.y, awayM, away });
  return away;
};
