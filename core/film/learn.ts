import { calibrate, type Calibration } from '../energy';
import type { Kit, Pack } from '../kit';

const known = new WeakMap<object, { readonly packs: readonly Pack[]; readonly calibration: Calibration }>();

/** What the log teaches about aircraft and packs, worked out once for a log. */
export const calibrationOf = ({ flown, packs }: Pick<Kit, 'flown' | 'packs'>): Calibration => {
  const before = known.get(flown);
  if (before?.packs === packs) return before.calibration;
  const calibration = calibrate(flown, packs);
  known.set(flown, { packs, calibration });
  return calibration;
};

/** Packs that may be flown: none that is swollen or hurt. */
export const flyable = (packs: readonly Pack[]): Pack[] => packs.filter((p) => p.condition !== 'swollen' && p.condition !== 'damaged');
