import { turnBetween } from '../geometry';
import type { HourWeather, Location, Sky } from '../model';
import { addDays, localToUtc, minutesOf, MINUTE_MS } from '../time';

/** An hour of weather at its instant. */
export interface HourAt extends HourWeather {
  readonly utcMs: number;
}

/** Between the end of a window and its next start lies the hour from which on a clock belongs to the day before midnight. */
const turnMinutes = ({ windowStart, windowEnd }: Location): number => {
  const [from, to] = [minutesOf(windowStart), minutesOf(windowEnd)];
  return to < from ? (from + to) / 2 : -1;
};

const hoursKnown = new WeakMap<Location, readonly HourAt[]>();

/** Hours of a location in order. A clock before the middle of the gap of a window over midnight is that of the next day. */
export const hoursOf = (location: Location): readonly HourAt[] => {
  let hours = hoursKnown.get(location);
  if (!hours) {
    const turn = turnMinutes(location);
    hours = location.hours
      .map((hour) => {
        const minutes = minutesOf(hour.at);
        const date = minutes < turn ? addDays(location.date, 1) : location.date;
        return { ...hour, utcMs: localToUtc(date, minutes, location.zone) };
      })
      .filter((h) => Number.isFinite(h.utcMs))
      .sort((a, b) => a.utcMs - b.utcMs);
    hoursKnown.set(location, hours);
  }
  return hours;
};

interface Between {
  readonly low: HourAt;
  readonly high: HourAt;
  readonly share: number;
}

/** The hours about an instant; the first and the last hold beyond them. Null where there are none. */
const around = (hours: readonly HourAt[], utcMs: number): Between | null => {
  const next = hours.findIndex((h) => h.utcMs > utcMs);
  const high = next < 0 ? hours.at(-1) : hours[next];
  const low = next < 0 ? hours.at(-1) : hours[Math.max(0, next - 1)];
  if (!low || !high) return null;
  const span = high.utcMs - low.utcMs;
  return { low, high, share: span > 0 ? Math.min(1, Math.max(0, (utcMs - low.utcMs) / span)) : 0 };
};

/** Sky at an instant: on its way from one hour's to the next. */
export interface SkyMix {
  readonly from: Sky;
  readonly to: Sky;
  readonly share: number;
}

export const skyMixAt = (location: Location, utcMs: number): SkyMix => {
  const here = around(hoursOf(location), utcMs);
  return here
    ? { from: here.low.sky, to: here.high.sky, share: here.share }
    : { from: location.sky, to: location.sky, share: 0 };
};

const mix = (a: number, b: number, share: number): number => a + (b - a) * share;

/** Weather is taken by steps of this length, so that what was worked out for one is found again. */
export const WEATHER_STEP_MS = 15 * MINUTE_MS;

const stepsKnown = new WeakMap<Location, Map<number, Location>>();

/**
 * A location with the weather of an instant: linear between its hours, by steps of a quarter of an hour; the sky is that of
 * the nearer hour. The location itself where it has no hours.
 */
export const locationAt = (location: Location, utcMs: number): Location => {
  if (location.hours.length === 0) return location;
  let steps = stepsKnown.get(location);
  if (!steps) stepsKnown.set(location, (steps = new Map()));
  const step = Math.floor(utcMs / WEATHER_STEP_MS);
  const known = steps.get(step);
  if (known) return known;
  const here = around(hoursOf(location), step * WEATHER_STEP_MS);
  if (!here) return location;
  const { low, high, share } = here;
  const of = (field: 'windMs' | 'gustMs' | 'temperatureC' | 'visibilityM'): number =>
    mix(low[field], high[field], share);
  const then: Location = {
    ...location,
    windMs: of('windMs'),
    gustMs: of('gustMs'),
    windFromDeg: (low.windFromDeg + turnBetween(low.windFromDeg, high.windFromDeg) * share + 360) % 360,
    temperatureC: of('temperatureC'),
    visibilityM: of('visibilityM'),
    sky: share < 0.5 ? low.sky : high.sky,
    hours: [],
  };
  steps.set(step, then);
  return then;
};

/** The hardest weather found last for a location, with the stretch it was looked for in. */
const worstKnown = new WeakMap<
  Location,
  { readonly fromMs: number; readonly toMs: number; readonly worst: Location }
>();

const worstOf = (location: Location, fromMs: number, toMs: number): Location => {
  const steps = Array.from(
    { length: Math.max(1, Math.ceil((toMs - fromMs) / WEATHER_STEP_MS) + 1) },
    (_, i) => locationAt(location, fromMs + i * WEATHER_STEP_MS),
  );
  const windiest = steps.reduce((a, b) => (b.windMs > a.windMs ? b : a), steps[0] ?? location);
  return {
    ...windiest,
    gustMs: Math.max(...steps.map((s) => s.gustMs)),
    temperatureC: Math.min(...steps.map((s) => s.temperatureC)),
    visibilityM: Math.min(...steps.map((s) => s.visibilityM)),
  };
};

/**
 * A location with the hardest weather of a stretch of time: the strongest wind and gusts and where that wind comes from, the
 * coldest air. What is planned for it holds at every minute of the stretch, apart from a turn of the wind.
 */
export const hardestWeather = (location: Location, fromMs: number, toMs: number): Location => {
  if (location.hours.length === 0 || !Number.isFinite(fromMs) || !Number.isFinite(toMs)) return location;
  const known = worstKnown.get(location);
  if (known?.fromMs === fromMs && known.toMs === toMs) return known.worst;
  const worst = worstOf(location, fromMs, toMs);
  worstKnown.set(location, { fromMs, toMs, worst });
  return worst;
};

const HOUR_MS = 4 * WEATHER_STEP_MS;
/** States of the weather a stretch of time is looked at in, at the most. */
const MOST_STATES = 9;

/**
 * A location in the states of the weather it goes through over a stretch of time: both ends and about each hour between. Less
 * wind may cost more (a hover in still air) or less; who plans for the stretch takes the costliest of them.
 */
export const weatherStates = (location: Location, fromMs: number, toMs: number): readonly Location[] => {
  if (location.hours.length === 0 || !Number.isFinite(fromMs) || !Number.isFinite(toMs)) return [location];
  const count = Math.min(MOST_STATES, Math.max(2, Math.ceil((toMs - fromMs) / HOUR_MS) + 1));
  const states = Array.from({ length: count }, (_, i) =>
    locationAt(location, fromMs + ((toMs - fromMs) * i) / (count - 1)),
  );
  return [...new Set(states)];
};
