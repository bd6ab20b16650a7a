import { EARTH_M } from '@core/geometry';

/** A degree of latitude, m. */
const DEGREE_M = (EARTH_M * Math.PI) / 180;
/** A tenth of a metre. */
const MOST_DIGITS = 6;

/**
 * Coordinates as text that is read again, with no more digits than they are sure of.
 * @param withinM what they are sure of, m; that of a good fix where left out
 */
export const writeCoordinates = (
  { latitude, longitude }: { readonly latitude: number; readonly longitude: number },
  withinM = 2,
): string => {
  const digits = Math.min(MOST_DIGITS, Math.max(1, Math.ceil(Math.log10(DEGREE_M / withinM))));
  return `${latitude.toFixed(digits)}, ${longitude.toFixed(digits)}`;
};
