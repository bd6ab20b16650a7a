import { describe, expect, it } from 'vitest';
import { type DayProblem } from './day';
import { shot, dayWith } from './line-fixtures';
import { searchDay } from './search';
import { type PlanShot } from './types';

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
  it('counts on the pack that is ready first, where one may fly on', () => {
    // The first shot has to be in the bag by second 100; only Q is there by then.
    const soon = [shot('a', 10, 10, { latestS: 100 })];
    const flyOn = { usableWh: [16, 16], fullWh: [20, 20] };
    const packs = [pack('P', { ...flyOn, readyS: 500 }), pack('Q', { ...flyOn, readyS: 10 })];
    expect(told(two(packs, soon))).toEqual({ proven: true, weightBound: 2, flown: 2 });
    expect(told(two(packs.slice(0, 1), soon))).toEqual({ proven: false, weightBound: 2, flown: 1 });
  });
});
