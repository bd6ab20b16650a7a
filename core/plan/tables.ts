import type { Leg, PlannedStop, PlanProblem } from './types';

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
}

/** Most different settings a problem may have: they are held as bits. */
const MOST_SETTINGS = 30;

/** Works out every leg a plan may use. @throws RangeError for more than 30 different settings */
export const tablesOf = (problem: PlanProblem): Tables => {
  const { shots } = problem;
  const all = shots.flatMap((shot, i) => shot.ways.map((way) => ({ way, shot: i })));
  const settings = [...new Set(shots.flatMap((s) => s.settings))];
  if (settings.length > MOST_SETTINGS) throw new RangeError(`${settings.length} settings are more than the planner holds`);
  return {
    problem, settings,
    waysOf: shots.map((_, i) => all.flatMap((w, n) => (w.shot === i ? [n] : []))),
    shotOf: all.map((w) => w.shot),
    out: all.map(({ way }) => problem.leg(null, way.from)),
    home: all.map(({ way }) => problem.home(way.to)),
    between: all.map(({ way: a }) => all.map(({ way: b }) => problem.leg(a.to, b.from))),
    settingBits: shots.map((s) => s.settings.reduce((bits, key) => bits | (1 << settings.indexOf(key)), 0)),
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
    return { shotId: shot?.id ?? '', reversed: shot?.ways[way - (t.waysOf[index]?.[0] ?? 0)]?.reversed ?? false, startS };
  });
};
