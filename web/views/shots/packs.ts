import type { DerivedFilm } from '@core/film';
import type { Goal, LocationPlan, TimedFlight } from '@core/day';
import type { Flight } from '@core/budget';
import type { Pack } from '@core/model';
import { comesTo, wouldBe, type Would } from '../flights/would-be';
import { tr } from './messages';

export type PieceKind = 'takeoff' | 'leg' | 'shot' | 'home';

/** Missing packs drawn; a list far too long for its kit would fill the rail with what is not there. */
const GHOSTS_SHOWN = 6;

/** A length of a pack: what it is spent on, in watt-hours from the top. */
export interface Piece {
  readonly key: string;
  readonly kind: PieceKind;
  readonly fromWh: number;
  readonly wattHours: number;
  readonly shotId: string | null;
  readonly number: number;
  readonly elsewhere: boolean;
  /** Its flight, where it is one of the place in view: number at the place, and of the stop in it. */
  readonly flight: { readonly of: TimedFlight; readonly index: number; readonly stop: number } | null;
}

/** A pack stood on end. Null ids stand for packs that are not there. */
export interface Column {
  readonly key: string;
  readonly packId: string | null;
  readonly name: string;
  readonly ratedWh: number;
  /** What it holds at the start of the day, Wh. */
  readonly heldWh: number;
  readonly reserveWh: number;
  readonly usedWh: number;
  readonly minutes: number;
  readonly flights: number;
  readonly pieces: readonly Piece[];
  readonly ghost: boolean;
}

const piecesOf = (
  flight: Flight,
  startWh: number,
  key: string,
  derived: DerivedFilm,
  elsewhere: boolean,
  own: { readonly of: TimedFlight; readonly index: number } | null,
): Piece[] => {
  let [at, stop] = [startWh, 0];
  const piece = (kind: PieceKind, wattHours: number, shotId: string | null = null): Piece => {
    const made = {
      key: `${key}${kind}${shotId ?? ''}`,
      kind,
      fromWh: at,
      wattHours,
      shotId,
      number: shotId ? (derived.shots.get(shotId)?.number ?? 0) : 0,
      elsewhere,
      flight: own && { ...own, stop },
    };
    if (kind === 'shot') stop += 1;
    at += wattHours;
    return made;
  };
  return [
    piece('takeoff', flight.takeoff.wattHours),
    ...flight.stops.flatMap((s) => [
      { ...piece('leg', s.leg.wattHours), key: `${key}leg${s.shotId}` },
      piece('shot', s.wattHours, s.shotId),
    ]),
    piece('home', flight.home.wattHours),
  ];
};

/** Flights of a pack, parted where it was charged between them. */
const chargesOf = (flights: readonly TimedFlight[]): TimedFlight[][] => {
  const charges: TimedFlight[][] = [];
  for (const f of flights) {
    const last = charges.at(-1)?.at(-1);
    if (last && f.supply.availableWh <= last.supply.availableWh - last.usedWh + 0.3) charges.at(-1)?.push(f);
    else charges.push([f]);
  }
  return charges;
};

/** Packs of the day a place is shot on, with every flight of that day laid into them. */
export const columnsOf = (derived: DerivedFilm, place: LocationPlan, packs: readonly Pack[]): Column[] => {
  const sameDay = [...derived.places.values()].filter((p) => p.location.date === place.location.date);
  const flights: TimedFlight[] = sameDay.flatMap((p) => [...p.flights]);
  const columns = packs.flatMap((pack): Column[] => {
    const mine = flights.filter((f) => f.packId === pack.id).sort((x, y) => x.startMs - y.startMs);
    const charges = chargesOf(mine);
    return (charges.length > 0 ? charges : [[]]).map((own, n): Column => {
      let usedWh = 0;
      const pieces = own.flatMap((f, i) => {
        const made = piecesOf(
          f,
          usedWh,
          `${pack.id}${n}${i}`,
          derived,
          f.locationId !== place.location.id,
          f.locationId === place.location.id ? { of: f, index: place.flights.indexOf(f) } : null,
        );
        usedWh += f.usedWh;
        return made;
      });
      const supply = own[0]?.supply ?? place.fill.remainingPacks.find((s) => s.packId === pack.id);
      return {
        key: `${pack.id}${n}`,
        packId: pack.id,
        name: n === 0 ? pack.name : `${pack.name} \u21bb`,
        ratedWh: pack.ratedWh,
        heldWh: supply?.availableWh ?? 0,
        reserveWh: supply?.reserveWh ?? 0,
        usedWh,
        minutes: own.reduce((sum, f) => sum + f.seconds, 0) / 60,
        flights: own.length,
        pieces,
        ghost: false,
      };
    });
  });
  const ghosts = place.fill.hypothetical.slice(0, GHOSTS_SHOWN).map((f, i): Column => ({
    key: `missing${i}`,
    packId: null,
    name: tr('missingPack'),
    ratedWh: f.supply.availableWh,
    heldWh: f.supply.availableWh,
    reserveWh: f.supply.reserveWh,
    usedWh: f.usedWh,
    minutes: f.seconds / 60,
    flights: 1,
    pieces: piecesOf(f, 0, `missing${i}`, derived, false, null),
    ghost: true,
  }));
  return [...columns, ...ghosts];
};

/**
 * Where a shot goes that is let go on a column at a height: before the piece it is held over the upper half of, at the end of
 * the last flight below it, or as a flight of its own on a pack that is not flown at this place.
 * @param spentWh energy spent from the pack down to there, Wh
 */
export const goalAt = (column: Column, spentWh: number): Goal | null => {
  const own = column.pieces.filter((p) => p.flight !== null && p.kind === 'shot');
  if (own.length === 0) return column.packId === null ? null : { to: 'pack', packId: column.packId };
  const before = own.find((p) => spentWh < p.fromWh + p.wattHours / 2);
  const last = own.at(-1)?.flight;
  if (before?.flight) return { to: 'flight', index: before.flight.index, at: before.flight.stop };
  return last ? { to: 'flight', index: last.index, at: last.stop + 1 } : null;
};

/** What a column would land with, in percent, or how much too much it would be, Wh, with a shot moved; null where that does not touch it. */
export const columnWould = (
  column: Column,
  places: ReadonlyMap<string, LocationPlan>,
  packs: readonly Pack[],
  shotId: string,
  into: boolean,
): Would | null => {
  const own = [...new Set(column.pieces.flatMap((p) => (p.flight ? [p.flight.of] : [])))];
  if (own.length > 0)
    return (
      own
        .flatMap((f) => wouldBe(f, places, packs, shotId, into) ?? [])
        .sort((a, b) => b.overWh - a.overWh || a.landsWith - b.landsWith)[0] ?? null
    );
  const flight = into
    ? [...places.values()]
        .flatMap((p) => p.flights)
        .find((f) => f.packId === column.packId && f.stops.some((s) => s.shotId === shotId))
    : undefined;
  return flight ? comesTo(flight, packs) : null;
};
