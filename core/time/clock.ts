import { tzOffset } from '@date-fns/tz';

/** A minute and a day of 24 hours, ms. */
export const MINUTE_MS = 60_000;
export const DAY_MS = 86_400_000;
const DAY_MIN = 24 * 60;
const QUARTER_MS = 15 * MINUTE_MS;
const offsets = new Map<string, number>();
const zones = new Map<string, boolean>();

/** Whether a name is an IANA zone this machine knows. */
export const isZone = (zone: string): boolean => {
  let known = zones.get(zone);
  if (known === undefined) {
    if (zones.size > 2000) zones.clear();
    zones.set(zone, (known = zone !== '' && !Number.isNaN(tzOffset(zone, new Date(0)))));
  }
  return known;
};

/** Minutes a zone is ahead of UTC at an instant; NaN for an unknown zone. */
export const zoneOffsetMinutes = (zone: string, utcMs: number): number => {
  // Offsets change on quarter hours at the finest, and asking the platform costs more than all the rest of a minute's light.
  const quarter = Math.floor(utcMs / QUARTER_MS);
  const key = `${zone}|${quarter}`;
  const known = offsets.get(key);
  if (known !== undefined) return known;
  if (offsets.size > 2000) offsets.clear();
  const offset = tzOffset(zone, new Date(quarter * QUARTER_MS));
  offsets.set(key, offset);
  return offset;
};

/**
 * Instant of a local wall time in a zone, UTC ms. A time skipped by a clock change is read with the offset before it;
 * one that occurs twice is the first.
 * @param date local date, YYYY-MM-DD
 * @param minutes minutes after local midnight on the clock face
 */
export const localToUtc = (date: string, minutes: number, zone: string): number => {
  const face = Date.parse(`${date}T00:00:00Z`) + minutes * MINUTE_MS;
  const earlier = face - zoneOffsetMinutes(zone, face - DAY_MS) * MINUTE_MS;
  const later = face - zoneOffsetMinutes(zone, face + DAY_MS) * MINUTE_MS;
  const fits = (utc: number): boolean => utc + zoneOffsetMinutes(zone, utc) * MINUTE_MS === face;
  if (fits(earlier)) return earlier;
  return fits(later) ? later : earlier;
};

/** Clock face of an instant in a zone. */
export const utcToLocal = (utcMs: number, zone: string): { date: string; minutes: number } => {
  const face = new Date(utcMs + zoneOffsetMinutes(zone, utcMs) * MINUTE_MS);
  return {
    date: face.toISOString().slice(0, 10),
    minutes: face.getUTCHours() * 60 + face.getUTCMinutes() + face.getUTCSeconds() / 60,
  };
};

// Asking the platform for a formatter costs more than everything else in a line of text.
const days = new Map<string, Intl.DateTimeFormat>();
const daysIn = (language: string): Intl.DateTimeFormat => {
  const known = days.get(language);
  if (known) return known;
  const made = new Intl.DateTimeFormat(language === 'en' ? 'en-GB' : language, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });
  days.set(language, made);
  return made;
};

/**
 * A date (YYYY-MM-DD) as it is written everywhere: Fri 14 May 2027. What is no date stays as it is.
 * @param language BCP 47 tag
 */
export const dayText = (date: string, language = 'en'): string => {
  const at = new Date(`${date}T12:00:00Z`);
  return Number.isNaN(at.getTime()) ? date : daysIn(language).format(at).replace(',', '');
};

/** Local date of an instant. */
export const dateIn = (utcMs: number, zone: string): string =>
  utcToLocal(utcMs, isZone(zone) ? zone : 'UTC').date;

/** HH:MM of an instant in a zone. */
export const clockText = (utcMs: number, zone: string): string => {
  const minute = Math.round(utcMs / MINUTE_MS);
  const onFace = Math.floor(minute + zoneOffsetMinutes(zone, minute * MINUTE_MS));
  if (!Number.isFinite(onFace)) return '–';
  const ofDay = ((onFace % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return `${String(Math.floor(ofDay / 60)).padStart(2, '0')}:${String(ofDay % 60).padStart(2, '0')}`;
};

/** Minutes after midnight of a HH:MM text; NaN when it is none. */
export const minutesOf = (text: string): number => {
  const match = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : NaN;
};

/** The calendar date some days after another (before it when negative), both YYYY-MM-DD. Throws a RangeError when it is no date. */
export const addDays = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** Whole days from one calendar date to another, both YYYY-MM-DD. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/** Start and end of a local calendar day, UTC ms; 23 or 25 hours apart on days the clocks change. */
export const localDay = (date: string, zone: string): { startMs: number; endMs: number } => {
  return { startMs: localToUtc(date, 0, zone), endMs: localToUtc(addDays(date, 1), 0, zone) };
};
