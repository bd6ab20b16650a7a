import { solveExposure, type ExposureAnswer, type FilterChoice } from '../exposure';
import type { Kit } from '../kit';
import { angleToSun, sceneLight, sunAt, sunSide, type SceneLight, type SunPosition, type SunSide } from '../light';
import { blurPixels } from '../pace';
import type { Result } from '../units';
import type { ShotFacts } from './shot';
import type { Reading } from './types';

/** Light and settings of a shot at the minute it is planned. */
export interface ShotLight {
  readonly atMs: number;
  readonly sun: SunPosition;
  readonly scene: SceneLight;
  readonly side: SunSide;
  /** Smallest angle between the camera's axis and the sun along the move, deg. */
  readonly nearestSunDeg: number;
  readonly sunInLens: boolean;
  readonly exposure: Result<ExposureAnswer>;
  /** Blur of the nearest ground at the chosen shutter, pixels; 0 when nothing moves. */
  readonly blurPx: number;
}

const STILL_BLUR_PX = 3;
/** Added to half the field of view before the sun counts as out of the lens, deg. */
const FLARE_MARGIN_DEG = 5;
/** Filter id that a person chooses for the bare lens. */
export const BARE = 'bare';

/** The sun's angle changes slowly along a path: every second pose is looked at, both ends among them. */
const SUN_EVERY = 2;

const filtersFor = (facts: ShotFacts, kit: Kit): FilterChoice[] => kit.filters
  .filter((f) => !f.retired && (f.aircraftIds.length === 0 || (facts.aircraft !== null && f.aircraftIds.includes(facts.aircraft.id))))
  .map((f) => ({ id: f.id, factor: f.factor }));

const longestStill = (facts: ShotFacts): boolean => {
  const fps = facts.mode?.fps ?? 25;
  return blurPixels(facts.pace.edgeCrossingS, facts.mode?.widthPx ?? 3840, 1 / fps) < STILL_BLUR_PX;
};

const task = (facts: ShotFacts, kit: Kit, scene: SceneLight, flightFilterId: string | null | undefined) => {
  const { shot, film, camera, location } = facts;
  const { preferences: p } = film;
  const fixed = shot.exposure;
  return {
    sceneEv100: scene.ev100,
    apertures: camera?.apertures ?? [], isoBase: camera?.isoBase ?? 100, isoCeiling: camera?.isoCeiling ?? 100,
    filters: filtersFor(facts, kit),
    captureFps: facts.mode?.fps ?? film.timelineFps,
    bandLowDeg: p.shutterLowDeg, bandHighDeg: p.shutterHighDeg, biasStops: p.highlightBiasStops,
    mainsHz: location.lamps === 'none' || scene.skyEv100 > scene.ev100 - 0.3 ? null : location.mainsHz,
    still: longestStill(facts),
    fixed: {
      aperture: fixed.aperture ?? undefined, shutterS: fixed.shutterS ?? undefined, iso: fixed.iso ?? undefined,
      filterId: fixed.filterId === null ? undefined : fixed.filterId === BARE ? null : fixed.filterId,
    },
    flightFilterId,
  };
};

/**
 * Light, sun side and exposure of a shot at an instant.
 * @param flightFilterId filter on the lens from the shot before in the same flight; undefined for the first
 */
export const shotLight = (
  facts: ShotFacts, kit: Kit, readings: readonly Reading[], atMs: number, flightFilterId: string | null | undefined,
): ShotLight => {
  const { location, shot } = facts;
  const sun = sunAt(atMs, location.latitude, location.longitude);
  const altitudeAt = (utcMs: number): number => (utcMs === atMs ? sun : sunAt(utcMs, location.latitude, location.longitude)).altitudeDeg;
  const scene = sceneLight(atMs, altitudeAt, location.sky, location.lamps, shot.offsetStops, readings);
  const poses = facts.flown?.samples.filter((_, i) => i % SUN_EVERY === 0).map((s) => s.pose) ?? [];
  const nearestSunDeg = poses.reduce((min, pose) => Math.min(min, angleToSun(pose.headingDeg, pose.tiltDeg, sun)), 180);
  const exposure = solveExposure(task(facts, kit, scene, flightFilterId));
  const middle = poses[Math.floor(poses.length / 2)];
  return {
    atMs, sun, scene, nearestSunDeg, exposure,
    side: middle && middle.tiltDeg > -75 ? sunSide(middle.headingDeg, sun) : 'none',
    sunInLens: sun.altitudeDeg > -0.833 && nearestSunDeg < facts.fov.horizontalDeg / 2 + FLARE_MARGIN_DEG,
    blurPx: exposure.ok && Number.isFinite(facts.pace.edgeCrossingS)
      ? blurPixels(facts.pace.edgeCrossingS, facts.mode?.widthPx ?? 0, exposure.value.choice.shutterS) : 0,
  };
};
