import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type FlightLogEntry, type Pack } from '../model';
import { calibrate, FAILING_FACTOR, FLIGHTS_TO_COUNT, learned, packFaults, usedOf } from './calibrate';
import { packEnergy } from './pack';
import { numberIn, said } from '../testing';

const pack = (id: string, more: Partial<Pack> = {}): Pack =>
  newRow('pack', { id, name: id, aircraftIds: ['A'], ratedWh: 46, cycles: 10, ...more });
let n = 0;
/** A flight that used so much for each watt-hour planned, at 25 °C where a pack gives all it has. */
const flight = (packId: string, ratio: number, more: Partial<FlightLogEntry> = {}): FlightLogEntry => {
  const plannedWh = 20;
  n += 1;
  return newRow('flightLogEntry', {
    id: `f${n}`,
    aircraftId: 'A',
    packId,
    utcMs: n,
    minutes: 12,
    startShare: 1,
    endShare: 1 - (plannedWh * ratio) / 46,
    plannedWh,
    temperatureC: 25,
    ...more,
  });
};
const ratios = fc.array(numberIn(0.94, 1.06), {
  minLength: FLIGHTS_TO_COUNT,
  maxLength: 20,
});

describe('calibration from logged flights', () => {
  it('finds the factor flights were made with, whichever pack they were on', () => {
    fc.assert(
      fc.property(numberIn(0.7, 1.6), fc.integer({ min: 3, max: 12 }), (factor, count) => {
        const packs = ['p', 'q', 'r'].map((id) => pack(id));
        const log = Array.from({ length: count }, (_, i) => flight(['p', 'q', 'r'][i % 3]!, factor));
        const few = calibrate(log, packs).craft.get('A')!.factor;
        // Flights that agree are believed nearly whole, and the more of them the more.
        expect(Math.abs(Math.log(few))).toBeLessThanOrEqual(Math.abs(Math.log(factor)) + 1e-12);
        expect(Math.abs(Math.log(few / factor))).toBeLessThanOrEqual(
          0.05 * Math.abs(Math.log(factor)) + 1e-12,
        );
        const many = calibrate([...log, ...log.map((l) => ({ ...l, id: `${l.id}b` }))], packs).craft.get(
          'A',
        )!;
        expect(Math.abs(Math.log(many.factor / factor))).toBeLessThanOrEqual(
          Math.abs(Math.log(few / factor)) + 1e-12,
        );
        expect(calibrate(log, packs).craft.get('A')?.spread).toBeCloseTo(0, 6);
      }),
    );
  });
  it('a flight without a plan counts nowhere; what is left of a pack after its outliers must be three', () => {
    const packs = ['p', 'q', 'r'].map((id) => pack(id));
    const unplanned = flight('p', 1, { plannedWh: null, plannedMinutes: null });
    const two = [flight('p', 1.2), flight('p', 1.2), unplanned];
    expect(calibrate(two, packs).craft.get('A')).toBeUndefined();
    expect(calibrate([...two, flight('p', 1.2)], packs).craft.get('A')!.flights).toBe(3);
    const odd = [flight('p', 1), flight('p', 1), flight('p', 2), flight('q', 1), flight('q', 1)];
    const found = calibrate(odd, packs);
    expect(found.counted.filter((c) => c.outlier).map((c) => c.flown.id)).toEqual([odd[2]!.id]);
    expect(found.craft.get('A')!.flights).toBe(4);
    expect(found.packs.size).toBe(0);
    // Packs with a flight or two each are judged together.
    const scattered = [flight('p', 1), flight('p', 1), flight('q', 1), flight('q', 2), flight('r', 1)];
    expect(
      calibrate(scattered, packs)
        .counted.filter((c) => c.outlier)
        .map((c) => c.flown.id),
    ).toEqual([scattered[3]!.id]);
  });
  it('flights that disagree are believed less than flights that agree', () => {
    const factorOf = (...list: number[]): number =>
      calibrate(
        list.map((r) => flight('p', r)),
        [pack('p')],
      ).craft.get('A')!.factor;
    const [agree, disagree] = [factorOf(1.2, 1.2, 1.2), factorOf(1.2 / 1.14, 1.2, 1.2 * 1.14)];
    expect(disagree).toBeLessThan(agree - 0.005);
    expect(disagree).toBeGreaterThan(1.12);
  });
  it('stays within what was measured, and in no order', () => {
    fc.assert(
      fc.property(ratios, (list) => {
        const log = list.map((r) => flight('p', r));
        const { craft } = calibrate(log, [pack('p')]);
        expect(craft.get('A')!.factor).toBeGreaterThanOrEqual(Math.min(1, ...list) - 1e-9);
        expect(craft.get('A')!.factor).toBeLessThanOrEqual(Math.max(1, ...list) + 1e-9);
        expect(calibrate([...log].reverse(), [pack('p')]).craft.get('A')!.factor).toBeCloseTo(
          craft.get('A')!.factor,
          9,
        );
      }),
    );
  });
  it('says nothing before three flights', () => {
    expect(calibrate([flight('p', 1.2), flight('p', 1.2)], [pack('p')]).craft.size).toBe(0);
    expect(
      calibrate([flight('p', 1.2), flight('p', 1.2), flight('p', 1.2)], [pack('p')]).craft.get('A')?.flights,
    ).toBe(3);
  });
  it('names a flight far from the others and leaves it out', () => {
    const odd = flight('p', 1.9);
    const log = [flight('p', 1.02), flight('p', 0.98), flight('p', 1), flight('p', 1.01), odd];
    const { craft, counted } = calibrate(log, [pack('p')]);
    expect(counted.filter((c) => c.outlier).map((c) => c.flown.id)).toEqual([odd.id]);
    expect(craft.get('A')!.factor).toBeCloseTo(1, 1);
  });
  it('a pack a little over the limit is named from its third flight on, as it was measured', () => {
    const packs = [pack('p'), pack('weak')];
    const faultsAt = (ratio: number): number =>
      packFaults(
        packs[1]!,
        calibrate(
          [...[1, 1, 1, 1].map((r) => flight('p', r)), ...[1, 1, 1].map(() => flight('weak', ratio))],
          packs,
        ),
      ).length;
    expect([faultsAt(FAILING_FACTOR * 1.001), faultsAt(FAILING_FACTOR * 0.999)]).toEqual([1, 0]);
  });
  it('a pack that falls behind its sisters is found, and does not make the aircraft look hungry', () => {
    const log = [
      ...[1, 1.01, 0.99].flatMap((r) => [flight('p', r), flight('q', r)]),
      ...[1.24, 1.26, 1.25].map((r) => flight('weak', r)),
    ];
    const packs = [pack('p'), pack('q'), pack('weak')];
    const found = calibrate(log, packs);
    expect(found.craft.get('A')!.factor).toBeCloseTo(1, 1);
    expect(found.packs.get('weak')!.factor).toBeCloseTo(1.25, 1);
    expect(said(packFaults(packs[2]!, found)[0])).toContain('faster than its sisters');
    expect(packFaults(packs[0]!, found)).toEqual([]);
    const { packs: wiser, aircraft } = learned<{ id: string; energyFactor?: number }, Pack>(
      [{ id: 'A' }, { id: 'B' }],
      packs,
      found,
    );
    expect(packEnergy(wiser[2]!, 25, 0.3).availableWh).toBeCloseTo(46 / found.packs.get('weak')!.factor, 6);
    expect(aircraft.map((a) => a.energyFactor)).toEqual([found.craft.get('A')!.factor, undefined]);
  });
  it('a flight without a plan, too short, or on a pack that is gone counts for nothing', () => {
    const log = [flight('p', 3, { plannedWh: null }), flight('p', 1, { endShare: 0.95 }), flight('gone', 1)];
    const { craft, counted } = calibrate(log, [pack('p')]);
    expect(craft.size).toBe(0);
    expect(counted.map((c) => c.ratio)).toEqual([null, null]);
  });
  it('energy used is the share of what the pack holds in the cold', () => {
    expect(
      usedOf(flight('p', 1, { startShare: 1, endShare: 0.5, temperatureC: 0 }), pack('p', { health: 0.9 })),
    ).toBeCloseTo(0.5 * 46 * 0.9 * 0.86, 9);
    expect(usedOf(flight('p', 1, { startShare: 0.4, endShare: 0.5 }), pack('p'))).toBe(0);
  });
  it('swollen, hot or past its cycles is told', () => {
    const none = calibrate([], []);
    expect(packFaults(pack('p', { condition: 'swollen' }), none).map(said)).toEqual(['it is swollen']);
    expect(packFaults(pack('p', { condition: 'hot', cycles: 201 }), none)).toHaveLength(2);
  });

  it('by hand: factor, spread, and how far few flights are believed', () => {
    const log = [1.1, 1.2, 1.3, 1.5].map((r) => flight('P1', r));
    const logs = [1.1, 1.2, 1.3, 1.5].map(Math.log);
    const mean = logs.reduce((a, b) => a + b) / 4;
    const variance = logs.reduce((a, b) => a + (b - mean) ** 2, 0) / 3;
    // σ² of the flights and what is usual (0.06, worth 4 flights), against 0.15 for how far factors lie from 1.
    const pooled = (variance * 3 + 0.06 ** 2 * 4) / (3 + 4);
    const { craft, counted } = calibrate(log, [pack('P1')]);
    expect(craft.get('A')?.spread).toBeCloseTo(Math.sqrt(variance), 9);
    expect(craft.get('A')?.factor).toBeCloseTo(Math.exp((mean * 4) / (4 + pooled / 0.15 ** 2)), 9);
    expect(counted.map((c) => Math.round((c.ratio ?? 0) * 1e6) / 1e6)).toEqual([1.1, 1.2, 1.3, 1.5]);
  });
  it('by hand: a stray is beyond 3.5 deviations of the median one, at least 15 %, and asks for three flights', () => {
    const strays = (ratios: readonly number[]): boolean[] =>
      calibrate(
        ratios.map((r) => flight('P1', Math.exp(r))),
        [pack('P1')],
      ).counted.map((c) => c.outlier);
    // Middle 0.2, half of them within 0.1: 3.5 · 1.4826 · 0.1 = 0.519, told in any order.
    expect(strays([0.1, -0.31, 0.3, 0.2, 0.71, 0.3, 0.1])).toEqual(Array(7).fill(false));
    expect(strays([0.1, -0.33, 0.3, 0.2, 0.73, 0.3, 0.1])).toEqual([
      false,
      true,
      false,
      false,
      true,
      false,
      false,
    ]);
    expect(strays([0, 0, 0.16])).toEqual([false, false, true]);
    expect(strays([0, 0, 0.14])).toEqual([false, false, false]);
    expect(strays([0, 0.4])).toEqual([false, false]);
  });
  it('time over the plan is not learned as hunger where the plan knew its set-up', () => {
    const ratioOf = (more: Partial<FlightLogEntry>): number | null =>
      calibrate([flight('P1', 1.2, { minutes: 15, ...more })], [pack('P1')]).counted[0]!.ratio;
    expect(ratioOf({ plannedMinutes: 10, plannedSetUpMin: 2 })).toBeCloseTo(0.8, 9);
    expect(ratioOf({ plannedMinutes: 10, plannedSetUpMin: null })).toBeCloseTo(1.2, 9);
    expect(ratioOf({ plannedMinutes: null, plannedSetUpMin: 2 })).toBeCloseTo(1.2, 9);
    expect(ratioOf({ plannedMinutes: 0, plannedSetUpMin: 2 })).toBeCloseTo(1.2, 9);
    expect(ratioOf({ plannedWh: null, plannedMinutes: 10, plannedSetUpMin: 2 })).toBeNull();
  });
  it('a tenth of the pack is enough to tell, less is not, and three flights of a pack make it a pack of its own', () => {
    const counts = (endShare: number) =>
      calibrate([flight('P1', 1, { endShare })], [pack('P1')]).counted[0]!.ratio !== null;
    expect([counts(0.875), counts(0.9375)]).toEqual([true, false]);
    const log = [...Array(3)].map(() => flight('P1', 1)).concat([...Array(3)].map(() => flight('P2', 1.2)));
    const both = [pack('P1'), pack('P2')];
    expect([...calibrate(log, both).packs.keys()]).toEqual(['P1', 'P2']);
    expect([...calibrate(log.slice(1), both).packs.keys()]).toEqual(['P2']);
    // The middle lies between the two; each strays from it by the same.
    const { packs } = calibrate(log, both);
    expect(packs.get('P1')!.factor).toBeCloseTo(1 / Math.sqrt(1.2), 9);
    expect(packs.get('P2')!.factor).toBeCloseTo(Math.sqrt(1.2), 9);
  });
  it('a pack past its cycles, or over the limit against its sisters, says so with its figures', () => {
    const of = (cycles: number, factor: number) =>
      packFaults(pack('P1', { cycles, mostCycles: 200 }), {
        craft: new Map(),
        packs: new Map([['P1', { factor, spread: 0, flights: 7 }]]),
        counted: [],
      });
    expect(of(200, FAILING_FACTOR)).toEqual([]);
    expect(of(201, 1).map((m) => m.values)).toEqual([{ cycles: 201, trusted: 200 }]);
    expect(said(of(10, 1.25)[0])).toContain('25');
    expect(of(10, 1.25)[0]).toMatchObject({ code: 'pack.fault.drains', values: { flights: 7 } });
  });
});
