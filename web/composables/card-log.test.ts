import { deriveFilm } from '../../core/film/derive';
import type { DerivedFilm } from '@core/film';
import type { FilmInput, Entity } from '@core/model';
import { beforeAll, describe, expect, it } from 'vitest';
import { lifeOf } from '@core/cards';
import fc from 'fast-check';
import { cardAsStored, cardsNowOf, footageFault, recordedBy, setOnCard, logCard } from './card-log';
import { numberIn } from '../../core/testing';

let film: FilmInput;
let derived: DerivedFilm;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
  derived = deriveFilm(film);
});

/** As much of the open film as an entry is made from. */
const opened = (kit: FilmInput['kit'] = film.kit): Parameters<typeof recordedBy>[0] =>
  ({
    film: film.film,
    get: (_: string, id: string) => kit.cards.find((c) => c.id === id),
    list: () => kit.cardMoves,
  }) as never;
const first = () => derived.budget.cards.byFlight[0]!;

describe('what a logged flight left on its card', () => {
  it('is what is in the can by it, on the card it was planned for, in the aircraft that flew', () => {
    const { flight, cardId } = first();
    const all = new Set(flight.stops.map((s) => s.shotId));
    const entry = recordedBy(opened(), derived, flight, all, Date.UTC(2027, 4, 14, 6))!;
    expect(entry).toMatchObject({
      cardId,
      act: 'record',
      spot: 'aircraft',
      aircraftId: flight.aircraftId,
      copiesWanted: 2,
    });
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
    const small = {
      ...film.kit,
      cards: film.kit.cards.map((c) => (c.id === cardId ? { ...c, nominalGB: 1 } : c)),
    };
    expect(recordedBy(opened(small), derived, flight, all, 0)).toBeNull();
  });
});

describe('what is on a card', () => {
  type Card = Entity<'card'>;
  type Move = Entity<'cardMove'>;
  const card: Card = {
    id: 'c',
    name: 'Card',
    nominalGB: 64,
    usedGB: 0,
    writeMBs: 30,
    notes: '',
    typical: [],
    retired: false,
  };
  /** One card with what is told of it, kept as the open film keeps it. */
  const shelf = () => {
    const rows = { card: [card], cardMove: [] as Move[] };
    const store = {
      film: { preferences: { copiesWanted: 2 } },
      list: (kind: 'card' | 'cardMove') => rows[kind],
      get: (_: string, id: string) => rows.card.find((c) => c.id === id),
      commit: (_: string, changes: readonly { kind: 'card' | 'cardMove'; id: string; after: never }[]) => {
        for (const { kind, id, after } of changes)
          rows[kind] = [...(rows[kind] as { id: string }[]).filter((r) => r.id !== id), after] as never;
        return [];
      },
    } as unknown as Parameters<typeof setOnCard>[0];
    return { store, rows, life: () => lifeOf(rows.card[0]!, rows.cardMove) };
  };
  it('is set in its record until something is told of it, and by entries after that', () => {
    const { store, rows, life } = shelf();
    expect(setOnCard(store, rows.card[0]!, 80)).toContain('cannot hold 80.0 GB');
    expect([setOnCard(store, rows.card[0]!, 30), setOnCard(store, rows.card[0]!, 20)]).toEqual(['', '']);
    expect([rows.card[0]!.usedGB, rows.cardMove.length]).toEqual([20, 0]);
    expect(logCard(store, 'c', 'put', { spot: 'case' })).toBe('');
    expect(setOnCard(store, rows.card[0]!, 25)).toBe('');
    expect([rows.card[0]!.usedGB, life().usedGB, cardsNowOf(store)[0]!.usedGB]).toEqual([20, 25, 25]);
    expect(setOnCard(store, rows.card[0]!, 5)).toContain('2 copies are wanted');
    expect(logCard(store, 'nobody', 'copy')).toContain('not there');
  });
  it('does not change by a table once something was told of it', () => {
    const { store, rows, life } = shelf();
    expect(footageFault(store, { ...card, usedGB: 40 })).toBeNull();
    logCard(store, 'c', 'record', { gb: 12.34, spot: 'aircraft', aircraftId: null });
    expect(footageFault(store, { ...card, usedGB: 0 })).toContain('holds 12.3 GB');
    // As it was written out, rounded or not, it comes in again.
    for (const usedGB of [12.3, 12.34])
      expect(footageFault(store, { ...card, name: 'New name', usedGB })).toBeNull();
    rows.card = [cardAsStored(store, { ...card, name: 'New name', usedGB: 12.3 })];
    expect([rows.card[0]!.usedGB, life().usedGB]).toEqual([0, 12.34]);
  });
  it('goes by no way of the kit page without its copies', () => {
    const step = fc.oneof(
      fc.record({ set: numberIn(0, 70) }),
      fc.record({ gb: numberIn(0.1, 20) }),
      fc.constant('copy' as const),
      fc.constant('format' as const),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        const { store, rows, life } = shelf();
        logCard(store, 'c', 'put', { spot: 'bag' });
        for (const s of steps) {
          const before = life();
          if (s === 'copy' || s === 'format') logCard(store, 'c', s);
          else if ('set' in s) setOnCard(store, rows.card[0]!, s.set);
          else logCard(store, 'c', 'record', { gb: s.gb });
          if (life().usedGB < before.usedGB - 1e-3) expect(before.copies).toBeGreaterThanOrEqual(2);
        }
      }),
    );
  });
});
