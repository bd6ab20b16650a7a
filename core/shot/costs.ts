import { airDensity, SHEAR, type Wind } from '../air';
import { videoBytes } from '../cards';
import {
  hoverCost,
  legCost,
  legFlyer,
  NO_LEG,
  pathEnergy,
  powerModel,
  type LegCost,
  type LegFlyer,
  type PathEnergy,
} from '../energy';
import { STILL_S, takeSeconds, type TakeSeconds } from '../footage';
import type { Aircraft, Camera, RecordingMode, Film, Location, Shot } from '../model';
import type { Trajectory } from '../moves';
import type { ShotParts } from './layout';

/** Energy parts of a shot, Wh. */
export interface ShotEnergy {
  readonly setupWh: number;
  readonly movesWh: number;
  readonly rollsWh: number;
  readonly betweenWh: number;
  readonly totalWh: number;
  readonly path: PathEnergy;
}

export const windOf = (location: Location): Wind => ({
  speedAt10mMs: location.windMs,
  gustAt10mMs: Math.max(location.gustMs, location.windMs),
  fromDeg: location.windFromDeg,
  shear: SHEAR[location.terrain],
});

/** What flies between shots: the aircraft's power in the air of the place, at the film's reposition speed. */
export const flyerOf = (aircraft: Aircraft, location: Location, film: Film, addedKg = 0): LegFlyer =>
  legFlyer({
    power: powerModel(
      aircraft,
      airDensity(location.elevationM, location.temperatureC),
      addedKg,
      aircraft.energyFactor,
    ),
    repositionMs: film.preferences.repositionMs,
    topAirspeedMs: film.preferences.topSpeedShare * aircraft.maxSpeedMs,
    homeGustShare: film.preferences.homeGustShare,
    maxClimbMs: aircraft.maxClimbMs,
    maxDescentMs: aircraft.maxDescentMs,
  });

/** Passes flown for video; none where only stills are wanted. */
export const takesOf = (shot: Shot): number => (shot.records === 'stills' ? 0 : shot.takes);

/** Single stills taken besides or instead of the video, each from a hover at the start. */
export const stillsOf = (shot: Shot): number => (shot.records === 'video' ? 0 : shot.stills);

const alternates = (shot: Shot): boolean => shot.takeStyle === 'there-and-back' && takesOf(shot) > 1;

const energyOf = (
  shot: Shot,
  film: Film,
  trajectory: Trajectory,
  flyer: LegFlyer,
  wind: Wind,
  reset: LegCost,
  groundAt: ((x: number, y: number) => number) | undefined,
  setUpS: number,
): ShotEnergy => {
  const { preRollS, postRollS, settleS } = film.preferences;
  const ways = pathEnergy(trajectory, flyer.power, wind, groundAt);
  const takes = takesOf(shot);
  const both = alternates(shot);
  const path =
    both && ways.back.peakAirspeedMs > ways.there.peakAirspeedMs
      ? { ...ways.there, peakAirspeedMs: ways.back.peakAirspeedMs }
      : ways.there;
  const hover = (z: number, s: number): number => hoverCost(flyer.power, wind, z, s).wattHours;
  const { z: startZ } = trajectory.start.at;
  const { z: endZ } = trajectory.end.at;
  const forward = Math.ceil(takes / 2);
  const movesWh = both
    ? forward * ways.there.wattHours + (takes - forward) * ways.back.wattHours
    : takes * ways.there.wattHours;
  const roll =
    hover(startZ, preRollS + shot.subjectMarginS) +
    hover(endZ, postRollS + shot.subjectMarginS) +
    hover(startZ, 2 * (shot.walkS ?? 0));
  const rollsWh = takes * roll;
  const between = hover(endZ, settleS) + (both ? 0 : reset.wattHours);
  const betweenWh = Math.max(0, takes - 1) * between;
  const setupWh = hover(startZ, setUpS + stillsOf(shot) * STILL_S);
  return { setupWh, movesWh, rollsWh, betweenWh, totalWh: setupWh + movesWh + rollsWh + betweenWh, path };
};

const MB = 1e6;

/** Size of one frame as a shot keeps it, MB. A camera without raw files keeps the compressed one. */
export const stillMBOf = (
  { stillAs }: Pick<Shot, 'stillAs'>,
  { stillMB, rawMB }: Pick<Camera, 'stillMB' | 'rawMB'>,
): number =>
  stillAs === 'compressed' || rawMB === 0 ? stillMB : stillAs === 'raw' ? rawMB : stillMB + rawMB;

/** Rate at which a shot is recorded, Mbit/s: of its mode, or of its single frames, one each interval. */
export const recordedMbits = ({
  shot,
  camera,
  mode,
  trajectory,
}: {
  readonly shot: Shot;
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  readonly trajectory: Trajectory | null;
}): number => {
  const frames = trajectory?.frames;
  if (!frames) return mode?.megabitsPerS ?? 0;
  return camera ? (stillMBOf(shot, camera) * 8) / frames.everyS : 0;
};

/** What goes on the card: video while it rolls, or the single frames of a time-lapse, panorama or bracket; stills besides. */
const bytesOf = (
  shot: Shot,
  trajectory: Trajectory,
  seconds: TakeSeconds,
  camera: Camera | null,
  mode: RecordingMode | null,
): number => {
  const stillBytes = camera ? stillMBOf(shot, camera) * MB : 0;
  const stills = stillsOf(shot) * stillBytes;
  if (trajectory.frames) return stills + takesOf(shot) * trajectory.frames.count * stillBytes;
  return stills + videoBytes(mode?.megabitsPerS ?? 0, seconds.recordedS);
};

export interface ShotCosts {
  readonly resetLeg: LegCost;
  readonly seconds: TakeSeconds;
  readonly energy: ShotEnergy | null;
  readonly bytes: number;
}

/** Seconds of framing before the first take, as logged flights of the aircraft have corrected them. */
export const setUpOf = (shot: Pick<Shot, 'setupS'>, aircraft: Pick<Aircraft, 'setUpFactor'> | null): number =>
  shot.setupS * (aircraft?.setUpFactor ?? 1);

/** Seconds, energy and bytes of a shot, given its path. */
export const costsOf = (
  parts: ShotParts,
  trajectory: Trajectory | null,
  camera: Camera | null,
  mode: RecordingMode | null,
): ShotCosts => {
  const { shot, film, location, aircraft } = parts;
  const { preRollS, postRollS, settleS } = film.preferences;
  const wind = windOf(location);
  const flyer = aircraft ? flyerOf(aircraft, location, film, parts.addedKg) : null;
  const setUpS = setUpOf(shot, aircraft);
  const leg = trajectory && flyer ? legCost(flyer, wind, trajectory.end.at, trajectory.start.at) : null;
  const resetLeg = leg?.ok ? leg.value : NO_LEG;
  const seconds = takeSeconds({
    takes: takesOf(shot),
    style: shot.takeStyle,
    moveS: trajectory ? trajectory.totalS : 0,
    preRollS,
    postRollS,
    subjectMarginS: shot.subjectMarginS,
    setupS: setUpS + stillsOf(shot) * STILL_S,
    settleS,
    resetLegS: resetLeg.seconds,
    walkS: shot.walkS ?? 0,
  });
  // A time-lapse or a panorama records frames, not seconds.
  const shown = trajectory?.frames ? { ...seconds, recordedS: 0 } : seconds;
  return {
    resetLeg,
    seconds: shown,
    energy:
      trajectory && flyer
        ? energyOf(shot, film, trajectory, flyer, wind, resetLeg, parts.ground?.at, setUpS)
        : null,
    bytes: trajectory ? bytesOf(shot, trajectory, seconds, camera, mode) : 0,
  };
};
