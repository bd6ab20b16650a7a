import { GRAVITY, windVectors, type Wind } from '../air';
import type { PowerModel } from '../energy';
import { radians, vec, type Vec3 } from '../geometry';
import type { Handling } from '../model';
import type { Pose } from '../moves';
import { AT_REST, curveAt, held, type StickState } from '../sticks';
import { CALM, nextGust, type Gust } from './gusts';
import { fixedPose, freeAccel, LEVEL, turned, type Attitude } from './rates';
import type { Controls } from './sticks';

/** An aircraft as it is rehearsed with: the kit's figures, its stick profile, its power. */
export interface RehearsedCraft {
  readonly profile: Handling;
  readonly topSpeedMs: number;
  readonly maxClimbMs: number;
  readonly maxDescentMs: number;
  readonly power: PowerModel;
  /** Tilt its camera is screwed on at; null where a gimbal tilts it. */
  readonly fixedTiltDeg: number | null;
  /** Pitch and roll at full stick where it is flown by attitude, holding no position, deg/s; null with position hold. */
  readonly rateDegS: number | null;
}

/** The air and the ground it is flown in. */
export interface RehearsedPlace {
  readonly wind: Wind;
  /** Height of the ground, m in the frame of the location. */
  readonly groundAt: (x: number, y: number) => number;
  /** How far leaves below mislead the position hold, 0 to 1. */
  readonly leavesAt: (at: Vec3) => number;
  /** Even draws from 0 to 1; the same ones give the same flight. */
  readonly random: () => number;
}

/** A moment of a flight by hand. */
export interface FlownState {
  readonly tS: number;
  readonly at: Vec3;
  /** Over ground, m/s. */
  readonly velocity: Vec3;
  readonly startHeadingDeg: number;
  readonly startTiltDeg: number;
  readonly sticks: StickState;
  /** How it lies in the air where it is flown by attitude; level with position hold. */
  readonly attitude: Attitude;
  readonly gust: Gust;
  /** The part of the gust the position hold has caught up with, m/s. */
  readonly caught: Gust;
  readonly usedWh: number;
  /** It came down onto the ground, or into it. */
  readonly touched: boolean;
}

/** Seconds of one step; short enough that a finer one changes nothing that is seen. */
export const STEP_S = 1 / 120;
/** How far it leans at most, by how fast its profile is, deg. Own estimate: a calm profile leans little. */
const LEAN_DEG = { calm: 14, fast: 34 } as const;
const CALM_MS = 3;
const FAST_MS = 18;
/** Within this time speed comes to what is asked, where lean allows, s. */
const FOLLOW_S = 0.35;
const CLIMB_ACCEL = 4;
/** The position hold catches up with a gust in this time, and until then it is pushed by this share of it each second. */
const CATCH_S = 0.8;
const PUSH_PER_S = 0.6;
/** Over leaves the hold follows them: they sway with this share of a gust. Own estimate. */
const LEAF_SHARE = 0.35;
const CLEAR_M = 0.25;
/** A gimbal tilts from here to here, deg. */
const TILT_DEG = [-90, 30] as const;

/** Level acceleration an aircraft gives with a profile, m/s²: g·tan(lean). */
export const levelAccel = ({ maxSpeedMs }: Handling): number => {
  const share = Math.max(0, Math.min(1, (maxSpeedMs - CALM_MS) / (FAST_MS - CALM_MS)));
  return GRAVITY * Math.tan(radians(LEAN_DEG.calm + share * (LEAN_DEG.fast - LEAN_DEG.calm)));
};

const headingOf = (s: FlownState): number => s.startHeadingDeg + s.sticks.yawDeg;

/** Tilt of the camera, between its stops. */
const tiltOf = (s: FlownState, fixed: number | null): number =>
  fixed ?? Math.max(TILT_DEG[0], Math.min(TILT_DEG[1], s.startTiltDeg + s.sticks.tiltDeg));

/** Where the aircraft is and where its camera looks. */
export const poseOf = (
  s: FlownState,
  { fixedTiltDeg, rateDegS }: Pick<RehearsedCraft, 'fixedTiltDeg' | 'rateDegS'>,
): Pose =>
  rateDegS !== null
    ? fixedPose(s.at, headingOf(s), s.attitude, fixedTiltDeg ?? 0)
    : {
        at: s.at,
        headingDeg: ((headingOf(s) % 360) + 360) % 360,
        tiltDeg: tiltOf(s, fixedTiltDeg),
      };

/** An aircraft that hovers at a pose. */
export const hovering = (pose: Pose): FlownState => ({
  tS: 0,
  at: pose.at,
  velocity: vec(0, 0, 0),
  startHeadingDeg: pose.headingDeg,
  startTiltDeg: pose.tiltDeg,
  sticks: AT_REST,
  attitude: LEVEL,
  gust: CALM,
  caught: CALM,
  usedWh: 0,
  touched: false,
});

/** Velocity over ground that is asked for, no faster through the air than the aircraft flies. */
const asked = (s: FlownState, c: Controls, craft: RehearsedCraft, wind: Vec3): Vec3 => {
  const { profile } = craft;
  const [f, r] = [curveAt(profile.expo, c.forward), curveAt(profile.expo, c.right)];
  // Both sticks in a corner are no faster than one of them full.
  const scale = profile.maxSpeedMs / Math.max(1, Math.hypot(f, r));
  const h = radians(headingOf(s));
  const [x, y] = [scale * (f * Math.sin(h) + r * Math.cos(h)), scale * (f * Math.cos(h) - r * Math.sin(h))];
  const through = Math.hypot(x - wind.x, y - wind.y);
  const over = through > craft.topSpeedMs ? craft.topSpeedMs / through : 1;
  const up = curveAt(profile.expo, c.up);
  return vec(
    wind.x + (x - wind.x) * over,
    wind.y + (y - wind.y) * over,
    up > 0 ? up * craft.maxClimbMs : up * craft.maxDescentMs,
  );
};

const within = (x: number, y: number, most: number): readonly [number, number] => {
  const length = Math.hypot(x, y);
  return length > most ? [(x / length) * most, (y / length) * most] : [x, y];
};

/** One step with position hold: sticks ask for speed over ground, lean limits how fast it is reached, gusts are caught up with. */
const stepHeld = (
  s: FlownState,
  c: Controls,
  craft: RehearsedCraft,
  mean: Vec3,
  gust: Gust,
  leaves: number,
): Pick<FlownState, 'velocity' | 'sticks' | 'caught'> => {
  const share = 1 - Math.exp(-STEP_S / CATCH_S);
  const caught = vec(
    s.caught.x + (gust.x - s.caught.x) * share,
    s.caught.y + (gust.y - s.caught.y) * share,
    s.caught.z + (gust.z - s.caught.z) * share,
  );
  const want = asked(s, c, craft, mean);
  const swayed = leaves * LEAF_SHARE;
  const [ax, ay] = within(
    (want.x + swayed * gust.x - s.velocity.x) / FOLLOW_S,
    (want.y + swayed * gust.y - s.velocity.y) / FOLLOW_S,
    levelAccel(craft.profile),
  );
  const az = Math.max(-CLIMB_ACCEL, Math.min(CLIMB_ACCEL, (want.z - s.velocity.z) / FOLLOW_S));
  const pushed = (now: number, held0: number): number => (now - held0) * PUSH_PER_S * STEP_S;
  const velocity = vec(
    s.velocity.x + ax * STEP_S + pushed(gust.x, caught.x),
    s.velocity.y + ay * STEP_S + pushed(gust.y, caught.y),
    s.velocity.z + az * STEP_S + pushed(gust.z, caught.z),
  );
  return { velocity, sticks: held(s.sticks, craft.profile, c.yaw, c.tilt, STEP_S), caught };
};

/**
 * One step by attitude: sticks turn the aircraft about its own axes and it stays as it was put; nothing holds place or height.
 * Wind and gusts act through the drag.
 */
const stepFree = (
  s: FlownState,
  c: Controls,
  craft: RehearsedCraft,
  rateDegS: number,
  wind: Vec3,
): Pick<FlownState, 'velocity' | 'sticks' | 'attitude'> => {
  const { profile } = craft;
  const { attitude, yawDeg } = turned(
    s.attitude,
    c,
    { rateDegS, yawDegS: profile.maxYawDegS, expo: profile.expo },
    STEP_S,
  );
  const air = vec(s.velocity.x - wind.x, s.velocity.y - wind.y, s.velocity.z - wind.z);
  const a = freeAccel(headingOf(s), attitude, c.up, air, craft.topSpeedMs);
  return {
    velocity: vec(s.velocity.x + a.x * STEP_S, s.velocity.y + a.y * STEP_S, s.velocity.z + a.z * STEP_S),
    sticks: { ...s.sticks, yawDeg: s.sticks.yawDeg + yawDeg, yawDegS: yawDeg / STEP_S },
    attitude,
  };
};

/**
 * The flight one step later with the sticks held. Position-hold flying: sticks ask for speed over ground, acceleration is limited
 * by how far the aircraft leans, the camera follows its profile (core/sticks), the hold catches up with gusts after a moment, and close over leaves it follows them.
 * It teaches timing and sticks; it knows no propeller wash, no satellites lost, no battery that sags.
 */
export const stepFlight = (
  s: FlownState,
  c: Controls,
  craft: RehearsedCraft,
  place: RehearsedPlace,
): FlownState => {
  const groundM = place.groundAt(s.at.x, s.at.y);
  const heightM = Math.max(0, s.at.z - groundM);
  const mean = windVectors(place.wind)(heightM);
  const air = Math.hypot(s.velocity.x - mean.x, s.velocity.y - mean.y);
  const gust = nextGust(s.gust, place.wind, heightM, air, STEP_S, place.random);
  const wind = vec(mean.x + gust.x, mean.y + gust.y, gust.z);
  const moved =
    craft.rateDegS === null
      ? stepHeld(s, c, craft, mean, gust, place.leavesAt(s.at))
      : { ...stepFree(s, c, craft, craft.rateDegS, wind), caught: s.caught };
  const { velocity } = moved;
  const z = s.at.z + velocity.z * STEP_S;
  const low = z < groundM + CLEAR_M;
  const watts = craft.power.watts(air, velocity.z);
  return {
    ...s,
    ...moved,
    tS: s.tS + STEP_S,
    at: vec(s.at.x + velocity.x * STEP_S, s.at.y + velocity.y * STEP_S, low ? groundM + CLEAR_M : z),
    velocity: low ? vec(0, 0, Math.max(0, velocity.z)) : velocity,
    gust,
    usedWh: s.usedWh + (watts * STEP_S) / 3600,
    touched: s.touched || low,
  };
};
