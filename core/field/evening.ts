import { atRiskGB, lifeOf } from '../cards';
import { shareOn, STORAGE_DAYS, STORAGE_SHARES, WORTH_TOPPING } from '../charge';
import { loggedOn } from '../day';
import type { FilmInput, FlightLogEntry } from '../model';
import { daysBetween } from '../time';

/** A card with footage of which copies are still wanted. */
export interface CardToCopy {
  readonly cardId: string;
  readonly gb: number;
  readonly copies: number;
  readonly wanted: number;
}

/** A pack in the evening: charged for the next day of the film, brought to storage, or left. */
export interface PackInTheEvening {
  readonly packId: string;
  /** 0 to 1. */
  readonly share: number;
  readonly goal: 'charge' | 'storage' | 'leave';
}

/** What is left to do in the evening of a day. */
export interface EveningWork {
  readonly cards: readonly CardToCopy[];
  readonly packs: readonly PackInTheEvening[];
  readonly flights: readonly FlightLogEntry[];
  /** The next date of the film; null where none follows. */
  readonly nextDate: string | null;
}

/** Packs nearer to their storage charge than this are left as they are, share. */
const STORAGE_NEAR = 0.08;

const goalOf = (share: number, daysToNext: number): PackInTheEvening['goal'] => {
  if (daysToNext < STORAGE_DAYS) return share < WORTH_TOPPING ? 'charge' : 'leave';
  const [low, high] = STORAGE_SHARES;
  return share < low - STORAGE_NEAR || share > high + STORAGE_NEAR ? 'storage' : 'leave';
};

/**
 * What is left to do in the evening of a day: cards without all their copies, the packs that were flown or drained, the flights to
 * read over. Packs are charged where the film goes on within some days, and brought to storage where it does not.
 * @param date local date of the day that ends
 */
export const eveningWork = (input: FilmInput, date: string): EveningWork => {
  const { kit, film, locations } = input;
  const { copiesWanted } = film.preferences;
  const nextDate =
    locations
      .map((l) => l.date)
      .filter((d) => d > date)
      .sort()[0] ?? null;
  const daysToNext = nextDate === null ? Infinity : daysBetween(date, nextDate);
  const here = locations.filter((l) => l.date === date);
  const flights = new Map(here.flatMap((l) => loggedOn(kit.flightLog, film, l)).map((f) => [f.id, f]));
  return {
    nextDate,
    flights: [...flights.values()].sort((a, b) => a.utcMs - b.utcMs),
    cards: kit.cards.flatMap((card) => {
      const life = lifeOf(card, kit.cardMoves);
      return atRiskGB(life, copiesWanted) > 0
        ? [
            {
              cardId: card.id,
              gb: life.usedGB,
              copies: life.copies,
              wanted: copiesWanted,
            },
          ]
        : [];
    }),
    packs: kit.packs
      .filter((p) => !p.retired && !film.leftHome.includes(p.id))
      .map((p) => {
        const share = shareOn(p, date);
        return { packId: p.id, share, goal: goalOf(share, daysToNext) };
      }),
  };
};
