/** How far a gust carries an aircraft before it is held, m: what it blows more than the mean wind, over the reaction time. */
export const gustDrift = (windMs: number, gustMs: number, reactionS: number): number =>
  Math.max(0, gustMs - windMs) * reactionS;
