import { deriveFilm, type DerivedFilm, type FilmInput } from '@core/film';
import { beforeAll, describe, expect, it } from 'vitest';
import { recordedBy } from './cardLog';

let film: FilmInput;
let derived: DerivedFilm;
beforeAll(async () => { film = (await import('../../demo')).demoFilm() as FilmInput; derived = deriveFilm(film); });

/** As much of the open film as an entry is made from. */
const opened = (kit: FilmInput['kit'] = film.kit): Parameters<typeof recordedBy>[0] => ({
  film: film.film, get: (_: string, id: string) => kit.cards.find((c) => c.id === id), list: () => kit.cardMoves,
}) as never;
const first = () => derived.budget.cards.byFlight[0]!;

describe('what a logged flight left on its card', () => {
  it('is what is in the can by it, on the card it was planned for, in the aircraft that flew', () => {
    const { flight, cardId } = first();
    const all = new Set(flight.stops.map((s) => s.shotId));
    const entry = recordedBy(opened(), derived, flight, all, Date.UTC(2027, 4, 14, 6))!;
    expect(entry).toMatchObject({ cardId, act: 'record', spot: 'aircraft', aircraftId: flight.aircraftId, copiesWanted: 2 });
    expect(entry.gb).toBeCloseTo(first().bytes / 1e9, 6);
    const one = recordedBy(opened(), derived, flight, new Set([flight.stops[0]!.shotId]), 0)!;
    expect(one.gb).toBeLessThan(entry.gb);
    // A clock that runs behind does not put it before what was told already.
    const told = film.kit.cardMoves.filter((m) => m.cardId === cardId).map((m) => m.utcMs);
    expect(one.utcMs).toBeGreaterThan(Math.max(...told));
  });
  it('is nothing where nothing was recorded, no card has room, or it cannot have gone onto the card', () => {
    const { flight, cardId } = first();
    const all = new Set(flight.stops.map((s) => s.shotId));
    expect(recordedBy(opened(), derived, flight, new Set(), 0)).toBeNull();
    const bare = deriveFilm({ ...film, kit: { ...film.kit, cards: [] } });
    expect(recordedBy(opened(), bare, bare.budget.cards.byFlight[0]!.flight, all, 0)).toBeNull();
    const small = { ...film.kit, cards: film.kit.cards.map((c) => (c.id === cardId ? { ...c, nominalGB: 1 } : c)) };
    expect(recordedBy(opened(small), derived, flight, all, 0)).toBeNull();
  });
});
