import { measured, message } from '../messages';
import { clockText, MINUTE_MS } from '../time';
import type { Aircraft, Kit, Film, Reading, Shot } from '../model';
import type { Warning } from './types';
import type { LocationPlan } from '../day';
import { heaviestFilterKg } from '../payload';

/** So long lamps must burn in the window to be worth staying for. */
const WORTH_MIN = 10;
/** Later than this after the window nobody is asked to wait. */
const WAIT_MIN = 75;

/** Leaving shortly before the lamps come on. */
const beforeLamps = ({ location, light, windowToMs }: LocationPlan): Warning | null => {
  const on = light?.lampsOnMs ?? null;
  if (location.lamps === 'none' || on === null || !Number.isFinite(windowToMs)) return null;
  const shortMin = (on + WORTH_MIN * MINUTE_MS - windowToMs) / MINUTE_MS;
  if (shortMin <= 0 || shortMin > WAIT_MIN) return null;
  const until = Math.ceil((on + WORTH_MIN * MINUTE_MS) / (5 * MINUTE_MS)) * 5 * MINUTE_MS;
  return {
    code: 'light.before-lamps',
    severity: 'care',
    subject: { kind: 'location', id: location.id },
    say: message('light.before-lamps.say', {
      on: clockText(on, location.zone),
      windowTo: clockText(windowToMs, location.zone),
    }),
    why: message('light.before-lamps.why'),
    cures: [
      {
        say: message('light.before-lamps.cure', { until: clockText(until, location.zone) }),
        set: { entity: 'location', id: location.id, fields: { windowEnd: clockText(until, location.zone) } },
      },
    ],
  };
};

/** Readings that belong to another date. */
const staleReadings = ({ location, light }: LocationPlan, readings: readonly Reading[]): Warning | null => {
  if (!light) return null;
  const stale = readings.filter(
    (r) =>
      r.locationId === location.id &&
      (r.utcMs < light.sun.startMs || r.utcMs > light.sun.endMs + 12 * 3_600_000),
  );
  return stale.length === 0
    ? null
    : {
        code: 'light.stale-reading',
        severity: 'note',
        subject: { kind: 'location', id: location.id },
        say: message('light.stale-reading.say', { stale: stale.length }),
        why: message('light.stale-reading.why'),
        cures: [],
      };
};

/** Pinned minutes outside the window. */
const pinsOutside = (place: LocationPlan, shots: readonly Shot[]): Warning[] =>
  shots.flatMap((shot) => {
    const { location, windowFromMs, windowToMs } = place;
    if (shot.notBefore === null || !Number.isFinite(windowFromMs)) return [];
    const at = place.flights.flatMap((f) =>
      f.shotMs[shot.id] === undefined ? [] : [f.shotMs[shot.id] ?? 0],
    )[0];
    if (at === undefined || at <= windowToMs) return [];
    return [
      {
        code: 'light.pin',
        severity: 'care',
        subject: { kind: 'shot', id: shot.id },
        say: message('light.pin.say', {
          notBefore: shot.notBefore,
          windowTo: clockText(windowToMs, location.zone),
        }),
        why: message('light.pin.why'),
        cures: [
          {
            say: message('light.pin.cure'),
            set: { entity: 'shot', id: shot.id, fields: { notBefore: null } },
          },
        ],
      },
    ];
  });

/** Aircraft that a filter lifts over a mass at which rules tend to change. */
export const overWeightLine = (film: Film, kit: Kit, aircraft: Aircraft): Warning | null => {
  const added = heaviestFilterKg(kit.filters, aircraft.id, null);
  const line = film.preferences.weightLinesKg.find(
    (kg) => aircraft.massKg <= kg + 1e-9 && aircraft.massKg + added > kg + 1e-9,
  );
  return line === undefined
    ? null
    : {
        code: 'kit.weight-line',
        severity: 'care',
        subject: { kind: 'aircraft', id: aircraft.id },
        say: message('kit.weight-line.say', {
          aircraft: aircraft.name,
          mass: measured(aircraft.massKg * 1000, 'grams', 0),
          mass2: measured((aircraft.massKg + added) * 1000, 'grams', 0),
          line: measured(line * 1000, 'grams', 0),
        }),
        why: message('kit.weight-line.why'),
        cures: [{ say: message('kit.weight-line.cure') }],
      };
};

/** Everything about the light of a place as a whole; by place and by shot. */
export const locationLightWarnings = (
  place: LocationPlan,
  shots: readonly Shot[],
  readings: readonly Reading[],
): Warning[] =>
  [beforeLamps(place), staleReadings(place, readings), ...pinsOutside(place, shots)].filter(
    (w): w is Warning => w !== null,
  );
