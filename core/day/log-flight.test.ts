import { describe, expect, it } from 'vitest';
import { newRow, validateSemantics } from '../model';
import { landedMs, logFlight, plannedFigures, type FlightReport } from './log-flight';

const pack = newRow('pack', { id: 'p', name: 'P', aircraftIds: ['a'], cycles: 12, condition: 'hot' });
const at = { date: '2027-05-14', zone: 'Europe/Madrid' };
const report: FlightReport = {
  filmId: 'f',
  flightId: 'x',
  aircraftId: null,
  takeOff: '20:15',
  minutes: 14.5,
  startShare: 0.98,
  endShare: 0.41,
  plannedMinutes: 12,
  plannedSetUpMin: null,
  windMs: null,
  plannedWh: 21,
  temperatureC: 14,
  outcome: 'as-planned',
  condition: 'sound',
  shotIds: ['s'],
  notes: '',
};

describe('logging a flight', () => {
  const [entry, landed] = logFlight(report, pack, at, null, 'e');
  it('writes one entry under the take-off time of the location', () => {
    expect(entry).toMatchObject({ kind: 'flightLogEntry', id: 'e', after: { aircraftId: 'a', packId: 'p' } });
    expect(new Date((entry!.after as { utcMs: number }).utcMs).toJSON()).toBe('2027-05-14T18:15:00.000Z');
    expect(entry!.after).not.toHaveProperty('takeOff');
    expect(validateSemantics('flightLogEntry', entry!.after)).toEqual([]);
    expect(landedMs(at, '20:15', 14.5)).toBe(Date.UTC(2027, 4, 14, 18, 29, 30));
  });
  it('keeps the plan as it was before the log corrected it, so that nothing is learned twice', () => {
    const shots = new Map([
      ['s', { facts: { shot: { setupS: 30 } } }],
      ['t', { facts: { shot: { setupS: 60 } } }],
    ]);
    // 600 s planned as rated; set-ups twice as long make it 690, hunger of a tenth and the longer hover raise the energy.
    const stops = ['s', 't'].map((shotId) => ({ shotId })) as never;
    const plain = { aircraftId: 'a', seconds: 600, usedWh: 20, stops };
    const corrected = { ...plain, seconds: 690, usedWh: 20 * 1.1 * (690 / 600) };
    const aircraft = [{ id: 'a', energyFactor: 1.1, setUpFactor: 2 }];
    const rated = { plannedMinutes: 10, plannedSetUpMin: 1.5, plannedWh: 20 };
    expect(plannedFigures(plain, [{ id: 'a' }], shots)).toEqual(rated);
    expect(plannedFigures(corrected, aircraft, shots)).toEqual(rated);
  });
  it('leaves the pack with what it landed with and one cycle more, and keeps an older note of its condition', () => {
    expect(landed!.after).toMatchObject({
      charge: 0.41,
      cycles: 13,
      chargedOn: '2027-05-14',
      condition: 'hot',
    });
    const [, swollen] = logFlight({ ...report, condition: 'swollen' }, pack, at, null, 'e');
    expect(swollen!.after).toMatchObject({ condition: 'swollen' });
    expect(pack.cycles).toBe(12);
  });
  it('brings what was recorded in the same step, the aircraft as planned', () => {
    const move = newRow('cardMove', { id: 'm', cardId: 'c', utcMs: 1, act: 'record', gb: 3 });
    const changes = logFlight({ ...report, aircraftId: 'b' }, pack, at, move, 'e');
    expect(changes.map((c) => c.kind)).toEqual(['cardMove', 'flightLogEntry', 'pack']);
    expect(changes[1]!.after).toMatchObject({ aircraftId: 'b' });
  });
});
