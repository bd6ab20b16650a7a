import { describe, expect, it } from 'vitest';
import { faultsOfDay } from './check';
import { type DayFlight, type DayPlan, type DayProblem } from './day';
import { shot, dayWith } from './line-fixtures';
import { type PlanShot } from './types';

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
