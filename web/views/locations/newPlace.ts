import { DAY_MS } from '@core/time';
import { newRow, type Entity } from '@core/model';
import { generateKeyBetween } from 'fractional-indexing';
import { v4 as uuid } from 'uuid';

type Location = Entity<'location'>;

/** The day after today, YYYY-MM-DD. */
export const tomorrow = (): string => new Date(Date.now() + DAY_MS).toISOString().slice(0, 10);

/** Time zone of this device. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Where nobody has said yet: no light is worked out for it until they do. */
const nowhere = () => ({
  placed: false,
  latitude: 0,
  longitude: 0,
  zone: zoneHere(),
  elevationM: 0,
  date: tomorrow(),
  mainsHz: 50 as const,
});

/** A new place: near the last one, on its day, in calm mild air. */
export const newPlace = (filmId: string, last: Location | undefined): Location => {
  const { placed, latitude, longitude, zone, elevationM, date, mainsHz } = last ?? nowhere();
  return newRow('location', {
    id: uuid(),
    filmId,
    position: generateKeyBetween(last?.position ?? null, null),
    placed,
    latitude,
    longitude,
    zone,
    elevationM,
    date,
    mainsHz,
  });
};
