import type { Pack } from '../model';

/** Capacity by cell temperature, linear between: [°C, share]. */
const TEMPERATURE: readonly (readonly [number, number])[] = [
  [-20, 0.55],
  [-10, 0.72],
  [0, 0.86],
  [10, 0.95],
  [25, 1],
];

/** Share of the capacity a pack gives at a cell temperature; held beyond −20 and 25 °C. */
export const temperatureFactor = (cellC: number): number => {
  const first = TEMPERATURE[0];
  if (first && cellC <= first[0]) return first[1];
  for (let i = 1; i < TEMPERATURE.length; i += 1) {
    const low = TEMPERATURE[i - 1];
    const high = TEMPERATURE[i];
    if (low && high && cellC <= high[0])
      return low[1] + ((high[1] - low[1]) * (cellC - low[0])) / (high[0] - low[0]);
  }
  return 1;
};

/** Share of the rated energy that is never planned into, whatever reserve is chosen. */
export const CRITICAL_SHARE = 0.1;

export interface PackEnergy {
  /** What it holds at take-off, Wh. */
  readonly availableWh: number;
  /** What must be left at landing, Wh. */
  readonly reserveWh: number;
  /** What a flight may use, Wh; never below zero. */
  readonly usableWh: number;
  readonly temperatureFactor: number;
}

/**
 * Energy of a pack: Wh × charge × health × temperature factor, less what logged flights took from it; the reserve is a share of the rated Wh and never under 10 %.
 * @param reserveShare share of the rated energy to land with, 0.2–0.4
 */
export const packEnergy = (
  pack: Pick<Pack, 'ratedWh' | 'charge' | 'health' | 'drawFactor'>,
  cellC: number,
  reserveShare: number,
): PackEnergy => {
  const factor = temperatureFactor(cellC);
  const availableWh = (pack.ratedWh * pack.charge * (pack.health * factor)) / (pack.drawFactor ?? 1);
  const reserveWh = pack.ratedWh * Math.max(reserveShare, CRITICAL_SHARE);
  return {
    availableWh,
    reserveWh,
    usableWh: Math.max(0, availableWh - reserveWh),
    temperatureFactor: factor,
  };
};

/**
 * Charge (0–1) of a pack left for some days after charging: holds for the delay, drains over two days toward 60 %, then holds.
 * A pack below 60 % holds what it has.
 */
export const selfDischarged = (charge: number, daysSince: number, delayDays = 3): number => {
  const floor = Math.min(charge, 0.6);
  const share = Math.min(1, Math.max(0, (daysSince - delayDays) / 2));
  return charge - (charge - floor) * share;
};

/** Minutes to charge between two shares: 0–80 % takes 60 % of the full time, the rest 40 %. */
export const chargeMinutes = (fullMinutes: number, fromShare: number, toShare: number): number => {
  const at = (share: number): number =>
    share <= 0.8 ? (share / 0.8) * 0.6 : 0.6 + ((share - 0.8) / 0.2) * 0.4;
  return fullMinutes * Math.max(0, at(toShare) - at(fromShare));
};
