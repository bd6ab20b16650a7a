import { CRITICAL_SHARE } from '@core/energy';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan, TimedFlight } from '@core/day';
import { clockText } from '@core/time';
import { skyColour, sunAt } from '@core/light';
import type { Kit } from '@core/model';
import { filterNameOf } from '../../format/names';
import { comesTo } from './would-be';
import { tr } from './messages';

export type PieceKind = 'takeoff' | 'leg' | 'shot' | 'home';

/** A length of a flight, as shares of the row: from, how long, and where its set-up ends and its takes part. */
export interface RailPiece {
  readonly key: string;
  readonly kind: PieceKind;
  readonly from: number;
  readonly size: number;
  readonly shotId: string | null;
  readonly number: number;
  readonly title: string;
  readonly pinned: boolean;
  readonly wattHours: number;
  readonly seconds: number;
  readonly setupShare: number;
  readonly takes: number;
  readonly sky: string;
  readonly atMs: number;
}

/** A flight laid down on its side: all of it in shares of the longest pack. */
export interface RailRow {
  readonly key: string;
  readonly locationId: string;
  /** Number of the flight at its place. */
  readonly index: number;
  readonly number: number;
  readonly flight: TimedFlight;
  readonly packName: string;
  readonly craftName: string;
  readonly at: string;
  readonly pieces: readonly RailPiece[];
  readonly held: number;
  readonly rated: number;
  readonly reserveFrom: number;
  readonly criticalFrom: number;
  readonly landsWith: number;
  readonly filter: string;
  readonly card: string;
  readonly minutes: number;
  readonly noRoom: boolean;
}

export type Scale = 'energy' | 'minutes';

const rgb = (place: LocationPlan, ms: number): string =>
  `rgb(${skyColour(sunAt(ms, place.location.latitude, place.location.longitude).altitudeDeg).join(' ')})`;

const piecesOf = (
  derived: DerivedFilm,
  place: LocationPlan,
  flight: TimedFlight,
  key: string,
  shareOf: (wh: number, s: number) => number,
): RailPiece[] => {
  let [from, at] = [0, flight.startMs];
  const piece = (
    kind: PieceKind,
    cost: { readonly wattHours: number; readonly seconds: number },
    more: Partial<RailPiece> = {},
  ): RailPiece => {
    const size = shareOf(cost.wattHours, cost.seconds);
    const made: RailPiece = {
      key: `${key}${kind}${more.shotId ?? from.toFixed(4)}`,
      kind,
      from,
      size,
      shotId: null,
      number: 0,
      title: '',
      pinned: false,
      wattHours: cost.wattHours,
      seconds: cost.seconds,
      setupShare: 0,
      takes: 1,
      sky: rgb(place, at),
      atMs: at,
      ...more,
    };
    from += size;
    at += cost.seconds * 1000;
    return made;
  };
  return [
    piece('takeoff', flight.takeoff),
    ...flight.stops.flatMap((s) => {
      const shot = derived.shots.get(s.shotId);
      const takes = Math.max(1, shot?.facts.shot.takes ?? 1);
      const setup = shot
        ? 1 -
          (takes * shot.facts.seconds.takeS + (takes - 1) * shot.facts.seconds.betweenS) / Math.max(1, s.airS)
        : 0;
      return [
        piece('leg', s.leg),
        piece(
          'shot',
          { wattHours: s.wattHours, seconds: s.airS },
          {
            shotId: s.shotId,
            number: shot?.number ?? 0,
            title: shot?.facts.shot.title || tr('untitled'),
            pinned: s.pinned,
            setupShare: Math.max(0, Math.min(1, setup)),
            takes,
          },
        ),
      ];
    }),
    piece('home', flight.home),
  ];
};

const filterText = (derived: DerivedFilm, kit: Kit, flight: TimedFlight): string => {
  const names = flight.stops.map((s) => {
    const f = derived.shots.get(s.shotId)?.filter;
    return f ? filterNameOf(kit.filters, f.filterId, f.stops) : tr('noLight');
  });
  return [...new Set(names)].join(' then ');
};

/** Flights of a day laid side by side on one scale. */
export const railRows = (
  derived: DerivedFilm,
  kit: Kit,
  places: readonly LocationPlan[],
  scale: Scale,
): RailRow[] => {
  const flights = places.flatMap((p) => p.flights.map((flight, index) => ({ place: p, flight, index })));
  const packOf = new Map(kit.packs.map((p) => [p.id, p]));
  const wattsOf = (f: TimedFlight): number => (f.usedWh / Math.max(1, f.seconds)) * 3600;
  const ratedOf = (f: TimedFlight): number => packOf.get(f.packId ?? '')?.ratedWh ?? f.supply.fullWh;
  const whole = Math.max(
    1,
    ...flights.map(({ flight: f }) => {
      const wh = Math.max(ratedOf(f), f.usedWh);
      return scale === 'energy' ? wh : (wh / wattsOf(f)) * 3600;
    }),
  );
  const cards = new Map(
    derived.budget.cards.byFlight.map(({ flight, cardId }) => [
      flight,
      cardId === null ? null : (kit.cards.find((c) => c.id === cardId)?.name ?? ''),
    ]),
  );
  const order = new Map(
    [...flights].sort((a, b) => a.flight.startMs - b.flight.startMs).map((x, i) => [x.flight, i]),
  );
  return flights.map(({ place, flight, index }) => {
    const shareOf = (wh: number, s: number): number => (scale === 'energy' ? wh : s) / whole;
    const ofWh = (wh: number): number => shareOf(wh, (wh / wattsOf(flight)) * 3600);
    const rated = ratedOf(flight);
    const { availableWh, reserveWh } = flight.supply;
    const pack = packOf.get(flight.packId ?? '');
    const key = flight.id;
    const n = order.get(flight) ?? 0;
    const cardName = cards.get(flight);
    const noRoom = cardName === null;
    return {
      key,
      locationId: place.location.id,
      index,
      number: n + 1,
      flight,
      packName: pack?.name ?? tr('noPack'),
      craftName: kit.aircraft.find((a) => a.id === flight.aircraftId)?.name ?? '',
      at: clockText(flight.startMs, place.location.zone),
      pieces: piecesOf(derived, place, flight, key, shareOf),
      held: ofWh(availableWh),
      rated: ofWh(rated),
      reserveFrom: ofWh(Math.max(0, availableWh - reserveWh)),
      criticalFrom: ofWh(Math.max(0, availableWh - rated * CRITICAL_SHARE)),
      landsWith: comesTo(flight, kit.packs).landsWith,
      filter: filterText(derived, kit, flight),
      card: noRoom ? tr('noRoomOnTheCards') : (cardName ?? ''),
      minutes: flight.seconds / 60,
      noRoom,
    };
  });
};

/** Where on its row an instant of a flight lies, by what is left in the pack then. */
export const shareOnRow = (
  row: RailRow,
  scale: Scale,
  at: { readonly tS: number; readonly leftWh: number },
): number => {
  const { supply, seconds } = row.flight;
  const last = row.pieces.at(-1);
  return scale === 'energy'
    ? ((supply.availableWh - at.leftWh) / Math.max(1e-6, supply.availableWh)) * row.held
    : (at.tS / seconds) * (last ? last.from + last.size : 0);
};

/** Stop before which something let go at a share of the row comes. */
export const stopAt = (row: RailRow, share: number): number => {
  const shots = row.pieces.filter((p) => p.kind === 'shot');
  const at = shots.findIndex((p) => share < p.from + p.size / 2);
  return at === -1 ? shots.length : at;
};
