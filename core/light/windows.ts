import { localDay, MINUTE_MS } from '../time';
import { sunAt } from './sun';

/** Sun altitudes that bound each window, deg. Definitions people differ on; a film may change them. */
export interface LightDefinitions {
  readonly riseSetDeg: number;
  readonly goldenTopDeg: number;
  readonly goldenBottomDeg: number;
  readonly civilDeg: number;
  /** Band about the horizon in which the sun counts as rising or setting. */
  readonly sunBandTopDeg: number;
  readonly sunBandBottomDeg: number;
  /** Minutes over which lamps come up. */
  readonly lampsRampMin: number;
}

/** Minutes between sunset and the lamps coming on; 15 to 30 is usual. */
export const LAMPS_DELAY_MIN = 20;

export const LIGHT_DEFINITIONS: LightDefinitions = {
  riseSetDeg: -0.833,
  goldenTopDeg: 6,
  goldenBottomDeg: -4,
  civilDeg: -6,
  sunBandTopDeg: 3,
  sunBandBottomDeg: -1.5,
  lampsRampMin: 12,
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

/** Sun altitudes over a stretch of time. */
const sunSpan = (startMs: number, endMs: number, latitude: number, longitude: number): SunDay => {
  const count = Math.ceil((endMs - startMs) / SUN_STEP_MS) + 1;
  const altitudesDeg: number[] = [];
  for (let i = 0; i < count; i += 1)
    altitudesDeg.push(sunAt(Math.min(endMs, startMs + i * SUN_STEP_MS), latitude, longitude).altitudeDeg);
  return { startMs, endMs, altitudesDeg };
};

/** Sun altitudes over a local calendar day. */
export const sunDay = (date: string, zone: string, latitude: number, longitude: number): SunDay => {
  const { startMs, endMs } = localDay(date, zone);
  return sunSpan(startMs, endMs, latitude, longitude);
};

/** Half a second: what is found is that close. */
const CROSSING_MS = 500;

/**
 * The moment between two samples at which the sun passes an altitude: a straight line through both, drawn again through the
 * moment it gave (false position with the Illinois rule, which halves the side that stays). The sun's path bends so little in
 * a quarter of an hour that three or four looks find it.
 */
const crossingBetween = (
  from: { readonly ms: number; readonly aboveDeg: number },
  to: { readonly ms: number; readonly aboveDeg: number },
  aboveDegAt: (ms: number) => number,
): number => {
  let [low, high] = [from.ms, to.ms];
  let [lowDeg, highDeg] = [from.aboveDeg, to.aboveDeg];
  let stayed: 'low' | 'high' | null = null;
  for (;;) {
    const foundMs = low + ((high - low) * lowDeg) / (lowDeg - highDeg);
    const deg = aboveDegAt(foundMs);
    const stays = deg < 0 === lowDeg < 0 ? 'high' : 'low';
    // How far the next look would move: less than half a second, and this one is it.
    const [endMs, endDeg] = stays === 'high' ? [high, highDeg] : [low, lowDeg];
    if (Math.abs(((endMs - foundMs) * deg) / (endDeg - deg)) < CROSSING_MS) return foundMs;
    if (stays === 'high') [low, lowDeg, highDeg] = [foundMs, deg, stayed === stays ? highDeg / 2 : highDeg];
    else [high, highDeg, lowDeg] = [foundMs, deg, stayed === stays ? lowDeg / 2 : lowDeg];
    stayed = stays;
  }
};

/**
 * Moments in a stretch of time at which the sun passes an altitude, to a second, between its samples.
 * An empty list where it does not: no guess, no NaN.
 */
export const crossings = (
  day: SunDay,
  altitudeDeg: number,
  latitude: number,
  longitude: number,
): Crossing[] => {
  const result: Crossing[] = [];
  const aboveDegAt = (ms: number): number => sunAt(ms, latitude, longitude).altitudeDeg - altitudeDeg;
  for (let i = 1; i < day.altitudesDeg.length; i += 1) {
    const before = (day.altitudesDeg[i - 1] ?? 0) - altitudeDeg;
    const after = (day.altitudesDeg[i] ?? 0) - altitudeDeg;
    if (before < 0 === after < 0) continue;
    const ms = day.startMs + (i - 1) * SUN_STEP_MS;
    const utcMs = crossingBetween(
      { ms, aboveDeg: before },
      { ms: Math.min(day.endMs, ms + SUN_STEP_MS), aboveDeg: after },
      aboveDegAt,
    );
    result.push({ utcMs, rising: after > before });
  }
  return result;
};

export type WindowKind = 'golden' | 'blue' | 'sunrise' | 'sunset';

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
  /** Stretches in which lamps burn, the night before and the night after among them. */
  readonly lampSpans: readonly { readonly fromMs: number; readonly toMs: number }[];
  readonly lampsRampMin: number;
  /** The sun stays down all day, so that lamps never go off. */
  readonly neverUp: boolean;
  /** The sun never sets, or sets and never leaves civil twilight. */
  readonly whiteNight: boolean;
}

/** Whether street lamps burn at an instant: from some minutes after sunset until as long before sunrise. */
export const lampsBurn = ({ lampSpans }: LightDay, utcMs: number): boolean =>
  lampSpans.some((s) => utcMs >= s.fromMs && utcMs < s.toMs);

/** Stops lamps come up by while they ramp: the first of them are this far below all of them. */
const RAMP_STOPS = 3.6;

/**
 * Stops the lamps are below all of them at an instant: 0 where all burn; they come up and go down by so many stops in so many
 * minutes, evenly, and the same slope leads to where they count no more.
 */
export const lampsBelow = ({ lampSpans, lampsRampMin }: LightDay, utcMs: number): number => {
  const slope = RAMP_STOPS / (lampsRampMin * MINUTE_MS);
  return lampSpans.reduce((least, { fromMs, toMs }) => {
    const inMs = Math.min(utcMs - fromMs, toMs - utcMs);
    return Math.min(least, Math.max(0, RAMP_STOPS - slope * inMs));
  }, Infinity);
};

/** Stretches in which lamps burn, from the moments the sun sets and rises. */
const spansOfLamps = (sun: SunDay, horizon: readonly Crossing[], delayMs: number): LightDay['lampSpans'] => {
  const first = horizon[0];
  const startsDown = first ? first.rising : (sun.altitudesDeg[0] ?? 0) < 0;
  const spans: { fromMs: number; toMs: number }[] = [];
  let fromMs: number | null = startsDown ? -Infinity : null;
  for (const { utcMs, rising } of horizon) {
    if (!rising) fromMs = utcMs + delayMs;
    else if (fromMs !== null) {
      if (utcMs - delayMs > fromMs) spans.push({ fromMs, toMs: utcMs - delayMs });
      fromMs = null;
    }
  }
  if (fromMs !== null) spans.push({ fromMs, toMs: Infinity });
  return spans;
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

const HALF_DAY_MS = 12 * 60 * MINUTE_MS;
/** Events are looked for from the noon before to the midnight after the next. */
const AROUND_MS = 3 * HALF_DAY_MS;

/** Upper transit of the sun on a calendar day, to a quarter of an hour. */
const noonOf = (day: SunDay): number => {
  const highest = day.altitudesDeg.reduce(
    (best, a, i) => (a > (day.altitudesDeg[best] ?? -91) ? i : best),
    0,
  );
  return Math.min(day.endMs, day.startMs + highest * SUN_STEP_MS);
};

/** Altitudes about a day's noon. Its own are among them: noon is one of its samples, and the steps are the same. */
const sunAround = (day: SunDay, noonMs: number, latitude: number, longitude: number): SunDay => {
  const [startMs, endMs] = [noonMs - AROUND_MS, noonMs + AROUND_MS];
  const before = sunSpan(startMs, day.startMs - SUN_STEP_MS, latitude, longitude);
  const after = sunSpan(day.endMs + SUN_STEP_MS, endMs, latitude, longitude);
  return {
    startMs,
    endMs,
    altitudesDeg: [...before.altitudesDeg, ...day.altitudesDeg, ...after.altitudesDeg],
  };
};

/** Windows of a stretch of time, cut to the solar day and the night after it. */
const windowsAround = (sun: SunDay, noonMs: number, d: LightDefinitions, at: (deg: number) => Crossing[]) => {
  const first = sun.altitudesDeg[0] ?? -90;
  const band = (kind: WindowKind, bottom: number, top: number): LightWindow[] =>
    bandWindows(kind, sun, at(bottom), at(top), first > bottom && first < top);
  const rising = band('sunrise', d.sunBandBottomDeg, d.sunBandTopDeg);
  const [fromMs, toMs] = [noonMs - HALF_DAY_MS, noonMs + 2 * HALF_DAY_MS];
  return [
    ...band('blue', d.civilDeg, d.goldenBottomDeg),
    ...band('golden', d.goldenBottomDeg, d.goldenTopDeg),
    ...rising.filter((w) => w.part !== 'evening'),
    ...rising.filter((w) => w.part !== 'morning').map((w) => ({ ...w, kind: 'sunset' as const })),
  ]
    .filter((w) => w.toMs > fromMs && w.fromMs < toMs)
    .map((w) => ({ ...w, fromMs: Math.max(fromMs, w.fromMs), toMs: Math.min(toMs, w.toMs) }))
    .sort((a, b) => a.fromMs - b.fromMs);
};

/**
 * Events and windows of a local date at a place. They belong to the solar day about the date's noon, so that at high latitudes
 * an evening may end after midnight; windows go on through the night after it. Definitions: golden −4° to +6°, blue −6° to −4°,
 * civil −6°, rise and set −0.833°.
 */
export const lightDay = (
  date: string,
  zone: string,
  latitude: number,
  longitude: number,
  d: LightDefinitions = LIGHT_DEFINITIONS,
  lampsDelayMin = LAMPS_DELAY_MIN,
): LightDay => {
  const sun = sunDay(date, zone, latitude, longitude);
  const noonMs = noonOf(sun);
  const around = sunAround(sun, noonMs, latitude, longitude);
  const known = new Map<number, Crossing[]>();
  const at = (deg: number): Crossing[] => {
    const list = known.get(deg) ?? crossings(around, deg, latitude, longitude);
    known.set(deg, list);
    return list;
  };
  const horizon = at(d.riseSetDeg);
  const up = (list: readonly Crossing[]): number | null =>
    list.findLast((c) => c.rising && c.utcMs <= noonMs && c.utcMs > noonMs - HALF_DAY_MS)?.utcMs ?? null;
  const down = (list: readonly Crossing[]): number | null =>
    list.find((c) => !c.rising && c.utcMs >= noonMs && c.utcMs < noonMs + HALF_DAY_MS)?.utcMs ?? null;
  const civil = at(d.civilDeg);
  const goldenTop = at(d.goldenTopDeg);
  const delayMs = lampsDelayMin * MINUTE_MS;
  const [sunriseMs, sunsetMs] = [up(horizon), down(horizon)];
  const noonDeg = sunAt(noonMs, latitude, longitude).altitudeDeg;
  return {
    sun,
    civilDawnMs: up(civil),
    sunriseMs,
    goldenMorningEndMs: up(goldenTop),
    goldenEveningStartMs: down(goldenTop),
    sunsetMs,
    blueEveningStartMs: down(at(d.goldenBottomDeg)),
    civilDuskMs: down(civil),
    windows: windowsAround(around, noonMs, d, at),
    lampsOffMs: sunriseMs === null ? null : sunriseMs - delayMs,
    lampsOnMs: sunsetMs === null ? null : sunsetMs + delayMs,
    lampSpans: spansOfLamps(around, horizon, delayMs),
    lampsRampMin: d.lampsRampMin,
    neverUp: sunriseMs === null && sunsetMs === null && noonDeg < d.riseSetDeg,
    whiteNight: up(civil) === null && down(civil) === null && noonDeg > d.riseSetDeg,
  };
};
