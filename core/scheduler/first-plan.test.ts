import { describe, expect, it } from 'vitest';
import type { DayGroup, DayProblem } from './day';
import { alone, begun, chained } from './first-plan';
import { dayWith, shot } from './line-fixtures';
import { searchDay } from './search';
import { dayTables } from './timeline';
import type { PlanShot } from './types';

describe('a first plan', () => {
  const packsOf = (usableWh: readonly number[], shots = [shot('a', 10, 10)]): string[] =>
    searchDay(dayWith(shots, usableWh), () => 0.5)
      .next()
      .value.plan.flights.map((f) => f.packId);
  it('takes the strongest pack, whichever is named first, and none that is too weak', () => {
    expect(packsOf([20, 50, 30])).toEqual(['P1']);
    expect(packsOf([50, 20, 30])).toEqual(['P0']);
    expect(packsOf([4, 9])).toEqual(['P1']);
    expect(packsOf([4, 5])).toEqual([]);
    // Two that share no setting need two flights: the strongest first, then the next.
    const two = [shot('a', 10, 10), shot('b', 10, 10, { settings: ['dark'] })];
    expect(packsOf([20, 50, 30], two).sort()).toEqual(['P1', 'P2']);
  });
});

describe('what a person fixed', () => {
  const two = [
    shot('a', 10, 10),
    shot('b', 20, 20),
    shot('c', 0, 0, { weight: 5 }),
    shot('d', 0, 0, { earliestS: 90 }),
  ];
  const fixed = (shotIds: readonly string[], packId = 'P1', groupId = '') =>
    begun(dayTables(dayWith(two, [50, 50], { fixed: [{ groupId, packId, shotIds, notBeforeS: 70 }] })));

  it('stands as it is, whatever it holds; what is left waits, the most worth first, then what may begin first', () => {
    const { flights, waiting } = fixed(['b']);
    expect(flights.map((f) => [f.group, f.pack, f.route.shots, f.fixed, f.notBeforeS])).toEqual([
      [0, 1, [1], true, 70],
    ]);
    expect(waiting.map((w) => w.shot)).toEqual([2, 0, 3]);
  });
  it('is none where its pack, its group or its shots are not there', () => {
    for (const none of [fixed(['b'], 'gone'), fixed(['b'], 'P1', 'elsewhere'), fixed(['x']), fixed([])])
      expect([none.flights, none.waiting.length]).toEqual([[], 4]);
    expect(fixed(['x', 'b', 'y']).flights[0]?.route.shots).toEqual([1]);
  });
});

describe('groups one after another', () => {
  const [group] = dayWith([], []).groups as readonly [DayGroup];
  const day = (
    first: readonly PlanShot[],
    then: readonly PlanShot[],
    usableWh: readonly number[][],
    more: Partial<DayProblem> = {},
  ): DayProblem => ({
    ...dayWith([], []),
    groups: [
      { ...group, id: 'first', shots: first },
      { ...group, id: 'then', shots: then, openS: 40, breaks: [{ earliestS: 500, latestS: 600 }] },
    ],
    packs: usableWh.map((wh, i) => ({ id: `P${i}`, usableWh: wh, again: null })),
    ...more,
  });
  const packsOf = (p: DayProblem, group: number, packs: readonly number[], openS = 0) =>
    alone(dayTables(p), group, new Set(packs), openS)?.packs.map((x) => [x.id, x.usableWh, x.readyS]);

  it('each looks at the packs that fit it, the strongest twelve, from when its pilot is there', () => {
    const wh = [
      [0, 7],
      [9, 9],
      [5, 30],
      [8, 1],
    ];
    const p = day([shot('a', 10, 10)], [shot('b', 10, 10)], wh);
    expect(packsOf(p, 0, [0, 1, 2, 3])).toEqual([
      ['P1', 9, 0],
      ['P3', 8, 0],
      ['P2', 5, 0],
    ]);
    expect(packsOf(p, 1, [0, 2], 60)).toEqual([
      ['P2', 30, 60],
      ['P0', 7, 60],
    ]);
    expect(alone(dayTables(p), 1, new Set([0]), 0)?.breaks).toEqual([{ earliestS: 500, latestS: 600 }]);
    const many = day(
      [],
      [shot('b', 10, 10)],
      Array.from({ length: 14 }, (_, i) => [0, i + 1]),
    );
    expect(packsOf(many, 1, [...Array(14).keys()])?.map((x) => x[1])).toEqual([
      14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4, 3,
    ]);
    const late = { ...p, packs: p.packs.map((x) => ({ ...x, readyS: 300 })) };
    expect(packsOf(late, 1, [0], 60)).toEqual([['P0', 7, 300]]);
  });

  it('none is looked at whole that is too large, or holds what a person fixed', () => {
    const eleven = Array.from({ length: 11 }, (_, i) => shot(`a${i}`, 10, 10));
    const whole = (p: DayProblem, g: number): boolean => alone(dayTables(p), g, new Set([0]), 0) !== null;
    const large = day(
      eleven,
      eleven.slice(1).map((s) => ({ ...s, id: `x${s.id}` })),
      [[99, 99]],
    );
    expect([whole(large, 0), whole(large, 1), whole(large, 2)]).toEqual([false, true, false]);
    const held = day([shot('a', 10, 10)], [shot('b', 10, 10)], [[99, 99]], {
      fixed: [{ groupId: 'then', packId: 'P0', shotIds: ['b'], notBeforeS: 0 }],
    });
    expect([whole(held, 0), whole(held, 1)]).toEqual([true, false]);
  });

  it('take what the ones before left, and nothing twice', () => {
    const told = (p: DayProblem) => {
      const { flights, left } = chained(dayTables(p));
      return { flown: flights.map((f) => [f.group, f.pack, f.route.shots]), left: left.map((w) => w.group) };
    };
    const one = (usableWh: number[][]) => told(day([shot('a', 10, 10)], [shot('b', 20, 20)], usableWh));
    expect(
      one([
        [50, 50],
        [20, 20],
      ]),
    ).toEqual({
      flown: [
        [0, 0, [0]],
        [1, 1, [0]],
      ],
      left: [],
    });
    expect(one([[50, 50]])).toEqual({ flown: [[0, 0, [0]]], left: [1] });
    expect(one([[0, 50]])).toEqual({ flown: [[1, 0, [0]]], left: [0] });
    const held = day(
      [shot('a', 10, 10)],
      [shot('b', 20, 20)],
      [
        [50, 50],
        [50, 50],
      ],
      {
        fixed: [{ groupId: 'first', packId: 'P0', shotIds: ['a'], notBeforeS: 0 }],
      },
    );
    expect(told(held)).toEqual({
      flown: [
        [0, 0, [0]],
        [1, 1, [0]],
      ],
      left: [],
    });
  });
});
