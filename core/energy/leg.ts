import { gustedWind, windSpeedAt, type Wind } from '../air';
import { bearingTo, flatLength, radians, type Vec3 } from '../geometry';
import { found, none, type Result } from '../units';
import { bestAirspeed, groundSpeed, lackingAirspeed, type PowerAtAirspeed } from './best-airspeed';
import type { PowerModel } from './power';

/** What flies a leg: the power model and the speeds it is flown at. */
export interface LegFlyer {
  readonly power: PowerModel;
  /** Speed over ground wished for between shots, m/s. */
  readonly repositionMs: number;
  /** Fastest airspeed a leg is planned at, m/s: a share of the top speed. */
  readonly topAirspeedMs: number;
  readonly maxClimbMs: number;
  readonly maxDescentMs: number;
  /** How far the way home counts the gusts: 0 the mean wind, 1 the gust all the way. */
  readonly homeGustShare: number;
  /** Speed of least energy over ground in still air, m/s. */
  readonly thriftyMs: () => number;
}

export interface LegCost {
  readonly seconds: number;
  readonly wattHours: number;
  /** Level part of a leg: metres over ground, and how many times the seconds of still air it takes. */
  readonly level?: { readonly lengthM: number; readonly slower: number };
}

/** The wind is too strong for a leg: airspeed lacking to hold its line with headway, m/s, and the height of the leg, m. */
export interface WindTooStrong {
  readonly lackingMs: number;
  readonly heightM: number;
}

const levelPower =
  (power: PowerModel): PowerAtAirspeed =>
  (airspeedMs) =>
    power.watts(airspeedMs, 0);

/** What flies a leg. Its thriftiest speed in still air is worked out when it is first asked for: most never fly home by it. */
export const legFlyer = (figures: Omit<LegFlyer, 'thriftyMs'>): LegFlyer => {
  const { power, topAirspeedMs } = figures;
  let thriftyMs: number | undefined;
  const known = (): number =>
    (thriftyMs ??= bestAirspeed(levelPower(power), 0, 0, topAirspeedMs) ?? topAirspeedMs);
  return { thriftyMs: known, ...figures };
};

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

interface LegWind {
  readonly headMs: number;
  readonly crossMs: number;
}

const windOn = (wind: Wind, from: Vec3, to: Vec3): LegWind => {
  const speed = windSpeedAt(wind.speedAt10mMs, (from.z + to.z) / 2, wind.shear);
  const angle = radians(wind.fromDeg - bearingTo(from, to));
  return { headMs: speed * Math.cos(angle), crossMs: speed * Math.sin(angle) };
};

/**
 * Speed over ground with the least energy a metre, m/s; none when even the fastest airspeed planned makes no headway.
 */
const thriftiest = (flyer: LegFlyer, { headMs, crossMs }: LegWind): number => {
  const best = bestAirspeed(levelPower(flyer.power), headMs, crossMs, flyer.topAirspeedMs);
  return best === null ? 0 : groundSpeed(best, headMs, crossMs);
};

const wishedSpeed = (flyer: LegFlyer): number => Math.min(flyer.repositionMs, flyer.topAirspeedMs);

/**
 * Speed over ground between shots, m/s: the one wished for, as long as it takes no more airspeed than it does in still air or
 * than the thriftiest in this wind; from there on the thriftiest.
 */
const repositioning = (flyer: LegFlyer, wind: LegWind): number => {
  const wished = wishedSpeed(flyer);
  const needed = flatLength(wished + wind.headMs, wind.crossMs);
  if (needed <= wished) return wished;
  const best = bestAirspeed(levelPower(flyer.power), wind.headMs, wind.crossMs, flyer.topAirspeedMs);
  if (best === null) return 0;
  const most = Math.max(best, wished);
  return needed <= most ? wished : groundSpeed(most, wind.headMs, wind.crossMs);
};

/** A leg whose speed over ground is chosen for the wind on it; slower where the climb or descent could not keep up. */
const flownLeg = (
  flyer: LegFlyer,
  wind: Wind,
  from: Vec3,
  to: Vec3,
  speedIn: (flyer: LegFlyer, wind: LegWind) => number,
  stillMs: number,
): Result<LegCost, WindTooStrong> => {
  const lengthM = flatLength(to.x - from.x, to.y - from.y);
  const rise = to.z - from.z;
  if (lengthM < 0.01) return found(verticalCost(flyer, wind, from.z, to.z));
  const on = windOn(wind, from, to);
  const speed = speedIn(flyer, on);
  if (!(speed > 0))
    return none({
      lackingMs: lackingAirspeed(on.headMs, on.crossMs, flyer.topAirspeedMs),
      heightM: (from.z + to.z) / 2,
    });
  const vertical = Math.abs(rise) / (rise > 0 ? flyer.maxClimbMs : flyer.maxDescentMs);
  const seconds = Math.max(lengthM / speed, vertical);
  const airspeed = flatLength(lengthM / seconds + on.headMs, on.crossMs);
  return found({
    seconds,
    wattHours: (flyer.power.watts(airspeed, rise / seconds) * seconds) / 3600,
    level: { lengthM, slower: seconds / Math.max(lengthM / stillMs, vertical) },
  });
};

/**
 * Straight leg from shot to shot, at the speed over ground that is wished for; against the wind at the airspeed of least
 * energy over ground, up to the fastest that is planned.
 * @returns how much airspeed is lacking when the wind is stronger than that
 */
export const legCost = (flyer: LegFlyer, wind: Wind, from: Vec3, to: Vec3): Result<LegCost, WindTooStrong> =>
  flownLeg(flyer, wind, from, to, repositioning, wishedSpeed(flyer));

const ORIGIN: Vec3 = { x: 0, y: 0, z: 0 };

/**
 * Way home from a place: up to the return height if below it, straight over the launch point at the airspeed of least energy
 * over ground, down. The wind counts with a share of its gusts.
 * @param returnHeightM above the launch point, m
 * @returns how much airspeed is lacking when the wind is too strong to come home
 */
export const wayHome = (
  flyer: LegFlyer,
  wind: Wind,
  from: Vec3,
  returnHeightM: number,
  home: Vec3 = ORIGIN,
): Result<LegCost, WindTooStrong> => {
  const felt = gustedWind(wind, flyer.homeGustShare);
  const top = Math.max(from.z, home.z + returnHeightM);
  const up = verticalCost(flyer, felt, from.z, top);
  const over = flownLeg(
    flyer,
    felt,
    { ...from, z: top },
    { x: home.x, y: home.y, z: top },
    thriftiest,
    flyer.thriftyMs(),
  );
  if (!over.ok) return over;
  const down = verticalCost(flyer, felt, top, home.z);
  return found({
    seconds: up.seconds + over.value.seconds + down.seconds,
    wattHours: up.wattHours + over.value.wattHours + down.wattHours,
    ...(over.value.level ? { level: over.value.level } : {}),
  });
};
