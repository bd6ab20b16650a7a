import { convert } from 'geo-coordinates-parser';
import type { Result } from '@core/units';
import { tr } from './messages';

const DECIMAL = /^\s*([+-]?\d{1,3}(?:\.\d+)?)\s*°?\s*[,;\s]\s*([+-]?\d{1,3}(?:\.\d+)?)\s*°?\s*$/;

/** Reads a pair of coordinates as people paste them: decimal, or degrees, minutes and seconds with letters. */
export const readCoordinates = (text: string): Result<{ latitude: number; longitude: number }> => {
  const pair = DECIMAL.exec(text);
  const found = pair ? { latitude: Number(pair[1]), longitude: Number(pair[2]) } : parsed(text);
  if (!found)
    return {
      ok: false,
      reason: tr('notReadAsCoordinatesTry'),
    };
  if (Math.abs(found.latitude) > 90)
    return { ok: false, reason: tr('latitudeLatitudeIsBeyondThe', { latitude: found.latitude }) };
  if (Math.abs(found.longitude) > 180)
    return { ok: false, reason: tr('longitudeLongitudeIsOutOf', { longitude: found.longitude }) };
  return { ok: true, value: found };
};

const parsed = (text: string): { latitude: number; longitude: number } | null => {
  try {
    const { decimalLatitude, decimalLongitude } = convert(text, 7);
    return { latitude: Number(decimalLatitude), longitude: Number(decimalLongitude) };
  } catch {
    return null;
  }
};
