import { MINUTE_MS } from '../time';
import { prepareExposure, type ExposureChoice } from '../exposure';
import {
  axesOf,
  flares,
  sceneLight,
  sunAt,
  wishMet,
  type LightMoment,
  type Stretch,
  type SunPosition,
} from '../light';
import { conditionsOf, type LocationLight, mainsIn } from '../shot';
import { locationAt } from '../weather';
import type { LightJob } from './job';

/** A shot over the minutes of a window. */
export interface ShotWindow {
  readonly shotId: string;
  /** The light it wants is there. */
  readonly wished: readonly Stretch[];
  /** A setting exposes it rightly and costs little of the look. */
  readonly exposed: readonly Stretch[];
  /** All of it, and the sun is not in the lens. */
  readonly good: readonly Stretch[];
  /** Settings every few minutes, for a curve. */
  readonly settings: readonly {
    readonly utcMs: number;
    readonly ev100: number;
    readonly choice: ExposureChoice | null;
  }[];
}

/** Minutes that follow each other as stretches; a minute stands for the one that begins with it. */
const runs = (minutes: readonly number[], on: readonly boolean[]): Stretch[] => {
  const found: { fromMs: number; toMs: number }[] = [];
  on.forEach((is, i) => {
    const ms = minutes[i] ?? 0;
    if (!is) return;
    const last = found.at(-1);
    if (last?.toMs === ms) last.toMs = ms + MINUTE_MS;
    else found.push({ fromMs: ms, toMs: ms + MINUTE_MS });
  });
  return found;
};

/** The sun at each minute of a stretch of time; worked out once for all shots of a place. */
export interface SunMinutes {
  readonly minutes: readonly number[];
  readonly suns: readonly SunPosition[];
}

export const sunMinutes = ({ location }: LocationLight, fromMs: number, toMs: number): SunMinutes => {
  const start = Math.ceil(fromMs / MINUTE_MS) * MINUTE_MS;
  const minutes = Array.from(
    { length: Math.max(0, Math.floor((toMs - start) / MINUTE_MS) + 1) },
    (_, i) => start + i * MINUTE_MS,
  );
  return { minutes, suns: minutes.map((ms) => sunAt(ms, location.latitude, location.longitude)) };
};

/** A moment as a shot's wish looks at it. */
export const momentOf = (
  lit: LocationLight,
  headingDeg: number | null,
  utcMs: number,
  sun: SunPosition,
): LightMoment => ({
  utcMs,
  sun,
  day: lit.day,
  sky: locationAt(lit.location, utcMs).sky,
  hasLamps: lit.location.lamps !== 'none',
  headingDeg,
});

const wishedMinutes = (lit: LocationLight, job: LightJob, { minutes, suns }: SunMinutes): boolean[] =>
  minutes.map((ms, i) => {
    const sun = suns[i];
    return sun !== undefined && wishMet(job.wants, momentOf(lit, job.headingDeg, ms, sun));
  });

/** When the light a shot wants is there, without asking for settings. */
export const wishedIn = (lit: LocationLight, job: LightJob, sky: SunMinutes): Stretch[] =>
  runs(sky.minutes, wishedMinutes(lit, job, sky));

/** Works a shot through every minute: the wish, the sun against the lens, and the best setting. */
export const shotWindow = (lit: LocationLight, job: LightJob, { minutes, suns }: SunMinutes): ShotWindow => {
  const conditions = conditionsOf(lit, job);
  let [nowMs, nowDeg] = [NaN, 0];
  const cached = {
    ...conditions,
    altitudeAt: (ms: number): number => (ms === nowMs ? nowDeg : conditions.altitudeAt(ms)),
  };
  const { location } = lit;
  const choose = prepareExposure(job.task);
  const settings = minutes.map((utcMs, i) => {
    [nowMs, nowDeg] = [utcMs, suns[i]?.altitudeDeg ?? 0];
    const scene = sceneLight(utcMs, cached);
    return { utcMs, ev100: scene.ev100, choice: choose(scene.ev100, mainsIn(scene, location)) };
  });
  const wished = wishedMinutes(lit, job, { minutes, suns });
  const exposed = settings.map((s) => s.choice !== null && s.choice.marks.length === 0);
  const axes = axesOf(job.looks);
  const clear = (i: number): boolean => {
    const sun = suns[i];
    return job.wants === 'backlit' || (sun !== undefined && !flares(axes, job.horizontalFovDeg, sun));
  };
  return {
    shotId: job.shotId,
    settings,
    wished: runs(minutes, wished),
    exposed: runs(minutes, exposed),
    good: runs(
      minutes,
      minutes.map((_, i) => Boolean(wished[i] && exposed[i] && clear(i))),
    ),
  };
};
