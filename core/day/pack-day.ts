import { ChargeDay, shareOn, sharesAfterEvening, type ChargeRun } from '../charge';
import { packEnergy } from '../energy';
import type { PackSupply, Recharge } from '../budget';
import type { FlightLogEntry, Kit, Pack, Film, Location } from '../model';
import { dateIn } from '../time';

/** What a pack gives at a share of its charge, in the temperature of a place. */
const supplyOf = (pack: Pack, share: number, location: Location, film: Film): PackSupply => {
  const { reserveShare } = film.preferences;
  const energy = packEnergy({ ...pack, charge: share }, location.temperatureC, reserveShare);
  const full = packEnergy({ ...pack, charge: 1 }, location.temperatureC, reserveShare);
  return {
    packId: pack.id,
    aircraftIds: pack.aircraftIds,
    usableWh: energy.usableWh,
    reserveWh: energy.reserveWh,
    availableWh: energy.availableWh,
    fullWh: full.availableWh,
  };
};

/** Energy of packs in the temperature of a place: as charged for its date, or full. */
export const suppliesOf = (
  packs: readonly Pack[],
  location: Location,
  film: Film,
  full: boolean,
): PackSupply[] =>
  packs.map((pack) => supplyOf(pack, full ? 1 : shareOn(pack, location.date), location, film));

/** Flights of a film that were logged on the date of a place. */
export const loggedOn = (
  flown: readonly FlightLogEntry[],
  film: Pick<Film, 'id'>,
  { date, zone }: Location,
): FlightLogEntry[] =>
  flown
    .filter((f) => f.filmId === film.id && dateIn(f.utcMs, zone) === date)
    .sort((a, b) => a.utcMs - b.utcMs);

export const endOfFlown = (f: FlightLogEntry): number => f.utcMs + f.minutes * 60_000;

/**
 * Packs of one date, from place to place: what each holds, and which hang on a charger meanwhile. Its clock is UTC seconds.
 */
export class PackDay {
  private readonly shares: Map<string, number>;
  private readonly order: string[];
  private readonly charge: ChargeDay;
  private readonly byId: ReadonlyMap<string, Pack>;
  /** Nobody has come to a place yet. */
  private first = true;

  constructor(
    packs: readonly Pack[],
    private readonly kit: Kit,
    private readonly film: Film,
    date: string,
    full: boolean,
    private readonly logged: readonly FlightLogEntry[],
  ) {
    this.byId = new Map(packs.map((p) => [p.id, p]));
    this.order = packs.map((p) => p.id);
    const { chargeBetween, coolMinutes, topUpBefore } = film.preferences;
    const topped = topUpBefore && !full ? sharesAfterEvening(packs, kit.chargers, date) : null;
    this.shares = new Map(packs.map((p) => [p.id, full ? 1 : (topped?.get(p.id) ?? shareOn(p, date))]));
    this.charge = new ChargeDay(chargeBetween ? kit.chargers : [], coolMinutes * 60);
    // What was flown today stands at what it shows now: the log wrote that down, a charge since then may have raised it.
    for (const f of logged) {
      const pack = this.byId.get(f.packId);
      if (pack) this.shares.set(f.packId, pack.charge);
    }
  }

  /** Comes to a place. @returns its packs in the order they are taken, and the chargers in reach */
  arrive(location: Location, atS: number): { packs: PackSupply[]; recharge: Recharge | null } {
    this.charge.reach(
      new Set(this.kit.chargers.filter((c) => c.source !== 'wall' || location.wallPower).map((c) => c.id)),
      atS,
    );
    if (this.first)
      for (const f of this.logged) {
        const pack = this.byId.get(f.packId);
        if (pack) this.charge.put(pack, pack.charge, endOfFlown(f) / 1000);
      }
    this.first = false;
    const supplyAt = (id: string, share: number): PackSupply | undefined => {
      const pack = this.byId.get(id);
      return pack && supplyOf(pack, share, location, this.film);
    };
    const packs = this.order.flatMap((id) => {
      const s = supplyAt(id, Math.max(this.shares.get(id) ?? 0, this.charge.shareAt(id, atS)));
      return s ? [s] : [];
    });
    const any =
      this.film.preferences.chargeBetween &&
      this.kit.chargers.some((c) => c.source !== 'wall' || location.wallPower);
    return {
      packs,
      recharge: any ? { day: this.charge, zeroS: atS, packOf: (id) => this.byId.get(id), supplyAt } : null,
    };
  }

  /** Leaves a place: what flew there goes on a charger where there is one. */
  leave(
    flown: ReadonlySet<string | null>,
    left: readonly PackSupply[],
    spent: readonly PackSupply[],
    endS: number,
  ): void {
    for (const s of [...left, ...spent]) {
      const share = s.fullWh > 0 ? Math.max(0, s.availableWh) / s.fullWh : 0;
      this.shares.set(s.packId, share);
      const pack = this.byId.get(s.packId);
      if (pack && left.includes(s) && flown.has(s.packId)) this.charge.put(pack, share, endS);
    }
    // Part used ones are taken first at the next place.
    const rank = new Map([...left, ...spent].map((s, i) => [s.packId, i]));
    this.order.sort((a, b) => (rank.get(a) ?? 0) - (rank.get(b) ?? 0));
  }

  /** Charges of the day; UTC seconds. */
  get runs(): ChargeRun[] {
    return this.charge.runs;
  }
}
