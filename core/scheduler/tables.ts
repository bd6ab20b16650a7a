import { MOST_SETTINGS } from './few-settings';
import type { Leg, PlannedStop, PlanProblem, PlanShot, Span } from './types';

/** A problem with its legs worked out once. Ways are numbered through all shots. */
export interface Tables {
  readonly problem: PlanProblem;
  /** Numbers of the ways of each shot. */
  readonly waysOf: readonly (readonly number[])[];
  readonly shotOf: readonly number[];
  readonly out: readonly Leg[];
  readonly home: readonly Leg[];
  /** From the end of one way to the start of another. */
  readonly between: readonly (readonly Leg[])[];
  /** Settings as bits, by shot. */
  readonly settingBits: readonly number[];
  readonly settings: readonly string[];
  readonly biggestPackWh: number;
  /** Shots as bits that may only come after this one. */
  readonly afterBits: readonly number[];
  /** Number of the pack a shot is pinned to; −1 for any. */
  readonly packOf: readonly number[];
}

/** When a shot may be flown with a setting. */
export const spanOf = (shot: PlanShot, setting: string | null): Span => {
  const own = setting === null ? undefined : shot.windows?.[setting];
  return own
    ? { earliestS: Math.max(own.earliestS, shot.earliestS), latestS: Math.min(own.latestS, shot.latestS) }
    : shot;
};

/** Earliest launch from a second on at which so many seconds in the air meet no break. */
export const pastBreaks = (fromS: number, seconds: number, breaks: readonly Span[] | undefined): number => {
  const hit = breaks?.find((b) => fromS < b.latestS && fromS + seconds > b.earliestS);
  return hit ? pastBreaks(hit.latestS, seconds, breaks) : fromS;
};

const bitOf = (shots: readonly PlanShot[], id: string): number => {
  const i = shots.findIndex((s) => s.id === id);
  return i < 0 || i > 30 ? 0 : 1 << i;
};

/** Works out every leg a plan may use. @throws RangeError for more than 30 different settings */
export const tablesOf = (problem: PlanProblem): Tables => {
  const { shots } = problem;
  const all = shots.flatMap((shot, i) => shot.ways.map((way) => ({ way, shot: i })));
  const settings = [...new Set(shots.flatMap((s) => s.settings))];
  if (settings.length > MOST_SETTINGS)
    throw new RangeError(`${settings.length} settings are more than the planner holds`);
  return {
    problem,
    settings,
    waysOf: shots.map((_, i) => all.flatMap((w, n) => (w.shot === i ? [n] : []))),
    shotOf: all.map((w) => w.shot),
    out: all.map(({ way }) => problem.leg(null, way.from)),
    home: all.map(({ way }) => problem.home(way.to)),
    between: all.map(({ way: a }) => all.map(({ way: b }) => problem.leg(a.to, b.from))),
    settingBits: shots.map((s) => s.settings.reduce((bits, key) => bits | (1 << settings.indexOf(key)), 0)),
    afterBits: shots.map((s) =>
      (problem.before ?? []).reduce((bits, [a, b]) => (a === s.id ? bits | bitOf(shots, b) : bits), 0),
    ),
    packOf: shots.map((s) =>
      s.packId === undefined ? -1 : problem.packs.findIndex((p) => p.id === s.packId),
    ),
    biggestPackWh: Math.max(0, ...problem.packs.map((p) => p.usableWh)),
  };
};

/** The first setting of some that are held as bits. */
export const settingOf = (t: Tables, bits: number): string => t.settings[31 - Math.clz32(bits & -bits)] ?? '';

/** A row of ways with the second each is begun at. */
export const stopsOf = (t: Tables, ways: readonly number[], launchS: number): PlannedStop[] => {
  let at = launchS + t.problem.takeoff.seconds;
  return ways.map((way, i) => {
    const index = t.shotOf[way] ?? -1;
    const shot = t.problem.shots[index];
    const before = ways[i - 1];
    at += (before === undefined ? t.out[way] : t.between[before]?.[way])?.seconds ?? 0;
    const startS = at;
    at += shot?.performS ?? 0;
    return {
      shotId: shot?.id ?? '',
      reversed: shot?.ways[way - (t.waysOf[index]?.[0] ?? 0)]?.reversed ?? false,
      startS,
    };
  });
};
