import { legSeconds, windSpeedAt, windVector, type Wind } from '../air';
import { bearingTo, flatLength, type Vec3 } from '../geometry';
import { found, none, type Result } from '../units';
import type { PowerModel } from './power';

/** What flies a leg: the power model and the speeds it is flown at. */
export interface LegFlyer {
  readonly power: PowerModel;
  /** Airspeed over ground legs, m/s. */
  readonly airspeedMs: number;
  readonly maxClimbMs: number;
  readonly maxDescentMs: number;
}

export interface LegCost {
  readonly seconds: number;
  readonly wattHours: number;
}

export const NO_LEG: LegCost = { seconds: 0, wattHours: 0 };

/** Hover in the wind at a height for some seconds: the aircraft flies against the air to stand still. */
export const hoverCost = (power: PowerModel, wind: Wind, heightM: number, seconds: number): LegCost => ({
  seconds,
  wattHours: (power.watts(windSpeedAt(wind.speedAt10mMs, heightM, wind.shear), 0) * seconds) / 3600,
});

/** Straight climb or descent on the spot between two heights. */
export const verticalCost = (flyer: LegFlyer, wind: Wind, fromM: number, toM: number): LegCost => {
  const rise = toM - fromM;
  const rate = rise > 0 ? flyer.maxClimbMs : flyer.maxDescentMs;
  const seconds = Math.abs(rise) / rate;
  const air = windSpeedAt(wind.speedAt10mMs, (fromM + toM) / 2, wind.shear);
  return { seconds, wattHours: (flyer.power.watts(air, rise > 0 ? rate : 0) * seconds) / 3600 };
};

/**
 * Straight leg between two places at the flyer's airspeed through the wind at its mean height; slower where the climb or
 * descent could not keep up.
 * @returns no answer when the wind is stronger than the aircraft
 */
export const legCost = (flyer: LegFlyer, wind: Wind, from: Vec3, to: Vec3): Result<LegCost> => {
  const run = flatLength(to.x - from.x, to.y - from.y);
  const rise = to.z - from.z;
  if (run < 0.01) return found(verticalCost(flyer, wind, from.z, to.z));
  const length = flatLength(run, rise);
  const windMs = windSpeedAt(wind.speedAt10mMs, (from.z + to.z) / 2, wind.shear);
  const level = legSeconds(length, bearingTo(from, to), flyer.airspeedMs, windMs, wind.fromDeg);
  if (!level.ok) return none(level.reason);
  const vertical = Math.abs(rise) / (rise > 0 ? flyer.maxClimbMs : flyer.maxDescentMs);
  const seconds = Math.max(level.value, vertical);
  const air = windVector(wind, (from.z + to.z) / 2);
  const airspeed = flatLength((to.x - from.x) / seconds - air.x, (to.y - from.y) / seconds - air.y);
  return found({ seconds, wattHours: (flyer.power.watts(airspeed, rise / seconds) * seconds) / 3600 });
};

const ORIGIN: Vec3 = { x: 0, y: 0, z: 0 };

/**
 * Way home from a place: up to the return height if below it, straight over the launch point, down.
 * @param returnHeightM above the launch point, m
 */
export const wayHome = (
  flyer: LegFlyer,
  wind: Wind,
  from: Vec3,
  returnHeightM: number,
  home: Vec3 = ORIGIN,
): Result<LegCost> => {
  const top = Math.max(from.z, home.z + returnHeightM);
  const up = verticalCost(flyer, wind, from.z, top);
  const over = legCost(flyer, wind, { ...from, z: top }, { x: home.x, y: home.y, z: top });
  if (!over.ok) return over;
  const down = verticalCost(flyer, wind, top, home.z);
  return found({
    seconds: up.seconds + over.value.seconds + down.seconds,
    wattHours: up.wattHours + over.value.wattHours + down.wattHours,
  });
};
