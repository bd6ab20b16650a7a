import { assignCards, mostAboard, plannableBytes, writeNeeded, writesFastEnough, type CardFill } from '../cards';
import type { Warning } from '../warnings';
import { bySeverity } from '../warnings';
import type { DerivedShot } from './derived';
import { contradictingTurns, failingPacks } from './rules/packs';
import type { PlaceFacts, TimedFlight } from './place';
import type { FilmInput } from './types';

/** Sums over the film: what is asked of packs and cards, and whether they are enough. */
export interface BudgetFacts {
  readonly airborneS: number;
  readonly usedWh: number;
  readonly recordedS: number;
  readonly bytes: number;
  readonly cardRoomBytes: number;
  readonly cardOverBytes: number;
  readonly cardFills: readonly CardFill[];
  readonly cards: CardFacts;
  readonly packsUsed: number;
  readonly packsSpare: number;
  /** Packs that would have to be added for every shot to fit. */
  readonly packsShort: number;
  readonly shotsFitting: number;
  readonly shotsUnfit: number;
  readonly mustsUnfit: number;
  readonly timelineS: number;
  readonly warnings: readonly Warning[];
}

/** What a row of flights leaves on the cards, and how much of it nobody has a copy of. */
export interface CardFacts {
  /** Id of each flight's card, in the order they are flown; null for one that finds no room. */
  readonly byFlight: readonly { readonly flight: TimedFlight; readonly cardId: string | null }[];
  readonly fills: readonly CardFill[];
  readonly overBytes: number;
  /** Most footage in the air that exists nowhere else, and what a card of its own for each flight would make of it; s. */
  readonly aboardS: number;
  readonly aboardFlight: TimedFlight | null;
  readonly aboardFreshS: number;
}

/** Cards of all flights of a film: one after another, or a fresh one for each. */
const cardFacts = (input: FilmInput, places: readonly PlaceFacts[], shots: ReadonlyMap<string, DerivedShot>): CardFacts => {
  const { cards } = input.kit;
  const flights = places.flatMap((p) => p.flights).sort((a, b) => a.startMs - b.startMs);
  const sum = (f: TimedFlight, of: (s: DerivedShot) => number): number => f.stops.reduce((total, s) => { const shot = shots.get(s.shotId); return shot ? total + of(shot) : total; }, 0);
  // What is in no flight yet wants room as well: each as a flight of its own at the end.
  const waiting = places.flatMap((p) => p.fill.unfit).map((u) => shots.get(u.shotId)?.facts.bytes ?? 0);
  const bytes = [...flights.map((f) => sum(f, (s) => s.facts.bytes)), ...waiting];
  const recorded = flights.map((f) => sum(f, (s) => s.facts.seconds.recordedS));
  const rooms = cards.map(plannableBytes);
  const on = assignCards(bytes, rooms, input.film.preferences.cardPolicy === 'fresh');
  const fills = cards.map((card, i): CardFill => ({ cardId: card.id, bytes: bytes.reduce((total, b, n) => (on[n] === i ? total + b : total), 0), roomBytes: rooms[i] ?? 0 }));
  const aboard = mostAboard(on, recorded, flights.map((f) => places.find((p) => p.location.id === f.locationId)?.location.date ?? ''));
  return {
    fills, overBytes: bytes.reduce((total, b, n) => (on[n] === null ? total + b : total), 0), byFlight: flights.map((flight, n) => ({ flight, cardId: cards[on[n] ?? -1]?.id ?? null })),
    aboardS: aboard.seconds, aboardFlight: flights[aboard.flight] ?? null, aboardFreshS: Math.max(0, ...recorded),
  };
};

const cardWarnings = (input: FilmInput, shots: ReadonlyMap<string, DerivedShot>, used: readonly CardFill[], overBytes: number): Warning[] => {
  const warnings: Warning[] = [];
  const peak = Math.max(0, ...[...shots.values()].map((s) => s.facts.mode?.megabitsPerS ?? 0));
  for (const card of input.kit.cards) {
    if (card.usedGB > card.nominalGB) warnings.push({
      code: 'card.impossible', severity: 'care', subject: { kind: 'card', id: card.id },
      say: `${card.name} holds more than its size.`, why: 'Used space cannot be larger than the card.', cures: [{ say: 'Correct its size or what is on it.' }],
    });
    if (used.some((f) => f.cardId === card.id && f.bytes > 0) && !writesFastEnough(card, peak)) warnings.push({
      code: 'card.slow', severity: 'care', subject: { kind: 'card', id: card.id },
      say: `${card.name} is rated ${card.writeMBs.toFixed(0)} MB/s; ${peak.toFixed(0)} Mbit/s wants ${writeNeeded(peak).toFixed(0)} MB/s.`,
      why: 'Recording can stop by itself when the card falls behind.', cures: [{ say: 'Use a faster card, or a mode with a lower rate.' }],
    });
  }
  if (overBytes > 0) warnings.push({
    code: 'card.full', severity: 'stop', subject: { kind: 'film' },
    say: `${(overBytes / 1e9).toFixed(1)} GB find no room on the cards.`, why: '10 % of each card is kept free, and what is on them counts.',
    cures: [{ say: 'Copy and empty a card, bring another, or take fewer takes.' }],
  });
  return warnings;
};

const packWarnings = (input: FilmInput, packsShort: number, unfit: number): Warning[] => {
  const packs = input.kit.packs;
  if (packs.length === 0 && input.shots.length > 0) return [{
    code: 'pack.none', severity: 'stop', subject: { kind: 'film' }, say: 'No pack comes along.',
    why: 'Flights are made of packs.', cures: [{ say: 'Add the packs you own to the kit, or take them along on this film.' }],
  }];
  if (packsShort > 0) return [{
    code: 'pack.short', severity: 'stop', subject: { kind: 'film' },
    say: `${packsShort} pack${packsShort > 1 ? 's' : ''} short: ${unfit} shot${unfit > 1 ? 's do' : ' does'} not fit.`,
    why: 'Counted with full packs of the kind you have, in list order, reserve kept.',
    cures: [{ say: 'Bring or charge more packs, take fewer takes, or drop what only could be.' }],
  }];
  return [];
};

/** Stills cost time over the same spots; nothing on the list asks for it yet. */
const stillsNote = (input: FilmInput): Warning[] => (!input.film.stillsWanted || input.shots.length === 0 ? [] : [{
  code: 'film.stills', severity: 'note', subject: { kind: 'film' }, say: 'Stills are wanted too, and take time over the same spots.',
  why: 'The slates budget video only.', cures: [{ say: 'Give the slates that carry a still a longer set-up, or add a hold for it.' }],
}]);

const timeline = (shots: ReadonlyMap<string, DerivedShot>): number =>
  [...shots.values()].reduce((sum, s) => sum + s.facts.segments.reduce((a, b) => a + b.timelineS, 0), 0);

const dates = (places: readonly PlaceFacts[]): string[] => [...new Set(places.map((p) => p.location.date))];

/** Packs used and spare on the day that uses most of them. */
const packCount = (input: FilmInput, places: readonly PlaceFacts[]) => {
  const perDay = dates(places).map((date) => new Set(places.filter((p) => p.location.date === date).flatMap((p) => p.flights.map((f) => f.packId))).size);
  const packsUsed = Math.max(0, ...perDay);
  return { packsUsed, packsSpare: Math.max(0, input.kit.packs.length - packsUsed) };
};

/** Sums the places of a film into its budget. */
export const budgetOf = (input: FilmInput, places: readonly PlaceFacts[], shots: ReadonlyMap<string, DerivedShot>): BudgetFacts => {
  const flights: TimedFlight[] = places.flatMap((p) => [...p.flights]);
  const unfit = places.flatMap((p) => p.fill.unfit);
  const cards = cardFacts(input, places, shots);
  const { fills, overBytes } = cards;
  const all = [...shots.values()];
  const packsShort = places.reduce((sum, p) => sum + p.fill.wished.length, 0);
  const sum = (of: (s: DerivedShot) => number): number => all.reduce((total, s) => total + of(s), 0);
  return {
    airborneS: flights.reduce((total, f) => total + f.seconds, 0),
    usedWh: flights.reduce((total, f) => total + f.usedWh, 0),
    recordedS: sum((s) => (s.facts.flown ? s.facts.seconds.recordedS : 0)),
    bytes: sum((s) => s.facts.bytes),
    cardRoomBytes: fills.reduce((total, f) => total + f.roomBytes, 0),
    cardOverBytes: overBytes,
    cardFills: fills,
    cards,
    ...packCount(input, places),
    packsShort,
    shotsFitting: all.length - unfit.length,
    shotsUnfit: unfit.length,
    mustsUnfit: unfit.filter((u) => shots.get(u.shotId)?.facts.shot.priority === 'must').length,
    timelineS: timeline(shots),
    warnings: bySeverity([...packWarnings(input, packsShort, unfit.length), ...cardWarnings(input, shots, fills, overBytes), ...stillsNote(input), ...failingPacks(input.kit), ...contradictingTurns(input)]),
  };
};
