import { vec, type Vec3 } from '../geometry';
import type { Feature } from '../model';

/** Launch point that stands on something that moves: its home point is not where the aircraft took off from. */
export const isUnderWay = (launch: Pick<Feature, 'footing' | 'movesMs'> | undefined): boolean =>
  launch !== undefined && launch.footing !== 'ground' && launch.movesMs > 0;

/** Launch point of a boat or a vehicle, lying still or under way. */
export const isAboard = (launch: Pick<Feature, 'footing'> | undefined): boolean =>
  launch !== undefined && launch.footing !== 'ground';

/**
 * How far a launch point has moved after a time: speed × time along its course, north 0°, east 90°.
 * @param seconds since take-off
 * @returns shift on the map, m east and north
 */
export const driftOf = (launch: Pick<Feature, 'movesMs' | 'movesDeg'>, seconds: number): Vec3 => {
  const course = (launch.movesDeg * Math.PI) / 180;
  const metres = launch.movesMs * seconds;
  return vec(metres * Math.sin(course), metres * Math.cos(course), 0);
};

/** The launch point a flight is flown from, where one was drawn. */
export const launchFeature = (features: readonly Feature[], id: string | null): Feature | undefined =>
  id === null ? undefined : features.find((f) => f.id === id && f.kind === 'launch');
