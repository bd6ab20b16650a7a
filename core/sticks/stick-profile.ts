import { HANDLING_NAMES, type Handling, type HandlingName } from '../model';

/** Longest lag of a stick at full smoothing, s. Own estimate: between a twitch and a glide. */
const LONGEST_LAG_S = 1.2;

/**
 * Share of full rate a stick asks for: (1 − expo)·x + expo·x³, the usual curve; odd, full at full stick.
 * @param stick deflection, −1 to 1; beyond is taken as full
 */
export const curveAt = (expo: number, stick: number): number => {
  const x = Math.max(-1, Math.min(1, stick));
  return (1 - expo) * x + expo * x ** 3;
};

/** Time in which a rate comes within 1/e of what is asked, s. */
export const lagOf = (smoothing: number): number => smoothing * LONGEST_LAG_S;

/** How the camera turns and tilts at a moment: deg/s, and where it has come to since it began, deg. */
export interface StickState {
  readonly yawDegS: number;
  readonly tiltDegS: number;
  readonly yawDeg: number;
  readonly tiltDeg: number;
}

export const AT_REST: StickState = { yawDegS: 0, tiltDegS: 0, yawDeg: 0, tiltDeg: 0 };

/** A rate that lags behind what is asked, and what it adds up to over a time: exact for a held stick, so that steps of any length agree. */
const followed = (rate: number, asked: number, lagS: number, s: number): { rate: number; sum: number } => {
  if (lagS <= 0) return { rate: asked, sum: asked * s };
  const left = Math.exp(-s / lagS);
  return { rate: asked + (rate - asked) * left, sum: asked * s + (rate - asked) * lagS * (1 - left) };
};

/**
 * The camera some time later with the sticks held: each rate follows the stick through its curve with a first-order lag.
 * @param yaw right stick positive, −1 to 1 @param tilt up positive, −1 to 1 @param s ≥ 0
 */
export const held = (
  state: StickState,
  profile: Handling,
  yaw: number,
  tilt: number,
  s: number,
): StickState => {
  const turn = followed(
    state.yawDegS,
    curveAt(profile.expo, yaw) * profile.maxYawDegS,
    lagOf(profile.smoothing),
    s,
  );
  const nod = followed(
    state.tiltDegS,
    curveAt(profile.expo, tilt) * profile.maxTiltDegS,
    lagOf(profile.tiltSmoothing),
    s,
  );
  return {
    yawDegS: turn.rate,
    tiltDegS: nod.rate,
    yawDeg: state.yawDeg + turn.sum,
    tiltDeg: state.tiltDeg + nod.sum,
  };
};

/** Most a move asks of the sticks. */
export interface StickNeeds {
  readonly speedMs: number;
  readonly yawDegS: number;
  readonly tiltDegS: number;
}

const gives = (profile: Handling, needs: StickNeeds): boolean =>
  needs.speedMs <= profile.maxSpeedMs * 1.001 &&
  needs.yawDegS <= profile.maxYawDegS * 1.001 &&
  needs.tiltDegS <= profile.maxTiltDegS * 1.001;

/** The slowest setting that still gives what a move asks: the stick is then moved far, and a twitch of the thumb is small. null where none does. */
export const calmestSticks = (
  handling: Readonly<Record<HandlingName, Handling>>,
  needs: StickNeeds,
): HandlingName | null => HANDLING_NAMES.find((name) => gives(handling[name], needs)) ?? null;
