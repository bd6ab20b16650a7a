import { angleToSun, FLARE_MARGIN_DEG, type SunPosition } from '../light';
import { SHEAR, windSpeedAt } from '../air';
import type { Pose } from '../moves';
import { blurPixels, movePace, paceBand, STROBE_CROSSING_S, type PaceBand } from '../pace';
import { nearestShare, between, distance, lengthOf, offset, turnBetween, vec, type Vec3 } from '../geometry';
import { flyLayout, layoutOf } from './layout';
import type { ShotLight } from './shot-light';
import type { ShotFacts } from './facts';
import type { Subject } from '../model';

/** A moment of a move, with what is worth knowing about it. */
export interface TrackSample {
  readonly timeS: number;
  readonly pose: Pose;
  readonly speedMs: number;
  readonly distanceM: number;
  /** Seconds the nearest ground needs across the frame; Infinity when nothing moves. */
  readonly crossingS: number;
  readonly band: PaceBand;
  readonly strobes: boolean;
  /** Blur of the nearest ground at the chosen shutter, pixels. */
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

/** Place on a drawn way, metres on from the spot of it that is nearest to where the subject stands; it waits at the ends. */
const alongPath = ({ path, xM, yM }: Subject, z: number, onM: number): Vec3 => {
  let [gone, best, start] = [0, Infinity, 0];
  const parts = path.slice(1).flatMap((b, i) => {
    const a = path[i];
    if (!a) return [];
    const length = Math.hypot(b.xM - a.xM, b.yM - a.yM);
    const u = nearestShare(a.xM, a.yM, b.xM, b.yM, xM, yM);
    const off = Math.hypot(xM - a.xM - (b.xM - a.xM) * u, yM - a.yM - (b.yM - a.yM) * u);
    if (off < best) {
      best = off;
      start = gone + length * u;
    }
    gone += length;
    return [{ a, b, length, from: gone - length }];
  });
  const at = Math.min(gone, Math.max(0, start + onM));
  const part = parts.find((p) => at <= p.from + p.length) ?? parts.at(-1);
  const u = part && part.length > 0 ? (at - part.from) / part.length : 0;
  return part
    ? vec(part.a.xM + (part.b.xM - part.a.xM) * u, part.a.yM + (part.b.yM - part.a.yM) * u, z)
    : vec(xM, yM, z);
};

/** Where a moving subject is at a second of the move: at its own place in the middle of it. */
export const subjectAt = (
  { aim, trajectory, direction, subject }: Pick<ShotFacts, 'aim' | 'trajectory' | 'direction' | 'subject'>,
  timeS: number,
): Vec3 => {
  if (!trajectory || !subject || aim.speedMs <= 0) return aim.aim;
  const middle = timeS - trajectory.totalS / 2;
  if (direction !== 'with' && subject.path.length > 1)
    return alongPath(subject, aim.aim.z, aim.speedMs * middle);
  if (direction !== 'with') return offset(aim.aim, aim.headingDeg, aim.speedMs * middle, aim.aim.z);
  // A move that goes along is flown as if the subject kept pace with it, ramps and all.
  const heading = (aim.headingDeg * Math.PI) / 180;
  const along = (p: Vec3): number => p.x * Math.sin(heading) + p.y * Math.cos(heading);
  const run = along(trajectory.end.at) - along(trajectory.start.at);
  const i = Math.min(
    trajectory.samples.length - 1,
    Math.max(0, Math.round((timeS / trajectory.totalS) * (trajectory.samples.length - 1))),
  );
  const here = trajectory.samples[i];
  return here
    ? offset(aim.aim, aim.headingDeg, along(here.pose.at) - along(trajectory.start.at) - run / 2, aim.aim.z)
    : aim.aim;
};

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
  const widthPx = facts.mode?.widthPx ?? 3840;
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
      const { edgeCrossingS } = movePace([s], facts.fov.horizontalDeg, facts.fov.verticalDeg, facts.aim.aim);
      return {
        timeS: s.timeS,
        pose: s.pose,
        speedMs: lengthOf(s.velocity),
        distanceM: distance(s.pose.at, subjectAt({ ...facts, trajectory: trajectory.value }, s.timeS)),
        crossingS: edgeCrossingS,
        band: paceBand(edgeCrossingS),
        strobes: edgeCrossingS < STROBE_CROSSING_S && Math.abs(s.yawDegS) > 1,
        blurPx: Number.isFinite(edgeCrossingS) ? blurPixels(edgeCrossingS, widthPx, shutterS) : 0,
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
