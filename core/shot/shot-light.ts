import { solveExposure, type ExposureAnswer, type ExposureTask } from '../exposure';
import type { Kit } from '../model';
import {
  DOWN_DEG,
  sceneLight,
  sunAlong,
  sunSide,
  type Look,
  type SceneLight,
  type SunAlong,
  type SunPosition,
  type SunSide,
} from '../light';
import { blurPixels } from '../pace';
import type { Message } from '../messages';
import type { Result } from '../units';
import type { ShotFacts } from './facts';
import { conditionsOf, sunOver, type LocationLight } from './location-light';
import { exposureTask, type OnLens } from './exposure-task';

/** Light and settings of a shot at the minute it is planned. */
export interface ShotLight {
  readonly atMs: number;
  readonly sun: SunPosition;
  readonly scene: SceneLight;
  /** Where it looks in the middle of the move; null where it looks down. */
  readonly headingDeg: number | null;
  readonly side: SunSide;
  /** How the sun stands to the camera along the whole move. */
  readonly along: SunAlong;
  readonly sunInLens: boolean;
  readonly exposure: Result<ExposureAnswer, Message>;
  /** Blur of the nearest ground at the chosen shutter, pixels; 0 when nothing moves. */
  readonly blurPx: number;
}

/** A scene and what it asks of the exposure solver, worked out before. */
export interface KnownScene {
  readonly scene: SceneLight;
  readonly task: ExposureTask;
}

/** The scene of a shot at an instant and what it asks of the solver, with no filter decided. */
export const knownScene = (
  facts: ShotFacts,
  kit: Pick<Kit, 'filters'>,
  lit: LocationLight,
  atMs: number,
): KnownScene => {
  const conditions = conditionsOf(lit, facts);
  const scene = sceneLight(atMs, conditions);
  return { scene, task: exposureTask(facts, kit, scene, conditions.altitudeAt(atMs), undefined) };
};

/** The sun's angle changes slowly along a path: every second pose is looked at, both ends among them. */
const SUN_EVERY = 2;

/** Directions a move looks in, with their seconds. */
export const looksOf = (facts: Pick<ShotFacts, 'trajectory'>): Look[] =>
  facts.trajectory?.samples
    .filter((_, i) => i % SUN_EVERY === 0)
    .map((s) => ({ timeS: s.timeS, headingDeg: s.pose.headingDeg, tiltDeg: s.pose.tiltDeg })) ?? [];

/** Direction in the middle of a move; null where there is none or it looks down. */
export const headingOf = (looks: readonly Look[]): number | null => {
  const middle = looks[Math.floor(looks.length / 2)];
  return middle && middle.tiltDeg > DOWN_DEG ? middle.headingDeg : null;
};

/**
 * Light, sun side and exposure of a shot at an instant.
 * @param known its scene at that instant
 * @param onLens filter its flight is flown with; undefined leaves it free
 */
export const shotLight = (
  facts: ShotFacts,
  { scene, task }: KnownScene,
  atMs: number,
  onLens: OnLens | undefined,
): ShotLight => {
  const sun = sunOver(facts.location, atMs);
  const looks = looksOf(facts);
  const along = sunAlong(looks, facts.fov.horizontalDeg, sun);
  const heading = headingOf(looks);
  const exposure = solveExposure({
    ...task,
    flightFilterId: onLens?.filterId,
    flightStops: onLens?.stops,
  });
  return {
    atMs,
    sun,
    scene,
    exposure,
    along,
    headingDeg: heading,
    side: heading === null ? 'none' : sunSide(heading, sun),
    sunInLens: along.inLens > 0,
    blurPx: exposure.ok ? blurPixels(facts.pace, facts.frame.cutPx, exposure.value.choice.shutterS) : 0,
  };
};
