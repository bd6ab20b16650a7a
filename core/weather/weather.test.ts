import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRow, type HourWeather, type Location } from '../model';
import { localToUtc } from '../time';
import { numberIn } from '../testing';
import { hardestWeather, hoursOf, locationAt, skyMixAt, WEATHER_STEP_MS } from './hours';
import { simulatedHours } from './simulated';

const hour = (at: string, more: Partial<HourWeather> = {}): HourWeather => ({
  at,
  windMs: 3,
  gustMs: 5,
  windFromDeg: 350,
  temperatureC: 10,
  sky: 'clear',
  visibilityM: 9000,
  sure: 0.8,
  ...more,
});
const place = (hours: HourWeather[], more: Partial<Location> = {}): Location =>
  newRow('location', {
    id: 'l',
    filmId: 'f',
    name: 'A',
    latitude: 43,
    longitude: -5,
    zone: 'Europe/Madrid',
    date: '2027-05-14',
    windowStart: '07:00',
    windowEnd: '11:00',
    hours,
    ...more,
  });
const at = (minutes: number, date = '2027-05-14'): number => localToUtc(date, minutes, 'Europe/Madrid');
const windy = place([
  hour('07:00'),
  hour('09:00', { windMs: 7, gustMs: 11, windFromDeg: 30, temperatureC: 14, sky: 'overcast' }),
]);

describe('weather by the hour', () => {
  it('is that of its hours, linear between them, and holds before the first and after the last', () => {
    expect(locationAt(windy, at(420))).toMatchObject({ windMs: 3, temperatureC: 10 });
    expect(locationAt(windy, at(480))).toMatchObject({ windMs: 5, gustMs: 8, temperatureC: 12 });
    expect(locationAt(windy, at(300))).toMatchObject({ windMs: 3 });
    expect(locationAt(windy, at(700))).toMatchObject({ windMs: 7, sky: 'overcast' });
  });
  it('turns the wind the short way round', () => {
    expect(locationAt(windy, at(480)).windFromDeg).toBeCloseTo(10, 9);
  });
  it('of a place without hours is the place itself, at every instant', () => {
    const still = place([]);
    fc.assert(
      fc.property(numberIn(0, 1440), (m) => {
        expect(locationAt(still, at(m))).toBe(still);
      }),
    );
    expect(skyMixAt(still, at(500))).toEqual({ from: still.sky, to: still.sky, share: 0 });
  });
  it('never leaves the range of its hours, and does not jump from step to step', () => {
    fc.assert(
      fc.property(fc.array(numberIn(0, 20), { minLength: 2, maxLength: 6 }), (winds) => {
        const there = place(
          winds.map((windMs, i) => hour(`${String(7 + i).padStart(2, '0')}:00`, { windMs })),
        );
        let before = locationAt(there, at(420)).windMs;
        for (let ms = at(420); ms < at(420 + 60 * winds.length); ms += WEATHER_STEP_MS) {
          const { windMs } = locationAt(there, ms);
          expect(windMs).toBeGreaterThanOrEqual(Math.min(...winds) - 1e-9);
          expect(windMs).toBeLessThanOrEqual(Math.max(...winds) + 1e-9);
          expect(Math.abs(windMs - before)).toBeLessThanOrEqual(5 + 1e-9);
          before = windMs;
        }
      }),
    );
  });
  it('goes over midnight where the window does', () => {
    const night = place([hour('01:00'), hour('23:00')], { windowStart: '22:00', windowEnd: '03:00' });
    expect(hoursOf(night).map((h) => h.utcMs)).toEqual([at(1380), at(60, '2027-05-15')]);
  });
  it('hardest over a window is no kinder than any minute of it', () => {
    const hardest = hardestWeather(windy, at(420), at(540));
    expect(hardest).toMatchObject({ windMs: 7, gustMs: 11, temperatureC: 10 });
    // Another stretch of the same location has its own; the same is the very same object, which other sums are known by.
    const [minute, again] = [1, 2].map(() => hardestWeather(windy, at(420), at(420)));
    expect(minute).toMatchObject({ windMs: locationAt(windy, at(420)).windMs });
    expect(minute!.windMs).toBeLessThan(7);
    expect(again).toBe(minute);
  });
  it('the sky goes over from hour to hour without a step', () => {
    expect(skyMixAt(windy, at(480))).toEqual({ from: 'clear', to: 'overcast', share: 0.5 });
  });
});

describe('the simulated forecast', () => {
  it('is the same for the same asking, and another in the evening', () => {
    const [morning, again, evening] = [8, 9, 20].map((h) => simulatedHours(windy, Date.UTC(2027, 4, 13, h)));
    expect(again).toEqual(morning);
    expect(evening).not.toEqual(morning);
    expect(evening!.map((h) => h.at)).toEqual(morning!.map((h) => h.at));
  });
  it('stays within what a location may hold, and gusts are never under the wind', () => {
    fc.assert(
      fc.property(numberIn(0, 30), numberIn(0, 50), numberIn(-40, 50), (windMs, gustMs, temperatureC) => {
        for (const h of simulatedHours({ ...windy, windMs, gustMs, temperatureC }, 0)) {
          expect(h.gustMs).toBeGreaterThanOrEqual(h.windMs - 0.05);
          expect(h.windMs).toBeLessThanOrEqual(60);
          expect(h.temperatureC).toBeGreaterThanOrEqual(-50);
          expect(h.sure).toBeGreaterThan(0);
        }
      }),
    );
  });
});
