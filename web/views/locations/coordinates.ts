import { convert } from 'geo-coordinates-parser';
import type { Result } from '@core/units';

const DECIMAL = /^\s*([+-]?\d{1,3}(?:\.\d+)?)\s*°?\s*[,;\s]\s*([+-]?\d{1,3}(?:\.\d+)?)\s*°?\s*$/;

/** Reads a pair of coordinates as people paste them: decimal, or degrees, minutes and seconds with letters. */
export const readCoordinates = (text: string): Result<{ latitude: number; longitude: number }> => {
  const pair = DECIMAL.exec(text);
  const found = pair ? { latitude: Number(pair[1]), longitude: Number(pair[2]) } : parsed(text);
  if (!found)
    return {
      ok: false,
      reason: 'Not read as coordinates. Try 43.18, -4.83 or 43°10\u203248\u2033N 4°49\u203248\u2033W.',
    };
  if (Math.abs(found.latitude) > 90)
    return { ok: false, reason: `Latitude ${found.latitude} is beyond the pole: it goes from −90 to 90.` };
  if (Math.abs(found.longitude) > 180)
    return { ok: false, reason: `Longitude ${found.longitude} is out of range: it goes from −180 to 180.` };
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
