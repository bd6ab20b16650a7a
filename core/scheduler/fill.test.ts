import { describe, expect, it } from 'vitest';
import type { DayGroup, DayPack, DayProblem } from './day';
import { filled } from './fill';
import { dayWith, draft, shot } from './line-fixtures';
import { dayTables, type Flights } from './timeline';

/** Flights as group, pack and shots in their order, after some shots of the first group were put in; and what found no place. */
const into = (
  p: DayProblem,
  flights: Flights,
  shots: readonly number[],
  { group = 0, blink = () => false }: { group?: number; blink?: () => boolean } = {},
) => {
  const waiting = shots.map((s) => ({ group, shot: s }));
  const made = filled(dayTables(p), flights, waiting, blink);
  return {
    flights: made.flights.map((f) => [f.group, f.pack, f.route.shots]),
    left: made.left.map((w) => w.shot),
  };
};
const pack = (id: string, more: Partial<DayPack> = {}): DayPack => ({
  id,
  usableWh: [50],
  again: null,
  ...more,
});

describe('a shot put into a plan', () => {
  // Shots stand still at their metre: a flight costs 3 Wh up and down, 3 Wh a shot, 0.1 Wh a metre.
  const row = [shot('a', 10, 10), shot('b', 30, 30), shot('c', 20, 20), shot('d', -40, -40)];

  it('comes where it adds least: between two, in the flight that is nearest', () => {
    const p = dayWith(row, [50, 50]);
    expect(into(p, [draft(p, 0, 0, [0, 1])], [2])).toEqual({ flights: [[0, 0, [0, 2, 1]]], left: [] });
    // Of two places that add the same, the first.
    expect(into(p, [draft(p, 0, 0, [0, 2])], [1])).toEqual({ flights: [[0, 0, [0, 1, 2]]], left: [] });
    const both = [draft(p, 0, 0, [3]), draft(p, 0, 1, [1])];
    expect(into(p, both, [2]).flights).toEqual([
      [0, 0, [3]],
      [0, 1, [2, 1]],
    ]);
    expect(into(p, [...both].reverse(), [2]).flights[0]).toEqual([0, 1, [2, 1]]);
  });

  it('goes on a pack to its last watt-hour, and on another where it is too much', () => {
    // a and b: 3 + 6 + 6 Wh.
    const exact = dayWith(row, [15, 9]);
    expect(into(exact, [draft(exact, 0, 0, [1])], [0]).flights).toEqual([[0, 0, [0, 1]]]);
    const less = dayWith(row, [14.9, 8, 20]);
    expect(into(less, [draft(less, 0, 0, [1])], [0]).flights).toEqual([
      [0, 2, [0]],
      [0, 0, [1]],
    ]);
    const one = dayWith(row, [14.9]);
    expect(into(one, [draft(one, 0, 0, [1])], [0])).toEqual({ flights: [[0, 0, [1]]], left: [0] });
    // A pack for a flight of its own, to its last watt-hour as well: 8 Wh for a.
    expect(into(dayWith(row, [8]), [], [0]).flights).toEqual([[0, 0, [0]]]);
    expect(into(dayWith(row, [7.9, 50]), [], [0]).flights).toEqual([[0, 1, [0]]]);
  });

  it('joins no flight that is fixed, full of shots, of another filter or on another pack', () => {
    const own = {
      flights: [
        [0, 1, [0]],
        [0, 0, [1]],
      ],
      left: [],
    };
    const p = dayWith(row, [50, 40]);
    expect(into(p, [draft(p, 0, 0, [1], { fixed: true })], [0])).toEqual(own);
    const few = dayWith(row, [50, 40], {}, { mostStops: 1 });
    expect(into(few, [draft(few, 0, 0, [1])], [0])).toEqual(own);
    const two = dayWith(row, [50, 40], {}, { mostStops: 2 });
    expect(into(two, [draft(two, 0, 0, [1])], [0]).flights).toEqual([[0, 0, [0, 1]]]);
    const dark = dayWith([shot('a', 10, 10, { settings: ['dark'] }), row[1]!], [50, 40]);
    expect(into(dark, [draft(dark, 0, 0, [1])], [0])).toEqual(own);
    const either = dayWith([shot('a', 10, 10, { settings: ['dark', 'clear'] }), row[1]!], [50, 40]);
    expect(into(either, [draft(either, 0, 0, [1])], [0]).flights).toEqual([[0, 0, [0, 1]]]);
    const pinned = dayWith([shot('a', 10, 10, { packId: 'P1' }), row[1]!], [50, 40]);
    expect(into(pinned, [draft(pinned, 0, 0, [1])], [0])).toEqual(own);
    expect(into(pinned, [draft(pinned, 0, 1, [1])], [0]).flights).toEqual([[0, 1, [0, 1]]]);
    expect(into(p, [draft(p, 0, 0, [1])], [0], { blink: () => true })).toEqual(own);
  });

  it('takes the next place where the best one comes too late for its light, and stays out where none is in time', () => {
    // c between a and b is begun at 10 + 10 + 30 + 10 = 60 s; first of all at 30 s.
    const until = (latestS: number) => dayWith([row[0]!, row[1]!, shot('c', 20, 20, { latestS })], [50]);
    const made = (latestS: number) => into(until(latestS), [draft(until(latestS), 0, 0, [0, 1])], [2]);
    expect(made(90)).toEqual({ flights: [[0, 0, [0, 2, 1]]], left: [] });
    expect(made(89)).toEqual({ flights: [[0, 0, [2, 0, 1]]], left: [] });
    expect(made(59)).toEqual({ flights: [[0, 0, [0, 1]]], left: [2] });
  });
});

describe('a shot that needs a flight of its own', () => {
  const a = shot('a', 10, 10);
  const b = shot('b', 10, 10, { settings: ['dark'] });

  it('takes a pack that has not flown before one that comes back, the strongest first', () => {
    const again = { slots: [0], coolS: 60, chargeS: () => 60 };
    const p = (packs: readonly DayPack[]) => dayWith([a, b], [], { packs, chargerSlots: 1 });
    const with1 = (packs: readonly DayPack[]) =>
      into(p(packs), [draft(p(packs), 0, 0, [0])], [1]).flights.map((f) => f[1]);
    expect(
      with1([pack('P', { again }), pack('Q', { usableWh: [20] }), pack('R', { usableWh: [30] })]),
    ).toEqual([2, 0]);
    expect(with1([pack('P', { again }), pack('Q', { usableWh: [7] })])).toEqual([0, 0]);
    // What is left in it flies on: 50 of which 8 are flown. One that neither charges nor flies on stays down.
    expect(with1([pack('P', { fullWh: [60] })])).toEqual([0, 0]);
    expect(with1([pack('P')])).toEqual([0]);
  });

  it('stands among the others in the order of the places, before those that come later and after those that came', () => {
    const [group] = dayWith([a], []).groups as readonly [DayGroup];
    const place = (n: number, id: string): DayGroup => ({ ...group, id, place: n, shots: [{ ...a, id }] });
    const day: DayProblem = {
      ...dayWith([], []),
      groups: [place(0, 'first'), place(1, 'second'), place(2, 'third')],
      travelS: [0, 0, 0],
      packs: ['P', 'Q', 'R'].map((id) => pack(id, { usableWh: [50, 50, 50] })),
    };
    const places = (have: readonly number[], add: number) =>
      into(
        day,
        have.map((g, i) => draft(day, g, i, [0])),
        [0],
        { group: add },
      ).flights.map((f) => f[0]);
    expect(places([0, 2], 1)).toEqual([0, 1, 2]);
    expect(places([1, 2], 0)).toEqual([0, 1, 2]);
    expect(places([0, 1], 2)).toEqual([0, 1, 2]);
    expect(places([], 1)).toEqual([1]);
  });

  it('is flown before others where it would come too late behind them', () => {
    const p = (latestS: number) => dayWith([a, { ...b, latestS }], [50, 50]);
    const order = (latestS: number) => into(p(latestS), [draft(p(latestS), 0, 0, [0])], [1]);
    expect(order(50).flights).toEqual([
      [0, 1, [1]],
      [0, 0, [0]],
    ]);
    expect(order(49).left).toEqual([1]);
  });
});
