import { chargeMinutes } from '../energy';
import type { Charger, Pack } from '../model';

/** What arrives in a pack of what its charger draws. Own estimate. */
export const CHARGE_EFFICIENCY = 0.85;

/** Minutes from empty to full of a pack on a charger: its own time, or longer where a slot gives less. */
export const fullMinutes = (
  pack: Pick<Pack, 'ratedWh' | 'health' | 'chargeMinutes'>,
  charger: Pick<Charger, 'slotW'>,
): number =>
  Math.max(pack.chargeMinutes, ((pack.ratedWh * pack.health) / (charger.slotW * CHARGE_EFFICIENCY)) * 60);

/**
 * Share a pack has after some minutes on the charger; the other way round of `chargeMinutes`: up to 80 % in 60 % of the full
 * time, the rest in the remaining 40 %.
 */
export const chargedShare = (full: number, fromShare: number, minutes: number): number => {
  const at = Math.min(1, (chargeMinutes(full, 0, fromShare) + Math.max(0, minutes)) / full);
  return at <= 0.6 ? (at / 0.6) * 0.8 : 0.8 + ((at - 0.6) / 0.4) * 0.2;
};
