import type { HeightReading } from './read';

/** Ground that stands farther than this from the entered elevation belongs to another place, or is in another unit, m. */
const DOUBTFUL_M = 100;

/** How far the ground at a location stands from the elevation entered for it, m; null where that is nothing to ask about. */
export const doubtfulM = ({ hereM }: Pick<HeightReading, 'hereM'>, elevationM: number): number | null => {
  const apartM = Math.abs(hereM - elevationM);
  return apartM > DOUBTFUL_M ? apartM : null;
};
