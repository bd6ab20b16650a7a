/** Mean angular acceleration of a gentle turn, °/s². */
export const TURN_ACCEL_DEG_S2 = 8;
