import type { Wind } from '../air';
import { hoverCost, legCost, wayHome, type LegCost, type LegFlyer } from '../energy';
import type { Vec3 } from '../units';

/** Seconds hovered after take-off before flying off, and before touching down. */
export const TAKEOFF_S = 30;
export const LANDING_S = 40;
const LAUNCH: Vec3 = { x: 0, y: 0, z: 0 };
const LOW_HOVER_M = 2;

/** A shot as the budget sees it: where it starts and ends, what it costs. */
export interface ShotCost {
  readonly shotId: string;
  readonly aircraftId: string;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly airS: number;
  readonly wattHours: number;
}

export interface PackSupply {
  readonly packId: string;
  readonly aircraftIds: readonly string[];
  readonly usableWh: number;
  readonly reserveWh: number;
  readonly availableWh: number;
}

export interface FlightStop {
  readonly shotId: string;
  readonly leg: LegCost;
  readonly airS: number;
  readonly wattHours: number;
  /** Energy used from take-off to the end of this shot, Wh. */
  readonly usedWh: number;
  /** Way home from the end of this shot with landing, Wh. */
  readonly homeWh: number;
}

export interface Flight {
  /** null for a pack that is not there: what one more pack would fly. */
  readonly packId: string | null;
  readonly aircraftId: string;
  readonly takeoff: LegCost;
  readonly stops: readonly FlightStop[];
  /** Way home from the last shot, with landing. */
  readonly home: LegCost;
  readonly usedWh: number;
  readonly seconds: number;
  readonly supply: PackSupply;
}

export type UnfitReason = 'no-pack' | 'over-pack' | 'wind' | 'no-aircraft' | 'no-path';

export interface Unfit {
  readonly shotId: string;
  readonly reason: UnfitReason;
  /** Energy lacking on the largest pack, Wh; 0 where energy is not what lacks. */
  readonly shortWh: number;
}

export interface FlightRules {
  readonly wind: Wind;
  readonly returnHeightM: number;
  readonly onePackOneShot: boolean;
  readonly flyerOf: (aircraftId: string) => LegFlyer | undefined;
}

interface OpenFlight { flight: Flight; at: Vec3 }

const plus = (a: LegCost, b: LegCost): LegCost => ({ seconds: a.seconds + b.seconds, wattHours: a.wattHours + b.wattHours });

const takeoffCost = (flyer: LegFlyer, wind: Wind): LegCost => hoverCost(flyer.power, wind, LOW_HOVER_M, TAKEOFF_S);

/** Puts a shot at the end of a flight; undefined when the energy or the wind forbids it, with the flight it would have been. */
const append = (open: OpenFlight, shot: ShotCost, flyer: LegFlyer, rules: FlightRules): { next: OpenFlight; fits: boolean } | undefined => {
  const leg = legCost(flyer, rules.wind, open.at, shot.from);
  const way = wayHome(flyer, rules.wind, shot.to, rules.returnHeightM);
  if (!leg.ok || !way.ok) return undefined;
  const home = plus(way.value, hoverCost(flyer.power, rules.wind, LOW_HOVER_M, LANDING_S));
  const before = open.flight.stops.at(-1)?.usedWh ?? open.flight.takeoff.wattHours;
  const usedWh = before + leg.value.wattHours + shot.wattHours;
  const stop: FlightStop = { shotId: shot.shotId, leg: leg.value, airS: shot.airS, wattHours: shot.wattHours, usedWh, homeWh: home.wattHours };
  const stops = [...open.flight.stops, stop];
  const airborne = stops.reduce((sum, s) => sum + s.leg.seconds + s.airS, open.flight.takeoff.seconds);
  return {
    next: { flight: { ...open.flight, stops, home, usedWh: usedWh + home.wattHours, seconds: airborne + home.seconds }, at: shot.to },
    fits: usedWh + home.wattHours <= open.flight.supply.usableWh + 1e-9,
  };
};

const begin = (supply: PackSupply, packId: string | null, aircraftId: string, flyer: LegFlyer, rules: FlightRules): OpenFlight => {
  const takeoff = takeoffCost(flyer, rules.wind);
  return {
    flight: { packId, aircraftId, takeoff, stops: [], home: { seconds: 0, wattHours: 0 }, usedWh: takeoff.wattHours, seconds: takeoff.seconds, supply },
    at: LAUNCH,
  };
};

export interface FillResult {
  readonly flights: readonly Flight[];
  /** Flights that packs which are not there would make. */
  readonly wished: readonly Flight[];
  readonly unfit: readonly Unfit[];
  /** Packs left over, in order. */
  readonly spare: readonly PackSupply[];
}

class Filler {
  readonly flights: Flight[] = [];
  readonly wished: Flight[] = [];
  readonly unfit: Unfit[] = [];
  private open: OpenFlight | null = null;
  private readonly left: PackSupply[];

  constructor(packs: readonly PackSupply[], private readonly fresh: readonly PackSupply[], private readonly rules: FlightRules) {
    this.left = [...packs];
  }

  add(shot: ShotCost): void {
    const flyer = this.rules.flyerOf(shot.aircraftId);
    if (!flyer) { this.reject(shot, 'no-aircraft', 0); return; }
    const open = this.open;
    if (open && open.flight.aircraftId === shot.aircraftId && !this.rules.onePackOneShot) {
      const tried = append(open, shot, flyer, this.rules);
      if (tried?.fits) { this.open = tried.next; return; }
    }
    this.startNew(shot, flyer);
  }

  private startNew(shot: ShotCost, flyer: LegFlyer): void {
    for (const [i, supply] of this.left.entries()) {
      if (!supply.aircraftIds.includes(shot.aircraftId)) continue;
      const tried = append(begin(supply, supply.packId, shot.aircraftId, flyer, this.rules), shot, flyer, this.rules);
      if (!tried) { this.reject(shot, 'wind', 0); return; }
      if (tried.fits) { this.close(); this.left.splice(i, 1); this.open = tried.next; return; }
    }
    this.wish(shot, flyer);
  }

  private wish(shot: ShotCost, flyer: LegFlyer): void {
    const model = this.fresh.filter((s) => s.aircraftIds.includes(shot.aircraftId)).sort((a, b) => b.usableWh - a.usableWh)[0];
    if (!model) { this.reject(shot, 'no-pack', 0); return; }
    const tried = append(begin(model, null, shot.aircraftId, flyer, this.rules), shot, flyer, this.rules);
    if (!tried) { this.reject(shot, 'wind', 0); return; }
    if (!tried.fits) { this.reject(shot, 'over-pack', tried.next.flight.usedWh - model.usableWh); return; }
    this.reject(shot, 'no-pack', 0);
    const last = this.wished.at(-1);
    if (last && last.aircraftId === shot.aircraftId && !this.rules.onePackOneShot) {
      const at = this.wishedAt;
      const more = at ? append({ flight: last, at }, shot, flyer, this.rules) : undefined;
      if (more?.fits) { this.wished[this.wished.length - 1] = more.next.flight; this.wishedAt = more.next.at; return; }
    }
    this.wished.push(tried.next.flight);
    this.wishedAt = tried.next.at;
  }

  private wishedAt: Vec3 | null = null;

  private reject(shot: ShotCost, reason: UnfitReason, shortWh: number): void {
    this.unfit.push({ shotId: shot.shotId, reason, shortWh });
  }

  private close(): void {
    if (this.open) this.flights.push(this.open.flight);
    this.open = null;
  }

  finish(): FillResult {
    this.close();
    return { flights: this.flights, wished: this.wished, unfit: this.unfit, spare: this.left };
  }
}

/**
 * Fills packs with shots in list order: a flight takes shots until the next one and the way home would eat the reserve,
 * then the next pack that fits the aircraft is taken. A shot that fits no pack is left out and named; later shots go on.
 * @param packs supplies in the order they are taken
 * @param fresh full packs the kit knows, for reckoning what one more would fly
 */
export const fillFlights = (shots: readonly ShotCost[], packs: readonly PackSupply[], fresh: readonly PackSupply[], rules: FlightRules): FillResult => {
  const filler = new Filler(packs, fresh, rules);
  for (const shot of shots) filler.add(shot);
  return filler.finish();
};
