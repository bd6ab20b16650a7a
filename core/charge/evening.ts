import { addDays, daysBetween } from '../time';
import { chargeMinutes, selfDischarged } from '../energy';
import type { Charger, Device, Pack } from '../model';
import { ChargeDay, type ChargeRun } from './day';

/** Below this a pack is worth topping up for a shoot. */
export const WORTH_TOPPING = 0.97;
/** Share at which packs keep best for weeks, and the days without a shoot from which on that matters. Usual practice. */
export const STORAGE_SHARES = [0.5, 0.6] as const;
export const STORAGE_DAYS = 5;

/** Share of a pack on a date: what it was charged to, less what it has drained by itself since. */
export const shareOn = (
  pack: Pick<Pack, 'charge' | 'chargedOn' | 'drainDelayDays'>,
  date: string,
): number => {
  if (pack.chargedOn === null) return pack.charge;
  const days = daysBetween(pack.chargedOn, date);
  return Number.isFinite(days)
    ? selfDischarged(pack.charge, Math.max(0, days), pack.drainDelayDays)
    : pack.charge;
};

export interface TopUp {
  readonly pack: Pack;
  /** Share it will have when it is needed if nobody charges it. */
  readonly share: number;
  /** It drained by itself since it was charged. */
  readonly drained: boolean;
}

export interface DeviceCharge {
  readonly device: Device;
  readonly minutes: number;
  readonly lasts: boolean;
}

export interface Evening {
  /** What to charge, in the order to put it on. */
  readonly topUp: readonly TopUp[];
  readonly runs: readonly ChargeRun[];
  /** Seconds after the start at which everything that finds a charger is full. */
  readonly doneS: number;
  /** Packs no charger takes, or whose source runs dry. */
  readonly notFull: readonly Pack[];
  readonly devices: readonly DeviceCharge[];
  /** Packs that are left full for days without a shoot: bring them to storage. */
  readonly storage: readonly Pack[];
}

/**
 * The evening before: which packs to charge, in which order, until when. The fullest comes first, so
 * that most packs are ready should the night be short.
 * @param date local date of the shoot @param today local date of the evening
 * @param hoursInUse hours the controller and what goes with it will be on
 */
export const eveningBefore = (
  packs: readonly Pack[],
  devices: readonly Device[],
  chargers: readonly Charger[],
  today: string,
  date: string,
  hoursInUse: number,
): Evening => {
  const topUp = packs
    .map((pack): TopUp => {
      const share = shareOn(pack, date);
      return { pack, share, drained: share < pack.charge - 0.005 };
    })
    .filter((t) => t.share < WORTH_TOPPING && t.pack.condition === 'sound')
    .sort((a, b) => b.share - a.share);
  const evening = new ChargeDay(chargers, 0);
  for (const { pack } of topUp) evening.put(pack, shareOn(pack, today), 0);
  const runs = evening.runs;
  const full = new Set(runs.filter((r) => !r.dry).map((r) => r.packId));
  const far = daysBetween(today, date) >= STORAGE_DAYS;
  return {
    topUp,
    runs,
    doneS: Math.max(0, ...runs.map((r) => r.toS)),
    notFull: topUp.filter((t) => !full.has(t.pack.id)).map((t) => t.pack),
    devices: devices.map((device) => ({
      device,
      minutes: chargeMinutes(device.chargeMinutes, device.charge, 1),
      lasts: device.charge * device.hours >= hoursInUse,
    })),
    storage: far ? packs.filter((p) => shareOn(p, today) > STORAGE_SHARES[1] + 0.05) : [],
  };
};

/**
 * Share of each pack on the morning of a shoot when what the evening before plans is charged: what it reaches on its charger,
 * or what it has by itself.
 */
export const sharesAfterEvening = (
  packs: readonly Pack[],
  chargers: readonly Charger[],
  date: string,
): ReadonlyMap<string, number> => {
  const reached = new Map(packs.map((p) => [p.id, shareOn(p, date)]));
  if (packs.length === 0) return reached;
  // What was read off a pack on the day itself holds: the evening that could have topped it up is over.
  const before = packs.filter((p) => p.chargedOn !== date);
  for (const { packId, toShare } of eveningBefore(before, [], chargers, addDays(date, -1), date, 0).runs)
    reached.set(packId, Math.max(reached.get(packId) ?? 0, toShare));
  return reached;
};

/** What to mind about packs. */
export const PACK_CAUTIONS: readonly string[] = [
  'Charge with somebody near, on something that does not burn, and off when you leave.',
  'Let packs cool before charging; never charge one that is hot, swollen or hurt.',
  'Cold packs warm up in a bag or a room: not on the body, not near a flame, not on a heater.',
  'Rules for carrying packs differ by airline and by road: ask before you travel.',
];
