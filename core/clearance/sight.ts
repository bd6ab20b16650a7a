export type AirframeKind = 'multirotor' | 'fixed-wing';

/** Share of the ground visibility up to which an aircraft is made out against the sky. */
export const DETECTION_SHARE = 0.3;

/** Distance at which a pilot can still tell how the aircraft lies: 327·CD + 20 m, fixed wing 490·CD + 30 m. */
const ATTITUDE: Readonly<Record<AirframeKind, readonly [perM: number, plusM: number]>> = {
  multirotor: [327, 20],
  'fixed-wing': [490, 30],
};

/** Distance at which the aircraft is still made out, m: 0.3 × ground visibility. */
export const detectionLimit = (visibilityM: number): number => DETECTION_SHARE * visibilityM;

/**
 * How far a pilot sees the aircraft well enough to fly it, m: the smaller of attitude and detection limits.
 * EASA guidance on visual line of sight. A figure to plan with; local rules may ask for less.
 * @param largestDimensionM largest size of the aircraft, m
 */
export const sightLimit = (kind: AirframeKind, largestDimensionM: number, visibilityM: number): number => {
  const [perM, plusM] = ATTITUDE[kind];
  return Math.min(perM * largestDimensionM + plusM, detectionLimit(visibilityM));
};
