import type { Entity } from '@contract';
import { generateKeyBetween } from 'fractional-indexing';
import { v4 as uuid } from 'uuid';

type Location = Entity<'location'>;

const DAY_MS = 86_400_000;
const tomorrow = (): string => new Date(Date.now() + DAY_MS).toISOString().slice(0, 10);

const nowhere = () => ({
  latitude: 0,
  longitude: 0,
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
  elevationM: 0,
  date: tomorrow(),
  mainsHz: 50 as const,
});

/** A new place: near the last one, on its day, in calm mild air. */
export const newPlace = (filmId: string, last: Location | undefined): Location => {
  const { latitude, longitude, zone, elevationM, date, mainsHz } = last ?? nowhere();
  return {
    id: uuid(),
    filmId,
    position: generateKeyBetween(last?.position ?? null, null),
    name: 'New location',
    latitude,
    longitude,
    zone,
    elevationM,
    date,
    windowStart: '08:00',
    windowEnd: '10:00',
    windMs: 2,
    gustMs: 4,
    windFromDeg: 270,
    terrain: 'open',
    temperatureC: 15,
    visibilityM: 10_000,
    sky: 'clear',
    lamps: 'none',
    mainsHz,
    ceilingM: 120,
    returnHeightM: 40,
    launchId: null,
    lossAction: 'return',
    travelMin: 0,
    wallPower: false,
    breaks: [],
    notes: '',
  };
};
