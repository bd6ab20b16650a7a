import { describe, expect, it } from 'vitest';
import type { DayProblem } from './day';
import { dayWith, draft, shot } from './line-fixtures';
import { ruined, shuffledByWorth } from './ruin';
import { dayTables, type Flights } from './timeline';

/** Numbers of chance in the order they are asked for; half after that. */
const chance = (...numbers: readonly number[]): (() => number) => {
  const rest = [...numbers];
  return () => rest.shift() ?? 0.5;
};
const at = (metres: readonly number[]) => metres.map((m, i) => shot(`s${i}`, m, m));
const near = at([0, 10, 20, 40, 80]);

/** Shots taken out of flights of the first group, as numbers, in the order they are taken. */
const taken = (p: DayProblem, flights: Flights, random: () => number, group = 0): number[] =>
  ruined(dayTables(p), { flights, left: [] }, random).map((w) => {
    expect(w.group).toBe(group);
    return w.shot;
  });

describe('what is taken out of a plan', () => {
  const day = dayWith(near, [50, 50, 50]);
  const [long, short, fixed] = [
    draft(day, 0, 0, [0, 1, 2]),
    draft(day, 0, 1, [3]),
    draft(day, 0, 2, [4], { fixed: true }),
  ] as const;
  const whole = (...numbers: readonly number[]) => taken(day, [long, short, fixed], chance(...numbers));

  it('a third of the time is whole flights: the shortest or any, alone or with another, each only once', () => {
    expect(whole(0.34, 0.49, 0.5)).toEqual([3]);
    expect(whole(0.34, 0.5, 0, 0.5)).toEqual([0, 1, 2]);
    expect(whole(0.34, 0.5, 0.99, 0.5)).toEqual([3]);
    expect(whole(0.34, 0.49, 0.49, 0)).toEqual([3, 0, 1, 2]);
    expect(whole(0.34, 0.49, 0.49, 0.99)).toEqual([3]);
  });

  it('else is a shot and what is nearest to it, two of them to eleven, out of whichever flights', () => {
    const few = (first: number, many: number) => whole(0.35, first, 0.5, 0.5, 0.5, 0.5, many);
    expect(few(0, 0)).toEqual([0, 1]);
    expect(few(0, 0.25)).toEqual([0, 1, 2]);
    expect(few(0.99, 0)).toEqual([3, 2]);
    expect(few(0.99, 0.99)).toEqual([3, 2, 1, 0]);
    const many = dayWith(at(Array.from({ length: 14 }, (_, i) => i)), [99]);
    const all = [draft(many, 0, 0, [...Array(14).keys()])];
    const most = chance(0.35, 0, ...Array<number>(14).fill(0.5), 0.999);
    expect(taken(many, all, most)).toEqual([...Array(11).keys()]);
  });

  it('lets chance say what is near, by more than half and by less than twice', () => {
    // From 0 m on: 10 m may count as 15.9, 20 m as 12; 40 m, as 24 at the least, stays behind both.
    expect(whole(0.35, 0, 0.5, 0.99, 0, 0, 0.25)).toEqual([0, 2, 1]);
    expect(whole(0.35, 0, 0.5, 0.99, 0.5, 0, 0.5)).toEqual([0, 1, 2, 3]);
  });

  it('leaves what a person fixed, and shots of other groups, where they are', () => {
    const two: DayProblem = {
      ...day,
      groups: [
        ...day.groups,
        { ...day.groups[0]!, id: 'other', shots: at([0, 5]).map((s) => ({ ...s, id: `x${s.id}` })) },
      ],
      packs: day.packs.map((p) => ({ ...p, usableWh: [50, 50] })),
    };
    const other = draft(two, 1, 2, [0, 1]);
    expect(taken(two, [long, other], chance(0.35, 0.99), 1).sort()).toEqual([0, 1]);
    expect(taken(two, [long, other], chance(0.35, 0, 0.5, 0.5, 0.5, 0.99)).sort()).toEqual([0, 1, 2]);
    for (const first of [0.34, 0.35]) expect(taken(day, [fixed], chance(first, 0.9, 0, 0.1, 0))).toEqual([]);
  });
});

describe('the order shots are put back in', () => {
  const worths = (weights: readonly number[], ...numbers: readonly number[]): number[] => {
    const day = dayWith(
      weights.map((weight, i) => shot(`s${i}`, 0, 0, { weight })),
      [50],
    );
    return shuffledByWorth(
      dayTables(day),
      weights.map((_, i) => ({ group: 0, shot: i })),
      chance(...numbers),
    ).map((w) => w.shot);
  };
  it('is that of their worth where chance treats them alike', () => {
    expect(worths([3, 9, 6])).toEqual([1, 2, 0]);
  });
  it('may be turned round where they are worth nearly the same, or nothing', () => {
    // 10 × (0.7 + 0.6 × 0.9) + 0.9 = 13.3 against 12 × (0.7 + 0.6 × 0.1) + 0.1 = 9.22.
    expect(worths([12, 10], 0.1, 0.1, 0.9, 0.9)).toEqual([1, 0]);
    // Twice as much is never less.
    expect(worths([20, 10], 0, 0, 0.99, 0.99)).toEqual([0, 1]);
    expect(worths([0, 0], 0, 0.2, 0, 0.3)).toEqual([1, 0]);
  });
});
