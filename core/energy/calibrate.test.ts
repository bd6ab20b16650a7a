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
});
