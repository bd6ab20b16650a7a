import { describe, expect, it } from 'vitest';
import { vec } from '../geometry';
import { weightBoundOf } from './bound';
import { faultsOfDay, faultsOfPlan } from './check';
import { dayOf, type DayFlight, type DayGroup, type DayPlan, type DayProblem } from './day';
import { planExactly } from './exact';
import { longestRun } from './filter-windows';
import { routeOf } from './route';
import { searchDay } from './search';
import { pastBreaks, settingOf, spanOf, stopsOf, tablesOf } from './tables';
import { allowed, dayTables, timeline, type DraftFlight } from './timeline';
import type { PlanProblem, PlanShot } from './types';

/*
 * A world on a line, for sums in the head: a metre takes a second and 0.1 Wh, a take-off 10 s and 1 Wh, a landing 20 s and 2 Wh,
 * a shot 30 s and 3 Wh, a change of packs 100 s.
 */
const metres = (m: number) => ({ seconds: m, wattHours: m / 10 });
const shot = (id: string, from: number, to: number, more: Partial<PlanShot> = {}): PlanShot => ({
  id,
  weight: 1,
  ways: [{ from: vec(from, 0, 0), to: vec(to, 0, 0), reversed: false }],
  performS: 30,
  performWh: 3,
  settings: ['clear'],
  earliestS: 0,
  latestS: 10_000,
  ...more,
});
/** Both ways round. */
const turning = (id: string, from: number, to: number, more: Partial<PlanShot> = {}): PlanShot => ({
  ...shot(id, from, to, more),
  ways: [
    { from: vec(from, 0, 0), to: vec(to, 0, 0), reversed: false },
    { from: vec(to, 0, 0), to: vec(from, 0, 0), reversed: true },
  ],
});
const line = (
  shots: readonly PlanShot[],
  usableWh: readonly number[],
  more: Partial<PlanProblem> = {},
): PlanProblem => ({
  shots,
  packs: usableWh.map((wh, i) => ({ id: `P${i}`, usableWh: wh })),
  takeoff: { seconds: 10, wattHours: 1 },
  landing: { seconds: 20, wattHours: 2 },
  leg: (from, to) => metres(Math.abs((from?.x ?? 0) - to.x)),
  home: (from) => metres(Math.abs(from.x)),
  swapS: 100,
  ...more,
});

describe('a problem made into tables', () => {
  it('a launch moves behind every break it would meet, and touches one without meeting it', () => {
    const breaks = [
      { earliestS: 100, latestS: 200 },
      { earliestS: 230, latestS: 300 },
    ];
    expect([0, 60, 61, 150, 170, 260, 300].map((s) => pastBreaks(s, 40, breaks))).toEqual([
      0, 60, 300, 300, 300, 300, 300,
    ]);
    expect(pastBreaks(150, 30, breaks)).toBe(200);
    expect(pastBreaks(150, 30, undefined)).toBe(150);
  });
  it('a filter narrows the window of a shot at both ends, and only its own', () => {
    const s = shot('a', 0, 0, {
      earliestS: 50,
      latestS: 400,
      windows: { 4: { earliestS: 80, latestS: 300 }, 8: { earliestS: 0, latestS: 900 } },
    });
    const told = (key: string | null) => {
      const { earliestS, latestS } = spanOf(s, key);
      return [earliestS, latestS];
    };
    expect([told('4'), told('8'), told('16'), told(null)]).toEqual([
      [80, 300],
      [50, 400],
      [50, 400],
      [50, 400],
    ]);
  });
  it('numbers ways through all shots, holds settings, orders and pins as bits', () => {
    const t = tablesOf(
      line(
        [
          turning('a', 10, 30, { settings: ['x', 'y'] }),
          shot('b', 50, 60, { settings: ['y'], packId: 'P1' }),
          shot('c', 70, 70, { settings: ['z'], packId: 'gone' }),
        ],
        [9, 12],
        {
          before: [
            ['a', 'c'],
            ['a', 'b'],
            ['c', 'nobody'],
          ],
        },
      ),
    );
    expect([t.waysOf, t.shotOf]).toEqual([
      [[0, 1], [2], [3]],
      [0, 0, 1, 2],
    ]);
    expect([t.settings, t.settingBits]).toEqual([
      ['x', 'y', 'z'],
      [0b011, 0b010, 0b100],
    ]);
    expect([t.afterBits, t.packOf, t.biggestPackWh]).toEqual([[0b110, 0, 0], [-1, 1, -1], 12]);
    expect([t.out[1]?.seconds, t.home[1]?.seconds, t.between[0]?.[2]?.seconds]).toEqual([30, 10, 20]);
    expect([settingOf(t, 0b110), settingOf(t, 0b100)]).toEqual(['y', 'z']);
    // Take-off 10, then 30 m to its far end, 30 s, from 10 to 50 m, begun at 110.
    expect(stopsOf(t, [1, 2], 1000)).toEqual([
      { shotId: 'a', reversed: true, startS: 1040 },
      { shotId: 'b', reversed: false, startS: 1110 },
    ]);
    expect(() =>
      tablesOf(line([shot('a', 0, 0, { settings: Array.from({ length: 31 }, (_, i) => `${i}`) })], [])),
    ).toThrow('31');
    expect(
      tablesOf(line([shot('a', 0, 0, { settings: Array.from({ length: 30 }, (_, i) => `${i}`) })], []))
        .settings,
    ).toHaveLength(30);
  });
});

describe('a flight in a given order', () => {
  it('takes the quickest ways, and costs what adds up', () => {
    const t = tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [25.9]));
    // 10 + 10 m + 30 s + 10 m (30 → 40) + 30 s + 80 m home + 20 = 190 s; 1 + 1 + 3 + 1 + 3 + 8 + 2 = 19 Wh.
    const route = routeOf(t, [0, 1]);
    expect(route).toMatchObject({ shots: [0, 1], seconds: 190, wattHours: 19 });
    expect(t.waysOf[0]!.indexOf(route!.ways[0]!)).toBe(0);
    expect(routeOf(t, [0, 1], false, [1, 2])).toMatchObject({
      ways: [1, 2],
      seconds: 10 + 30 + 30 + 70 + 30 + 40 + 20,
    });
    expect(routeOf(t, [])).toBeNull();
    expect(routeOf(tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [18.9])), [0, 1])).toBeNull();
    expect(
      routeOf(tablesOf(line([turning('a', 10, 30), turning('b', 80, 40)], [19])), [0, 1]),
    ).not.toBeNull();
  });
  it('launches so that no shot begins too early or ends too late, filter by filter', () => {
    const narrow = {
      x: { earliestS: 500, latestS: 560 },
      y: { earliestS: 0, latestS: 90 },
      z: { earliestS: 300, latestS: 5000 },
    };
    const shots = [
      shot('a', 10, 10, { settings: ['x', 'y', 'z'], windows: narrow }),
      shot('b', 20, 20, { settings: ['x', 'y', 'z'], latestS: 700 }),
    ];
    // a is begun 20 s after launch and done after 50; b is begun after 60 and done after 90.
    expect(routeOf(tablesOf(line(shots, [50])), [0, 1])?.spans).toEqual([
      { setting: 0, from: 480, to: 510 },
      { setting: 1, from: 0, to: 40 },
      { setting: 2, from: 280, to: 610 },
    ]);
    const early = [shots[0]!, { ...shots[1]!, earliestS: 640 }];
    expect(routeOf(tablesOf(line(early, [50])), [0, 1])?.spans).toEqual([{ setting: 2, from: 580, to: 610 }]);
    expect(routeOf(tablesOf(line([shots[0]!, { ...shots[1]!, latestS: 80 }], [50])), [0, 1])).toBeNull();
  });
  it('what a person fixed is flown whether it fits or not', () => {
    const t = tablesOf(
      line([shot('a', 10, 10, { settings: ['x'], latestS: 5 }), shot('b', 20, 20, { settings: ['y'] })], [3]),
    );
    expect(routeOf(t, [0, 1])).toBeNull();
    expect(routeOf(t, [0, 1], true)).toMatchObject({
      seconds: 130,
      wattHours: 13,
      spans: [{ setting: -1, from: 0, to: Infinity }],
    });
  });
});

describe('no plan is worth more', () => {
  const bound = (shots: readonly PlanShot[], packs: readonly number[]): number =>
    weightBoundOf(tablesOf(line(shots, packs))).weightBound;
  it('than what the energy of all packs buys, the last shot in part', () => {
    // A shot beside another costs its 3 Wh of takes and no way at all.
    const two = [shot('a', 10, 10, { weight: 9 }), shot('b', 10, 10, { weight: 6 })];
    // Room of a pack of 7.5 Wh: 4.5 Wh once take-off and landing are paid; a for 3, b half for 1.5.
    expect(bound(two, [7.5])).toBeCloseTo(9 + 3, 9);
    expect(bound([...two].reverse(), [7.5])).toBeCloseTo(9 + 3, 9);
    expect(bound(two, [6, 3])).toBeCloseTo(9, 9);
    expect(bound(two, [6, 6])).toBeCloseTo(15, 9);
    expect(bound(two, [60])).toBeCloseTo(15, 9);
    expect(bound(two, [])).toBe(0);
    // A pack that cannot even take off takes nothing away from the others.
    expect(bound(two, [9, 1])).toBeCloseTo(15, 9);
    // To the last watt-hour of the biggest pack a shot counts.
    expect(bound([shot('a', 30, 30)], [9])).toBeCloseTo(1, 9);
    expect(bound([shot('a', 31, 31)], [9])).toBe(0);
    // Of two ways round the one with the shorter way to it: 10 m from the launch point, not 30.
    expect(bound([turning('a', 30, 10)], [7])).toBeCloseTo(1, 9);
    // From the end of another it is nearer than from the launch point; from its own end it is not flown again.
    expect(bound([shot('a', 20, 50), shot('b', 52, 52, { weight: 3 })], [6.2])).toBeCloseTo(3, 9);
    expect(bound([shot('a', 50, 50)], [10])).toBe(0);
    // One that no single pack can reach counts for nothing, however much all hold together.
    expect(bound([shot('far', 40, 40, { weight: 100 }), ...two], [6, 6])).toBeCloseTo(15, 9);
  });
});

describe('the longest run of looks', () => {
  it.each([
    ['11011101', [3, 6]],
    ['0110110', [1, 3]],
    ['0010111', [4, 7]],
    ['1110001', [0, 3]],
    ['1', [0, 1]],
    ['000', null],
    ['', null],
  ] as const)('%s', (looks, run) => {
    expect(longestRun([...looks].map((c) => c === '1'))).toEqual(run);
  });
});

/** A day of one group on the line, with what is to be tried changed. */
const dayWith = (
  shots: readonly PlanShot[],
  usableWh: readonly number[],
  more: Partial<DayProblem> = {},
  group: Partial<DayGroup> = {},
): DayProblem => {
  const day = dayOf(line(shots, usableWh));
  return { ...day, groups: day.groups.map((g) => ({ ...g, ...group })), ...more };
};
const draft = (
  p: DayProblem,
  group: number,
  pack: number,
  shots: readonly number[],
  more: Partial<DraftFlight> = {},
): DraftFlight => ({
  group,
  pack,
  route: routeOf(dayTables(p).groups[group]!, shots)!,
  fixed: false,
  notBeforeS: 0,
  ...more,
});
const launches = (p: DayProblem, flights: readonly DraftFlight[]): number[] | null =>
  timeline(dayTables(p), flights)?.map((l) => l.launchS) ?? null;

describe('the hours of a day', () => {
  // One shot at 10 m: 10 + 10 + 30 + 10 + 20 = 80 s in the air, 8 Wh.
  const three = [shot('a', 10, 10), shot('b', 10, 10), shot('c', 10, 10)];
  it('one pilot flies after another flight, with time to change packs, after breaks, and not before what is asked', () => {
    const p = dayWith(three, [20, 20, 20], {}, { openS: 50, breaks: [{ earliestS: 300, latestS: 400 }] });
    const flights = [0, 1, 2].map((i) => draft(p, 0, i, [i]));
    expect(launches(p, flights)).toEqual([50, 400, 580]);
    expect(launches(p, [flights[0]!, { ...flights[1]!, notBeforeS: 1000 }])).toEqual([50, 1000]);
    const late = { ...p, packs: p.packs.map((x, i) => (i === 0 ? { ...x, readyS: 90 } : x)) };
    expect(launches(late, [flights[0]!])).toEqual([90]);
    // Its last shot ends 50 s after launch: 450 is the last second for that.
    const over = dayWith(
      three.map((s) => ({ ...s, latestS: 450 })),
      [20, 20],
      {},
      { openS: 400 },
    );
    expect(launches(over, [draft(over, 0, 0, [0])])).toEqual([400]);
    const tooLate = { ...over, groups: over.groups.map((g) => ({ ...g, openS: 401 })) };
    expect(launches(tooLate, [draft(tooLate, 0, 0, [0])])).toBeNull();
  });
  it('two pilots of one place do not wait for each other; the next place waits for both and the way there', () => {
    const one = dayWith(three, [20, 20, 20]).groups[0]!;
    const p: DayProblem = {
      ...dayWith(three, []),
      groups: [
        { ...one, id: 'a', crew: 'A' },
        { ...one, id: 'b', crew: 'B', openS: 30 },
        { ...one, id: 'c', crew: 'A', place: 1 },
        { ...one, id: 'd', crew: 'B', place: 1 },
      ],
      packs: [0, 1, 2, 3].map((i) => ({ id: `P${i}`, usableWh: [20, 20, 20, 20], again: null })),
      travelS: [0, 600],
    };
    const day = [0, 1, 2, 3].map((g) => draft(p, g, g, [0]));
    // Down at 80 and at 110; 600 s on the road.
    expect(launches(p, day)).toEqual([0, 30, 710, 710]);
    expect(launches(p, [day[1]!, day[0]!, day[3]!])).toEqual([30, 0, 710]);
  });
  it('a pack cools, waits for a slot and is charged for what was taken of it; none brings it back without a slot', () => {
    const again = { slots: [0], coolS: 60, chargeS: (wh: number) => wh * 20 };
    const p = dayWith(three, [8, 8], { chargerSlots: 1 });
    const charged = { ...p, packs: p.packs.map((x) => ({ ...x, again })) };
    const [a, b] = [draft(p, 0, 0, [0]), draft(p, 0, 1, [1])];
    // Down at 80, cool at 140, 8 Wh for 160 s: full at 300.
    expect(launches(charged, [a, draft(p, 0, 0, [2])])).toEqual([0, 300]);
    // The other comes down at 260 and waits for the slot until 320, not the other way round.
    expect(launches(charged, [a, b, draft(p, 0, 1, [2])])).toEqual([0, 180, 480]);
    const two = {
      ...charged,
      chargerSlots: 2,
      packs: charged.packs.map((x) => ({ ...x, again: { ...again, slots: [0, 1] } })),
    };
    expect(launches(two, [a, b, draft(p, 0, 1, [2])])).toEqual([0, 180, 480]);
    const slow = {
      ...two,
      packs: two.packs.map((x) => ({
        ...x,
        again: { ...again, slots: [0, 1], chargeS: (wh: number) => wh * 100 },
      })),
    };
    // Full at 940 on the first slot; the second is free: 260 + 60 + 800.
    expect(launches(slow, [a, b, draft(p, 0, 1, [2])])).toEqual([0, 180, 1120]);
    const shared = {
      ...slow,
      chargerSlots: 1,
      packs: slow.packs.map((x) => ({ ...x, again: { ...x.again, slots: [0] } })),
    };
    expect(launches(shared, [a, b, draft(p, 0, 1, [2])])).toEqual([0, 180, 1740]);
    expect(launches(p, [a, draft(p, 0, 0, [2])])).toBeNull();
  });
  it('what is left in a pack flies on at once, and is taken off the charger for it', () => {
    const again = { slots: [0], coolS: 60, chargeS: (wh: number) => wh * 20 };
    // 24 of 30 Wh may be used: three flights of 8; the fourth has to wait until it is full.
    const p = dayWith([...three, shot('d', 10, 10), shot('e', 10, 10)], [24, 24]);
    const kit = { ...p, chargerSlots: 1, packs: p.packs.map((x) => ({ ...x, fullWh: [30], again })) };
    const day = [0, 1, 2, 3].map((i) => draft(p, 0, 0, [i]));
    // Down from the third at 440, cool at 500, 24 Wh for 480 s.
    expect(launches(kit, day)).toEqual([0, 180, 360, 980]);
    expect(
      launches({ ...kit, packs: kit.packs.map((x) => ({ ...x, usableWh: [23.9] })) }, day.slice(0, 3)),
    ).toEqual([0, 180, 640]);
    expect(launches({ ...kit, packs: kit.packs.map((x) => ({ ...x, again: null })) }, day)).toBeNull();
    // Taken off again it leaves the slot to the other, which comes down at 440: cool at 500, 8 Wh for 160 s.
    expect(launches(kit, [day[0]!, day[1]!, draft(p, 0, 1, [2]), draft(p, 0, 1, [3])])).toEqual([
      0, 180, 360, 540,
    ]);
  });
  it('keeps the order that is asked and the room of the cards', () => {
    const p = dayWith(
      three.map((s) => ({ ...s, bytes: 40 })),
      [20, 20, 20],
      { before: [['b', 'a']] },
    );
    const day = [0, 1].map((i) => draft(p, 0, i, [i]));
    expect([
      allowed(dayTables(p), day),
      allowed(dayTables(p), [...day].reverse()),
      allowed(dayTables(p), day.slice(0, 1)),
    ]).toEqual([false, true, true]);
    const cards = (roomBytes: readonly number[], fresh: boolean) =>
      allowed(dayTables({ ...p, before: [], cards: { roomBytes, fresh } }), day);
    expect([
      cards([80], false),
      cards([79], false),
      cards([40, 40], false),
      cards([80], true),
      cards([40, 40], true),
    ]).toEqual([true, false, true, false, true]);
  });
});

describe('a plan is flown again, and each fault has its sentence', () => {
  const flight: DayFlight = {
    groupId: '',
    packId: 'P0',
    setting: 'clear',
    launchS: 0,
    airborneS: 80,
    wattHours: 8,
    fixed: false,
    stops: [{ shotId: 'a', reversed: false, startS: 20 }],
  };
  const plan = (flights: readonly Partial<DayFlight>[], more: Partial<DayPlan> = {}): DayPlan => ({
    flights: flights.map((f) => ({ ...flight, ...f })),
    weight: flights.length,
    airborneS: 80 * flights.length,
    left: [],
    ...more,
  });
  const a = shot('a', 10, 10);
  const p = dayWith([a], [8]);
  const second: Partial<DayFlight> = {
    packId: 'P1',
    launchS: 180,
    stops: [{ shotId: 'b', reversed: false, startS: 200 }],
  };
  const two = dayWith([a, shot('b', 10, 10)], [8, 8]);
  const with1 = (more: Partial<PlanShot>): DayProblem => dayWith([{ ...a, ...more }], [8]);
  it.each<[string, DayProblem, DayPlan, string[]]>([
    [
      'nothing is wrong at the very bounds',
      with1({ earliestS: 20, latestS: 50, packId: 'P0' }),
      plan([{}]),
      [],
    ],
    ['too early', with1({ earliestS: 21 }), plan([{}]), ['a is outside its window']],
    ['too late', with1({ latestS: 49 }), plan([{}]), ['a is outside its window']],
    [
      'a filter is too early',
      with1({ windows: { clear: { earliestS: 21, latestS: 99 } } }),
      plan([{}]),
      ['a is outside its window'],
    ],
    [
      'a filter is too late',
      with1({ windows: { clear: { earliestS: 0, latestS: 49 } } }),
      plan([{}]),
      ['a is outside its window'],
    ],
    ['fixed it is flown outside', with1({ earliestS: 21, settings: ['x'] }), plan([{ fixed: true }]), []],
    ['another filter', with1({ settings: ['x'] }), plan([{}]), ['a cannot be flown with clear']],
    ['pinned elsewhere', with1({ packId: 'P9' }), plan([{}]), ['a is pinned to P9']],
    [
      'another minute',
      p,
      plan([{ stops: [{ shotId: 'a', reversed: false, startS: 21 }] }]),
      ['a begins at 20, not 21'],
    ],
    [
      'no way like that',
      p,
      plan([{ stops: [{ shotId: 'a', reversed: true, startS: 20 }], airborneS: 30, wattHours: 3 }]),
      ['a is not of this group, or not so flown'],
    ],
    ['more than the pack gives', dayWith([a], [7.9]), plan([{}]), ['P0 gives 7.9 Wh, 8 are asked']],
    ['fixed it may', dayWith([a], [7.9]), plan([{ fixed: true }]), []],
    [
      'told otherwise',
      p,
      plan([{ airborneS: 81 }]),
      ['a flight is told as 81 s and 8 Wh, and is 80 s and 8 Wh'],
    ],
    [
      'told cheaper',
      p,
      plan([{ wattHours: 7 }]),
      ['a flight is told as 80 s and 7 Wh, and is 80 s and 8 Wh'],
    ],
    [
      'before it is open',
      dayWith([a], [8], {}, { openS: 1 }),
      plan([{}]),
      ['launched before the place is open'],
    ],
    [
      'into a break',
      dayWith([a], [8], {}, { breaks: [{ earliestS: 79, latestS: 500 }] }),
      plan([{}]),
      ['in the air during a break'],
    ],
    [
      'down at its first second',
      dayWith([a], [8], {}, { breaks: [{ earliestS: 80, latestS: 500 }] }),
      plan([{}]),
      [],
    ],
    ['nowhere', p, plan([{ groupId: 'x' }]), ['a flight of nowhere']],
    ['lost', two, plan([{}]), ['shots are lost']],
    ['left', two, plan([{}], { left: ['b'] }), []],
    ['both', two, plan([{}, second]), []],
    [
      'a second too soon',
      two,
      plan([{}, { ...second, launchS: 179, stops: [{ shotId: 'b', reversed: false, startS: 199 }] }]),
      ['P1 leaves before the flight before it is down'],
    ],
    ['the wrong order', { ...two, before: [['b', 'a']] }, plan([{}, second]), ['b should come before a']],
    ['the right order', { ...two, before: [['a', 'b']] }, plan([{}, second]), []],
    [
      'twice on one pack',
      two,
      plan([{}, { ...second, packId: 'P0' }]),
      ['P0 is flown twice, and nothing charges it'],
    ],
    ['worth', p, plan([{}], { weight: 2 }), ['worth 1, told 2']],
    [
      'a pack that is not ready',
      { ...p, packs: p.packs.map((x) => ({ ...x, readyS: 1 })) },
      plan([{}]),
      ['P0 is flown before it is ready'],
    ],
    [
      'cards',
      { ...dayWith([{ ...a, bytes: 50 }], [8]), cards: { roomBytes: [49], fresh: false } },
      plan([{}]),
      ['the cards are too small'],
    ],
    [
      'cards that hold',
      { ...dayWith([{ ...a, bytes: 50 }], [8]), cards: { roomBytes: [50], fresh: false } },
      plan([{}]),
      [],
    ],
    [
      'one shot a flight',
      dayWith([a], [8], {}, { mostStops: 0 }),
      plan([{}]),
      ['too many shots in a flight'],
    ],
  ])('%s', (_, problem, told, faults) => {
    expect(faultsOfDay(problem, told)).toEqual(faults);
  });
  it('a pack is full again at its second, not before', () => {
    const again = { slots: [0], coolS: 60, chargeS: (wh: number) => wh * 20 };
    const kit = { ...two, packs: two.packs.map((x) => ({ ...x, again })) };
    const at = (launchS: number) =>
      faultsOfDay(
        kit,
        plan([
          {},
          { packId: 'P0', launchS, stops: [{ shotId: 'b', reversed: false, startS: launchS + 20 }] },
        ]),
      );
    expect([at(300), at(299)]).toEqual([[], ['P0 is flown before it can be full again']]);
    // With the half left in it flies on at once; with less it waits for what both flights took.
    const half = (usable: number) => ({
      ...two,
      packs: two.packs.map((x) => ({ ...x, usableWh: [usable], fullWh: [20], again: null })),
    });
    const on = plan([{}, { ...second, packId: 'P0' }]);
    expect([faultsOfDay(half(16), on), faultsOfDay(half(15), on)]).toEqual([
      [],
      ['P0 is flown twice, and nothing charges it'],
    ]);
  });
  it('places are come to in their order, with the way between', () => {
    const there = { ...two.groups[0]!, shots: [shot('b', 10, 10)], id: 'there', place: 1 };
    const day = (travelS: number): DayProblem => ({
      ...two,
      groups: [{ ...two.groups[0]!, shots: [a] }, there],
      packs: two.packs.map((x) => ({ ...x, usableWh: [8, 8] })),
      travelS: [0, travelS],
    });
    const told = plan([{}, { ...second, groupId: 'there' }]);
    expect([faultsOfDay(day(100), told), faultsOfDay(day(101), told)]).toEqual([
      [],
      ['P1 leaves before one has come there'],
    ]);
    expect(faultsOfDay(day(0), { ...told, flights: [...told.flights].reverse() })).toContain(
      'places are gone back to',
    );
  });
});

describe('the best plan', () => {
  it('is worth most, then has fewest flights, then is shortest', () => {
    // 20 m out and back on the left, 30 m on the right: both in one flight 10 + 20 + 30 + 50 + 30 + 30 + 20 s and 19 Wh.
    const both = [shot('left', -20, -20), shot('right', 30, 30)];
    const one = planExactly(line(both, [19, 19])).plan;
    expect([one.flights.map((f) => f.stops.map((s) => s.shotId).sort()), one.airborneS]).toEqual([
      [['left', 'right']],
      190,
    ]);
    const small = planExactly(line(both, [18.9, 18.9])).plan;
    expect(small.flights.map((f) => [f.airborneS, f.stops.length])).toHaveLength(2);
    const worth = planExactly(line([both[0]!, { ...both[1]!, weight: 2 }], [12])).plan;
    expect([worth.flights[0]?.stops[0]?.shotId, worth.left, worth.weight]).toEqual(['right', ['left'], 2]);
    expect(faultsOfPlan(line(both, [19, 19]), one)).toEqual([]);
  });
});

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

describe('proven', () => {
  /** Two launch points, each with a shot 10 m out that costs 8 Wh, on one pilot's packs. */
  const two = (packs: DayProblem['packs'], more: readonly PlanShot[] = [shot('a', 10, 10)]): DayProblem => {
    const [one] = dayWith(more, []).groups;
    return {
      ...dayWith([], []),
      groups: [
        { ...one!, id: 'first' },
        { ...one!, id: 'second', shots: [shot('z', 10, 10)] },
      ],
      packs,
    };
  };
  const pack = (id: string, more: object = {}) => ({ id, usableWh: [8, 8], again: null, ...more });
  const told = (p: DayProblem) => {
    const search = searchDay(p, () => 0.5);
    search.next();
    const { proven, weightBound, plan } = search.next().value;
    return { proven, weightBound, flown: plan.weight };
  };
  it('is what no group could better with all packs to itself', () => {
    expect(told(two([pack('P'), pack('Q')]))).toEqual({ proven: true, weightBound: 2, flown: 2 });
    // One pack: each group alone could fly its shot, both cannot.
    expect(told(two([pack('P')]))).toEqual({ proven: false, weightBound: 2, flown: 1 });
    // For neither: that nothing can be flown is proven as well.
    expect(told(two([pack('P', { usableWh: [7, 7] })]))).toEqual({
      proven: true,
      weightBound: 0,
      flown: 0,
    });
    expect(told(two([pack('P', { usableWh: [8, 0] })]))).toEqual({
      proven: true,
      weightBound: 1,
      flown: 1,
    });
  });
  it('is nothing where one group is too large to be looked at whole, first or last', () => {
    const eleven = Array.from({ length: 11 }, (_, i) => shot(`a${i}`, 10, 10));
    const packs = [pack('P', { usableWh: [99, 8] }), pack('Q', { usableWh: [99, 8] })];
    const large = two(packs, eleven);
    expect(told(large)).toEqual({ proven: false, weightBound: 12, flown: 12 });
    expect(
      told({
        ...large,
        groups: [...large.groups].reverse(),
        packs: packs.map((p) => ({ ...p, usableWh: [8, 99] })),
      }),
    ).toEqual({
      proven: false,
      weightBound: 12,
      flown: 12,
    });
    expect(told(two(packs, eleven.slice(1)))).toEqual({ proven: true, weightBound: 11, flown: 11 });
  });
  it('is nothing where a pack that is charged again, or flies on, could do more than is known', () => {
    const again = { slots: [0], coolS: 60, chargeS: () => 99_999 };
    const one = (packs: DayProblem['packs']) => ({ ...two(packs), chargerSlots: 1 });
    // The charge takes a day, but the bound does not know that.
    expect(told(one([pack('P', { again })]))).toEqual({ proven: false, weightBound: 2, flown: 1 });
    expect(told(one([pack('P', { usableWh: [16, 16], fullWh: [20, 20] })]))).toEqual({
      proven: true,
      weightBound: 2,
      flown: 2,
    });
    expect(told(one([pack('P', { usableWh: [7, 7], fullWh: [20, 20] })]))).toMatchObject({ flown: 0 });
  });
});
