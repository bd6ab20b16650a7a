import { angleToSun, FLARE_MARGIN_DEG, type SunPosition } from '../light';
import { SHEAR, windSpeedAt } from '../air';
import type { Pose } from '../moves';
import { blurPixels, paceBand, STROBE_CROSSING_S, type PaceBand } from '../pace';
import { between, distance, lengthOf, turnBetween } from '../geometry';
import { flyLayout, layoutOf } from './layout';
import { paceAlong } from './pace-along';
import { subjectAt } from './subject-at';
import type { ShotLight } from './shot-light';
import type { ShotFacts } from './facts';

/** A moment of a move, with what is worth knowing about it. */
export interface TrackSample {
  readonly timeS: number;
  readonly pose: Pose;
  readonly speedMs: number;
  readonly distanceM: number;
  /** Seconds the fastest thing in the frame needs to cross it; Infinity when nothing moves. */
  readonly crossingS: number;
  readonly band: PaceBand;
  readonly strobes: boolean;
  /** Blur of it at the chosen shutter, pixels. */
  readonly blurPx: number;
  readonly sunInLens: boolean;
}

/** A move as it is looked at: second by second, with what the cut can use of it. */
export interface Track {
  readonly samples: readonly TrackSample[];
  readonly totalS: number;
  readonly preRollS: number;
  readonly postRollS: number;
  /** The part the cut can use, seconds of the move; handles lie at its ends. */
  readonly usableFromS: number;
  readonly usableToS: number;
  readonly handleS: number;
  readonly marks: readonly { readonly timeS: number; readonly say: string }[];
}

/** A shot and the light it is flown in, where that is known. */
export interface ShotAtMinute {
  readonly facts: ShotFacts;
  readonly light: ShotLight | null;
}

const PER_SECOND = 8;
const MOST = 1600;
/** Blur beyond which edges are seen to smear, as a share of the frame's width. */
export const BLUR_SHARE = 1 / 40;

/** Samples a shot closely for seeing it: eight poses a second. Null without a path. */
export const trackOf = (shot: ShotAtMinute): Track | null => {
  const { facts, light } = shot;
  const coarse = facts.trajectory;
  if (!coarse) return null;
  const trajectory = flyLayout(
    layoutOf(facts),
    facts,
    facts.shot.move.values,
    Math.min(MOST, Math.ceil(coarse.totalS * PER_SECOND)),
  );
  if (!trajectory.ok) return null;
  const { samples, totalS, usableS, steadyFromS, marks } = trajectory.value;
  const shutterS = light?.exposure.ok
    ? light.exposure.value.choice.shutterS
    : 1 / (2 * (facts.mode?.fps ?? 25));
  const sun: SunPosition | null = light && light.sun.altitudeDeg > -0.833 ? light.sun : null;
  const { preRollS, postRollS, handleS } = facts.film.preferences;
  return {
    totalS,
    preRollS,
    postRollS,
    handleS,
    marks,
    usableFromS: steadyFromS,
    usableToS: Math.min(totalS, steadyFromS + usableS),
    samples: samples.map((s): TrackSample => {
      const pace = paceAlong({ ...facts, trajectory: trajectory.value }, [s]);
      return {
        timeS: s.timeS,
        pose: s.pose,
        speedMs: lengthOf(s.velocity),
        distanceM: distance(s.pose.at, subjectAt({ ...facts, trajectory: trajectory.value }, s.timeS)),
        crossingS: pace.crossingS,
        band: paceBand(pace.crossingS),
        strobes: pace.widthsPerS * STROBE_CROSSING_S > 1,
        blurPx: blurPixels(pace, facts.frame.cutPx, shutterS),
        sunInLens:
          sun !== null &&
          angleToSun(s.pose.headingDeg, s.pose.tiltDeg, sun) < facts.fov.horizontalDeg / 2 + FLARE_MARGIN_DEG,
      };
    }),
  };
};

/** The sample at a second, and the pose between two of them; before the start and after the end it stands. */
export const momentAt = (track: Track, timeS: number): TrackSample & { readonly pose: Pose } => {
  const last = track.samples.length - 1;
  const x = Math.min(last, Math.max(0, (timeS / Math.max(track.totalS, 1e-9)) * last));
  const i = Math.min(last - 1, Math.floor(x));
  const [a, b] = [track.samples[Math.max(0, i)], track.samples[i + 1]];
  if (!a) throw new RangeError('a track has samples');
  if (!b) return a;
  const u = x - i;
  const mix = (from: number, to: number): number => from + (to - from) * u;
  return {
    ...a,
    timeS,
    speedMs: mix(a.speedMs, b.speedMs),
    distanceM: mix(a.distanceM, b.distanceM),
    pose: {
      at: between(a.pose.at, b.pose.at, u),
      headingDeg: a.pose.headingDeg + turnBetween(a.pose.headingDeg, b.pose.headingDeg) * u,
      tiltDeg: mix(a.pose.tiltDeg, b.pose.tiltDeg),
    },
  };
};

/** Stretches of one band along a track, for the strip under it. */
export const bandsOf = (
  track: Track,
): { readonly band: PaceBand; readonly fromS: number; readonly toS: number }[] => {
  const found: { band: PaceBand; fromS: number; toS: number }[] = [];
  for (const s of track.samples) {
    const last = found.at(-1);
    if (last?.band === s.band) last.toS = s.timeS;
    else {
      if (last) last.toS = s.timeS;
      found.push({ band: s.band, fromS: s.timeS, toS: s.timeS });
    }
  }
  return found;
};

/** Wind at the height of a moment, m/s. */
export const windAt = ({ location }: ShotFacts, heightM: number): number =>
  windSpeedAt(location.windMs, heightM, SHEAR[location.terrain]);
