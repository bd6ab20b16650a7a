import { legCost, type LegFlyer, type WindTooStrong } from '../energy';
import { found, type Result } from '../units';
import type { ChargeDay } from '../charge';
import type { Pack } from '../model';
import {
  append,
  type Appended,
  clearOfBreaks,
  endS,
  onGround,
  ORIGIN,
  startedAt,
  windIn,
  type Flight,
  type FlightRules,
  type Launch,
  type OpenFlight,
  type PackSupply,
  type ShotCost,
} from './flight';

/** A flight as it was laid down, with the shots of it that are still to be flown. */
export interface DecidedFlight {
  readonly id: string;
  readonly aircraftId: string;
  readonly packId: string | null;
  readonly launch: Launch;
  readonly locked: boolean;
  readonly notBeforeS: number;
  readonly stops: readonly { readonly cost: ShotCost; readonly pinned: boolean }[];
}

export type UnfitReason = 'no-pack' | 'over-pack' | 'wind' | 'no-aircraft' | 'no-path' | 'no-charge' | 'held';

export interface Unfit {
  readonly shotId: string;
  readonly reason: UnfitReason;
  /** Energy lacking on the largest pack, Wh; 0 where energy is not what lacks. */
  readonly shortWh: number;
  /** What the wind is too strong by, where it forbids the way there or home. */
  readonly wind?: WindTooStrong;
}

/** Chargers of the day; its clock is in seconds from `zeroS` before the window opens. */
export interface Recharge {
  readonly day: ChargeDay;
  readonly zeroS: number;
  readonly packOf: (packId: string) => Pack | undefined;
  /** A pack's supply at a share of its full charge. */
  readonly supplyAt: (packId: string, share: number) => PackSupply | undefined;
}

export interface FillResult {
  readonly flights: readonly Flight[];
  /** Flights that packs which are not there would make. */
  readonly hypothetical: readonly Flight[];
  readonly unfit: readonly Unfit[];
  /** Packs left over with what they still hold, untouched or part used, in order. */
  readonly remainingPacks: readonly PackSupply[];
  /** Packs that flew and were not put on for another aircraft or launch point. */
  readonly landedPacks: readonly PackSupply[];
}

/** Whether a shot can go along on a flight: same aircraft, same launch point. */
const together = (flight: Flight, shot: ShotCost): boolean =>
  flight.aircraftId === shot.aircraftId && flight.launch.id === (shot.launch?.id ?? null);

const begin = (
  supply: PackSupply,
  packId: string | null,
  shot: ShotCost,
  flyer: LegFlyer,
  rules: FlightRules,
  clockS: number,
): Result<OpenFlight, WindTooStrong> => {
  const fromS = Math.max(clockS, shot.notBeforeS);
  const open = onGround(supply, packId, shot.aircraftId, shot.launch ?? ORIGIN, flyer, rules, fromS);
  const leg = legCost(flyer, windIn(rules, fromS), open.at, shot.from);
  if (!leg.ok) return leg;
  // Nobody waits in the air: the launch is put off until the first shot's light is there.
  const startS = Math.max(clockS, shot.notBeforeS - open.flight.takeoff.seconds - leg.value.seconds);
  return found({ flight: { ...open.flight, startS }, at: open.at });
};

/** What a pack still holds after a flight. */
const remaining = (flight: Flight): PackSupply => ({
  ...flight.supply,
  usableWh: flight.supply.usableWh - flight.usedWh,
  availableWh: flight.supply.availableWh - flight.usedWh,
});

/** Times a laid flight is worked out anew when it is put off; each time it comes to rest further. */
const LAID_ROUNDS = 3;

/** A shot of a flight that was laid down, which the wind keeps out of it. */
interface Windy {
  readonly cost: ShotCost;
  readonly wind: WindTooStrong;
}

class Filler {
  readonly flights: Flight[] = [];
  readonly unfit: Unfit[] = [];
  private readonly hypothetical: OpenFlight[] = [];
  /** Flight being filled, for each pilot. */
  private readonly open = new Map<string, OpenFlight>();
  private readonly clocks = new Map<string, number>();
  private remainingPacks: PackSupply[];
  private landedPacks: PackSupply[] = [];

  constructor(
    packs: readonly PackSupply[],
    private readonly fullPacks: readonly PackSupply[],
    private readonly rules: FlightRules,
    private readonly recharge: Recharge | null,
  ) {
    this.remainingPacks = packs.filter((p) => !recharge?.day.charging(p.packId, recharge.zeroS));
    this.landedPacks = packs.filter((p) => !this.remainingPacks.includes(p));
  }

  /** Whether a pack may be taken for a shot that stands in the list, or for a laid flight that takes what there is. */
  private free(supply: PackSupply, aircraftId: string): boolean {
    return supply.aircraftIds.includes(aircraftId) && !this.rules.reservedPacks?.has(supply.packId);
  }

  private crewOf(aircraftId: string): string {
    return this.rules.atOnce ? aircraftId : '';
  }
  private clockOf(crew: string): number {
    return this.clocks.get(crew) ?? this.rules.readyS;
  }

  private land(flight: Flight, keepRest: boolean): void {
    this.flights.push(flight);
    this.clocks.set(this.crewOf(flight.aircraftId), endS(flight) + this.rules.swapS);
    const supply = remaining(flight);
    if (keepRest) {
      this.remainingPacks = [supply, ...this.remainingPacks];
      return;
    }
    this.landedPacks.push(supply);
    const pack = flight.packId === null ? undefined : this.recharge?.packOf(flight.packId);
    if (pack && this.recharge)
      this.recharge.day.put(
        pack,
        Math.max(0, supply.availableWh) / supply.fullWh,
        this.recharge.zeroS + endS(flight),
      );
  }

  /** A flight as it was laid down: flown whole, whether it fits or not, on the pack it was given. */
  lay(laid: DecidedFlight): void {
    const flyer = this.rules.flyerOf(laid.aircraftId);
    if (laid.stops.length === 0) return;
    if (!flyer) {
      for (const { cost } of laid.stops) this.reject(cost, 'no-aircraft');
      return;
    }
    const crew = this.crewOf(laid.aircraftId);
    const clockS = Math.max(this.clockOf(crew), laid.notBeforeS);
    const made = this.suppliesFor(laid, clockS).map((s) => this.laidInWind(laid, s, flyer, clockS));
    const chosen = made.find(({ flight }) => flight.overWh <= 0) ?? made.at(-1);
    if (!chosen) return;
    const { flight, windy } = chosen;
    for (const { cost, wind } of windy) this.reject(cost, 'wind', 0, wind);
    if (flight.stops.length === 0) return;
    const startS = clearOfBreaks(chosen.startS, flight.seconds, this.rules.breaks);
    this.remainingPacks = this.remainingPacks.filter((s) => s.packId !== flight.packId);
    this.landedPacks = this.landedPacks.filter((s) => s.packId !== flight.packId);
    if (flight.packId !== null) this.recharge?.day.take(flight.packId, this.recharge.zeroS + startS);
    this.land({ ...startedAt(flight, startS), planId: laid.id, locked: laid.locked }, false);
  }

  /** A laid flight in the wind of the time it is flown at: where it is put off, it is worked out for then. */
  private laidInWind(
    laid: DecidedFlight,
    on: { supply: PackSupply; fromS: number },
    flyer: LegFlyer,
    clockS: number,
  ): { flight: Flight; startS: number; windy: readonly Windy[] } {
    let made = this.laidOn(laid, on, flyer, clockS);
    if (!this.rules.windAt) return made;
    for (let round = 0; round < LAID_ROUNDS; round += 1) {
      const startS = clearOfBreaks(made.startS, made.flight.seconds, this.rules.breaks);
      if (startS === made.flight.startS) break;
      made = this.laidOn(laid, on, flyer, startS);
    }
    return made;
  }

  /** A laid flight on a supply, with what the wind keeps out of it. */
  private laidOn(
    laid: DecidedFlight,
    { supply, fromS }: { supply: PackSupply; fromS: number },
    flyer: LegFlyer,
    clockS: number,
  ): { flight: Flight; startS: number; windy: readonly Windy[] } {
    let startS = Math.max(clockS, fromS);
    let open: OpenFlight = onGround(
      supply,
      laid.packId ?? (supply.packId === '' ? null : supply.packId),
      laid.aircraftId,
      laid.launch,
      flyer,
      this.rules,
      startS,
    );
    const windy: Windy[] = [];
    for (const { cost, pinned } of laid.stops) {
      const tried = append(open, cost, flyer, this.rules, pinned);
      if (!tried.ok) {
        windy.push({ cost, wind: tried.reason });
        continue;
      }
      open = tried.value.next;
      const late = cost.notBeforeS - (open.flight.stops.at(-1)?.atS ?? open.flight.startS);
      startS = Math.max(startS, open.flight.startS + late);
    }
    return { flight: open.flight, startS, windy };
  }

  /** The pack a laid flight was given as it may be then, what is to be tried first before: the first that is there where it was given none; an empty one where none is. */
  private suppliesFor(laid: DecidedFlight, clockS: number): { supply: PackSupply; fromS: number }[] {
    const own =
      laid.packId === null
        ? this.remainingPacks.find((s) => this.free(s, laid.aircraftId))
        : (this.remainingPacks.find((s) => s.packId === laid.packId) ??
          this.landedPacks.find((s) => s.packId === laid.packId));
    if (!own)
      return [
        {
          supply: {
            packId: laid.packId ?? '',
            aircraftIds: [laid.aircraftId],
            usableWh: 0,
            reserveWh: 0,
            availableWh: 0,
            fullWh: 0,
          },
          fromS: 0,
        },
      ];
    if (!this.landedPacks.includes(own)) return [{ supply: own, fromS: 0 }];
    // It flew before: on what it has left and the charger gave it meanwhile; waiting for it to be full only where that is too little, and within the window.
    const now = { supply: this.asOf(own, clockS), fromS: 0 };
    const full = this.chargedBy(own, 1);
    const waits = full && full.fromS <= this.rules.windowS ? [full] : [];
    return this.rules.onePackOneShot && waits.length > 0 ? waits : [now, ...waits];
  }

  private asOf(supply: PackSupply, atS: number): PackSupply {
    const { recharge } = this;
    return (
      recharge?.supplyAt(supply.packId, recharge.day.shareAt(supply.packId, recharge.zeroS + atS)) ?? supply
    );
  }

  private chargedBy(supply: PackSupply, share: number): { supply: PackSupply; fromS: number } | null {
    const { recharge } = this;
    if (!recharge) return null;
    const fromS = recharge.day.readyAt(supply.packId, share) - recharge.zeroS;
    const then = Number.isFinite(fromS) ? recharge.supplyAt(supply.packId, share) : undefined;
    return then ? { supply: then, fromS } : null;
  }

  add(shot: ShotCost): void {
    const flyer = this.rules.flyerOf(shot.aircraftId);
    if (!flyer) {
      this.reject(shot, 'no-aircraft');
      return;
    }
    const open = this.open.get(this.crewOf(shot.aircraftId));
    if (!open || this.rules.onePackOneShot) {
      this.startNew(shot, flyer, open, false);
      return;
    }
    if (!together(open.flight, shot)) {
      this.startNew(shot, flyer, open, true);
      return;
    }
    const tried = append(open, shot, flyer, this.rules);
    const on = tried.ok ? tried.value : null;
    if (on?.fits && !on.early && !on.broken) this.open.set(this.crewOf(shot.aircraftId), on.next);
    else this.startNew(shot, flyer, open, on !== null && (on.early || on.broken));
  }

  /** @param keepRest whether the flight before ends with energy to spare, so that its pack can fly again */
  private startNew(shot: ShotCost, flyer: LegFlyer, open: OpenFlight | undefined, keepRest: boolean): void {
    const clockS = open ? endS(open.flight) + this.rules.swapS : this.clockOf(this.crewOf(shot.aircraftId));
    const supplies =
      open && keepRest ? [remaining(open.flight), ...this.remainingPacks] : this.remainingPacks;
    for (const supply of supplies.filter((s) => this.free(s, shot.aircraftId))) {
      const tried = this.tryOn(supply, shot, flyer, clockS);
      if (!tried.ok) {
        this.reject(shot, 'wind', 0, tried.reason);
        return;
      }
      if (tried.value.fits) {
        this.takeOff(tried.value.next, open, keepRest);
        return;
      }
    }
    if (this.recharge) {
      // Its own pack may be the one to charge: the flight before ends here.
      if (open) {
        this.land(open.flight, keepRest);
        this.open.delete(this.crewOf(shot.aircraftId));
      }
      const again = this.onRecharged(shot, flyer, clockS);
      if (again) {
        this.takeOff(again, undefined, false);
        return;
      }
    }
    this.wish(shot, flyer, clockS);
  }

  private tryOn(
    supply: PackSupply,
    shot: ShotCost,
    flyer: LegFlyer,
    clockS: number,
  ): Result<Appended, WindTooStrong> {
    const started = begin(supply, supply.packId, shot, flyer, this.rules, clockS);
    const tried = started.ok ? append(started.value, shot, flyer, this.rules) : started;
    if (!tried.ok || !tried.value.broken) return tried;
    const { next } = tried.value;
    const startS = clearOfBreaks(next.flight.startS, next.flight.seconds, this.rules.breaks);
    // Flown later, in the wind of then.
    if (this.rules.windAt && startS > clockS) return this.tryOn(supply, shot, flyer, startS);
    return found({ ...tried.value, next: { ...next, flight: startedAt(next.flight, startS) } });
  }

  /** A pack that flew and has been charged since, or the first that will be full while the window is open. */
  private onRecharged(shot: ShotCost, flyer: LegFlyer, clockS: number): OpenFlight | null {
    const options = this.landedPacks
      .filter((s) => this.free(s, shot.aircraftId))
      .flatMap((s) => {
        const full = this.chargedBy(s, 1);
        // One pack, one shot: what is left of a pack is not flown, only what was filled again.
        return [
          ...(this.rules.onePackOneShot ? [] : [{ supply: this.asOf(s, clockS), fromS: clockS }]),
          ...(full ? [{ supply: full.supply, fromS: Math.max(clockS, full.fromS) }] : []),
        ];
      })
      .sort((a, b) => a.fromS - b.fromS);
    for (const { supply, fromS } of options) {
      const tried = this.tryOn(supply, shot, flyer, fromS);
      if (tried.ok && tried.value.fits && endS(tried.value.next.flight) <= this.rules.windowS)
        return tried.value.next;
    }
    return null;
  }

  private takeOff(next: OpenFlight, before: OpenFlight | undefined, keepRest: boolean): void {
    if (before) this.land(before.flight, keepRest);
    const { packId, startS } = next.flight;
    this.remainingPacks = this.remainingPacks.filter((s) => s.packId !== packId);
    if (packId !== null && this.landedPacks.some((s) => s.packId === packId))
      this.recharge?.day.take(packId, this.recharge.zeroS + startS);
    this.landedPacks = this.landedPacks.filter((s) => s.packId !== packId);
    this.open.set(this.crewOf(next.flight.aircraftId), next);
  }

  /** Reckons what a full pack of the kind the kit knows would do for a shot that found none. */
  private wish(shot: ShotCost, flyer: LegFlyer, clockS: number): void {
    const mine = this.fullPacks.filter((s) => s.aircraftIds.includes(shot.aircraftId));
    const model = mine.reduce<PackSupply | undefined>(
      (best, s) => (best && best.usableWh >= s.usableWh ? best : s),
      undefined,
    );
    if (!model) {
      this.reject(shot, 'no-pack');
      return;
    }
    const started = begin(model, null, shot, flyer, this.rules, clockS);
    const alone = started.ok ? append(started.value, shot, flyer, this.rules) : started;
    if (!alone.ok) {
      this.reject(shot, 'wind', 0, alone.reason);
      return;
    }
    if (!alone.value.fits) {
      this.reject(shot, 'over-pack', alone.value.next.flight.overWh);
      return;
    }
    const there = this.remainingPacks.filter((s) => s.aircraftIds.includes(shot.aircraftId));
    this.reject(
      shot,
      there.some((s) => this.free(s, shot.aircraftId)) ? 'no-charge' : there.length > 0 ? 'held' : 'no-pack',
    );
    const last = this.hypothetical.at(-1);
    const more =
      last && together(last.flight, shot) && !this.rules.onePackOneShot
        ? append(last, shot, flyer, this.rules)
        : null;
    if (more?.ok && more.value.fits && !more.value.early)
      this.hypothetical[this.hypothetical.length - 1] = more.value.next;
    else this.hypothetical.push(alone.value.next);
  }

  private reject(shot: ShotCost, reason: UnfitReason, shortWh = 0, wind?: WindTooStrong): void {
    this.unfit.push({ shotId: shot.shotId, reason, shortWh, ...(wind ? { wind } : {}) });
  }

  finish(): FillResult {
    const left = [...this.remainingPacks];
    for (const { flight } of this.open.values()) {
      this.land(flight, true);
    }
    // Whoever ends the day with energy to spare may fly on at the next place.
    this.remainingPacks = this.remainingPacks.filter((s) => !left.includes(s));
    const flights = this.flights.sort((a, b) => a.startS - b.startS);
    return {
      flights,
      hypothetical: this.hypothetical.map((w) => w.flight),
      unfit: this.unfit,
      remainingPacks: [...this.remainingPacks, ...left],
      landedPacks: this.landedPacks,
    };
  }
}

/**
 * Fills packs with shots. Flights that were laid down come first, whole; what is in none of them is put on packs in list order:
 * a flight takes shots until the next one and the way home would eat the reserve, the aircraft or the launch point changes, a
 * break begins, or the light the next shot wants is not there yet; then the next pack that fits is taken, at last one that has
 * been charged since it flew. A pack whose flight ended with energy to spare flies again. A shot that fits no pack is left out
 * and named; later shots go on.
 * @param packs supplies in the order they are taken
 * @param fresh full packs the kit knows, for reckoning what one more would fly
 */
export const fillFlights = (
  shots: readonly ShotCost[],
  packs: readonly PackSupply[],
  fresh: readonly PackSupply[],
  rules: FlightRules,
  laid: readonly DecidedFlight[] = [],
  recharge: Recharge | null = null,
): FillResult => {
  const filler = new Filler(packs, fresh, rules, recharge);
  for (const flight of laid) filler.lay(flight);
  for (const shot of shots) filler.add(shot);
  return filler.finish();
};
