import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Reached } from '../testing';
import { addDays, DAY_MS, daysBetween, localDay } from './clock';

const date = fc.integer({ min: 0, max: 40_000 }).map((d) => new Date(d * DAY_MS).toISOString().slice(0, 10));

describe('calendar days', () => {
  it('added are counted back, over ends of months and leap days', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(date, fc.integer({ min: -800, max: 800 }), (from, days) => {
        const to = addDays(from, days);
        reached.when('another year', to.slice(0, 4) !== from.slice(0, 4));
        expect(daysBetween(from, to)).toBe(days);
        expect(addDays(to, -days)).toBe(from);
      }),
    );
    reached.atLeast('another year', 30);
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2027-03-01', -1)).toBe('2027-02-28');
    expect(() => addDays('no date', 1)).toThrow(RangeError);
  });

  it.each([
    ['2027-03-28', 23],
    ['2027-10-31', 25],
    ['2027-05-14', 24],
  ])('%s lasts %i hours where clocks are changed', (day, hours) => {
    const { startMs, endMs } = localDay(day, 'Europe/Madrid');
    expect((endMs - startMs) / 3_600_000).toBe(hours);
    expect(localDay(addDays(day, 1), 'Europe/Madrid').startMs).toBe(endMs);
  });
});
