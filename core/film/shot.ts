import { airDensity, SHEAR, type Wind } from '../air';
import { videoBytes } from '../cards';
import { hoverCost, legCost, NO_LEG, pathEnergy, powerModel, type LegCost, type LegFlyer, type PathEnergy } from '../energy';
import { beatsToSeconds, capturedSeconds, steadySecondsWanted, takeSeconds, type CutSegment, type TakeSeconds } from '../footage';
import type { Aircraft, Camera, RecordingMode } from '../kit';
import { distanceClass, fieldOfView, frameFill, type DistanceClass, type FieldOfView } from '../lens';
import { fly, moveOf, type CameraMove, type Easing, type FlownMove, type MoveSubject } from '../moves';
import { movePace, paceBand, type MovePace, type PaceBand } from '../pace';
import { distance, vec, type Vec3 } from '../units';
import { TURN_ACCEL_DEG_S2 } from './defaults';
import type { Film, Location, Shot, Subject } from './types';

/** Energy parts of a shot, Wh. */
export interface ShotEnergy {
  readonly setupWh: number;
  readonly movesWh: number;
  readonly rollsWh: number;
  readonly betweenWh: number;
  readonly totalWh: number;
  readonly path: PathEnergy;
}

/** Everything worked out about one shot by itself, before it is put into a flight. */
export interface ShotFacts {
  readonly shot: Shot;
  readonly film: Film;
  readonly location: Location;
  readonly subject: Subject | null;
  readonly aim: MoveSubject;
  readonly move: CameraMove | null;
  readonly aircraft: Aircraft | null;
  readonly camera: Camera | null;
  readonly mode: RecordingMode | null;
  readonly fov: FieldOfView;
  readonly segments: readonly CutSegment[];
  readonly capturedS: number;
  readonly wantedS: number;
  readonly flown: FlownMove | null;
  /** Why there is no path, in words. */
  readonly noPath: string | null;
  readonly seconds: TakeSeconds;
  readonly resetLeg: LegCost;
  readonly energy: ShotEnergy | null;
  readonly bytes: number;
  readonly pace: MovePace;
  readonly band: PaceBand;
  /** Share of the frame's height the subject fills at the nearest moment. */
  readonly fill: number;
  readonly rangeM: number;
  readonly framing: DistanceClass;
  readonly fromPoint: Vec3;
  readonly toPoint: Vec3;
}

/** Place a shot without a subject aims at: a spot on the ground ahead of the launch point. */
const NOTHING: MoveSubject = { aim: vec(0, 60, 0), heightM: 2, widthM: 2, headingDeg: 0, speedMs: 0 };

const aimOf = (subject: Subject | null): MoveSubject => subject ? {
  aim: vec(subject.xM, subject.yM, subject.baseM + subject.heightM / 2), heightM: subject.heightM, widthM: subject.widthM,
  headingDeg: subject.headingDeg ?? 0, speedMs: subject.speedMs ?? 0,
} : NOTHING;

export const windOf = (location: Location): Wind => ({
  speedAt10mMs: location.windMs, gustAt10mMs: Math.max(location.gustMs, location.windMs), fromDeg: location.windFromDeg, shear: SHEAR[location.terrain],
});

export const easingOf = (film: Film): Easing => ({ accelMs2: film.preferences.easeAccelMs2, turnAccelDegS2: TURN_ACCEL_DEG_S2 });

/** What flies between shots: the aircraft's power in the air of the place, at the film's reposition speed. */
export const flyerOf = (aircraft: Aircraft, location: Location, film: Film): LegFlyer => ({
  power: powerModel(aircraft, airDensity(location.elevationM, location.temperatureC)),
  airspeedMs: Math.min(film.preferences.repositionMs, aircraft.maxSpeedMs),
  maxClimbMs: aircraft.maxClimbMs,
  maxDescentMs: aircraft.maxDescentMs,
});

const cutOf = (shot: Shot, film: Film): readonly CutSegment[] => {
  if (shot.cut.by === 'seconds') return shot.cut.segments;
  const beats = beatsToSeconds(shot.cut.beats, film.tempoBpm);
  return [{ timelineS: beats.ok ? beats.value : 0, speedFactor: shot.cut.segments[0]?.speedFactor ?? 1 }];
};

const energyOf = (shot: Shot, film: Film, flown: FlownMove, flyer: LegFlyer, wind: Wind, reset: LegCost): ShotEnergy => {
  const { preRollS, postRollS, settleS } = film.preferences;
  const ways = pathEnergy(flown, flyer.power, wind);
  const alternates = shot.takeStyle === 'there-and-back' && shot.takes > 1;
  const path = alternates && ways.back.peakAirspeedMs > ways.there.peakAirspeedMs
    ? { ...ways.there, peakAirspeedMs: ways.back.peakAirspeedMs } : ways.there;
  const hover = (z: number, s: number): number => hoverCost(flyer.power, wind, z, s).wattHours;
  const { z: startZ } = flown.start.at;
  const { z: endZ } = flown.end.at;
  const forward = Math.ceil(shot.takes / 2);
  const movesWh = alternates ? forward * ways.there.wattHours + (shot.takes - forward) * ways.back.wattHours : shot.takes * ways.there.wattHours;
  const roll = hover(startZ, preRollS + shot.subjectMarginS) + hover(endZ, postRollS + shot.subjectMarginS);
  const rollsWh = shot.takes * roll;
  const between = hover(endZ, settleS) + (alternates ? 0 : reset.wattHours);
  const betweenWh = Math.max(0, shot.takes - 1) * between;
  const setupWh = hover(startZ, shot.setupS);
  return { setupWh, movesWh, rollsWh, betweenWh, totalWh: setupWh + movesWh + rollsWh + betweenWh, path };
};

const nearest = (flown: FlownMove, aim: MoveSubject): number =>
  flown.samples.reduce((min, s) => Math.min(min, distance(s.pose.at, aim.aim)), Infinity);

export interface ShotParts {
  readonly shot: Shot;
  readonly film: Film;
  readonly location: Location;
  readonly subject: Subject | null;
  readonly aircraft: Aircraft | null;
}

const lensOf = ({ shot, aircraft, film }: ShotParts) => {
  const camera = aircraft?.cameras.find((c) => c.id === shot.cameraId) ?? aircraft?.cameras[0] ?? null;
  const mode = camera?.modes.find((m) => m.id === shot.modeId) ?? camera?.modes[0] ?? null;
  return { camera, mode, fov: fieldOfView(camera?.equivalentMm ?? 24, film.aspect, Math.max(1, shot.zoom)) };
};

const pathOf = (move: CameraMove | undefined, parts: ShotParts, aim: MoveSubject, wantedS: number) => {
  if (!move) return { ok: false as const, reason: `This version does not know the move “${parts.shot.move.kind}”.` };
  const shape = move.shape(parts.shot.move.values, aim);
  return shape.ok ? fly(shape.value, easingOf(parts.film), parts.shot.cutStyle, wantedS) : shape;
};

/** Seconds and energy of a shot, given its path. */
const costsOf = (parts: ShotParts, flown: FlownMove | null) => {
  const { shot, film, location, aircraft } = parts;
  const { preRollS, postRollS, settleS } = film.preferences;
  const wind = windOf(location);
  const flyer = aircraft ? flyerOf(aircraft, location, film) : null;
  const leg = flown && flyer ? legCost(flyer, wind, flown.end.at, flown.start.at) : null;
  const resetLeg = leg?.ok ? leg.value : NO_LEG;
  const seconds = takeSeconds({
    takes: shot.takes, style: shot.takeStyle, moveS: flown ? flown.totalS : 0, preRollS, postRollS,
    subjectMarginS: shot.subjectMarginS, setupS: shot.setupS, settleS, resetLegS: resetLeg.seconds,
  });
  return { resetLeg, seconds, energy: flown && flyer ? energyOf(shot, film, flown, flyer, wind, resetLeg) : null };
};

const ORIGIN = vec(0, 0, 0);

/** Where the shot begins and where its last take leaves the aircraft. */
const endsOf = (shot: Shot, flown: FlownMove | null): { fromPoint: Vec3; toPoint: Vec3 } => {
  if (!flown) return { fromPoint: ORIGIN, toPoint: ORIGIN };
  const endsAtStart = shot.takeStyle === 'there-and-back' && shot.takes % 2 === 0;
  return { fromPoint: flown.start.at, toPoint: endsAtStart ? flown.start.at : flown.end.at };
};

/** How the subject stands in the frame at the nearest moment. */
const framingOf = (flown: FlownMove | null, aim: MoveSubject, fov: FieldOfView) => {
  const rangeM = flown ? nearest(flown, aim) : NaN;
  const fill = frameFill(aim.heightM, rangeM, fov.verticalDeg);
  return { rangeM, fill, framing: distanceClass(fill) };
};

/** Works out one shot: path, seconds, energy, bytes, pace, framing. Every figure is derived; nothing is stored. */
export const shotFacts = (parts: ShotParts): ShotFacts => {
  const { shot, film, location, aircraft, subject } = parts;
  const aim = aimOf(subject);
  const { camera, mode, fov } = lensOf(parts);
  const segments = cutOf(shot, film);
  const capturedS = capturedSeconds(segments, film.timelineFps, mode?.fps ?? film.timelineFps);
  const wantedS = steadySecondsWanted(capturedS, film.preferences.minimumHoldS);
  const move = moveOf(shot.move.kind);
  const path = pathOf(move, parts, aim, wantedS);
  const flown = path.ok ? path.value : null;
  const costs = costsOf(parts, flown);
  const pace = movePace(flown?.samples ?? [], fov.horizontalDeg, fov.verticalDeg, aim.aim);
  const { rangeM, fill, framing } = framingOf(flown, aim, fov);
  const { fromPoint, toPoint } = endsOf(shot, flown);
  // Spelled out: spreading parts into it costs as much as working half of them out.
  return {
    shot, film, location, subject, aim, move: move ?? null, aircraft, camera, mode, fov, segments, capturedS, wantedS,
    flown, noPath: path.ok ? null : path.reason, resetLeg: costs.resetLeg, seconds: costs.seconds, energy: costs.energy,
    bytes: videoBytes(mode?.megabitsPerS ?? 0, flown ? costs.seconds.recordedS : 0),
    pace, band: paceBand(pace.edgeCrossingS), rangeM, fill, framing, fromPoint, toPoint,
  };
};
