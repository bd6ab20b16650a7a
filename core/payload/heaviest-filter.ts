import { type Filter, BARE_LENS, filterFits } from '../model';

/**
 * Mass a filter adds to an aircraft, kg: of the one fixed by hand, or of the heaviest that may be on it, since which one is on
 * follows from the light and the energy must hold with any.
 */
export const heaviestFilterKg = (
  filters: readonly Filter[],
  aircraftId: string | null,
  fixedId: string | null,
): number => {
  if (fixedId === BARE_LENS) return 0;
  let grams = 0;
  for (const f of filters)
    if (!f.retired && (fixedId === null ? filterFits(f, aircraftId) : f.id === fixedId))
      grams = Math.max(grams, f.massG);
  return grams / 1000;
};
