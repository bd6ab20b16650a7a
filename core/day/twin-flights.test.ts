import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type CardMove, type FlightLogEntry } from '../model';
import { twinFlights, withoutTwin } from './twin-flights';

const AT = Date.UTC(2027, 4, 14, 6);
const MINUTE = 60_000;
const flight = (id: string, startMin: number, minutes: number, more: Partial<FlightLogEntry> = {}) =>
  ({
    ...newRow('flightLogEntry', { id, aircraftId: 'a', packId: 'p' }),
    utcMs: AT + startMin * MINUTE,
    minutes,
    endShare: 0.4,
    ...more,
  }) as FlightLogEntry;
const record = (id: string, atMin: number, cardId = 'c') =>
  ({ ...newRow('cardMove', { id, cardId }), act: 'record', utcMs: AT + atMin * MINUTE, gb: 9 }) as CardMove;
const pairs = (log: FlightLogEntry[]): string[] => twinFlights(log).map((t) => t.first.id + t.second.id);

describe('one flight logged by two', () => {
  it('is seen by its pack and its minutes, however the clocks differ a little', () => {
    expect(pairs([flight('x', 0, 12), flight('y', 3, 11)])).toEqual(['xy']);
    expect(pairs([flight('y', 3, 11), flight('x', 0, 12)])).toEqual(['xy']);
  });
  it('is not seen in another pack, in flights one after the other, nor in simulated ones', () => {
    expect(pairs([flight('x', 0, 12), flight('y', 0, 12, { packId: 'q' })])).toEqual([]);
    expect(pairs([flight('x', 0, 12), flight('y', 10, 12)])).toEqual([]);
    expect(pairs([flight('x', 0, 12), flight('y', 0, 12, { simulated: true })])).toEqual([]);
  });
  it('a day flown one after the other has none, whatever it holds', () => {
    let reached = 0;
    fc.assert(
      fc.property(
        fc.array(fc.record({ pack: fc.constantFrom('p', 'q'), minutes: fc.integer({ min: 1, max: 25 }) }), {
          minLength: 2,
          maxLength: 12,
        }),
        (flights) => {
          let at = 0;
          const log = flights.map(({ pack, minutes }, i) => {
            const f = flight(String(i), at, minutes, { packId: pack });
            at += minutes;
            return f;
          });
          reached += log.length;
          expect(pairs(log)).toEqual([]);
          const copy = { ...log[0]!, id: 'copy' };
          expect(twinFlights([...log, copy])).toHaveLength(1);
        },
      ),
    );
    expect(reached).toBeGreaterThan(400);
  });
});

describe('taking the second entry back', () => {
  const [x, y] = [flight('x', 0, 12, { endShare: 0.44 }), flight('y', 1, 12, { endShare: 0.41 })];
  const pack = { ...newRow('pack', { id: 'p' }), cycles: 7, charge: 0.41 };
  it('leaves one cycle, the charge of the one that is kept, and the footage once', () => {
    const changes = withoutTwin(x, y, [x, y], pack, [record('m', 12), record('n', 13)]);
    expect(changes).toEqual([
      { kind: 'flightLogEntry', id: 'y', after: null },
      { kind: 'pack', id: 'p', after: { ...pack, cycles: 6, charge: 0.44 } },
      { kind: 'cardMove', id: 'n', after: null },
    ]);
  });
  it('leaves the charge where the pack has flown since, and footage that was entered once', () => {
    const later = flight('z', 60, 9, { endShare: 0.35 });
    const changes = withoutTwin(y, x, [x, y, later], { ...pack, charge: 0.35 }, [record('m', 12)]);
    expect(changes[1]!.after).toMatchObject({ cycles: 6, charge: 0.35 });
    expect(changes).toHaveLength(2);
    expect(withoutTwin(x, y, [x, y], undefined, [record('m', 12), record('n', 13, 'other')])).toHaveLength(1);
  });
});
