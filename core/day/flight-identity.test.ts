import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Reached } from '../testing';
import { continuedIds, flightIds, listFlightId } from './flight-identity';

const listed = (aircraftId: string) => ({ planId: null, aircraftId });
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

describe('identity of flights', () => {
  it('of the list is a number of its aircraft and location, whatever it flies', () => {
    const ids = flightIds([listed('A'), listed('B'), listed('A')], 'here', new Set());
    expect(ids).toEqual([
      listFlightId('here', 'A', 0),
      listFlightId('here', 'B', 0),
      listFlightId('here', 'A', 1),
    ]);
    for (const id of ids) expect(id).toMatch(UUID);
    expect(listFlightId('there', 'A', 0)).not.toBe(ids[0]);
  });

  it('stays with the others when one of them is decided or logged', () => {
    const [first, second, third] = flightIds([listed('A'), listed('A'), listed('A')], 'here', new Set());
    const decided = [{ planId: first!, aircraftId: 'A' }, listed('A'), listed('A')];
    expect(flightIds(decided, 'here', new Set([first!]))).toEqual([first, second, third]);
    // The first was logged: its shots are done and it is no flight any more.
    expect(flightIds([listed('A'), listed('A')], 'here', new Set([first!]))).toEqual([second, third]);
  });

  it('is never shared, whatever was decided, logged or listed', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.array(fc.record({ aircraft: fc.constantFrom('A', 'B'), decided: fc.boolean() }), {
          maxLength: 12,
        }),
        fc.uniqueArray(fc.nat(5), { maxLength: 4 }),
        (flights, logged) => {
          const takenList = logged.map((n) => listFlightId('here', 'A', n));
          const rows = flights.map(({ aircraft, decided }, i) => ({
            planId: decided ? `row${i}` : null,
            aircraftId: aircraft,
          }));
          const taken = new Set([...takenList, ...rows.flatMap((r) => r.planId ?? [])]);
          const ids = flightIds(rows, 'here', taken);
          expect(new Set(ids).size).toBe(ids.length);
          reached.when(
            'a listed flight beside a logged one',
            logged.length > 0 && flights.some((f) => !f.decided),
          );
          for (const [i, id] of ids.entries())
            if (rows[i]!.planId === null) expect(taken.has(id)).toBe(false);
        },
      ),
    );
    reached.atLeast('a listed flight beside a logged one', 30);
  });

  it('goes over to the new flight of the same aircraft that shares most shots', () => {
    const stops = (...ids: string[]) => ids.map((shotId) => ({ shotId }));
    const old = [
      { id: 'one', aircraftId: 'A', stops: stops('1', '2', '3') },
      { id: 'two', aircraftId: 'A', stops: stops('4', '5') },
      { id: 'bee', aircraftId: 'B', stops: stops('6') },
    ];
    expect(
      continuedIds(old, [
        { aircraftId: 'A', stops: stops('3', '4', '5') },
        { aircraftId: 'A', stops: stops('2', '1') },
        { aircraftId: 'A', stops: stops('6') },
        { aircraftId: 'B', stops: stops('6', '1') },
      ]),
    ).toEqual(['two', 'one', null, 'bee']);
    expect(continuedIds(old, [{ aircraftId: 'A', stops: stops('9') }])).toEqual([null]);
    expect(continuedIds([], [{ aircraftId: 'A', stops: stops('1') }])).toEqual([null]);
  });
});
