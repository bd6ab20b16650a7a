import type { Entity } from '@contract';
import { lifeOf, moveFault } from '@core/cards';
import type { DerivedFilm, TimedFlight } from '@core/film';
import { v4 as uuid } from 'uuid';
import type { useFilm } from './film';

/**
 * What a logged flight left on the card it was planned for: an entry for the card, or none where it had no card, recorded
 * nothing, or that cannot have happened.
 * @param shotIds what is in the can by it @param landedMs when it was down
 */
export const recordedBy = (film: ReturnType<typeof useFilm>, derived: DerivedFilm, flight: TimedFlight, shotIds: ReadonlySet<string>, landedMs: number): Entity<'cardMove'> | null => {
  const cardId = derived.budget.cards.byFlight.find((l) => l.flight === flight)?.cardId;
  const card = film.get('card', cardId ?? '');
  if (!card) return null;
  const gb = [...shotIds].reduce((sum, id) => sum + (derived.shots.get(id)?.facts.bytes ?? 0), 0) / 1e9;
  const life = lifeOf(card, film.list('cardMove'));
  // Entries stand in the order they were made, whatever the clocks say.
  const move: Entity<'cardMove'> = { id: uuid(), cardId: card.id, utcMs: Math.max(Math.round(landedMs), (life.sinceMs ?? 0) + 1), act: 'record', spot: 'aircraft', aircraftId: flight.aircraftId, gb, copiesWanted: film.film?.preferences.copiesWanted ?? 2, waiver: '' };
  return gb > 0 && moveFault(life, move, card) === null ? move : null;
};
