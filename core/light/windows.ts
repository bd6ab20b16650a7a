import { localDay } from '../time';
import { sunAt } from './sun';

/** Sun altitudes that bound each window, deg. Definitions people differ on; a film may change them. */
export interface LightDefinitions {
  readonly riseSetDeg: number;
  readonly goldenTopDeg: number;
  readonly goldenBottomDeg: number;
  readonly civilDeg: number;
}

/** Minutes between sunset and the lamps coming on; 15 to 30 is usual. */
export const LAMPS_DELAY_MIN = 20;

export const LIGHT_DEFINITIONS: LightDefinitions = {
  riseSetDeg: -0.833,
  goldenTopDeg: 6,
  goldenBottomDeg: -4,
  civilDeg: -6,
};

/** A moment at which the sun passes an altitude. */
export interface Crossing {
  readonly utcMs: number;
  readonly rising: boolean;
}

export interface SunDay {
  readonly startMs: number;
  readonly endMs: number;
  /** Altitude every quarter of an hour from the start, deg. */
  readonly altitudesDeg: readonly number[];
}

export const SUN_STEP_MS = 900_000;

/** Sun altitudes over a local calendar day. */
export const sunDay = (date: string, zone: string, latitude: number, longitude: number): SunDay => {
  const { startMs, endMs } = localDay(date, zone);
  const count = Math.ceil((endMs - startMs) / SUN_STEP_MS) + 1;
  const altitudesDeg = Array.from(
    { length: Math.max(0, count) },
    (_, i) => sunAt(Math.min(endMs, startMs + i * SUN_STEP_MS), latitude, longitude).altitudeDeg,
  );
  return { startMs, endMs, altitudesDeg };
};

/**
 * Moments in a local day at which the sun passes an altitude, to a second, by bisection between the samples of the day.
 * An empty list where it does not: no guess, no NaN.
 */
export const crossings = (
  day: SunDay,
  altitudeDeg: number,
  latitude: number,
  longitude: number,
): Crossing[] => {
  const result: Crossing[] = [];
  for (let i = 1; i < day.altitudesDeg.length; i += 1) {
    const before = day.altitudesDeg[i - 1] ?? 0;
    const after = day.altitudesDeg[i] ?? 0;
    if (before < altitudeDeg === after < altitudeDeg) continue;
    const rising = after > before;
    let low = day.startMs + (i - 1) * SUN_STEP_MS;
    let high = Math.min(day.endMs, low + SUN_STEP_MS);
    while (high - low > 500) {
      const middle = (low + high) / 2;
      const below = sunAt(middle, latitude, longitude).altitudeDeg < altitudeDeg;
      if (below === rising) low = middle;
      else high = middle;
    }
    result.push({ utcMs: (low + high) / 2, rising });
  }
  return result;
};

export type WindowKind = 'golden' | 'blue';

export interface LightWindow {
  readonly kind: WindowKind;
  readonly part: 'morning' | 'evening' | 'all-day';
  readonly fromMs: number;
  readonly toMs: number;
}

/** What the day offers; an event that does not happen is null. */
export interface LightDay {
  readonly sun: SunDay;
  readonly civilDawnMs: number | null;
  readonly sunriseMs: number | null;
  readonly goldenMorningEndMs: number | null;
  readonly goldenEveningStartMs: number | null;
  readonly sunsetMs: number | null;
  readonly blueEveningStartMs: number | null;
  readonly civilDuskMs: number | null;
  readonly windows: readonly LightWindow[];
  /** When lamps go off in the morning and come on in the evening. */
  readonly lampsOffMs: number | null;
  readonly lampsOnMs: number | null;
  /** The sun stays down all day, so that lamps never go off. */
  readonly neverUp: boolean;
}

/** Whether street lamps burn at an instant of a day: from some minutes after sunset until as long before sunrise. */
export const lampsBurn = (day: LightDay, utcMs: number): boolean => {
  if (day.neverUp) return true;
  const { lampsOffMs, lampsOnMs } = day;
  // A window past midnight belongs to the evening before: what came on stays on.
  if (lampsOffMs !== null && lampsOnMs !== null && lampsOffMs > lampsOnMs)
    return utcMs >= lampsOnMs && utcMs < lampsOffMs;
  return (lampsOffMs !== null && utcMs < lampsOffMs) || (lampsOnMs !== null && utcMs >= lampsOnMs);
};

const bandWindows = (
  kind: WindowKind,
  sun: SunDay,
  bottom: readonly Crossing[],
  top: readonly Crossing[],
  inside: boolean,
): LightWindow[] => {
  const edges = [
    ...bottom.map((c) => ({ ...c, enters: c.rising })),
    ...top.map((c) => ({ ...c, enters: !c.rising })),
  ].sort((a, b) => a.utcMs - b.utcMs);
  const result: LightWindow[] = [];
  let openMs: number | null = inside ? sun.startMs : null;
  let rising = true;
  for (const edge of edges) {
    if (edge.enters) {
      openMs = edge.utcMs;
      rising = edge.rising;
      continue;
    }
    if (openMs !== null)
      result.push({
        kind,
        part: (openMs === sun.startMs ? edge.rising : rising) ? 'morning' : 'evening',
        fromMs: openMs,
        toMs: edge.utcMs,
      });
    openMs = null;
  }
  if (openMs !== null)
    result.push({
      kind,
      part: edges.length === 0 ? 'all-day' : rising ? 'morning' : 'evening',
      fromMs: openMs,
      toMs: sun.endMs,
    });
  return result;
};

/** Events and windows of a local date at a place. Definitions: golden −4° to +6°, blue −6° to −4°, civil −6°, rise and set −0.833°. */
export const lightDay = (
  date: string,
  zone: string,
  latitude: number,
  longitude: number,
  d: LightDefinitions = LIGHT_DEFINITIONS,
  lampsDelayMin = LAMPS_DELAY_MIN,
): LightDay => {
  const sun = sunDay(date, zone, latitude, longitude);
  const at = (deg: number): Crossing[] => crossings(sun, deg, latitude, longitude);
  const civil = at(d.civilDeg);
  const blueTop = at(d.goldenBottomDeg);
  const goldenTop = at(d.goldenTopDeg);
  const horizon = at(d.riseSetDeg);
  const up = (list: readonly Crossing[]): number | null => list.find((c) => c.rising)?.utcMs ?? null;
  const down = (list: readonly Crossing[]): number | null => list.findLast((c) => !c.rising)?.utcMs ?? null;
  const first = sun.altitudesDeg[0] ?? -90;
  const delayMs = lampsDelayMin * 60_000;
  const [sunriseMs, sunsetMs] = [up(horizon), down(horizon)];
  return {
    sun,
    civilDawnMs: up(civil),
    sunriseMs,
    goldenMorningEndMs: up(goldenTop),
    goldenEveningStartMs: down(goldenTop),
    sunsetMs,
    blueEveningStartMs: down(blueTop),
    civilDuskMs: down(civil),
    windows: [
      ...bandWindows('blue', sun, civil, blueTop, first > d.civilDeg && first < d.goldenBottomDeg),
      ...bandWindows('golden', sun, blueTop, goldenTop, first > d.goldenBottomDeg && first < d.goldenTopDeg),
    ].sort((a, b) => a.fromMs - b.fromMs),
    lampsOffMs: sunriseMs === null ? null : sunriseMs - delayMs,
    lampsOnMs: sunsetMs === null ? null : sunsetMs + delayMs,
    neverUp: horizon.length === 0 && first < d.riseSetDeg,
  };
};
