import { SEA_LEVEL_DENSITY, GRAVITY } from '../air';
import type { AirframeFigures } from '../model';

/** Constants of the power model. */
export const POWER = { inducedShare: 0.65, tipSpeedMs: 70, climbEfficiency: 0.55 } as const;

/** Where the parasite drag figure came from; both where a rated cruise and a drag area were weighed. */
export type CruiseBasis = 'rated-cruise' | 'drag-area' | 'both' | 'unknown';

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

/**
 * How far off, as a share, the power a cruise is rated with may be: times are rated in still air by who sells, and the shape of
 * the curve is not of this aircraft. Own estimate.
 */
const RATED_OFF = 0.1;
/** How far off a drag area is, one standard deviation of its logarithm: half as much again, or two thirds. Own estimate. */
const AREA_OFF = 0.5;

/** What is known of the drag of an aircraft. */
export interface DragFit {
  /** k of P = P_h0·k·v³, 1/(m/s)³; 0 where nothing is known. */
  readonly k: number;
  /** The same as a drag area CdA, m², and one standard deviation to either side. */
  readonly areaM2: number;
  readonly lowM2: number;
  readonly highM2: number;
  readonly basis: CruiseBasis;
}

const NO_DRAG: DragFit = { k: 0, areaM2: 0, lowM2: 0, highM2: 0, basis: 'unknown' };

/**
 * Drag from what there is. A rated cruise alone is taken as it stands: k = (hover/cruise − shape(v_c)) / v_c³. With a drag area
 * beside it the two are weighed by how sure they are (inverse variances of their logarithms): at a slow cruise drag is a small
 * part of the power, so that a rated time a few percent off makes it several times what it is.
 */
export const dragFit = (craft: AirframeFigures): DragFit => {
  const ratedHoverW = craft.packWh / (craft.hoverMinutes / 60);
  const induced = inducedVelocity(craft.massKg, craft.rotors, craft.rotorDiameterM, SEA_LEVEL_DENSITY);
  const cube = craft.cruiseSpeedMs ** 3;
  const ratio = craft.cruiseMinutes > 0 && cube > 0 ? craft.hoverMinutes / craft.cruiseMinutes : 0;
  const rated = ratio > 0 ? (ratio - shape(craft.cruiseSpeedMs, induced)) / cube : 0;
  const areaOfOne = (POWER.climbEfficiency * ratedHoverW) / (0.5 * SEA_LEVEL_DENSITY);
  const stated = Math.max(0, craft.dragAreaM2 ?? 0) / areaOfOne;
  const found = (k: number, weight: number, basis: CruiseBasis): DragFit => {
    const spread = Math.exp(1 / Math.sqrt(weight));
    const areaM2 = k * areaOfOne;
    return { k, areaM2, lowM2: areaM2 / spread, highM2: areaM2 * spread, basis };
  };
  const ratedWeight = rated > 0 ? (rated / ((RATED_OFF * ratio) / cube)) ** 2 : 0;
  const statedWeight = 1 / AREA_OFF ** 2;
  if (rated > 0 && stated > 0) {
    const weight = ratedWeight + statedWeight;
    const log = (ratedWeight * Math.log(rated) + statedWeight * Math.log(stated)) / weight;
    return found(Math.exp(log), weight, 'both');
  }
  if (rated > 0) return found(rated, ratedWeight, 'rated-cruise');
  return stated > 0 ? found(stated, statedWeight, 'drag-area') : NO_DRAG;
};

/** Drag area usual for a mass, m²: 0.015 m² at a kilogram, growing as its surface does. Own estimate from published areas. */
export const usualDragArea = (massKg: number): number => 0.015 * massKg ** (2 / 3);

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
  const { k, basis } = dragFit(craft);
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
