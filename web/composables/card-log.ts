import type { Entity, CardAct } from '@core/model';
import { cardsNow, lifeOf, moveFault, wantsReason } from '@core/cards';
import type { Message } from '@core/messages';
import type { DerivedFilm } from '@core/film';
import type { TimedFlight } from '@core/day';
import { v4 as uuid } from 'uuid';
import type { useFilm } from '../stores/film';
import { formatterFor } from './message-engine';
import { tr } from './messages';
import { fixed } from '../format';

type FilmStore = ReturnType<typeof useFilm>;
type Card = Entity<'card'>;
type Entry = Entity<'cardMove'>;

/** Entries stand in the order they were made, whatever the clocks say. */
const entryOf = (
  film: Pick<FilmStore, 'film'>,
  cardId: string,
  sinceMs: number | null,
  atMs: number,
  act: CardAct,
  more: Partial<Entry>,
): Entry => ({
  id: uuid(),
  cardId,
  utcMs: Math.max(Math.round(atMs), (sinceMs ?? 0) + 1),
  act,
  spot: null,
  aircraftId: null,
  gb: 0,
  copiesWanted: film.film?.preferences.copiesWanted ?? 2,
  waiver: '',
  ...more,
});

const textOf = (film: Pick<FilmStore, 'film'>, fault: Message): string =>
  formatterFor(film.film?.units ?? 'metric').text(fault);

/** Whether an act takes a reason: it takes footage off a card that has fewer copies than are wanted. */
export const takesReason = (
  film: Pick<FilmStore, 'film' | 'get' | 'list'>,
  cardId: string,
  act: CardAct,
  gb: number,
): boolean => {
  const card = film.get('card', cardId);
  if (!card) return false;
  const life = lifeOf(card, film.list('cardMove'));
  return wantsReason(life, entryOf(film, cardId, life.sinceMs, Date.now(), act, { gb }));
};

/** Tells what happened to a card. @returns why that cannot have happened, and then it is not entered; '' where it was */
export const logCard = (
  film: Pick<FilmStore, 'film' | 'get' | 'list' | 'commit'>,
  cardId: string,
  act: CardAct,
  more: Partial<Entry> = {},
): string => {
  const card = film.get('card', cardId);
  if (!card) return tr('thatCardIsNotThere');
  const life = lifeOf(card, film.list('cardMove'));
  const entry = entryOf(film, card.id, life.sinceMs, Date.now(), act, more);
  const fault = moveFault(life, entry, card);
  return (
    (fault && textOf(film, fault)) ??
    film.commit(tr('card'), [{ kind: 'cardMove', id: entry.id, after: entry }])[0]?.say ??
    ''
  );
};

/** Cards of which something was told: what is on them follows from that, and their record only says what they began with. */
const toldOf = (film: Pick<FilmStore, 'list'>): ReadonlySet<string> =>
  new Set(film.list('cardMove').map((m) => m.cardId));

/** Cards as they stand now, in the form of their records. */
export const cardsNowOf = (film: Pick<FilmStore, 'list'>): Card[] => {
  const now = new Map(cardsNow(film.list('card'), film.list('cardMove')).map((c) => [c.id, c.usedGB]));
  return film.list('card').map((c) => ({ ...c, usedGB: now.get(c.id) ?? c.usedGB }));
};

/** A record that came in as one that stands now, as it is stored: footage is neither made nor lost by a table. */
export const cardAsStored = (film: Pick<FilmStore, 'list' | 'get'>, card: Card): Card => ({
  ...card,
  usedGB: toldOf(film).has(card.id) ? (film.get('card', card.id)?.usedGB ?? card.usedGB) : card.usedGB,
});

/** Less than this is the same, GB. */
const SAME_GB = 0.05;

/** Says that the footage on a card does not change by its record; null where it may, or does not. */
export const footageFault = (film: Pick<FilmStore, 'list'>, card: Card): string | null => {
  const now = toldOf(film).has(card.id) ? cardsNowOf(film).find((c) => c.id === card.id) : undefined;
  return now && Math.abs(now.usedGB - card.usedGB) > SAME_GB
    ? tr('nameHoldsUsedGBGBWhat', { name: now.name, usedGB: fixed(now.usedGB, 1) })
    : null;
};

/** Sets what is on a card: in its record while nothing else was told of it, after that as an entry like any other. */
export const setOnCard = (
  film: Pick<FilmStore, 'film' | 'get' | 'list' | 'commit'>,
  card: Card,
  gb: number,
): string => {
  if (toldOf(film).has(card.id)) return logCard(film, card.id, 'correct', { gb });
  const emptied = { ...lifeOf(card, []), usedGB: 0 };
  const fault = moveFault(emptied, { act: 'correct', gb, copiesWanted: 0, waiver: '' }, card);
  return (
    (fault && textOf(film, fault)) ??
    film.commit(tr('kit'), [{ kind: 'card', id: card.id, after: { ...card, usedGB: gb } }])[0]?.say ??
    ''
  );
};

/**
 * What a logged flight left on the card it was planned for: an entry for the card, or none where it had no card, recorded
 * nothing, or that cannot have happened.
 * @param shotIds what is in the can by it @param landedMs when it was down
 */
export const recordedBy = (
  film: FilmStore,
  derived: DerivedFilm,
  flight: TimedFlight,
  shotIds: ReadonlySet<string>,
  landedMs: number,
): Entry | null => {
  const cardId = derived.budget.cards.byFlight.find((l) => l.flight === flight)?.cardId;
  const card = film.get('card', cardId ?? '');
  if (!card) return null;
  const gb = [...shotIds].reduce((sum, id) => sum + (derived.shots.get(id)?.facts.bytes ?? 0), 0) / 1e9;
  const life = lifeOf(card, film.list('cardMove'));
  const move = entryOf(film, card.id, life.sinceMs, landedMs, 'record', {
    spot: 'aircraft',
    aircraftId: flight.aircraftId,
    gb,
  });
  return gb > 0 && moveFault(life, move, card) === null ? move : null;
};
