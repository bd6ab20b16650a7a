import { measured, message, yesNo, type Message } from '../messages';
import {
  angleToSun,
  BLACK_SKY_DEG,
  axesOf,
  flares,
  sceneLight,
  sunAlong,
  sunAt,
  type SunPosition,
} from '../light';
import { clockText } from '../time';
import { projectPoint } from '../lens';
import { offset, radians } from '../geometry';
import type { Cure, Warning } from './types';
import { conditionsOf, type LocationLight } from '../shot';
import type { LightJob, ShotWindow, SunMinutes } from '../light-timeline';

/** A shot with its place, its minutes and the sun at the minute it is planned. */
export interface LightContext {
  readonly lit: LocationLight;
  readonly job: LightJob;
  readonly window: ShotWindow;
  readonly sky: SunMinutes;
  readonly sun: SunPosition;
}

/** Something about the light of a shot that takes looking at more than its minute. One function each, registered in one list. */
export type LightRule = (c: LightContext) => Warning | null;

const onShot = (c: LightContext): { kind: 'shot'; id: string } => ({ kind: 'shot', id: c.job.shotId });
const clock = (c: LightContext, ms: number): string => clockText(ms, c.lit.location.zone);

/** First minute, after the planned one where there is one, at which something holds. */
const minuteWhen = (c: LightContext, holds: (ms: number, sun: SunPosition) => boolean): number | null => {
  const { minutes, suns } = c.sky;
  const at = (from: number, to: number): number | null => {
    for (let i = from; i < to; i += 1) {
      const [ms, sun] = [minutes[i], suns[i]];
      if (ms !== undefined && sun && holds(ms, sun)) return ms;
    }
    return null;
  };
  const now = minutes.findIndex((ms) => ms >= c.job.atMs);
  return now < 0 ? at(0, minutes.length) : (at(now, minutes.length) ?? at(0, now));
};

const pinTo = (c: LightContext, ms: number, say: Message): Cure =>
  ms > c.job.atMs
    ? { say, set: { entity: 'shot', id: c.job.shotId, fields: { notBefore: clock(c, ms) } } }
    : { say: message('light.earlier-on-list', { advice: say }) };

/** The sun comes into the lens; what would keep it out is tried before it is offered. */
export const sunInLens: LightRule = (c) => {
  const { job, sun } = c;
  const along = sunAlong(job.looks, job.horizontalFovDeg, sun);
  if (along.inLens === 0 || job.wants === 'backlit') return null;
  const axes = axesOf(job.looks);
  const reversed = job.reversedLooks && !flares(axesOf(job.reversedLooks), job.horizontalFovDeg, sun);
  const good = minuteWhen(
    c,
    (ms, s) =>
      !flares(axes, job.horizontalFovDeg, s) && c.window.wished.some((w) => ms >= w.fromMs && ms < w.toMs),
  );
  return {
    code: 'light.sun-in-lens',
    severity: 'care',
    subject: onShot(c),
    say: message('light.sun-in-lens.say', {
      nearest: measured(along.nearestDeg, 'degrees', 0),
      nearestAt: measured(along.nearestAtS, 'seconds', 0),
      inLens: measured(along.inLens * 100, 'percent', 0),
    }),
    why: message('light.sun-in-lens.why'),
    cures: [
      ...(reversed
        ? [
            {
              say: message('light.sun-in-lens.cure'),
              set: {
                entity: 'shot' as const,
                id: job.shotId,
                fields: { move: { ...job.shot.move, reversed: !job.shot.move.reversed } },
              },
            },
          ]
        : []),
      ...(good === null ? [] : [pinTo(c, good, message('light.wait.1', { time: clock(c, good) }))]),
      ...(reversed || good !== null ? [] : [{ say: message('light.sun-in-lens.cure.2') }]),
      {
        say: message('light.sun-in-lens.cure.3'),
        set: { entity: 'shot', id: job.shotId, fields: { wants: 'backlit' } },
      },
    ],
  };
};

/** Apparent width of the sun, deg: farther than its own width over this an object throws no full shadow. */
const SUN_WIDTH_DEG = 0.53;

/** The aircraft's own shadow on level ground lies in the frame, and is near enough to be seen. */
export const ownShadow: LightRule = (c) => {
  const { job, sun } = c;
  if (sun.altitudeDeg < 5 || (c.lit.location.sky !== 'clear' && c.lit.location.sky !== 'thin-cloud'))
    return null;
  const seenTo = job.spanM / Math.tan(radians(SUN_WIDTH_DEG));
  const hit = job.steep.filter((pose) => {
    if (pose.at.z <= 0 || pose.at.z / Math.sin(radians(sun.altitudeDeg)) > seenTo) return false;
    const spot = offset(pose.at, sun.azimuthDeg + 180, pose.at.z / Math.tan(radians(sun.altitudeDeg)), 0);
    const p = projectPoint(
      { at: pose.at, headingDeg: pose.headingDeg, tiltDeg: pose.tiltDeg },
      job.horizontalFovDeg,
      job.verticalFovDeg,
      spot,
    );
    return p !== null && Math.abs(p.x) <= 1 && Math.abs(p.y) <= 1;
  });
  return hit.length === 0
    ? null
    : {
        code: 'light.own-shadow',
        severity: 'care',
        subject: onShot(c),
        say: message('light.own-shadow.say'),
        why: message('light.own-shadow.why', {
          altitude: measured(sun.altitudeDeg, 'degrees', 0),
          seenTo: measured(seenTo, 'metres', 0),
        }),
        cures: [{ say: message('light.own-shadow.cure') }],
      };
};

const GLARE_DEG = 50;
const KINDER_DEG = 40;

/** High hard sun: flat from above, short shadows. */
export const noonGlare: LightRule = (c) => {
  const { sun, job, lit } = c;
  if (
    sun.altitudeDeg < GLARE_DEG ||
    job.wants === 'hard' ||
    lit.location.sky === 'overcast' ||
    lit.location.sky === 'heavy'
  )
    return null;
  const kinder = minuteWhen(c, (_ms, s) => s.altitudeDeg < KINDER_DEG && s.altitudeDeg > 0);
  return {
    code: 'light.noon',
    severity: 'note',
    subject: onShot(c),
    say: message('light.noon.say', { altitude: measured(sun.altitudeDeg, 'degrees', 0) }),
    why: message('light.noon.why'),
    cures:
      kinder === null
        ? [{ say: message('light.noon.cure') }]
        : [pinTo(c, kinder, message('light.wait.2', { time: clock(c, kinder) }))],
  };
};

/** The sun's mirror in water stands in the frame. */
export const glitter: LightRule = (c) => {
  const { job, sun } = c;
  if (job.shot.surface !== 'water' || sun.altitudeDeg < 3 || job.wants === 'backlit') return null;
  if (job.looks.every((l) => mirrorAngle(l.headingDeg, l.tiltDeg, sun) > job.horizontalFovDeg / 2))
    return null;
  return {
    code: 'light.glitter',
    severity: 'note',
    subject: onShot(c),
    say: message('light.glitter.say'),
    why: message('light.glitter.why'),
    cures: [{ say: message('light.glitter.cure') }],
  };
};

/** Angle between the camera's axis and the mirror image of the sun in level water, deg. */
const mirrorAngle = (headingDeg: number, tiltDeg: number, sun: SunPosition): number =>
  angleToSun(headingDeg, tiltDeg, { ...sun, altitudeDeg: -sun.altitudeDeg });

/** So late that lamps hang in black. */
export const blackSky: LightRule = (c) => {
  const { sun, job } = c;
  if (sun.altitudeDeg >= BLACK_SKY_DEG || job.wants === 'night') return null;
  const colour = minuteWhen(
    c,
    (ms, s) =>
      s.altitudeDeg > BLACK_SKY_DEG &&
      (job.wants === 'any' || c.window.wished.some((w) => ms >= w.fromMs && ms < w.toMs)),
  );
  return {
    code: 'light.black-sky',
    severity: 'note',
    subject: onShot(c),
    say: message('light.black-sky.say', { at: clock(c, job.atMs) }),
    why: message('light.black-sky.why'),
    cures: [
      colour === null
        ? { say: message('light.black-sky.cure') }
        : pinTo(c, colour, message('light.wait.3', { time: clock(c, colour) })),
    ],
  };
};

const DRIFT_STOPS = 0.5;

/** The light moves under a take whose exposure is locked. */
export const drifting: LightRule = (c) => {
  const conditions = conditionsOf(c.lit, c.job);
  const [from, to] = [0, c.job.takeS * 1000].map((ms) => sceneLight(c.job.atMs + ms, conditions).ev100);
  const moved = (to ?? 0) - (from ?? 0);
  return Math.abs(moved) < DRIFT_STOPS
    ? null
    : {
        code: 'exposure.drift',
        severity: 'note',
        subject: onShot(c),
        say: message('exposure.drift.say', {
          isMoved: yesNo(moved > 0),
          moved: measured(Math.abs(moved), 'stops', 1),
        }),
        why: message('exposure.drift.why'),
        cures: [{ say: message('exposure.drift.cure') }],
      };
};

/** Every rule that looks at more than the planned minute. */
export const LIGHT_RULES: readonly LightRule[] = [
  sunInLens,
  ownShadow,
  noonGlare,
  glitter,
  blackSky,
  drifting,
];

export const lightWarnings = (
  lit: LocationLight,
  job: LightJob,
  window: ShotWindow,
  sky: SunMinutes,
): Warning[] => {
  const sun = sunAt(job.atMs, lit.location.latitude, lit.location.longitude);
  return LIGHT_RULES.flatMap((rule) => {
    const warning = rule({ lit, job, window, sky, sun });
    return warning ? [warning] : [];
  });
};
