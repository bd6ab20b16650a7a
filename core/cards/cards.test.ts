import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/cards.json';
import { assignCards, maxUncopiedFootage } from './assign';
import { plannableSeconds, videoBytes, writeNeeded, writesFastEnough } from './bytes';

describe('cards', () => {
  it.each(vectors.clips)('$seconds s at $megabitsPerSecond Mbit/s', (c) =>
    expect(videoBytes(c.megabitsPerSecond, c.seconds)).toBeCloseTo(c.bytes, 3),
  );
  it.each(vectors.cards)('$nominalGB GB with $usedGB GB on it', (c) =>
    expect(plannableSeconds(c, c.megabitsPerSecond)).toBeCloseTo(c.plannableSeconds, 2),
  );
  it.each(vectors.write)('$megabitsPerSecond Mbit/s on a $classMBs MB/s card', (w) => {
    expect(writeNeeded(w.megabitsPerSecond)).toBeCloseTo(w.needMBs, 6);
    expect(writesFastEnough({ writeMBs: w.classMBs }, w.megabitsPerSecond)).toBe(w.ok);
  });

  it('takes the next card when one is full, never goes back, and names what finds no room', () => {
    expect(assignCards([5, 4, 3], [10, 10], false)).toEqual([0, 0, 1]);
    expect(assignCards([5, 4, 3], [10, 10, 10], true)).toEqual([0, 1, 2]);
    expect(assignCards([5, 4, 3], [10, 10], true)).toEqual([0, 1, null]);
    expect(assignCards([11], [10, 12], false)).toEqual([1]);
    expect(assignCards([20, 3], [10], false)).toEqual([null, 0]);
    expect(assignCards([], [], false)).toEqual([]);
  });
  const rooms = fc.array(fc.integer({ min: 0, max: 64 }), { maxLength: 5 });
  const bytes = fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 20 });
  it('fills no card past its room, and no card is gone back to', () => {
    fc.assert(
      fc.property(rooms, bytes, fc.boolean(), (sizes, list, fresh) => {
        const cards = assignCards(list, sizes, fresh);
        sizes.forEach((room, i) =>
          expect(list.reduce((sum, b, n) => (cards[n] === i ? sum + b : sum), 0)).toBeLessThanOrEqual(room),
        );
        const taken = cards.filter((c) => c !== null);
        // A card that was taken out is not put in again.
        const changes = taken.filter((c, i) => c !== taken[i - 1]);
        expect(new Set(changes).size).toBe(changes.length);
        if (fresh) expect(new Set(taken).size).toBe(taken.length);
      }),
    );
  });
  it('a fresh card each flight never carries more uncopied footage than one card, nor less than the longest flight', () => {
    fc.assert(
      fc.property(bytes, (list) => {
        const big = list.map(() => 1e6);
        const [one, fresh] = [false, true].map((f) => maxUncopiedFootage(assignCards(list, big, f), list));
        expect(fresh!.seconds).toBeLessThanOrEqual(one!.seconds);
        expect(fresh!.seconds).toBe(Math.max(0, ...list));
        expect(one!.seconds).toBe(list.reduce((a, b) => a + b, 0));
        // Copied every evening: no day carries what another recorded.
        expect(
          maxUncopiedFootage(
            assignCards(list, big, false),
            list,
            list.map((_, i) => `d${i}`),
          ).seconds,
        ).toBe(Math.max(0, ...list));
      }),
    );
  });
  it('no card is in two aircraft at once', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 20 }))
      .map(([from, long]): [number, number] => [from, from + long]);
    fc.assert(
      fc.property(
        rooms,
        fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), span), { maxLength: 10 }),
        (sizes, list) => {
          const flights = [...list].sort((a, b) => a[1][0] - b[1][0]);
          const on = assignCards(
            flights.map(([b]) => b),
            sizes,
            { fresh: false, spans: flights.map(([, s]) => s) },
          );
          flights.forEach(([, a], i) =>
            flights.slice(0, i).forEach(([, b], k) => {
              if (on[i] !== null && on[i] === on[k]) expect(a[0] < b[1] && b[0] < a[1]).toBe(false);
            }),
          );
        },
      ),
    );
    expect(
      assignCards([5, 5, 5], [64, 64], {
        fresh: false,
        spans: [
          [0, 10],
          [2, 8],
          [12, 20],
        ],
      }),
    ).toEqual([0, 1, 1]);
  });
  it('a flight that wants a card of its own never shares one with what came before, nor takes one that is used', () => {
    fc.assert(
      fc.property(
        rooms,
        fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.boolean()), { maxLength: 14 }),
        fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }),
        (sizes, list, used) => {
          const on = assignCards(
            list.map(([b]) => b),
            sizes,
            { fresh: list.map(([, f]) => f), used },
          );
          list.forEach(([b, alone], n) => {
            const card = on[n];
            if (card === null || card === undefined) {
              if (alone)
                expect(sizes.some((room, i) => room >= b && !used[i] && !on.slice(0, n).includes(i))).toBe(
                  false,
                );
              return;
            }
            if (alone) {
              expect(used[card]).toBe(false);
              expect(on.slice(0, n)).not.toContain(card);
            }
          });
          sizes.forEach((room, i) =>
            expect(list.reduce((sum, [b], n) => (on[n] === i ? sum + b : sum), 0)).toBeLessThanOrEqual(room),
          );
        },
      ),
    );
  });
});
