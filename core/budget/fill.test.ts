import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ChargeDay } from '../charge';
import { legFlyer, powerModel } from '../energy';
import { newRow, type Pack } from '../model';
import { fillFlights, type DecidedFlight, type Recharge } from './fill';
import { ORIGIN, type FlightRules, type PackSupply, type ShotCost } from './flight';
import { numberIn } from '../testing';

const craft = {
  massKg: 0.72,
  rotors: 4,
  rotorDiameterM: 0.19,
  packWh: 46,
  hoverMinutes: 31,
  cruiseMinutes: 34,
  cruiseSpeedMs: 7,
  maxSpeedMs: 19,
  windLimitMs: 11.5,
};
const flyer = legFlyer({
  power: powerModel(craft, 1.225),
  repositionMs: 9,
  topAirspeedMs: 0.8 * craft.maxSpeedMs,
  maxClimbMs: 6,
  maxDescentMs: 4,
  homeGustShare: 0.5,
});
const rules = (more: Partial<FlightRules> = {}): FlightRules => ({
  wind: { speedAt10mMs: 0, gustAt10mMs: 0, fromDeg: 0, shear: 0.14 },
  returnHeightM: 40,
  onePackOneShot: false,
  swapS: 180,
  flyerOf: (id) => (id === 'A' || id === 'B' ? flyer : undefined),
  atOnce: false,
  breaks: [],
  readyS: 0,
  windowS: 20_000,
  ...more,
});
const shot = (id: string, wattHours: number, more: Partial<ShotCost> = {}): ShotCost => ({
  shotId: id,
  aircraftId: 'A',
  from: { x: 20, y: 50, z: 20 },
  to: { x: 30, y: 60, z: 25 },
  airS: wattHours * 40,
  wattHours,
  notBeforeS: 0,
  ...more,
});
const supply = (id: string, usableWh = 30, more: Partial<PackSupply> = {}): PackSupply => ({
  packId: id,
  aircraftIds: ['A', 'B'],
  usableWh,
  reserveWh: 13.8,
  availableWh: usableWh + 13.8,
  fullWh: 43.8,
  ...more,
});
const laid = (
  id: string,
  packId: string | null,
  shots: ShotCost[],
  more: Partial<DecidedFlight> = {},
): DecidedFlight => ({
  id,
  aircraftId: 'A',
  packId,
  launch: ORIGIN,
  locked: false,
  notBeforeS: 0,
  stops: shots.map((cost) => ({ cost, pinned: false })),
  ...more,
});
const packOf = (id: string): Pack =>
  newRow('pack', { id, name: id, aircraftIds: ['A', 'B'], ratedWh: 46, chargeMinutes: 60 });
const charger = (): Recharge => ({
  day: new ChargeDay(
    [
      {
        id: 'c',
        name: 'c',
        source: 'vehicle',
        sourceWh: 0,
        slots: 2,
        manner: 'side-by-side',
        slotW: 200,
        totalW: 0,
        efficiency: 0.85,
        aircraftIds: [],
        massG: 0,
        notes: '',
        retired: false,
      },
    ],
    600,
  ),
  zeroS: 0,
  packOf,
  supplyAt: (id, share) => supply(id, Math.max(0, share * 43.8 - 13.8), { availableWh: share * 43.8 }),
});
const ids = (flights: readonly { readonly stops: readonly { readonly shotId: string }[] }[]): string[][] =>
  flights.map((f) => f.stops.map((s) => s.shotId));

describe('flights that were laid down', () => {
  it('are flown first, whole, in their order, on their pack; the rest follows on what is left', () => {
    const { flights, unfit } = fillFlights(
      [shot('c', 5)],
      [supply('p'), supply('q'), supply('r')],
      [supply('f')],
      rules(),
      [laid('L1', 'q', [shot('b', 5), shot('a', 5)]), laid('L2', 'p', [shot('d', 2)], { locked: true })],
    );
    expect(ids(flights)).toEqual([['b', 'a'], ['d'], ['c']]);
    expect(flights.map((f) => f.packId)).toEqual(['q', 'p', 'r']);
    expect(flights.map((f) => f.planId)).toEqual(['L1', 'L2', null]);
    expect(flights.map((f) => f.locked)).toEqual([false, true, false]);
    expect(unfit).toEqual([]);
  });
  it('one that asks too much stays, and says by how much', () => {
    const { flights } = fillFlights([], [supply('p', 10)], [], rules(), [laid('L', 'p', [shot('a', 12)])]);
    expect(flights[0]!.overWh).toBeGreaterThan(2);
    expect(flights[0]!.overWh).toBeCloseTo(flights[0]!.usedWh - 10, 9);
  });
  it('one whose pack is gone stays with nothing to fly on', () => {
    const { flights } = fillFlights([], [supply('p')], [], rules(), [laid('L', 'lost', [shot('a', 4)])]);
    expect(flights[0]).toMatchObject({ packId: 'lost' });
    expect(flights[0]!.overWh).toBeCloseTo(flights[0]!.usedWh, 9);
  });
  it('one for later in the day keeps its pack: what stands in the list is told so, and only a flight it was given to takes it', () => {
    const reservedPacks = new Set(['p']);
    const bare = fillFlights([shot('a', 5)], [supply('p')], [supply('f')], rules({ reservedPacks }));
    expect([bare.flights, bare.unfit.map((u) => u.reason)]).toEqual([[], ['held']]);
    expect(
      fillFlights(
        [shot('a', 5)],
        [supply('p'), supply('q')],
        [supply('f')],
        rules({ reservedPacks }),
      ).flights.map((f) => f.packId),
    ).toEqual(['q']);
    const both = fillFlights([], [supply('p'), supply('q')], [], rules({ reservedPacks }), [
      laid('L', null, [shot('a', 5)]),
      laid('M', 'p', [shot('b', 5)]),
    ]);
    expect(both.flights.map((f) => f.packId)).toEqual(['q', 'p']);
    expect(both.flights.map((f) => f.overWh)).toEqual([0, 0]);
  });
  it('one without a pack takes the first that is there', () => {
    const { flights } = fillFlights([shot('b', 4)], [supply('p'), supply('q')], [], rules(), [
      laid('L', null, [shot('a', 4)]),
    ]);
    expect(flights.map((f) => f.packId)).toEqual(['p', 'q']);
  });
  it('wait on the ground until the light of every stop is there', () => {
    const { flights } = fillFlights([], [supply('p')], [], rules(), [
      laid('L', 'p', [shot('a', 4), shot('b', 4, { notBeforeS: 3000 })]),
    ]);
    expect(flights[0]!.stops[1]!.atS).toBeGreaterThanOrEqual(3000 - 1e-6);
    expect(flights[0]!.stops[0]!.atS).toBeGreaterThan(2500);
    expect(
      fillFlights([], [supply('p')], [], rules(), [laid('L', 'p', [shot('a', 4)], { notBeforeS: 900 })])
        .flights[0]!.startS,
    ).toBe(900);
  });
});

describe('time', () => {
  it('nobody is in the air during a break, whatever is flown', () => {
    fc.assert(
      fc.property(
        fc.array(numberIn(0.5, 9), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 60, max: 2000 }),
        fc.boolean(),
        (list, fromS, lasts, byHand) => {
          const shots = list.map((wh, i) => shot(`s${i}`, wh));
          const { flights, unfit } = fillFlights(
            byHand ? shots.slice(2) : shots,
            ['p', 'q', 'r', 's'].map((id) => supply(id)),
            [],
            rules({ breaks: [{ fromS, toS: fromS + lasts }] }),
            byHand ? [laid('L', 'p', shots.slice(0, 2))] : [],
          );
          for (const f of flights)
            expect(f.startS + f.seconds <= fromS + 1e-6 || f.startS >= fromS + lasts - 1e-6).toBe(true);
          expect(flights.flatMap((f) => f.stops).length + unfit.length).toBe(list.length);
        },
      ),
    );
  });
  it('one pilot flies one after another, two need not wait for each other', () => {
    const shots = [shot('a', 4), shot('b', 4, { aircraftId: 'B' }), shot('c', 4)];
    const packs = ['p', 'q', 'r'].map((id) => supply(id));
    const one = fillFlights(shots, packs, [], rules()).flights;
    const two = fillFlights(shots, packs, [], rules({ atOnce: true })).flights;
    for (let i = 1; i < one.length; i += 1)
      expect(one[i]!.startS).toBeGreaterThanOrEqual(one[i - 1]!.startS + one[i - 1]!.seconds + 180 - 1e-6);
    expect(ids(two)).toEqual([['a', 'c'], ['b']]);
    expect(two.map((f) => f.startS)).toEqual([0, 0]);
  });
  it('nothing leaves before one is there and ready', () => {
    expect(fillFlights([shot('a', 4)], [supply('p')], [], rules({ readyS: 1234 })).flights[0]!.startS).toBe(
      1234,
    );
  });
});

describe('packs that come back', () => {
  const shots = Array.from({ length: 4 }, (_, i) => shot(`s${i}`, 20));
  it('without a charger one pack flies once; with one it flies again when it is full', () => {
    expect(fillFlights(shots, [supply('p')], [supply('f')], rules()).flights).toHaveLength(1);
    const { flights, unfit } = fillFlights(shots, [supply('p')], [supply('f')], rules(), [], charger());
    expect(flights).toHaveLength(4);
    expect(unfit).toEqual([]);
    for (let i = 1; i < flights.length; i += 1)
      expect(flights[i]!.startS - flights[i - 1]!.startS - flights[i - 1]!.seconds).toBeGreaterThan(600);
  });
  it('a pack is not waited for beyond the window', () => {
    const { flights, unfit } = fillFlights(
      shots,
      [supply('p')],
      [supply('f')],
      rules({ windowS: 2000 }),
      [],
      charger(),
    );
    expect(flights).toHaveLength(1);
    expect(unfit.map((u) => u.reason)).toEqual(['no-pack', 'no-pack', 'no-pack']);
  });
  it('never plans into the reserve, charger or not', () => {
    fc.assert(
      fc.property(
        fc.array(numberIn(0.5, 25), { minLength: 1, maxLength: 10 }),
        fc.boolean(),
        (list, charged) => {
          const { flights } = fillFlights(
            list.map((wh, i) => shot(`s${i}`, wh)),
            [supply('p'), supply('q', 18)],
            [supply('f')],
            rules(),
            [],
            charged ? charger() : null,
          );
          for (const f of flights) expect(f.usedWh).toBeLessThanOrEqual(f.supply.usableWh + 1e-6);
        },
      ),
    );
  });
  it('a laid flight on a pack that flew before waits for it', () => {
    const { flights } = fillFlights(
      [],
      [supply('p')],
      [],
      rules(),
      [laid('L1', 'p', [shot('a', 20)]), laid('L2', 'p', [shot('b', 20)])],
      charger(),
    );
    expect(flights[1]!.overWh).toBe(0);
    expect(flights[1]!.startS).toBeGreaterThan(flights[0]!.startS + flights[0]!.seconds + 600);
  });
});

describe('one pack, one shot', () => {
  it('never flies what is left of a pack, only a pack that is full again', () => {
    const shots = [shot('a', 4), shot('b', 4), shot('c', 4)];
    const { flights } = fillFlights(
      shots,
      [supply('p'), supply('q')],
      [supply('f')],
      rules({ onePackOneShot: true }),
      [],
      charger(),
    );
    expect(flights.every((f) => f.stops.length === 1)).toBe(true);
    for (const f of flights) expect(f.supply.availableWh).toBeCloseTo(43.8, 6);
    expect(flights).toHaveLength(3);
  });
});
