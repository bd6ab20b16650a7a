import { spanOf, type Tables } from './tables';

/** When a flight may be launched with a setting; −1 for whichever its shots share. */
export interface LaunchSpan {
  readonly setting: number;
  readonly from: number;
  readonly to: number;
}

/** A flight as a row of shots with the best way of each: what it takes, and when it may be launched. */
export interface Route {
  readonly shots: readonly number[];
  /** Number of the way each shot is flown. */
  readonly ways: readonly number[];
  readonly seconds: number;
  readonly wattHours: number;
  readonly spans: readonly LaunchSpan[];
  readonly bits: number;
}

interface Step {
  readonly seconds: number;
  readonly wattHours: number;
  readonly way: number;
  readonly before: Step | null;
}

const bitsOf = (t: Tables, shots: readonly number[]): number =>
  shots.reduce((bits, s) => bits & (t.settingBits[s] ?? 0), ~0);

/** Launches that begin no shot too early and end none too late, with a setting. */
const launchesOf = (
  t: Tables,
  shots: readonly number[],
  steps: readonly Step[],
  setting: number,
): LaunchSpan => {
  const key = setting < 0 ? null : (t.settings[setting] ?? null);
  let [from, to] = [0, Infinity];
  steps.forEach((step, i) => {
    const shot = t.problem.shots[shots[i] ?? -1];
    if (!shot) return;
    const span = spanOf(shot, key);
    from = Math.max(from, span.earliestS - (step.seconds - shot.performS));
    to = Math.min(to, span.latestS - step.seconds);
  });
  return { setting, from, to };
};

const spansOf = (t: Tables, shots: readonly number[], steps: readonly Step[], bits: number): LaunchSpan[] => {
  const settings = shots.some((s) => t.problem.shots[s]?.windows)
    ? t.settings.flatMap((_, i) => (bits & (1 << i) ? [i] : []))
    : [-1];
  return settings.map((s) => launchesOf(t, shots, steps, s)).filter((s) => s.from <= s.to);
};

const stepTo = (t: Tables, before: Step | null, way: number): Step | null => {
  const shot = t.problem.shots[t.shotOf[way] ?? -1];
  const leg = before ? t.between[before.way]?.[way] : t.out[way];
  const so = before ?? t.problem.takeoff;
  return shot && leg
    ? {
        seconds: so.seconds + leg.seconds + shot.performS,
        wattHours: so.wattHours + leg.wattHours + shot.performWh,
        way,
        before,
      }
    : null;
};

/** A flight home: the way and the landing counted, the last step kept. */
const landed = (
  t: Tables,
  step: Step,
): { readonly step: Step; readonly seconds: number; readonly wattHours: number } | null => {
  const home = t.home[step.way];
  const { landing } = t.problem;
  return home
    ? {
        step,
        seconds: step.seconds + home.seconds + landing.seconds,
        wattHours: step.wattHours + home.wattHours + landing.wattHours,
      }
    : null;
};

const quickest = <T extends { readonly seconds: number }>(list: readonly (T | null)[]): T | null =>
  list.reduce<T | null>((best, x) => (x && (!best || x.seconds < best.seconds) ? x : best), null);

/**
 * The quickest ways of flying some shots in a given order (dynamic programming over the ways of each).
 * @param forced a flight a person fixed: flown whether it fits or not
 * @param only the way of each shot, where it is known
 * @returns null where they share no setting, no pack has the energy, or no launch suits all their windows
 */
export const routeOf = (
  t: Tables,
  shots: readonly number[],
  forced = false,
  only: readonly number[] | null = null,
): Route | null => {
  const bits = bitsOf(t, shots);
  if ((bits === 0 && !forced) || shots.length === 0) return null;
  let layer: readonly (Step | null)[] = [null];
  for (const [i, index] of shots.entries())
    layer = (t.waysOf[index] ?? [])
      .filter((way) => !only || only[i] === way)
      .flatMap((way) => {
        const best = quickest(layer.map((before) => stepTo(t, before, way)));
        return best ? [best] : [];
      });
  const done = quickest(layer.map((step) => step && landed(t, step)));
  if (!done || (done.wattHours > t.biggestPackWh + 1e-9 && !forced)) return null;
  const steps: Step[] = [];
  for (let s: Step | null = done.step; s; s = s.before) steps.unshift(s);
  const spans = forced ? [{ setting: -1, from: 0, to: Infinity }] : spansOf(t, shots, steps, bits);
  return spans.length === 0
    ? null
    : { shots, ways: steps.map((s) => s.way), seconds: done.seconds, wattHours: done.wattHours, spans, bits };
};
