import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type FlightLogEntry } from '../model';
import { rehearsedSetUp, setUpTimes } from './set-up-time';

const ID = '00000000-0000-4000-8000-000000000001';
const flight = (plannedSetUpMin: number | null, overMin: number, more: Partial<FlightLogEntry> = {}) => ({
  ...newRow('flightLogEntry', { id: ID, aircraftId: 'a', packId: 'p' }),
  plannedMinutes: 10,
  plannedSetUpMin,
  minutes: 10 + overMin,
  ...more,
});
const factorOf = (log: readonly FlightLogEntry[]): number | undefined => setUpTimes(log).get('a')?.factor;

describe('set-up time from the log', () => {
  it('counts from three flights on, and is drawn towards the plan while the log is short', () => {
    const twice = (n: number) => Array.from({ length: n }, () => flight(2, 2));
    expect(factorOf(twice(2))).toBeUndefined();
    // Three flights at twice the time against four the plan is worth: 1 + 3/7.
    expect(factorOf(twice(3))).toBeCloseTo(1 + 3 / 7, 12);
    expect(factorOf(twice(396))).toBeCloseTo(1.99, 12);
    expect(setUpTimes(twice(5)).get('a')?.flights).toBe(5);
  });
  it('comes to what the set-ups really took, whatever each was planned with', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 240 }),
        fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 40, maxLength: 80 }),
        (percent, tenths) => {
          const real = percent / 100;
          const log = tenths.map((t) => flight(t / 10, (t / 10) * (real - 1)));
          const prior = 4 / log.length;
          expect(factorOf(log)).toBeCloseTo(1 + (real - 1) / (1 + prior), 9);
        },
      ),
    );
  });
  it('never plans less than half or more than three times of what was planned', () => {
    expect(factorOf(Array.from({ length: 900 }, () => flight(1, -9)))).toBeCloseTo(0.5, 2);
    expect(factorOf(Array.from({ length: 900 }, () => flight(1, 60)))).toBeCloseTo(3, 1);
  });
  it('says nothing from flights that were cut short, were simulated, or had no plan', () => {
    const told = [
      flight(2, 2),
      flight(2, 2),
      flight(2, 2, { outcome: 'cut-short' }),
      flight(2, 2, { outcome: 'incident' }),
      flight(2, 2, { simulated: true }),
      flight(null, 2),
      flight(2, 2, { plannedMinutes: null }),
    ];
    expect(setUpTimes(told).size).toBe(0);
    expect(setUpTimes([...told, flight(2, 2, { outcome: 'longer' })]).get('a')?.flights).toBe(3);
  });
});

describe('set-up of a rehearsed move', () => {
  const tried = (tries: number, more: object = {}) => ({
    ...newRow('practice', { id: ID, pilotId: 'p', moveKind: 'orbit' }),
    handling: 'simulator' as const,
    tries,
    ...more,
  });
  const share = (rows: ReturnType<typeof tried>[]) => rehearsedSetUp(rows, 'p', 'orbit');
  it('is as planned without rehearsing, and 90 % of it for each doubling of tries', () => {
    expect(share([])).toBe(1);
    // Twelve rehearsed tries are four takes, on top of the four a plan has behind it: one doubling.
    expect(share([tried(12)])).toBeCloseTo(0.9, 12);
    expect(share([tried(6), tried(30)])).toBeCloseTo(0.81, 12);
  });
  it('never grows with a try, and ends where tries are no longer counted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 40 }), (n, more) => {
        expect(share([tried(n + more)])).toBeLessThanOrEqual(share([tried(n)]));
        expect(share([tried(n)])).toBeGreaterThan(0.7);
      }),
    );
    expect(share([tried(60)])).toBe(share([tried(600)]));
  });
  it('knows its own pilot and move, and leaves the air to the flight log', () => {
    expect(share([tried(30, { pilotId: 'q' }), tried(30, { moveKind: 'push' })])).toBe(1);
    expect(share([tried(30, { handling: 'normal' })])).toBe(1);
  });
});
