import { measured, message, onDay, yesNo } from '../messages';
import { isZone, minutesOf, zoneOffsetMinutes } from '../time';
import { LIGHT_DEFINITIONS, sunAt } from '../light';
import { detectionLimit } from '../clearance';
import type { LocationRule } from './context';

export const unusableZone: LocationRule = (place) =>
  isZone(place.location.zone)
    ? null
    : {
        code: 'place.zone',
        severity: 'stop',
        subject: { kind: 'location', id: place.location.id },
        say: message('place.zone.say', { zone: place.location.zone }),
        why: message('place.zone.why'),
        cures: [{ say: message('place.zone.cure') }],
      };

/** Zones follow borders and not the sun, but none strays further than this from it, h. */
const ZONE_STRAYS_H = 3.5;

/** Clock and coordinates do not belong together: every minute of light would be wrong. */
export const strangeZone: LocationRule = ({ location, light }) => {
  if (!light) return null;
  const clockH = zoneOffsetMinutes(location.zone, light.sun.startMs) / 60;
  const sunH = location.longitude / 15;
  const apart = Math.abs(clockH - sunH);
  return Math.min(apart, 24 - apart) <= ZONE_STRAYS_H
    ? null
    : {
        code: 'place.zone-apart',
        severity: 'care',
        subject: { kind: 'location', id: location.id },
        say: message('place.zone-apart.say', {
          zone: location.zone,
          isClockH: yesNo(clockH >= 0),
          clockH,
          isSunH: yesNo(sunH >= 0),
          sunH: measured(sunH, 'count', 1),
        }),
        why: message('place.zone-apart.why'),
        cures: [{ say: message('place.zone-apart.cure') }],
      };
};

export const noSunrise: LocationRule = (place) =>
  !place.light || place.light.sunriseMs !== null || place.light.sunsetMs !== null
    ? null
    : {
        code: 'place.no-sunrise',
        severity: 'note',
        subject: { kind: 'location', id: place.location.id },
        say: message('place.no-sunrise.say', { date: onDay(place.location.date) }),
        why: message('place.no-sunrise.why'),
        cures: [],
      };

export const darkFlying: LocationRule = (place) => {
  const { location } = place;
  const dark = (utcMs: number): boolean =>
    sunAt(utcMs, location.latitude, location.longitude).altitudeDeg < LIGHT_DEFINITIONS.civilDeg;
  const late = place.light !== null && place.flights.some((f) => dark(f.startMs) || dark(f.endMs));
  return late
    ? {
        code: 'place.night',
        severity: 'care',
        subject: { kind: 'location', id: place.location.id },
        say: message('place.night.say'),
        why: message('place.night.why'),
        cures: [{ say: message('place.night.cure') }],
      }
    : null;
};

export const emptyWindow: LocationRule = (place) =>
  Number.isFinite(minutesOf(place.location.windowStart)) &&
  Number.isFinite(minutesOf(place.location.windowEnd))
    ? null
    : {
        code: 'place.window',
        severity: 'stop',
        subject: { kind: 'location', id: place.location.id },
        say: message('place.window.say'),
        why: message('place.window.why'),
        cures: [{ say: message('place.window.cure') }],
      };

export const lowVisibility: LocationRule = (place) =>
  place.location.visibilityM >= 1500
    ? null
    : {
        code: 'place.visibility',
        severity: 'care',
        subject: { kind: 'location', id: place.location.id },
        say: message('place.visibility.say', {
          visibility: measured(place.location.visibilityM, 'metres', 0),
          visibility2: measured(detectionLimit(place.location.visibilityM), 'metres', 0),
        }),
        why: message('place.visibility.why'),
        cures: [{ say: message('place.visibility.cure') }],
      };
