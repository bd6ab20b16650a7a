import type { Wind } from '../air';
import { hoverCost, legCost, wayHome, type LegCost, type LegFlyer } from '../energy';
import type { Vec3 } from '../units';

/** Seconds hovered after take-off before flying off, and before touching down. */
export const TAKEOFF_S = 30;
export const LANDING_S = 40;
/** The launch point of a place that has no other. */
const ORIGIN: Launch = { id: null, at: { x: 0, y: 0, z: 0 } };
export const LOW_HOVER_M = 2;

/** Where a flight takes off and comes home to. */
export interface Launch { readonly id: string | null; readonly at: Vec3 }

/** A shot as the budget sees it: where it starts and ends, what it costs. */
export interface ShotCost {
  readonly shotId: string;
  readonly aircraftId: string;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly airS: number;
  readonly wattHours: number;
  /** Seconds after the window opens before which the light it wants is not there; 0 when it may start at once. */
  readonly notBeforeS: number;
  /** Launch point it is flown from; the origin where left out. */
  readonly launch?: Launch;
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
  /** Seconds after the window opens at which the shot's set-up begins. */
  readonly atS: number;
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
  readonly launch: Launch;
  /** Seconds after the window opens at which it takes off. */
  readonly startS: number;
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
  readonly swapS: number;
  readonly flyerOf: (aircraftId: string) => LegFlyer | undefined;
}

interface OpenFlight { readonly flight: Flight; readonly at: Vec3 }

const endS = (flight: Flight): number => flight.startS + flight.seconds;

const readyS = (flight: Flight): number => {
  const last = flight.stops.at(-1);
  return last ? last.atS + last.airS : flight.startS + flight.takeoff.seconds;
};

const begin = (supply: PackSupply, packId: string | null, shot: ShotCost, flyer: LegFlyer, rules: FlightRules, clockS: number): OpenFlight | undefined => {
  const launch = shot.launch ?? ORIGIN;
  const takeoff = hoverCost(flyer.power, rules.wind, LOW_HOVER_M, TAKEOFF_S);
  const leg = legCost(flyer, rules.wind, launch.at, shot.from);
  if (!leg.ok) return undefined;
  // Nobody waits in the air: the launch is put off until the first shot's light is there.
  const startS = Math.max(clockS, shot.notBeforeS - takeoff.seconds - leg.value.seconds);
  const flight = { packId, aircraftId: shot.aircraftId, launch, startS, takeoff, stops: [], home: { seconds: 0, wattHours: 0 }, usedWh: takeoff.wattHours, seconds: takeoff.seconds, supply };
  return { flight, at: launch.at };
};

/** Puts a shot at the end of a flight; undefined when the wind forbids it. */
const append = (open: OpenFlight, shot: ShotCost, flyer: LegFlyer, rules: FlightRules): { next: OpenFlight; fits: boolean; early: boolean } | undefined => {
  const { flight } = open;
  const leg = legCost(flyer, rules.wind, open.at, shot.from);
  const way = wayHome(flyer, rules.wind, shot.to, rules.returnHeightM, flight.launch.at);
  if (!leg.ok || !way.ok) return undefined;
  const landing = hoverCost(flyer.power, rules.wind, LOW_HOVER_M, LANDING_S);
  const home = { seconds: way.value.seconds + landing.seconds, wattHours: way.value.wattHours + landing.wattHours };
  const atS = readyS(flight) + leg.value.seconds;
  const usedWh = (flight.stops.at(-1)?.usedWh ?? flight.takeoff.wattHours) + leg.value.wattHours + shot.wattHours;
  const stop: FlightStop = { shotId: shot.shotId, atS, leg: leg.value, airS: shot.airS, wattHours: shot.wattHours, usedWh, homeWh: home.wattHours };
  const seconds = atS + shot.airS + home.seconds - flight.startS;
  return {
    next: {
      flight: {
        packId: flight.packId, aircraftId: flight.aircraftId, launch: flight.launch, startS: flight.startS, takeoff: flight.takeoff, supply: flight.supply,
        stops: [...flight.stops, stop], home, usedWh: usedWh + home.wattHours, seconds,
      },
      at: shot.to,
    },
    fits: usedWh + home.wattHours <= flight.supply.usableWh + 1e-9,
    early: atS < shot.notBeforeS - 1,
  };
};

/** Whether a shot can go along on a flight: same aircraft, same launch point. */
const together = (flight: Flight, shot: ShotCost): boolean => flight.aircraftId === shot.aircraftId && flight.launch.id === (shot.launch?.id ?? null);

/** What a pack still holds after a flight that was not ended by its energy. */
const rest = (flight: Flight): PackSupply => ({
  ...flight.supply,
  usableWh: flight.supply.usableWh - flight.usedWh,
  availableWh: flight.supply.availableWh - flight.usedWh,
});

export interface FillResult {
  readonly flights: readonly Flight[];
  /** Flights that packs which are not there would make. */
  readonly wished: readonly Flight[];
  readonly unfit: readonly Unfit[];
  /** Packs left over with what they still hold, untouched or part used, in order. */
  readonly left: readonly PackSupply[];
}

class Filler {
  readonly flights: Flight[] = [];
  readonly unfit: Unfit[] = [];
  private readonly wished: OpenFlight[] = [];
  private open: OpenFlight | null = null;
  private left: PackSupply[];

  constructor(packs: readonly PackSupply[], private readonly fresh: readonly PackSupply[], private readonly rules: FlightRules) {
    this.left = [...packs];
  }

  add(shot: ShotCost): void {
    const flyer = this.rules.flyerOf(shot.aircraftId);
    if (!flyer) { this.reject(shot, 'no-aircraft'); return; }
    const { open } = this;
    if (!open || this.rules.onePackOneShot) { this.startNew(shot, flyer, false); return; }
    if (!together(open.flight, shot)) { this.startNew(shot, flyer, true); return; }
    const tried = append(open, shot, flyer, this.rules);
    if (tried?.fits && !tried.early) this.open = tried.next;
    else this.startNew(shot, flyer, tried?.early === true);
  }

  /** @param keepRest whether the flight before ends with energy to spare, so that its pack can fly again */
  private startNew(shot: ShotCost, flyer: LegFlyer, keepRest: boolean): void {
    const { open } = this;
    const supplies = open && keepRest ? [rest(open.flight), ...this.left] : this.left;
    const clockS = open ? endS(open.flight) + this.rules.swapS : this.clockS();
    for (const supply of supplies.filter((s) => s.aircraftIds.includes(shot.aircraftId))) {
      const started = begin(supply, supply.packId, shot, flyer, this.rules, clockS);
      const tried = started && append(started, shot, flyer, this.rules);
      if (!tried) { this.reject(shot, 'wind'); return; }
      if (!tried.fits) continue;
      if (open) this.flights.push(open.flight);
      this.left = supplies.filter((s) => s !== supply);
      this.open = tried.next;
      return;
    }
    this.wish(shot, flyer, clockS);
  }

  private clockS(): number {
    const last = this.flights.at(-1);
    return last ? endS(last) + this.rules.swapS : 0;
  }

  /** Reckons what a full pack of the kind the kit knows would do for a shot that found none. */
  private wish(shot: ShotCost, flyer: LegFlyer, clockS: number): void {
    const model = this.fresh.filter((s) => s.aircraftIds.includes(shot.aircraftId)).sort((a, b) => b.usableWh - a.usableWh)[0];
    if (!model) { this.reject(shot, 'no-pack'); return; }
    const started = begin(model, null, shot, flyer, this.rules, clockS);
    const alone = started && append(started, shot, flyer, this.rules);
    if (!alone) { this.reject(shot, 'wind'); return; }
    if (!alone.fits) { this.reject(shot, 'over-pack', alone.next.flight.usedWh - model.usableWh); return; }
    this.reject(shot, 'no-pack');
    const last = this.wished.at(-1);
    const more = last && together(last.flight, shot) && !this.rules.onePackOneShot ? append(last, shot, flyer, this.rules) : undefined;
    if (more?.fits && !more.early) this.wished[this.wished.length - 1] = more.next; else this.wished.push(alone.next);
  }

  private reject(shot: ShotCost, reason: UnfitReason, shortWh = 0): void {
    this.unfit.push({ shotId: shot.shotId, reason, shortWh });
  }

  finish(): FillResult {
    const { open } = this;
    const flights = open ? [...this.flights, open.flight] : this.flights;
    return { flights, wished: this.wished.map((w) => w.flight), unfit: this.unfit, left: open ? [rest(open.flight), ...this.left] : this.left };
  }
}

/**
 * Fills packs with shots in list order: a flight takes shots until the next one and the way home would eat the reserve, the
 * aircraft or the launch point changes, or the light the next shot wants is not there yet; then the next pack that fits is taken. A pack whose
 * flight ended with energy to spare flies again. A shot that fits no pack is left out and named; later shots go on.
 * @param packs supplies in the order they are taken
 * @param fresh full packs the kit knows, for reckoning what one more would fly
 */
export const fillFlights = (shots: readonly ShotCost[], packs: readonly PackSupply[], fresh: readonly PackSupply[], rules: FlightRules): FillResult => {
  const filler = new Filler(packs, fresh, rules);
  for (const shot of shots) filler.add(shot);
  return filler.finish();
};
