import { airDensity } from '../air';
import { powerModel } from '../energy';
import { distance } from '../geometry';
import type { Feature, HandlingName } from '../model';
import type { Trajectory } from '../moves';
import { windOf, type ShotFacts, type ShotLight } from '../shot';
import { groundAt } from '../site';
import { LEVEL_GROUND } from '../terrain';
import { locationAt } from '../weather';
import { overLeaves } from './leaves';
import { RATE_DEG_S } from './rates';
import type { RehearsedCraft, RehearsedPlace } from './flight';

/** A shot as it is rehearsed. */
export interface RehearsedShot {
  readonly trajectory: Trajectory;
  readonly craft: RehearsedCraft;
  readonly place: Omit<RehearsedPlace, 'random'>;
  readonly verticalFovDeg: number;
  /** Distance of what is filmed at the start, m. */
  readonly aimM: number;
}

/** How a shot is rehearsed. */
export interface RehearsedAs {
  /** Stick profile it is flown with. */
  readonly handling: HandlingName;
  /** Wind and gusts are left out. */
  readonly calm: boolean;
  /** Without position hold, where the camera is screwed on. */
  readonly byAttitude?: boolean;
  /** What bears leaves at the location. */
  readonly leaves?: readonly Feature[];
}

/**
 * A shot with its aircraft, stick profile, ground and the wind of its minute; null where it has no path or no aircraft.
 */
export const rehearsalOf = (
  { facts, light }: { readonly facts: ShotFacts; readonly light: ShotLight | null },
  { handling, calm, byAttitude = false, leaves = [] }: RehearsedAs,
): RehearsedShot | null => {
  const { trajectory, aircraft, location, camera, frame, aim, ground } = facts;
  if (!trajectory || !aircraft || trajectory.frames) return null;
  const there = light ? locationAt(location, light.atMs) : location;
  const wind = windOf(there);
  return {
    trajectory,
    craft: {
      profile: aircraft.handling[handling],
      topSpeedMs: aircraft.maxSpeedMs,
      maxClimbMs: aircraft.maxClimbMs,
      maxDescentMs: aircraft.maxDescentMs,
      power: powerModel(
        aircraft,
        airDensity(location.elevationM, there.temperatureC),
        0,
        aircraft.energyFactor,
      ),
      fixedTiltDeg: camera?.fixedTiltDeg ?? null,
      rateDegS: byAttitude && camera?.fixedTiltDeg != null ? RATE_DEG_S[handling] : null,
    },
    place: {
      wind: calm ? { ...wind, speedAt10mMs: 0, gustAt10mMs: 0 } : wind,
      groundAt: (x, y) => (ground ? groundAt(ground, x, y) : 0),
      leavesAt: overLeaves(leaves, ground ?? LEVEL_GROUND),
    },
    verticalFovDeg: frame.fov.verticalDeg,
    aimM: distance(trajectory.start.at, aim.aim),
  };
};
