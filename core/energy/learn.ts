import { calibrate, type Calibration } from './calibrate';
import type { Kit, Pack } from '../model';

const known = new WeakMap<object, { readonly packs: readonly Pack[]; readonly calibration: Calibration }>();

/** What a calibration hangs on of a pack. */
const alike = (a: readonly Pack[], b: readonly Pack[]): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((p, i) => {
      const q = b[i];
      return q !== undefined && p.id === q.id && p.ratedWh === q.ratedWh && p.health === q.health;
    }));

/** What the log teaches about aircraft and packs, worked out once for a log. */
export const calibrationOf = ({ flightLog, packs }: Pick<Kit, 'flightLog' | 'packs'>): Calibration => {
  const before = known.get(flightLog);
  if (before && alike(before.packs, packs)) return before.calibration;
  const calibration = calibrate(
    flightLog.filter((f) => !f.simulated),
    packs,
  );
  known.set(flightLog, { packs, calibration });
  return calibration;
};

/** Packs that may be flown: none that is swollen or hurt. */
export const flyable = (packs: readonly Pack[]): Pack[] =>
  packs.filter((p) => p.condition !== 'swollen' && p.condition !== 'damaged');
