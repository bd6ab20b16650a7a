import { toShape, type Vec3 } from '../geometry';
import type { Feature } from '../model';
import { groundAt, spotsOf } from '../site';
import type { Ground } from '../terrain';

/** So far above leaves their moving is seen by what looks down to hold the place, m. Own estimate. */
const OVER_LEAVES_M = 8;

const grows = ({ kind, points }: Feature): boolean =>
  (kind === 'wood' || kind === 'tree') && points.length > 0;

/** What bears leaves among the things of a location. */
export const leavesAmong = (things: readonly Feature[]): readonly Feature[] => things.filter(grows);

/**
 * How far the position hold is misled by leaves below, from 0 well above them or beside them to 1 among them: it sees them move and
 * takes it for its own drift.
 */
export const overLeaves = (things: readonly Feature[], ground: Ground): ((at: Vec3) => number) => {
  const leaves = leavesAmong(things).map((f) => ({
    spots: spotsOf(f),
    area: f.shape === 'area',
    reachM: f.radiusM,
    heightM: f.heightM,
  }));
  return ({ x, y, z }) =>
    leaves.reduce((most, { spots, area, reachM, heightM }) => {
      if (toShape(spots, area, x, y) > reachM) return most;
      const aboveM = z - groundAt(ground, x, y) - heightM;
      return Math.max(most, Math.min(1, Math.max(0, 1 - aboveM / OVER_LEAVES_M)));
    }, 0);
};
