import { measured, message, type Message } from '../messages';
import type { FlightLogEntry, Pack } from '../model';
import { groupBy } from '../units';
import { temperatureFactor } from './pack';

/** What logged flights say against the plan: real watt-hours for each reckoned, and how far single flights stray (one standard deviation, as a share). */
export interface Factor {
  readonly factor: number;
  readonly spread: number;
  readonly flights: number;
}

/** A logged flight as it is counted. */
export interface CountedFlight {
  readonly flown: FlightLogEntry;
  /** Energy it really took, Wh. */
  readonly usedWh: number;
  /** Real against reckoned; null where no plan was logged or the flight was too short to tell. */
  readonly ratio: number | null;
  /** Too far from the others to be counted. */
  readonly outlier: boolean;
}

export interface Calibration {
  readonly craft: ReadonlyMap<string, Factor>;
  /** Of a pack against its sisters on the same aircraft. */
  readonly packs: ReadonlyMap<string, Factor>;
  readonly counted: readonly CountedFlight[];
}

/** Flights of an aircraft or a pack from which on its factor counts. */
export const FLIGHTS_TO_COUNT = 3;
/** A flight that used less than this share of its pack says too little. */
const LEAST_SHARE = 0.1;
/** Outside of this many robust deviations, and of 15 % at the least, a flight is an outlier (Hampel's rule). */
const OUTLIER_DEVIATIONS = 3.5;
const OUTLIER_LEAST = 0.15;
const MAD_TO_SIGMA = 1.4826;

const median = (list: readonly number[]): number => {
  const sorted = [...list].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return sorted.length === 0 ? 0 : ((sorted[Math.ceil(half) - 1] ?? 0) + (sorted[Math.floor(half)] ?? 0)) / 2;
};

const strays = (logs: readonly number[]): boolean[] => {
  const middle = median(logs);
  const limit = Math.max(
    OUTLIER_LEAST,
    OUTLIER_DEVIATIONS * MAD_TO_SIGMA * median(logs.map((r) => Math.abs(r - middle))),
  );
  return logs.map((r) => logs.length >= FLIGHTS_TO_COUNT && Math.abs(r - middle) > limit);
};

/** Energy a logged flight took: the share of its pack, worth what the pack holds in that temperature. */
export const usedOf = (flown: FlightLogEntry, pack: Pick<Pack, 'ratedWh' | 'health'>): number =>
  Math.max(0, flown.startShare - flown.endShare) *
  pack.ratedWh *
  pack.health *
  temperatureFactor(flown.temperatureC);

/**
 * Energy the plan had for as long as a flight really was, Wh; 0 where it had none. Where it is known how much of the plan was
 * set-up, time over plan is learned as set-up and must not be learned once more as hunger.
 */
const plannedFor = ({ plannedWh, plannedMinutes, plannedSetUpMin, minutes }: FlightLogEntry): number => {
  if (plannedWh === null) return 0;
  return plannedSetUpMin !== null && plannedMinutes !== null && plannedMinutes > 0
    ? (plannedWh * minutes) / plannedMinutes
    : plannedWh;
};

interface LoggedFlight {
  readonly flown: FlightLogEntry;
  readonly usedWh: number;
  readonly log: number | null;
}

/** How far factors of aircraft lie from 1 before anything is known, as a logarithm. Own estimate. */
const USUAL_FACTOR = 0.15;
/** How far single flights of one aircraft stray, as a logarithm, and the flights this knowledge is worth. Own estimates. */
const USUAL_SPREAD = 0.06;
const SPREAD_FLIGHTS = 4;

/**
 * Share of what a log says that is believed: n / (n + (σ/σ₀)²), the weight of n observations of spread σ against a normal prior
 * of spread σ₀ about no correction. A few flights that disagree move little, many that agree move all the way.
 */
const believed = ({ spread, flights }: Factor): number => {
  const variance =
    (spread ** 2 * (flights - 1) + USUAL_SPREAD ** 2 * SPREAD_FLIGHTS) / (flights - 1 + SPREAD_FLIGHTS);
  return flights / (flights + variance / USUAL_FACTOR ** 2);
};

const factorOf = (logs: readonly number[], base = 0): Factor => {
  const mean = logs.reduce((sum, r) => sum + r, 0) / Math.max(1, logs.length);
  const variance =
    logs.length > 1 ? logs.reduce((sum, r) => sum + (r - mean) ** 2, 0) / (logs.length - 1) : 0;
  return { factor: Math.exp(mean - base), spread: Math.sqrt(variance), flights: logs.length };
};

/**
 * Factors from flights that were logged with what had been planned. Ratios are averaged as logarithms, so that twice and half
 * cancel. An aircraft's factor is the middle of its packs, so that one failing pack does not make the aircraft look hungry;
 * a pack's is what it strays from that. Both count from three flights on. The aircraft's is
 * drawn towards 1 while the log is short or does not agree with itself; a pack's is not: a weak cell is named at once.
 */
export const calibrate = (log: readonly FlightLogEntry[], packs: readonly Pack[]): Calibration => {
  const byId = new Map(packs.map((p) => [p.id, p]));
  const logged: LoggedFlight[] = log.flatMap((flown) => {
    const pack = byId.get(flown.packId);
    if (!pack) return [];
    const usedWh = usedOf(flown, pack);
    const plannedWh = plannedFor(flown);
    const counts = plannedWh > 0 && flown.startShare - flown.endShare >= LEAST_SHARE;
    return [{ flown, usedWh, log: counts ? Math.log(usedWh / plannedWh) : null }];
  });
  const outliers = new Set<string>();
  const craft = new Map<string, Factor>();
  const against = new Map<string, Factor>();
  for (const [aircraftId, flights] of groupBy(
    logged.filter((t) => t.log !== null),
    (t) => t.flown.aircraftId,
  )) {
    const perPack = [...groupBy(flights, (t) => t.flown.packId)];
    const enough = perPack.filter(([, list]) => list.length >= FLIGHTS_TO_COUNT);
    // A pack with enough flights is judged by its own; the rest by all there are.
    for (const list of [
      ...enough.map(([, l]) => l),
      perPack.filter(([, l]) => l.length < FLIGHTS_TO_COUNT).flatMap(([, l]) => l),
    ]) {
      strays(list.map((t) => t.log ?? 0)).forEach((out, i) => {
        const t = list[i];
        if (out && t) outliers.add(t.flown.id);
      });
    }
    const kept = flights.filter((t) => !outliers.has(t.flown.id));
    if (kept.length < FLIGHTS_TO_COUNT) continue;
    const middles = [...groupBy(kept, (t) => t.flown.packId)].map(([, list]) => ({
      middle: factorOf(list.map((t) => t.log ?? 0)),
      n: list.length,
    }));
    const centre = median(
      middles.flatMap(({ middle, n }) => Array.from({ length: n }, () => Math.log(middle.factor))),
    );
    const all = factorOf(kept.map((t) => t.log ?? 0));
    craft.set(aircraftId, { ...all, factor: Math.exp(centre * believed(all)) });
    for (const [packId] of enough) {
      const list = kept.filter((t) => t.flown.packId === packId);
      if (list.length < FLIGHTS_TO_COUNT) continue;
      against.set(
        packId,
        factorOf(
          list.map((t) => t.log ?? 0),
          centre,
        ),
      );
    }
  }
  return {
    craft,
    packs: against,
    counted: logged.map(({ flown, usedWh, log: ratio }) => ({
      flown,
      usedWh,
      ratio: ratio === null ? null : Math.exp(ratio),
      outlier: outliers.has(flown.id),
    })),
  };
};

/** A pack needing this much more than its sisters is failing. Own estimate. */
export const FAILING_FACTOR = 1.12;

/** Why a pack should be retired; empty for one that is trusted. */
export const packFaults = (pack: Pack, calibration: Calibration): Message[] => {
  const against = calibration.packs.get(pack.id);
  return [
    ...(pack.condition === 'sound' ? [] : [message(`pack.fault.${pack.condition}`)]),
    ...(pack.cycles > pack.mostCycles
      ? [message('pack.fault.cycles', { cycles: pack.cycles, trusted: pack.mostCycles })]
      : []),
    ...(against && against.factor > FAILING_FACTOR
      ? [
          message('pack.fault.drains', {
            faster: measured((against.factor - 1) * 100, 'percent'),
            flights: against.flights,
          }),
        ]
      : []),
  ];
};

/** The kit's aircraft and packs with what the log has taught about them. */
export const learned = <
  A extends { readonly id: string; readonly energyFactor?: number },
  P extends { readonly id: string; readonly drawFactor?: number },
>(
  aircraft: readonly A[],
  packs: readonly P[],
  calibration: Calibration,
): { aircraft: A[]; packs: P[] } => ({
  aircraft: aircraft.map((a) => {
    const f = calibration.craft.get(a.id);
    return f ? { ...a, energyFactor: f.factor } : a;
  }),
  packs: packs.map((p) => {
    const f = calibration.packs.get(p.id);
    return f ? { ...p, drawFactor: f.factor } : p;
  }),
});
