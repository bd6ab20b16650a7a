/** Video shutter denominators: the third-stop series with 1/24, 1/48 and 1/96 added. */
const DENOMINATORS = [
  2, 2.5, 3, 4, 5, 6, 8, 10, 13, 15, 20, 24, 25, 30, 40, 48, 50, 60, 80, 96, 100, 120, 125, 160, 200, 250,
  320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000,
];

/** Shutter times a camera offers, longest first, s. */
export const SHUTTERS: readonly number[] = DENOMINATORS.map((d) => 1 / d);

/** Longer ones in thirds of a stop, for the single frames of a time-lapse, s. */
export const LONG_SHUTTERS: readonly number[] = [4, 3.2, 2.5, 2, 1.6, 1.3, 1, 0.8, 0.6];

/** What each of `SHUTTERS` adds to a setting's EV: −log2 t. */
export const SHUTTER_STOPS: ReadonlyMap<number, number> = new Map(SHUTTERS.map((t) => [t, -Math.log2(t)]));

const ISO_SERIES = [
  50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200, 4000,
  5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600,
];

/** ISO steps from base to ceiling, both included. */
export const isoSteps = (base: number, ceiling: number): number[] => [
  ...new Set([base, ...ISO_SERIES.filter((iso) => iso > base && iso < ceiling), ceiling]),
];
