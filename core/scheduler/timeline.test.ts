import { describe, expect, it } from 'vitest';
import { type DayProblem } from './day';
import { shot, dayWith, draft, launches } from './line-fixtures';
import { allowed, dayTables } from './timeline';

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
