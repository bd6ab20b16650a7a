import { flatLength } from '../geometry';

/** Watts of level flight at an airspeed, m/s. */
export type PowerAtAirspeed = (airspeedMs: number) => number;

/** Speed over ground along a line at an airspeed, by the wind triangle, m/s; not above zero where it makes no headway. */
export const groundSpeed = (airspeedMs: number, headMs: number, crossMs: number): number =>
  Math.sqrt(Math.max(0, airspeedMs * airspeedMs - crossMs * crossMs)) - headMs;

/** Airspeed from which on a line is held with headway, m/s. */
const leastAirspeed = (headMs: number, crossMs: number): number =>
  headMs > 0 ? flatLength(headMs, crossMs) : Math.abs(crossMs);

/** Airspeed lacking to hold a line with headway, m/s; 0 where the fastest is enough. */
export const lackingAirspeed = (headMs: number, crossMs: number, topMs: number): number =>
  Math.max(0, leastAirspeed(headMs, crossMs) - topMs);

const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Brackets the airspeed to a thousandth of the range. */
const ROUNDS = 16;

/**
 * Airspeed of least energy for a metre over ground, m/s: the minimum of P(v)/(√(v² − c²) − h) up to a fastest airspeed, by
 * golden-section search. Below the airspeed of least power both factors fall; above it a convex power is divided by a concave
 * speed: there is one minimum.
 * @param headMs headwind on the line, m/s, negative from behind
 * @param crossMs crosswind, m/s
 * @returns null where even the fastest airspeed makes no headway
 */
export const bestAirspeed = (
  power: PowerAtAirspeed,
  headMs: number,
  crossMs: number,
  topMs: number,
): number | null => {
  const least = leastAirspeed(headMs, crossMs);
  if (!(topMs > least) || !(groundSpeed(topMs, headMs, crossMs) > 1e-6)) return null;
  const perMetre = (v: number): number => {
    const ground = groundSpeed(v, headMs, crossMs);
    return ground > 0 ? power(v) / ground : Infinity;
  };
  let low = least;
  let high = topMs;
  let a = high - GOLDEN * (high - low);
  let b = low + GOLDEN * (high - low);
  let atA = perMetre(a);
  let atB = perMetre(b);
  for (let round = 0; round < ROUNDS; round += 1)
    if (atA < atB) {
      high = b;
      b = a;
      atB = atA;
      a = high - GOLDEN * (high - low);
      atA = perMetre(a);
    } else {
      low = a;
      a = b;
      atA = atB;
      b = low + GOLDEN * (high - low);
      atB = perMetre(b);
    }
  const middle = (low + high) / 2;
  // The fastest itself, where the least is at the end of the range.
  return perMetre(topMs) <= perMetre(middle) ? topMs : middle;
};
