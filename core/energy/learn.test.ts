import { describe, expect, it } from 'vitest';
import { newRow, type FlightLogEntry, type Pack } from '../model';
import { calibrate } from './calibrate';
import { calibrationOf, flyable } from './learn';

const pack = (id: string, more: Partial<Pack> = {}): Pack =>
  newRow('pack', { id, name: id, aircraftIds: ['A'], ratedWh: 46, ...more });
const flights = (count: number, more: Partial<FlightLogEntry> = {}): FlightLogEntry[] =>
  Array.from({ length: count }, (_, i) =>
    newRow('flightLogEntry', {
      id: `${JSON.stringify(more)}${i}`,
      aircraftId: 'A',
      packId: 'P1',
      utcMs: i,
      minutes: 12,
      startShare: 1,
      endShare: 0.5,
      plannedWh: 20,
      temperatureC: 25,
      ...more,
    }),
  );

describe('what the log teaches, worked out once', () => {
  const packs = [pack('P1'), pack('P2')];

  it('is kept for a log as long as the packs are worth the same', () => {
    const flightLog = flights(4);
    const first = calibrationOf({ flightLog, packs });
    expect(first).toEqual(calibrate(flightLog, packs));
    expect(calibrationOf({ flightLog, packs })).toBe(first);
    expect(calibrationOf({ flightLog, packs: packs.map((p) => ({ ...p, name: 'renamed' })) })).toBe(first);
  });
  it.each([
    ['another pack', [pack('P1'), pack('P3')]],
    ['one pack more', [pack('P1'), pack('P2'), pack('P3')]],
    ['one pack less', [pack('P1')]],
    ['another order', [pack('P2'), pack('P1')]],
    ['the first worth less', [pack('P1', { health: 0.8 }), pack('P2')]],
    ['the second rated otherwise', [pack('P1'), pack('P2', { ratedWh: 50 })]],
  ])('is worked out anew for %s', (_, others) => {
    const flightLog = flights(4);
    const first = calibrationOf({ flightLog, packs });
    const next = calibrationOf({ flightLog, packs: others });
    expect(next).not.toBe(first);
    expect(next).toEqual(calibrate(flightLog, others));
    expect(calibrationOf({ flightLog, packs: others })).toBe(next);
  });
  it('learns nothing from the simulated aircraft', () => {
    const real = flights(4);
    const mixed = [...real, ...flights(5, { simulated: true, endShare: 0.1 })];
    expect(calibrationOf({ flightLog: mixed, packs }).craft).toEqual(calibrate(real, packs).craft);
  });
  it('flies no pack that is swollen or damaged', () => {
    const all = (['sound', 'swollen', 'hot', 'damaged'] as const).map((condition) =>
      pack(condition, { condition } as Partial<Pack>),
    );
    expect(flyable(all).map((p) => p.id)).toEqual(['sound', 'hot']);
  });
});
