import { SEA_LEVEL_DENSITY, GRAVITY } from '../air';
import type { AirframeFigures } from '../model';

/** Constants of the power model. */
export const POWER = { inducedShare: 0.65, tipSpeedMs: 70, climbEfficiency: 0.55 } as const;

/** Where the parasite drag figure came from. */
export type CruiseBasis = 'rated-cruise' | 'drag-area' | 'unknown';

export interface PowerModel {
  /** Watts at an airspeed and vertical speed (up positive) in air of a density. */
  readonly watts: (airspeedMs: number, climbMs: number) => number;
  readonly hoverW: number;
  readonly basis: CruiseBasis;
}

const inducedVelocity = (massKg: number, rotors: number, diameterM: number, density: number): number =>
  Math.sqrt((massKg * GRAVITY) / (2 * density * ((rotors * Math.PI * diameterM * diameterM) / 4)));

/** Power against hover at an airspeed, without parasite drag: blade profile and induced parts. */
const shape = (airspeedMs: number, inducedMs: number): number => {
  const s = POWER.inducedShare;
  const v2 = airspeedMs * airspeedMs;
  const i2 = inducedMs * inducedMs;
  if (v2 === 0) return 1;
  return (
    (1 - s) * (1 + (3 * v2) / (POWER.tipSpeedMs * POWER.tipSpeedMs)) +
    s * Math.sqrt(Math.sqrt(1 + (v2 * v2) / (4 * i2 * i2)) - v2 / (2 * i2))
  );
};

const parasite = (
  craft: AirframeFigures,
  ratedHoverW: number,
  ratedInducedMs: number,
): { k: number; basis: CruiseBasis } => {
  if (craft.cruiseMinutes > 0 && craft.cruiseSpeedMs > 0) {
    const k =
      (craft.hoverMinutes / craft.cruiseMinutes - shape(craft.cruiseSpeedMs, ratedInducedMs)) /
      craft.cruiseSpeedMs ** 3;
    if (k > 0) return { k, basis: 'rated-cruise' };
  }
  if (craft.dragAreaM2 !== undefined && craft.dragAreaM2 > 0) {
    return {
      k: (0.5 * SEA_LEVEL_DENSITY * craft.dragAreaM2) / (POWER.climbEfficiency * ratedHoverW),
      basis: 'drag-area',
    };
  }
  return { k: 0, basis: 'unknown' };
};

/** Parasite power against the rated hover at 1 m/s: k of P = P_h0·k·v³; 0 where the cruise is unknown. */
export const parasiteFactor = (craft: AirframeFigures): number =>
  parasite(
    craft,
    craft.packWh / (craft.hoverMinutes / 60),
    inducedVelocity(craft.massKg, craft.rotors, craft.rotorDiameterM, SEA_LEVEL_DENSITY),
  ).k;

/**
 * Electrical power of a multirotor, W, from its rated hover and cruise times.
 * Shape after Zeng, Xu & Zhang, "Energy minimization for wireless communication with rotary-wing UAV",
 * IEEE Trans. Wireless Comm. 18(4), 2019. Climb adds w·m·g/η; descending gives nothing back.
 * @param density air density, kg/m³
 * @param addedMassKg mass on top of the rated mass, kg
 * @param factor real energy for each watt-hour so reckoned, from logged flights
 */
export const powerModel = (
  craft: AirframeFigures,
  density: number,
  addedMassKg = 0,
  factor = 1,
): PowerModel => {
  const ratedHoverW = craft.packWh / (craft.hoverMinutes / 60);
  const massKg = craft.massKg + addedMassKg;
  const hoverW =
    factor * ratedHoverW * (massKg / craft.massKg) ** 1.5 * Math.sqrt(SEA_LEVEL_DENSITY / density);
  const inducedMs = inducedVelocity(massKg, craft.rotors, craft.rotorDiameterM, density);
  const ratedInducedMs = inducedVelocity(craft.massKg, craft.rotors, craft.rotorDiameterM, SEA_LEVEL_DENSITY);
  const { k, basis } = parasite(craft, ratedHoverW, ratedInducedMs);
  const drag = (factor * ratedHoverW * k * density) / SEA_LEVEL_DENSITY;
  const climb = (factor * massKg * GRAVITY) / POWER.climbEfficiency;
  return {
    watts: (airspeedMs, climbMs) =>
      hoverW * shape(airspeedMs, inducedMs) +
      drag * airspeedMs * airspeedMs * airspeedMs +
      Math.max(climbMs, 0) * climb,
    hoverW,
    basis,
  };
};
