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
        say: `“${place.location.zone}” is not a time zone known here.`,
        why: 'Without it no minute can be placed.',
        cures: [{ say: 'Choose a zone such as Europe/Madrid.' }],
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
        say: `${location.zone} is ${clockH >= 0 ? '+' : ''}${clockH} h from UTC; the sun at these coordinates runs near ${sunH >= 0 ? '+' : ''}${sunH.toFixed(1)} h.`,
        why: 'One of the two is wrong, and all minutes of light with it.',
        cures: [{ say: 'Check the longitude and its sign, then the zone.' }],
      };
};

export const noSunrise: LocationRule = (place) =>
  !place.light || place.light.sunriseMs !== null || place.light.sunsetMs !== null
    ? null
    : {
        code: 'place.no-sunrise',
        severity: 'note',
        subject: { kind: 'location', id: place.location.id },
        say: `The sun neither rises nor sets here on ${place.location.date}.`,
        why: 'Polar day or night: the windows that need a sunrise are empty.',
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
        say: 'A flight is planned with the sun more than 6° below the horizon.',
        why: 'Many places have rules of their own for flying in the dark: check the local rule.',
        cures: [{ say: 'Move the window into the light, or prepare for night flying.' }],
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
        say: 'The window has no start or end time.',
        why: 'Shots are timed from its start.',
        cures: [{ say: 'Enter both as hours and minutes.' }],
      };

export const lowVisibility: LocationRule = (place) =>
  place.location.visibilityM >= 1500
    ? null
    : {
        code: 'place.visibility',
        severity: 'care',
        subject: { kind: 'location', id: place.location.id },
        say: `Visibility ${place.location.visibilityM.toFixed(0)} m: you would see the aircraft to about ${detectionLimit(place.location.visibilityM).toFixed(0)} m.`,
        why: 'Detection by eye ends near 0.3 of the ground visibility.',
        cures: [{ say: 'Stay near, or wait until it clears.' }],
      };
