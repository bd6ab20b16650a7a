import type { PathSample } from '../moves';
import { degrees, flatLength, radians, turnBetween, type Vec3 } from '../geometry';
import { edgeDepression } from './ground';

/** How fast something moves across and along the frame, °/s. */
export interface Rates {
  readonly acrossDegS: number;
  readonly alongDegS: number;
}

/**
 * Rates of what lies in a direction d at 1/R a metre, for any movement of the camera: d changes by −(v − (v·d)d)/R − Ω×d in the
 * camera's own frame, v the camera's velocity less that of the thing, Ω its tilt about its right and its yaw about the vertical.
 * What is returned are the parts of that along the camera's right r and along r×d, written out: f is how far d points to where
 * the camera heads. For straight level flight over level ground this is exactly v sin²δ/h (along) and v sinδ/h (across); far
 * away (1/R = 0) only the turning is left.
 */
const ratesOf = (sample: PathSample, d: Vec3, perMetre: number, v = sample.velocity): Rates => {
  const heading = radians(sample.pose.headingDeg);
  const [sin, cos] = [Math.sin(heading), Math.cos(heading)];
  const radial = v.x * d.x + v.y * d.y + v.z * d.z;
  const [x, y, z] = [v.x - radial * d.x, v.y - radial * d.y, v.z - radial * d.z];
  const f = d.x * sin + d.y * cos;
  const right = d.x * cos - d.y * sin;
  const acrossS = -perMetre * (x * cos - y * sin) - radians(sample.yawDegS) * f;
  const alongS =
    perMetre * (d.z * (x * sin + y * cos) - z * f) -
    radians(sample.tiltDegS) * (d.z * d.z + f * f) -
    radians(sample.yawDegS) * d.z * right;
  return { acrossDegS: degrees(acrossS), alongDegS: degrees(alongS) };
};

const lookedDown = (sample: PathSample, depressionDeg: number): Vec3 => {
  const [heading, down] = [radians(sample.pose.headingDeg), radians(depressionDeg)];
  return {
    x: Math.sin(heading) * Math.cos(down),
    y: Math.cos(heading) * Math.cos(down),
    z: -Math.sin(down),
  };
};

/** What the camera flies over and looks at. Local metres. */
export interface PaceScene {
  /** Height of the ground, or of what stands on it below the camera, over a place; NaN where nothing is known. */
  readonly surfaceAt: (x: number, y: number, belowM: number) => number;
  /** The subject at a second of the move; null where there is none, or the move goes along with it. */
  readonly subjectAt: ((timeS: number) => { readonly at: Vec3; readonly velocity: Vec3 }) | null;
  readonly subjectHeightM: number;
}

/** Level ground at the height of the launch point, and no subject. */
export const LEVEL_SCENE: PaceScene = { surfaceAt: () => 0, subjectAt: null, subjectHeightM: 0 };

export interface PaceFrame {
  readonly horizontalDeg: number;
  readonly verticalDeg: number;
}

/** The camera is never taken to be nearer to the ground than this, m. */
const LEAST_HEIGHT_M = 0.2;
/** How often a line of sight is carried on to the ground it meets. */
const ROUNDS = 3;
/** Ground beyond this is looked up here, m. */
const FAR_M = 3000;

/** Height of a camera over a place, m. */
const heightAbove = (surfaceM: number, cameraM: number): number =>
  Math.max(LEAST_HEIGHT_M, cameraM - (Number.isNaN(surfaceM) ? 0 : surfaceM));

/** Height of the camera over what a line of sight meets, m. */
const heightOver = ({ pose: { at } }: PathSample, d: Vec3, { surfaceAt }: PaceScene): number => {
  let heightM = heightAbove(surfaceAt(at.x, at.y, at.z), at.z);
  for (let round = 0; round < ROUNDS && d.z > -1; round += 1) {
    const range = Math.min(FAR_M, heightM / -d.z);
    const thereM = heightAbove(surfaceAt(at.x + d.x * range, at.y + d.y * range, at.z), at.z);
    // From the same height the line meets the same place: every further look would be this one.
    if (thereM === heightM) break;
    heightM = thereM;
  }
  return heightM;
};

/** What crosses the frame the fastest: the near ground, the subject, or what is far. */
export type PaceOf = 'ground' | 'subject' | 'background';

/** Slower than this share of the frame a second nothing is seen to move. */
const LEAST_SHARE = 1e-6;

interface Crossing {
  readonly of: PaceOf;
  readonly sample: PathSample;
  /** Rates across and along the frame, °/s, and the share of it that is crossed in a second. */
  readonly acrossDegS: number;
  readonly alongDegS: number;
  readonly share: number;
  readonly heightM: number;
  readonly depressionDeg: number;
}

/**
 * The faster of what is known and what is looked at now; of two as fast the first.
 * @param counts how far it is noticed, 0 to 1
 */
const fasterOf = (
  known: Crossing | null,
  of: PaceOf,
  sample: PathSample,
  frame: PaceFrame,
  rates: Rates,
  heightM: number,
  depressionDeg: number,
  counts = 1,
): Crossing | null => {
  const acrossDegS = rates.acrossDegS * counts;
  const alongDegS = rates.alongDegS * counts;
  const share = flatLength(acrossDegS / frame.horizontalDeg, alongDegS / frame.verticalDeg);
  return share > (known?.share ?? LEAST_SHARE)
    ? { of, sample, acrossDegS, alongDegS, share, heightM, depressionDeg }
    : known;
};

/** Looks at one thing in the frame of a sample: it, where it is faster than what is known. */
type Look = (
  known: Crossing | null,
  sample: PathSample,
  frame: PaceFrame,
  scene: PaceScene,
) => Crossing | null;

/** The near ground: what the lowest line of the frame meets. None where the whole frame looks above level. */
export const nearGround: Look = (known, sample, frame, scene) => {
  const depressionDeg = edgeDepression(-sample.pose.tiltDeg, frame.verticalDeg);
  if (depressionDeg <= 0) return known;
  const d = lookedDown(sample, depressionDeg);
  const heightM = heightOver(sample, d, scene);
  return fasterOf(known, 'ground', sample, frame, ratesOf(sample, d, -d.z / heightM), heightM, depressionDeg);
};

/** What is far: ground at the highest line of the frame, or the horizon where that looks above it. */
const background: Look = (known, sample, frame, scene) => {
  const lowest = -sample.pose.tiltDeg + frame.verticalDeg / 2;
  const depressionDeg = lowest < 0 ? lowest : Math.max(0, -sample.pose.tiltDeg - frame.verticalDeg / 2);
  const d = lookedDown(sample, depressionDeg);
  const heightM = depressionDeg > 0 ? heightOver(sample, d, scene) : sample.pose.at.z;
  const rates = ratesOf(sample, d, Math.max(0, -d.z) / heightM);
  return fasterOf(known, 'background', sample, frame, rates, heightM, depressionDeg);
};

/** A subject this large in the frame counts fully; a smaller one by its share. */
const NOTICED_FILL = 0.15;
/** Over this share of half the frame beyond its edge a subject fades out of what counts. */
const FADE = 0.25;
const within = (offDeg: number, fovDeg: number): number =>
  Math.min(1, Math.max(0, (1 + FADE - Math.abs(offDeg) / (fovDeg / 2)) / FADE));

/** The subject, counted by how much of the frame it takes up and whether it is in it. */
const subjectCrossing: Look = (known, sample, frame, scene) => {
  const subject = scene.subjectAt?.(sample.timeS);
  if (!subject) return known;
  const { at, headingDeg, tiltDeg } = sample.pose;
  const to: Vec3 = { x: subject.at.x - at.x, y: subject.at.y - at.y, z: subject.at.z - at.z };
  const flat = flatLength(to.x, to.y);
  const rangeM = Math.max(0.5, flatLength(flat, to.z));
  const d: Vec3 = { x: to.x / rangeM, y: to.y / rangeM, z: to.z / rangeM };
  const fill = scene.subjectHeightM / (2 * rangeM * Math.tan(radians(frame.verticalDeg) / 2));
  const elevationDeg = degrees(Math.atan2(to.z, flat));
  const seen =
    Math.min(1, fill / NOTICED_FILL) *
    within(turnBetween(headingDeg, degrees(Math.atan2(to.x, to.y))), frame.horizontalDeg) *
    within(elevationDeg - tiltDeg, frame.verticalDeg);
  if (seen <= 0) return known;
  const v = sample.velocity;
  const s = subject.velocity;
  const rates = ratesOf(sample, d, 1 / rangeM, { x: v.x - s.x, y: v.y - s.y, z: v.z - s.z });
  return fasterOf(known, 'subject', sample, frame, rates, Math.max(0, -to.z), -elevationDeg, seen);
};

export interface MovePace {
  /** Seconds the fastest thing in the frame needs to cross it, at the fastest moment; Infinity when nothing moves. */
  readonly crossingS: number;
  readonly of: PaceOf;
  /** Frame widths and frame heights it moves in a second. */
  readonly widthsPerS: number;
  readonly heightsPerS: number;
  /** Its angular rate, °/s. */
  readonly rateDegS: number;
  /** Height of the camera above it, m. */
  readonly heightM: number;
  readonly speedMs: number;
  readonly depressionDeg: number;
}

/** Nothing moves. */
export const NO_PACE: MovePace = {
  crossingS: Infinity,
  of: 'ground',
  widthsPerS: 0,
  heightsPerS: 0,
  rateDegS: 0,
  heightM: 0,
  speedMs: 0,
  depressionDeg: 0,
};

/**
 * Pace of a flown move: the fastest crossing of what fills a noticeable part of the frame, at its fastest moment. Looked at
 * are the lowest line of the frame, the subject, and the highest line or the horizon.
 */
export const movePace = (
  samples: readonly PathSample[],
  frame: PaceFrame,
  scene: PaceScene = LEVEL_SCENE,
): MovePace => {
  let fastest: Crossing | null = null;
  for (const sample of samples) {
    fastest = nearGround(fastest, sample, frame, scene);
    fastest = subjectCrossing(fastest, sample, frame, scene);
    fastest = background(fastest, sample, frame, scene);
  }
  if (!fastest) return NO_PACE;
  const { of, acrossDegS, alongDegS, share, heightM, depressionDeg, sample } = fastest;
  return {
    crossingS: 1 / share,
    of,
    widthsPerS: Math.abs(acrossDegS) / frame.horizontalDeg,
    heightsPerS: Math.abs(alongDegS) / frame.verticalDeg,
    rateDegS: flatLength(acrossDegS, alongDegS),
    heightM,
    speedMs: Math.hypot(sample.velocity.x, sample.velocity.y, sample.velocity.z),
    depressionDeg,
  };
};
