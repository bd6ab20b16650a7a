import {
  assignCards,
  lifeOf,
  mostAboard,
  plannableBytes,
  writeNeeded,
  writesFastEnough,
  type CardFill,
} from '../cards';
import type { Card, Kit } from '../kit';
import type { Warning } from '../warnings';
import { awayOf, waterOf, type Away } from './away';
import type { PlannedShot } from './plan';
import type { PlaceFacts, TimedFlight } from './place';
import { CARD_POLICIES, type CardPolicy } from '../model';
import type { FilmInput } from './types';

type Shots = ReadonlyMap<string, PlannedShot>;

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
  readonly away: Away | null;
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

const ownOf = (flight: TimedFlight, shots: Shots): PlannedShot[] =>
  flight.stops.flatMap((s) => shots.get(s.shotId) ?? []);

/** Where an aircraft would be gone with its card, by flight: its worst shot counts. */
export const flightAway = (
  { features, film }: Pick<FilmInput, 'features' | 'film'>,
  flight: TimedFlight,
  shots: Shots,
): Away | null => {
  const wet = waterOf(features, flight.locationId);
  const all = ownOf(flight, shots).map((s) => awayOf(s.facts, wet, flight.launch.at, film.preferences.awayM));
  return all.find((a) => a === 'water') ?? all.find((a) => a !== null) ?? null;
};

interface Load {
  readonly bytes: number;
  readonly recordedS: number;
  readonly date: string;
  readonly away: Away | null;
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
    aboardS: mostAboard(
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
export const cardFacts = (input: FilmInput, places: readonly PlaceFacts[], shots: Shots): CardFacts => {
  const { cards } = input.kit;
  const dates = new Map(places.map((p) => [p.location.id, p.location.date]));
  const flights = places.flatMap((p) => p.flights).sort((a, b) => a.startMs - b.startMs);
  const loads = flights.map((f): Load => {
    const own = ownOf(f, shots);
    return {
      bytes: own.reduce((sum, s) => sum + s.facts.bytes, 0),
      recordedS: own.reduce((sum, s) => sum + s.facts.seconds.recordedS, 0),
      date: dates.get(f.locationId) ?? '',
      away: flightAway(input, f, shots),
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
  const aboard = mostAboard(
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

const subject = (card: Card) => ({ kind: 'card' as const, id: card.id });

/** Highest rate that is recorded onto a card, Mbit/s. */
const peakOn = (facts: CardFacts, cardId: string, shots: Shots): number =>
  Math.max(
    0,
    ...facts.byFlight
      .filter((f) => f.cardId === cardId)
      .flatMap((f) => ownOf(f.flight, shots).map((s) => s.facts.mode?.megabitsPerS ?? 0)),
  );

/** What is wrong with cards as they are planned: sizes that cannot be, cards that are too slow, footage without room. */
export const cardWarnings = ({ kit }: Pick<FilmInput, 'kit'>, facts: CardFacts, shots: Shots): Warning[] => {
  const { overBytes, internalBytes } = facts;
  const own = kit.cards.flatMap((card): Warning[] => {
    const peak = peakOn(facts, card.id, shots);
    return [
      ...(card.usedGB > card.nominalGB
        ? [
            {
              code: 'card.impossible',
              severity: 'care' as const,
              subject: subject(card),
              say: `${card.name} holds more than its size.`,
              why: 'Used space cannot be larger than the card.',
              cures: [{ say: 'Correct its size or what is on it.' }],
            },
          ]
        : []),
      ...(peak > 0 && !writesFastEnough(card, peak)
        ? [
            {
              code: 'card.slow',
              severity: 'care' as const,
              subject: subject(card),
              say: `${card.name} is rated ${card.writeMBs.toFixed(0)} MB/s; ${peak.toFixed(0)} Mbit/s wants ${writeNeeded(peak).toFixed(0)} MB/s.`,
              why: 'Recording can stop by itself when the card falls behind.',
              cures: [{ say: 'Use a faster card, or a mode with a lower rate.' }],
            },
          ]
        : []),
    ];
  });
  const shared = facts.byFlight.filter((f) => f.shares).length;
  return [
    ...own,
    ...(shared > 0
      ? [
          {
            code: 'card.shared',
            severity: 'note' as const,
            subject: { kind: 'film' as const },
            say: `${shared === 1 ? 'A flight' : `${shared} flights`} over water or far away carr${shared === 1 ? 'ies' : 'y'} earlier footage along: no fresh card is left.`,
            why: 'An aircraft that comes down there is gone with all that is on its card.',
            cures: [{ say: 'Copy and empty a card, or bring another.' }],
          },
        ]
      : []),
    ...(internalBytes > 0
      ? [
          {
            code: 'card.internal',
            severity: 'note' as const,
            subject: { kind: 'film' as const },
            say: `${(internalBytes / 1e9).toFixed(1)} GB go into the memory of the aircraft.`,
            why: 'No card has room. It cannot be taken out: it is lost with the aircraft, and copied slowly by cable.',
            cures: [{ say: 'Bring another card.' }],
          },
        ]
      : []),
    ...(overBytes > 0
      ? [
          {
            code: 'card.full',
            severity: 'stop' as const,
            subject: { kind: 'film' as const },
            say: `${(overBytes / 1e9).toFixed(1)} GB find no room on the cards.`,
            why: '10 % of each card is kept free, and what is on them counts.',
            cures: [{ say: 'Copy and empty a card, bring another, or take fewer takes.' }],
          },
        ]
      : []),
  ];
};
