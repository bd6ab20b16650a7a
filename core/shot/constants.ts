/** Mean angular acceleration of a gentle turn, °/s². */
export const TURN_ACCEL_DEG_S2 = 8;

/** Shares of an aircraft's wind limit up to which footage is usable, and up to which it is flown at all. */
export const WIND_SHARES = { usable: 0.5, flyable: 0.7 } as const;
