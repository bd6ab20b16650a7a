import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Reached } from '../testing';
import { addDays, clockText, DAY_MS, daysBetween, localDay, MINUTE_MS } from './clock';

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

describe('the clock on the wall', () => {
  it('is what the platform says, before 1970, over clock changes and in zones a quarter of an hour apart', () => {
    const reached = new Reached();
    const zones = ['Europe/Madrid', 'Asia/Kathmandu', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC'];
    const face = new Map(
      zones.map((timeZone) => [
        timeZone,
        new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }),
      ]),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.integer({ min: -20_000 * 1440, max: 40_000 * 1440 }),
        (zone, minutes) => {
          reached.when('before 1970', minutes < 0);
          const text = clockText(minutes * MINUTE_MS, zone);
          expect(text).toBe(face.get(zone)?.format(minutes * MINUTE_MS));
          expect(clockText(minutes * MINUTE_MS + 29_000, zone)).toBe(text);
          expect(clockText(minutes * MINUTE_MS - 29_000, zone)).toBe(text);
        },
      ),
    );
    reached.atLeast('before 1970', 20);
  });

  it('has no time for no instant, and for a zone nobody knows', () => {
    for (const none of [NaN, Infinity, -Infinity]) expect(clockText(none, 'UTC')).toBe('–');
    expect(clockText(0, 'Mars/Olympus')).toBe('–');
  });
});
