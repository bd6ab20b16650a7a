/** Degrees to radians. */
export const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Radians to degrees. */
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** A compass bearing brought into [0, 360). */
export const bearing = (deg: number): number => ((deg % 360) + 360) % 360;

/** Signed turn from one bearing to another, in (-180, 180]. */
export const turnBetween = (fromDeg: number, toDeg: number): number => {
  const turn = bearing(toDeg - fromDeg);
  return turn > 180 ? turn - 360 : turn;
};
