import { assignCards, lifeOf, maxUncopiedFootage, plannableBytes, type CardFill } from '../cards';
import { type Card, type Kit, CARD_POLICIES, type CardPolicy, type FilmInput } from '../model';
import { launchFeature } from '../site';
import { lossRiskOf, waterOf, type LossRisk } from './loss-risk';
import type { PlannedShot } from './plan';
import type { LocationPlan, TimedFlight } from './location-flights';

export type ShotsById = ReadonlyMap<string, PlannedShot>;

/** What a flight leaves behind, and on what. */
export interface FlightLoad {
  readonly flight: TimedFlight;
  /** null where no card has room for it. */
  readonly cardId: string | null;
  /** It goes into the memory of the aircraft: no card has room, that has. */
  readonly internal: boolean;
  /** It wanted a card of its own, and none was left. */
  readonly shares: boolean;
  readonly bytes: number;
  readonly recordedS: number;
  readonly away: LossRisk | null;
}

/** What a habit with cards comes to: most seconds in the air that exist nowhere else, and cards it takes. */
export interface PolicyCost {
  readonly policy: CardPolicy;
  readonly aboardS: number;
  readonly cards: number;
  readonly overBytes: number;
}

/** What a row of flights leaves on the cards, and how much of it nobody has a copy of. */
export interface CardFacts {
  /** In the order they are flown. */
  readonly byFlight: readonly FlightLoad[];
  readonly byPlace: ReadonlyMap<string, number>;
  readonly fills: readonly CardFill[];
  readonly overBytes: number;
  /** Bytes that go into the memory of an aircraft. */
  readonly internalBytes: number;
  /** Most footage in the air that exists nowhere else, s. */
  readonly aboardS: number;
  readonly aboardFlight: TimedFlight | null;
  /** Footage from before that is on its card then, without any copy, GB. */
  readonly aboardOldGB: number;
  readonly policies: readonly PolicyCost[];
}

/** Share of an aircraft's memory that is planned with: it cannot be taken out, and takes long to read. */
export const INTERNAL_SHARE = 0.8;

/** Something is on it: it is not fresh, and not there for a flight that wants one of its own. */
export const isUsed = (card: Pick<Card, 'usedGB'>): boolean => card.usedGB > 0;

export const shotsIn = (flight: TimedFlight, shots: ShotsById): PlannedShot[] =>
  flight.stops.flatMap((s) => shots.get(s.shotId) ?? []);

/** Where an aircraft would be gone with its card, by flight: its worst shot counts. */
export const flightLossRisk = (
  { features, film }: Pick<FilmInput, 'features' | 'film'>,
  flight: TimedFlight,
  shots: ShotsById,
): LossRisk | null => {
  // Off a boat all of it is over water, and a card that stays aboard is lost with the boat.
  if (launchFeature(features, flight.launch.id)?.footing === 'boat') return 'water';
  const wet = waterOf(features, flight.locationId);
  const all = shotsIn(flight, shots).map((s) =>
    lossRiskOf(s.facts, wet, flight.launch.at, film.preferences.awayM),
  );
  return all.find((a) => a === 'water') ?? all.find((a) => a !== null) ?? null;
};

interface Load {
  readonly bytes: number;
  readonly recordedS: number;
  readonly date: string;
  readonly away: LossRisk | null;
}

const policyCost = (policy: CardPolicy, loads: readonly Load[], cards: readonly Card[]): PolicyCost => {
  const fresh = loads.map((l) => policy === 'fresh' || (policy === 'fresh-away' && l.away !== null));
  // Asked of cards enough, so that the figure is that of the habit and not of what is missing.
  const size = Math.max(0, ...cards.map((c) => plannableBytes({ ...c, usedGB: 0 })));
  const on = assignCards(
    loads.map((l) => l.bytes),
    loads.map(() => size),
    { fresh },
  );
  const overBytes = loads.reduce((sum, l, i) => (on[i] === null ? sum + l.bytes : sum), 0);
  return {
    policy,
    aboardS: maxUncopiedFootage(
      on,
      loads.map((l) => l.recordedS),
      loads.map((l) => l.date),
    ).seconds,
    cards: new Set(on.filter((c) => c !== null)).size,
    overBytes,
  };
};

/** Which of the flights without a card fit into the memory of their aircraft. */
const intoMemory = (
  kit: Pick<Kit, 'aircraft'>,
  flights: readonly TimedFlight[],
  bytes: readonly number[],
  on: readonly (number | null)[],
): boolean[] => {
  const left = new Map(kit.aircraft.map((a) => [a.id, a.internalGB * 1e9 * INTERNAL_SHARE]));
  return flights.map((f, i) => {
    const room = left.get(f.aircraftId) ?? 0;
    const b = bytes[i] ?? 0;
    if (on[i] !== null || b === 0 || b > room) return false;
    left.set(f.aircraftId, room - b);
    return true;
  });
};

/** What is on a card that nobody has copied, GB. */
const uncopiedGB = ({ cardMoves }: Pick<Kit, 'cardMoves'>, card: Card | undefined): number => {
  const life = card && lifeOf(card, cardMoves);
  return life && life.copies === 0 ? life.usedGB : 0;
};

/** Cards of all flights of a film by its habit, memory of the aircraft where none has room, and what is at stake. */
export const cardFacts = (input: FilmInput, places: readonly LocationPlan[], shots: ShotsById): CardFacts => {
  const { cards } = input.kit;
  const dates = new Map(places.map((p) => [p.location.id, p.location.date]));
  const flights = places.flatMap((p) => p.flights).sort((a, b) => a.startMs - b.startMs);
  const loads = flights.map((f): Load => {
    const own = shotsIn(f, shots);
    return {
      bytes: own.reduce((sum, s) => sum + s.facts.bytes, 0),
      recordedS: own.reduce((sum, s) => sum + s.facts.seconds.recordedS, 0),
      date: dates.get(f.locationId) ?? '',
      away: flightLossRisk(input, f, shots),
    };
  });
  // What is in no flight yet wants room as well: each as a flight of its own at the end.
  const waiting = places.flatMap((p) => p.fill.unfit).map((u) => shots.get(u.shotId)?.facts.bytes ?? 0);
  const bytes = [...loads.map((l) => l.bytes), ...waiting];
  const rooms = cards.map(plannableBytes);
  const { cardPolicy } = input.film.preferences;
  const wants = bytes.map(
    (_, i) => cardPolicy === 'fresh' || (cardPolicy === 'fresh-away' && (loads[i]?.away ?? null) !== null),
  );
  const on = assignCards(bytes, rooms, {
    fresh: wants,
    used: cards.map(isUsed),
    softly: cardPolicy === 'fresh-away',
    spans: flights.map((f) => [f.startMs, f.endMs] as const),
  });
  const shares = (i: number): boolean =>
    wants[i] === true &&
    on[i] !== null &&
    (on.indexOf(on[i] ?? null) < i || cards.some((c, n) => n === on[i] && isUsed(c)));
  const internal = intoMemory(input.kit, flights, bytes, on);
  const aboard = maxUncopiedFootage(
    on,
    loads.map((l) => l.recordedS),
    loads.map((l) => l.date),
  );
  const byPlace = new Map(
    places.map((p) => [
      p.location.id,
      loads.reduce((sum, l, i) => (flights[i]?.locationId === p.location.id ? sum + l.bytes : sum), 0),
    ]),
  );
  const sumOf = (of: (i: number) => boolean): number =>
    bytes.reduce((sum, b, i) => (of(i) ? sum + b : sum), 0);
  return {
    byFlight: flights.map((flight, i) => {
      const { bytes: b, recordedS, away } = loads[i] as Load;
      return {
        flight,
        cardId: cards[on[i] ?? -1]?.id ?? null,
        internal: internal[i] ?? false,
        shares: shares(i),
        bytes: b,
        recordedS,
        away,
      };
    }),
    byPlace,
    fills: cards.map((card, n): CardFill => ({
      cardId: card.id,
      bytes: sumOf((i) => on[i] === n),
      roomBytes: rooms[n] ?? 0,
    })),
    overBytes: sumOf((i) => on[i] === null && !internal[i]),
    internalBytes: sumOf((i) => internal[i] ?? false),
    aboardOldGB: uncopiedGB(input.kit, cards[on[aboard.flight] ?? -1]),
    aboardS: aboard.seconds,
    aboardFlight: flights[aboard.flight] ?? null,
    policies: CARD_POLICIES.map((p) => policyCost(p, loads, cards)),
  };
};
