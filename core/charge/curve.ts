import type { Charger, Pack } from '../model';

/** What a battery on a slot is charged by. */
export interface ChargeCurve {
  /** Energy it holds when full, Wh. */
  readonly wh: number;
  /** Minutes from empty to full by what the cells take. */
  readonly cellMinutes: number;
  /** What the slot puts into the battery at the most, W. */
  readonly slotW: number;
}

/** Up to this share cells take most; in this share of the time. */
const FAST_SHARE = 0.8;
const FAST_TIME = 0.6;

/** Power a slot of a charger has: its own, or its part of what all of them share. */
const slotPower = ({
  slotW,
  totalW,
  slots,
  manner,
}: Pick<Charger, 'slotW' | 'totalW' | 'slots' | 'manner'>): number =>
  totalW > 0 ? Math.min(slotW, manner === 'in-turn' ? totalW : totalW / slots) : slotW;

/** A pack on a slot of a charger. */
export const chargeCurve = (
  pack: Pick<Pack, 'ratedWh' | 'health' | 'chargeMinutes'>,
  charger: Pick<Charger, 'slotW' | 'totalW' | 'slots' | 'manner'>,
): ChargeCurve => ({
  wh: pack.ratedWh * pack.health,
  cellMinutes: pack.chargeMinutes,
  slotW: slotPower(charger),
});

/** Minutes of both parts of a charge, 0–80 % and 80–100 %: what the cells take or what the slot gives, whichever is less. */
const parts = ({ wh, cellMinutes, slotW }: ChargeCurve): readonly [fast: number, slow: number] => {
  const bySlot = (wh / slotW) * 60;
  return [
    Math.max(FAST_TIME * cellMinutes, FAST_SHARE * bySlot),
    Math.max((1 - FAST_TIME) * cellMinutes, (1 - FAST_SHARE) * bySlot),
  ];
};

/** Minutes from empty to a share. */
const minutesTo = (curve: ChargeCurve, share: number): number => {
  const [fast, slow] = parts(curve);
  return share <= FAST_SHARE
    ? (share / FAST_SHARE) * fast
    : fast + ((share - FAST_SHARE) / (1 - FAST_SHARE)) * slow;
};

/**
 * Minutes to charge a pack between two shares on a slot. Cells take 80 % in 60 % of their time and the rest in 40 %; at each
 * moment the power is the smaller of that and what the slot gives.
 */
export const slotMinutes = (curve: ChargeCurve, fromShare: number, toShare: number): number =>
  Math.max(0, minutesTo(curve, toShare) - minutesTo(curve, fromShare));

/** Share a pack has after some minutes on the slot; the other way round of `slotMinutes`. */
export const chargedShare = (curve: ChargeCurve, fromShare: number, minutes: number): number => {
  const [fast, slow] = parts(curve);
  const at = minutesTo(curve, fromShare) + Math.max(0, minutes);
  return Math.min(
    1,
    at <= fast ? (at / fast) * FAST_SHARE : FAST_SHARE + ((at - fast) / slow) * (1 - FAST_SHARE),
  );
};
