/** Seconds until a pilot sees a gust take the aircraft and holds against it. */
export const REACTION_S = 1.5;

/** How far a gust carries an aircraft before it is held, m: what it blows more than the mean wind, over the reaction time. */
export const gustDrift = (windMs: number, gustMs: number, reactionS: number): number =>
  Math.max(0, gustMs - windMs) * reactionS;
