import { describe, expect, it } from 'vitest';
import type { ChargeDay } from '../charge';
import { legFlyer, type PowerModel } from '../energy';
import { vec } from '../geometry';
import type { Pack } from '../model';
import { fillFlights, type DecidedFlight, type FillResult, type Recharge } from './fill';
import { ORIGIN, type FlightRules, type PackSupply, type ShotCost } from './flight';

/** 3,600 W whatever is flown: a watt-hour is a second, and every sum is one of seconds. */
const power: PowerModel = { watts: () => 3600, hoverW: 3600, basis: 'drag-area' };
const flyer = legFlyer({
  power,
  repositionMs: 10,
  topAirspeedMs: 10,
  maxClimbMs: 10,
  maxDescentMs: 10,
  homeGustShare: 0,
});
const calm = { speedAt10mMs: 0, gustAt10mMs: 0, fromDeg: 0, shear: 0 };
const gale = { ...calm, speedAt10mMs: 30, gustAt10mMs: 30 };
const rules = (more: Partial<FlightRules> = {}): FlightRules => ({
  wind: calm,
  returnHeightM: 20,
  onePackOneShot: false,
  swapS: 100,
  flyerOf: (id) => (id === 'nobody' ? undefined : flyer),
  atOnce: false,
  breaks: [],
  readyS: 0,
  windowS: 20_000,
  ...more,
});
const THERE = vec(100, 0, 20);
const shot = (shotId: string, more: Partial<ShotCost> = {}): ShotCost => ({
  shotId,
  aircraftId: 'A',
  from: THERE,
  to: THERE,
  airS: 60,
  wattHours: 60,
  notBeforeS: 0,
  ...more,
});
/** Take-off 30, there 10, the shot 60, home 10 and 2 down, landing 40. */
const ONE = 152;
const pack = (packId: string, usableWh: number, more: Partial<PackSupply> = {}): PackSupply => ({
  packId,
  aircraftIds: ['A', 'B'],
  usableWh,
  reserveWh: 50,
  availableWh: usableWh + 50,
  fullWh: 1000,
  ...more,
});
const laid = (id: string, stops: readonly ShotCost[], more: Partial<DecidedFlight> = {}): DecidedFlight => ({
  id,
  aircraftId: 'A',
  packId: 'P1',
  launch: ORIGIN,
  locked: false,
  notBeforeS: 0,
  stops: stops.map((cost) => ({ cost, pinned: false })),
  ...more,
});
/** What was flown, in a line a flight: pack, start, seconds, shots. */
const flown = (result: FillResult) =>
  result.flights.map((f) => [
    f.packId,
    f.startS,
    Math.round(f.seconds),
    f.stops.map((s) => s.shotId).join(''),
  ]);
const named = (result: FillResult) => result.unfit.map((u) => [u.shotId, u.reason, Math.round(u.shortWh)]);
const [a, b] = [shot('a'), shot('b')];

describe('filling by hand', () => {
  it('a shot more costs its seconds, and one second too many is the next pack’s', () => {
    const both = fillFlights([a, b], [pack('P1', ONE + 60.01), pack('P2', 900)], [], rules());
    expect(flown(both)).toEqual([['P1', 0, ONE + 60, 'ab']]);
    const [flight] = both.flights;
    expect(flight!.usedWh).toBeCloseTo(ONE + 60, 2);
    expect(flight!.overWh).toBe(0);
    expect(flight!.stops.map((s) => [s.atS, s.usedWh, s.leg.seconds])).toEqual([
      [40, 100, 10],
      [100, 160, 0],
    ]);
    expect(flight!.home.wattHours).toBeCloseTo(52, 2);
    expect(
      both.remainingPacks.map((p) => [p.packId, Math.round(p.usableWh), Math.round(p.availableWh)]),
    ).toEqual([
      ['P1', 0, 50],
      ['P2', 900, 950],
    ]);
    const apart = fillFlights([a, b], [pack('P1', ONE + 59), pack('P2', 900)], [], rules());
    expect(flown(apart)).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P2', ONE + 100, ONE, 'b'],
    ]);
    expect(apart.landedPacks.map((p) => [p.packId, Math.round(p.usableWh)])).toEqual([['P1', 59]]);
  });
  it('another aircraft or launch point ends a flight, and the pack flies on with what is left', () => {
    const field = { id: 'field', at: vec(200, 0, 0) };
    const other = fillFlights([a, shot('b', { aircraftId: 'B' })], [pack('P1', 310)], [], rules());
    expect(flown(other)).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', ONE + 100, ONE, 'b'],
    ]);
    const moved = fillFlights(
      [a, shot('b', { launch: field }), shot('c', { launch: field })],
      [pack('P1', 500)],
      [],
      rules(),
    );
    expect(flown(moved)).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', ONE + 100, ONE + 60, 'bc'],
    ]);
    expect(moved.flights[1]!.launch).toBe(field);
    // Without enough on it the next is taken.
    expect(
      flown(
        fillFlights([a, shot('b', { launch: field })], [pack('P1', 300), pack('P2', 200)], [], rules()),
      )[1]![0],
    ).toBe('P2');
  });
  it('two pilots begin together, and flights are told in the order they leave', () => {
    const late = shot('late', { notBeforeS: 5000 });
    const two = fillFlights(
      [late, shot('b', { aircraftId: 'B' })],
      [pack('P1', 900), pack('P2', 900)],
      [],
      rules({ atOnce: true }),
    );
    expect(flown(two)).toEqual([
      ['P2', 0, ONE, 'b'],
      ['P1', 4960, ONE, 'late'],
    ]);
  });
  it('a launch waits so that the first shot begins with its light; later light is another flight of the same pack', () => {
    expect(flown(fillFlights([shot('a', { notBeforeS: 1000 })], [pack('P1', 900)], [], rules()))).toEqual([
      ['P1', 960, ONE, 'a'],
    ]);
    expect(flown(fillFlights([a, shot('b', { notBeforeS: 1000 })], [pack('P1', 900)], [], rules()))).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', 960, ONE, 'b'],
    ]);
    // A second too early is none.
    expect(
      flown(fillFlights([a, shot('b', { notBeforeS: 101 })], [pack('P1', 900)], [], rules())),
    ).toHaveLength(1);
    expect(
      flown(fillFlights([a, shot('b', { notBeforeS: 102 })], [pack('P1', 900)], [], rules())),
    ).toHaveLength(2);
  });
  it('a flight that would meet a break waits for its end; one that ends with it does not', () => {
    const breaks = [{ fromS: 151, toS: 700 }];
    const put = fillFlights([a], [pack('P1', 900)], [], rules({ breaks }));
    expect(flown(put)).toEqual([['P1', 700, ONE, 'a']]);
    expect(put.flights[0]!.stops[0]!.atS).toBe(740);
    expect(
      flown(fillFlights([a], [pack('P1', 900)], [], rules({ breaks: [{ fromS: 153, toS: 700 }] })))[0]![1],
    ).toBe(0);
    // The shot that would carry a flight into the break flies after it, on what the pack has left.
    expect(
      flown(fillFlights([a, b], [pack('P1', 900)], [], rules({ breaks: [{ fromS: 160, toS: 700 }] }))),
    ).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', 700, ONE, 'b'],
    ]);
  });
  it('in wind by the second, a flight that is put off meets the wind of then', () => {
    const windAt = (atS: number) => (atS < 700 ? calm : gale);
    const blown = fillFlights(
      [a],
      [pack('P1', 900)],
      [],
      rules({ breaks: [{ fromS: 100, toS: 700 }], windAt }),
    );
    expect(named(blown)).toEqual([['a', 'wind', 0]]);
    expect(blown.unfit[0]!.wind!.lackingMs).toBeCloseTo(20, 6);
  });
  it('in wind by the second, each way meets its own: out, when the light is there; home, when the shot has been flown', () => {
    const bornLate = shot('a', { notBeforeS: 1000 });
    const calmFrom = (calmS: number) => rules({ windAt: (atS) => (atS < calmS ? gale : calm) });
    expect(flown(fillFlights([bornLate], [pack('P1', 900)], [], calmFrom(900)))).toEqual([
      ['P1', 960, ONE, 'a'],
    ]);
    // Begun at 40, flown until 100.
    const galeFrom = (galeS: number) => rules({ windAt: (atS) => (atS < galeS ? calm : gale) });
    expect(named(fillFlights([a], [pack('P1', 900)], [], galeFrom(99)))).toEqual([['a', 'wind', 0]]);
    expect(flown(fillFlights([a], [pack('P1', 900)], [], galeFrom(101)))).toEqual([['P1', 0, ONE, 'a']]);
  });
  it('a flight that waits for light and then for a break keeps its seconds', () => {
    const put = fillFlights(
      [shot('a', { notBeforeS: 1000 })],
      [pack('P1', 900)],
      [],
      rules({ breaks: [{ fromS: 970, toS: 2000 }] }),
    );
    expect(put.flights.map((f) => [f.startS, f.stops[0]!.atS])).toEqual([[2000, 2040]]);
  });
});

describe('what is left out, by hand', () => {
  it('names why, and by how much', () => {
    const full = [pack('F', 400), pack('G', 500), pack('H', 450), pack('X', 9000, { aircraftIds: ['Z'] })];
    const fill = (s: ShotCost, packs: readonly PackSupply[], more: Partial<FlightRules> = {}) =>
      fillFlights([s], packs, full, rules(more));
    expect(named(fill(shot('a', { aircraftId: 'nobody' }), [pack('P1', 900)]))).toEqual([
      ['a', 'no-aircraft', 0],
    ]);
    expect(named(fill(a, []))).toEqual([['a', 'no-pack', 0]]);
    expect(named(fillFlights([a], [], [pack('X', 900, { aircraftIds: ['Z'] })], rules()))).toEqual([
      ['a', 'no-pack', 0],
    ]);
    expect(named(fill(shot('a', { airS: 600, wattHours: 600 }), []))).toEqual([
      ['a', 'over-pack', 600 + 92 - 500],
    ]);
    expect(named(fill(a, [pack('P1', ONE - 1)]))).toEqual([['a', 'no-charge', 0]]);
    expect(named(fill(a, [pack('P1', 900)], { reservedPacks: new Set(['P1']) }))).toEqual([['a', 'held', 0]]);
    expect(named(fill(a, [pack('P1', 900, { aircraftIds: ['Z'] })]))).toEqual([['a', 'no-pack', 0]]);
    for (const packs of [[pack('P1', 900)], []]) {
      const windy = fill(a, packs, { wind: gale });
      expect(named(windy)).toEqual([['a', 'wind', 0]]);
      expect(windy.unfit[0]!.wind!.lackingMs).toBeCloseTo(20, 6);
    }
  });
  it('a pack that is not there would fly what found none, one flight as far as it goes', () => {
    const wished = (shots: readonly ShotCost[], more: Partial<FlightRules> = {}) =>
      fillFlights(shots, [], [pack('F', ONE + 61)], rules(more)).hypothetical.map((f) => [
        f.packId,
        f.stops.map((s) => s.shotId).join(''),
      ]);
    expect(wished([a, b, shot('c')])).toEqual([
      [null, 'ab'],
      [null, 'c'],
    ]);
    expect(wished([a, b], { onePackOneShot: true })).toEqual([
      [null, 'a'],
      [null, 'b'],
    ]);
    expect(wished([a, shot('b', { aircraftId: 'B' })])).toHaveLength(2);
    expect(wished([a, shot('b', { notBeforeS: 900 })])).toHaveLength(2);
  });
});

describe('flights that were laid down, by hand', () => {
  it('fly whole on their pack, over or not, with their name and lock; the rest follows on other packs', () => {
    const result = fillFlights([shot('c')], [pack('P1', 200), pack('P2', 900)], [], rules(), [
      laid('plan', [a, b], { locked: true, notBeforeS: 50 }),
    ]);
    expect(flown(result)).toEqual([
      ['P1', 50, ONE + 60, 'ab'],
      ['P2', 50 + ONE + 60 + 100, ONE, 'c'],
    ]);
    expect(result.flights[0]).toMatchObject({ planId: 'plan', locked: true });
    expect(result.flights[0]!.overWh).toBeCloseTo(12, 2);
    expect(result.flights[1]).toMatchObject({ planId: null, locked: false });
    expect(result.landedPacks.map((p) => p.packId)).toEqual(['P1']);
    expect(result.remainingPacks.map((p) => p.packId)).toEqual(['P2']);
  });
  it('without stops, aircraft, pack or in too much wind', () => {
    const lay = (flight: DecidedFlight, packs: readonly PackSupply[], more: Partial<FlightRules> = {}) =>
      fillFlights([], packs, [], rules(more), [flight]);
    expect(lay(laid('x', []), [pack('P1', 900)])).toMatchObject({ flights: [], unfit: [] });
    expect(named(lay(laid('x', [a, b], { aircraftId: 'nobody' }), [pack('P1', 900)]))).toEqual([
      ['a', 'no-aircraft', 0],
      ['b', 'no-aircraft', 0],
    ]);
    const [bare] = lay(laid('x', [a]), []).flights;
    expect(bare).toMatchObject({ packId: 'P1', supply: { packId: 'P1', aircraftIds: ['A'], fullWh: 0 } });
    expect(bare!.overWh).toBeCloseTo(ONE, 2);
    const [none] = lay(laid('x', [a], { packId: null }), []).flights;
    expect(none).toMatchObject({ packId: null, supply: { packId: '' } });
    expect(
      flown(lay(laid('x', [a], { packId: null }), [pack('Z', 900, { aircraftIds: ['Z'] }), pack('P2', 900)])),
    ).toEqual([['P2', 0, ONE, 'a']]);
    const blown = lay(laid('x', [a]), [pack('P1', 900)], { wind: gale });
    expect(blown.flights).toEqual([]);
    expect(named(blown)).toEqual([['a', 'wind', 0]]);
  });
  it('wait for the light of every stop, and for breaks', () => {
    const waits = fillFlights([], [pack('P1', 900)], [], rules({ breaks: [{ fromS: 700, toS: 1000 }] }), [
      laid('x', [a, shot('b', { notBeforeS: 800 })]),
    ]);
    // b begins 100 s after take-off: light would let it leave at 700, the break at 1,000.
    expect(flown(waits)).toEqual([['P1', 1000, ONE + 60, 'ab']]);
    const first = [laid('x', [shot('a', { notBeforeS: 800 }), b])];
    expect(flown(fillFlights([], [pack('P1', 900)], [], rules(), first))).toEqual([
      ['P1', 760, ONE + 60, 'ab'],
    ]);
  });
  it('put off into other wind they are worked out for it', () => {
    const windAt = (atS: number) => (atS < 500 ? gale : calm);
    const later = fillFlights(
      [],
      [pack('P1', 900)],
      [],
      rules({ windAt, breaks: [{ fromS: 0, toS: 600 }] }),
      [laid('x', [a])],
    );
    expect(named(later)).toEqual([]);
    expect(flown(later)).toEqual([['P1', 600, ONE, 'a']]);
  });
});

describe('packs that are charged between, by hand', () => {
  /** A charger that fills whatever it is given by a second of the day, and notes what it is told. */
  const charger = (
    readyS: number,
    told: unknown[] = [],
    fullAt: (id: string) => number = () => readyS,
    shareBefore = 0.1,
  ): Recharge => ({
    zeroS: 1000,
    packOf: (id) => ({ id }) as Pack,
    supplyAt: (id, share) => pack(id, share * 900, { availableWh: share * 950 }),
    day: {
      charging: (id: string, atS: number) => id === 'C' && atS === 1000,
      put: (p: Pack, share: number, atS: number) =>
        told.push(['put', p.id, Math.round(share * 1000), Math.round(atS)]),
      take: (id: string, atS: number) => told.push(['take', id, Math.round(atS)]),
      shareAt: (_id: string, atS: number) => (atS < 1000 + readyS ? shareBefore : 1),
      readyAt: (id: string) => 1000 + fullAt(id),
    } as unknown as ChargeDay,
  });
  const only = [pack('P1', ONE + 1)];

  it('fly again when they are full, while the window is open', () => {
    const told: unknown[] = [];
    const result = fillFlights([a, b], only, [], rules(), [], charger(3000, told));
    expect(flown(result)).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', 3000, ONE, 'b'],
    ]);
    // Put on at landing with what is left of it, taken off when it leaves.
    expect(told).toEqual([
      ['put', 'P1', 51, 1000 + ONE],
      ['take', 'P1', 4000],
    ]);
    expect(result.landedPacks.map((p) => p.packId)).toEqual([]);
    const closed = fillFlights(
      [a, b],
      only,
      [pack('F', 900)],
      rules({ windowS: 3000 + ONE - 1 }),
      [],
      charger(3000),
    );
    expect(flown(closed)).toHaveLength(1);
    expect(named(closed)).toEqual([['b', 'no-pack', 0]]);
    expect(
      flown(fillFlights([a, b], only, [], rules({ windowS: 3000 + ONE + 1 }), [], charger(3000))),
    ).toHaveLength(2);
  });
  it('what is on the charger at the start is no pack to begin with', () => {
    const result = fillFlights([a], [pack('C', 900)], [], rules(), [], charger(2000));
    expect(flown(result)).toEqual([['C', 2000, ONE, 'a']]);
    expect(fillFlights([], [pack('C', 900), pack('P1', 10)], [], rules(), [], charger(9))).toMatchObject({
      remainingPacks: [{ packId: 'P1' }],
      landedPacks: [{ packId: 'C' }],
    });
  });
  it('a laid flight flies on what its pack has by then, and waits only where that is too little', () => {
    const lay = (second: readonly ShotCost[], readyS: number, more: Partial<FlightRules> = {}) =>
      fillFlights([], only, [], rules(more), [laid('x', [a]), laid('y', second)], charger(readyS));
    expect(flown(lay([b], 200))).toEqual([
      ['P1', 0, ONE, 'a'],
      ['P1', ONE + 100, ONE, 'b'],
    ]);
    expect(flown(lay([b], 3000))[1]).toEqual(['P1', 3000, ONE, 'b']);
    // Not within the window: it flies over what it has, and says by how much.
    const short = lay([b], 3000, { windowS: 2999 });
    expect(flown(short)[1]).toEqual(['P1', ONE + 100, ONE, 'b']);
    expect(short.flights[1]!.overWh).toBeCloseTo(ONE - 90, 1);
    expect(flown(lay([b], 3000, { windowS: 3000 }))[1]![1]).toBe(3000);
    expect(flown(lay([b], 1000, { onePackOneShot: true }))[1]![1]).toBe(1000);
    // One pack, one shot, and the charger will not do it within the window: on what there is.
    expect(flown(lay([b], 3000, { onePackOneShot: true, windowS: 2999 }))[1]![1]).toBe(ONE + 100);
  });
  it('a laid flight takes its pack off the charger when it leaves, and the pack is kept once', () => {
    const orders: unknown[] = [];
    const result = fillFlights(
      [],
      [...only, pack('P2', 900)],
      [],
      rules(),
      [laid('x', [a]), laid('y', [b]), laid('z', [shot('c')], { packId: 'P2' })],
      charger(200, orders),
    );
    expect(orders.map((o) => [(o as unknown[])[0], (o as unknown[])[1], (o as unknown[]).at(-1)])).toEqual([
      ['take', 'P1', 1000],
      ['put', 'P1', 1000 + ONE],
      ['take', 'P1', 1000 + ONE + 100],
      ['put', 'P1', 1000 + 2 * ONE + 100],
      ['take', 'P2', 1000 + 2 * ONE + 200],
      ['put', 'P2', 1000 + 3 * ONE + 200],
    ]);
    expect(result.landedPacks.map((p) => p.packId)).toEqual(['P1', 'P2']);
    // A flight without a pack takes none off.
    orders.length = 0;
    fillFlights([], [], [], rules(), [laid('x', [a], { packId: null })], charger(200, orders));
    expect(orders).toEqual([]);
  });
  it('of packs that flew, the one that is full first flies first', () => {
    const two = [pack('P1', ONE + 1), pack('P2', ONE + 1)];
    const byId = charger(9000, [], (id) => (id === 'P1' ? 8000 : 3000));
    const result = fillFlights([a, b, shot('c')], two, [], rules(), [], byId);
    expect(flown(result)[2]).toEqual(['P2', 3000, ONE, 'c']);
  });
  const NEVER = () => Infinity;
  it('fly on what they hold by then, though they are never full, and are left out where that is too little', () => {
    const half = fillFlights([a, b], only, [], rules(), [], charger(9000, [], NEVER, 0.5));
    expect(flown(half)[1]).toEqual(['P1', ONE + 100, ONE, 'b']);
    expect(half.flights[1]!.supply.usableWh).toBe(450);
    const little = fillFlights([a, b], only, [pack('F', 900)], rules(), [], charger(9000, [], NEVER));
    expect(named(little)).toEqual([['b', 'no-pack', 0]]);
    // Laid down: 200 s after the first second of the window it is full, 252 s after it leaves.
    const by = fillFlights([], only, [], rules(), [laid('x', [a]), laid('y', [b])], charger(200, [], NEVER));
    expect(by.flights[1]!.supply.usableWh).toBe(900);
  });
  it('one pack, one shot: a laid flight waits for a full pack although what is left would do', () => {
    const both = [laid('x', [a]), laid('y', [b])];
    const wait = charger(1000, [], () => 1000, 0.5);
    expect(flown(fillFlights([], only, [], rules({ onePackOneShot: true }), both, wait))[1]![1]).toBe(1000);
    expect(flown(fillFlights([], only, [], rules(), both, wait))[1]![1]).toBe(ONE + 100);
  });
  it('each flight is given its own pack, an aircraft none that is not its own, and a fresh pack leaves no charger', () => {
    const orders: unknown[] = [];
    const packs = [pack('P1', ONE + 1, { aircraftIds: ['A'] }), pack('P2', 900)];
    const three = [
      laid('x', [a]),
      laid('y', [b], { packId: 'P2' }),
      laid('z', [shot('c')], { packId: 'P2' }),
    ];
    const given = fillFlights([], packs, [], rules(), three, charger(9000));
    expect(given.flights.map((f) => f.supply.packId)).toEqual(['P1', 'P2', 'P2']);
    const strange = fillFlights(
      [a, shot('b', { aircraftId: 'B' })],
      [packs[0]!],
      [],
      rules(),
      [],
      charger(200),
    );
    expect(named(strange)).toEqual([['b', 'no-pack', 0]]);
    expect(flown(fillFlights([a, b], packs, [], rules(), [], charger(9000, orders)))[1]![0]).toBe('P2');
    expect(orders.map((o) => (o as unknown[])[0])).not.toContain('take');
  });
});
