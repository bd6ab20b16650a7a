import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { getPosition } from 'suncalc';
import vectors from '../vectors/light.json';
import { angleToSun, sunSide } from './against';
import { clearSkyLux, luxToEv } from './illuminance';
import { modelEv } from './scene';
import { clockText, isZone, localDay, localToUtc, minutesOf } from '../time';
import { utcToLocal } from '../time/clock';
import { crossings, lightDay, sunDay } from './windows';
import { skyColour } from './sky';
import { sunAt } from './sun';
import { numberIn } from '../testing';

describe('sun', () => {
  it.each(vectors.positions)('$lat, $lon at $utc', (p) => {
    const sun = sunAt(Date.parse(p.utc), p.lat, p.lon);
    expect(Math.abs(sun.altitudeDeg - p.altitudeDeg)).toBeLessThan(vectors.tolerance.altitudeDeg);
    expect(Math.abs(sun.azimuthDeg - p.azimuthDeg)).toBeLessThan(vectors.tolerance.azimuthDeg);
    expect(Math.abs(luxToEv(clearSkyLux(sun.altitudeDeg)) - p.ev100)).toBeLessThan(vectors.tolerance.ev);
  });

  it('takes refraction off below the horizon, where it is worth more than a stop', () => {
    const at = Date.parse('2027-05-14T20:25:00Z');
    const raw = getPosition(new Date(at), 43.18, -4.83).altitude;
    expect(raw - sunAt(at, 43.18, -4.83).altitudeDeg).toBeGreaterThan(0.4);
    expect(
      luxToEv(clearSkyLux(raw)) - luxToEv(clearSkyLux(sunAt(at, 43.18, -4.83).altitudeDeg)),
    ).toBeGreaterThan(0.7);
  });
});

describe('events', () => {
  const zoneOf = (lat: number): string =>
    lat < 0
      ? 'Australia/Sydney'
      : lat > 70
        ? 'Arctic/Longyearbyen'
        : lat > 60
          ? 'Europe/Oslo'
          : 'Europe/Madrid';
  it.each(vectors.events)('$lat, $lon on $localDate', (e) => {
    const day = lightDay(e.localDate, zoneOf(e.lat), e.lat, e.lon);
    const pairs: (readonly [number | null, string | null])[] = [
      [day.civilDawnMs, e.civilDawn],
      [day.sunriseMs, e.sunrise],
      [day.goldenMorningEndMs, e.goldenMorningEnd],
      [day.goldenEveningStartMs, e.goldenEveningStart],
      [day.sunsetMs, e.sunset],
      [day.blueEveningStartMs, e.blueEveningStart],
      [day.civilDuskMs, e.civilDusk],
    ];
    for (const [mine, theirs] of pairs) {
      if (theirs === null) expect(mine).toBeNull();
      else
        expect(Math.abs((mine ?? NaN) - Date.parse(theirs)) / 1000).toBeLessThan(
          vectors.tolerance.eventSeconds,
        );
    }
  });

  it('windows are ordered, inside the solar day and the night after it, and never NaN, anywhere on any day', () => {
    fc.assert(
      fc.property(numberIn(-89, 89), numberIn(-180, 180), fc.integer({ min: 0, max: 364 }), (lat, lon, n) => {
        const date = new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10);
        const day = lightDay(date, 'UTC', lat, lon);
        for (const w of day.windows) {
          // Solar noon lies in the date: half a day before its start and a day after its end at the most.
          expect(w.fromMs).toBeGreaterThanOrEqual(day.sun.startMs - 12 * 3_600_000);
          expect(w.toMs).toBeLessThanOrEqual(day.sun.endMs + 24 * 3_600_000);
          expect(w.toMs).toBeGreaterThan(w.fromMs);
          const deg = sunAt((w.fromMs + w.toMs) / 2, lat, lon).altitudeDeg;
          if (w.toMs - w.fromMs < 5 * 3600_000)
            expect(deg).toBeGreaterThan({ golden: -4.2, blue: -6.2, sunrise: -1.7, sunset: -1.7 }[w.kind]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a second before and a second after each crossing the sun is on either side of its altitude, anywhere', () => {
    let found = 0;
    const spot = [numberIn(-89, 89), numberIn(-180, 180), fc.integer({ min: 0, max: 364 })] as const;
    fc.assert(
      fc.property(...spot, numberIn(-10, 20), (lat, lon, n, deg) => {
        const day = sunDay(new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10), 'UTC', lat, lon);
        for (const { utcMs, rising } of crossings(day, deg, lat, lon)) {
          const [before, after] = [-1000, 1000].map((d) => sunAt(utcMs + d, lat, lon).altitudeDeg - deg);
          found += 1;
          expect(rising ? before! < 0 && after! > 0 : before! > 0 && after! < 0).toBe(true);
        }
      }),
      { numRuns: 400 },
    );
    expect(found).toBeGreaterThan(400);
  });

  it('an evening may end after midnight: the blue hour of a northern June night is found', () => {
    const day = lightDay('2027-06-21', 'Europe/Helsinki', 61, 25);
    const midnight = day.sun.endMs;
    const blue = day.windows.filter((w) => w.kind === 'blue' && w.toMs > midnight);
    expect(blue.length).toBeGreaterThan(0);
    for (const w of blue)
      for (const share of [0.1, 0.5, 0.9]) {
        const deg = sunAt(w.fromMs + (w.toMs - w.fromMs) * share, 61, 25).altitudeDeg;
        expect(deg).toBeLessThan(-3.9);
        expect(deg).toBeGreaterThan(-6.1);
      }
    expect(day.whiteNight).toBe(true);
    expect(lightDay('2027-06-21', 'Europe/Madrid', 43, -5).whiteNight).toBe(false);
  });

  it('at 65° the sun of midsummer sets after midnight, on the next date', () => {
    const day = lightDay('2027-06-12', 'Europe/Helsinki', 65.3, 25);
    expect(day.sunsetMs!).toBeGreaterThan(day.sunriseMs! + 20 * 3_600_000);
    expect(sunAt(day.sunsetMs!, 65.3, 25).altitudeDeg).toBeCloseTo(-0.833, 1);
  });

  it('polar day has neither rise nor set, and no windows that need one', () => {
    const day = lightDay('2027-06-20', 'Arctic/Longyearbyen', 78.2, 15.6);
    expect(day).toMatchObject({ sunriseMs: null, sunsetMs: null, civilDuskMs: null, windows: [] });
  });
});

describe('local time', () => {
  it('a spring day is 23 hours long, an autumn day 25', () => {
    const hours = (date: string): number => {
      const d = localDay(date, 'Europe/Madrid');
      return (d.endMs - d.startMs) / 3_600_000;
    };
    expect([hours('2027-03-28'), hours('2027-10-31'), hours('2027-05-14')]).toEqual([23, 25, 24]);
  });
  it('goes there and back for every minute that exists', () => {
    const zones = fc.constantFrom(
      'Europe/Madrid',
      'Asia/Kathmandu',
      'Australia/Lord_Howe',
      'America/St_Johns',
      'UTC',
    );
    fc.assert(
      fc.property(zones, fc.integer({ min: Date.UTC(2026, 0), max: Date.UTC(2028, 0) }), (zone, ms) => {
        const utc = Math.floor(ms / 60000) * 60000;
        const local = utcToLocal(utc, zone);
        const back = localToUtc(local.date, local.minutes, zone);
        expect(utcToLocal(back, zone)).toEqual(local);
        expect(Math.abs(back - utc)).toBeLessThanOrEqual(3_600_000);
      }),
    );
  });
  it('reads a skipped time with the offset before the change', () => {
    expect(clockText(localToUtc('2027-03-28', minutesOf('02:30'), 'Europe/Madrid'), 'Europe/Madrid')).toBe(
      '03:30',
    );
  });
  it('knows a zone from none', () =>
    expect([isZone('Asia/Kathmandu'), isZone('Nowhere/Land'), isZone('')]).toEqual([true, false, false]));
  it('reads clock faces', () =>
    expect(['06:30', '24:00', '7:15', ''].map(minutesOf)).toEqual([390, NaN, NaN, NaN]));
});

describe('scene', () => {
  it('lamps are a floor at night and nothing at noon', () => {
    expect(modelEv(-20, 'clear', 'lit-street', 0).ev100).toBeCloseTo(6.5, 2);
    expect(modelEv(60, 'clear', 'lit-street', 0).ev100 - modelEv(60, 'clear', 'none', 0).ev100).toBeLessThan(
      0.01,
    );
  });
  it('a cloudier sky is never brighter', () => {
    fc.assert(
      fc.property(numberIn(-18, 90), (deg) => {
        const evs = (['clear', 'thin-cloud', 'overcast', 'heavy'] as const).map(
          (sky) => modelEv(deg, sky, 'none', 0).ev100,
        );
        expect([...evs].sort((a, b) => b - a)).toEqual(evs);
      }),
    );
  });
  it('the illuminance has no step of more than a tenth of a stop between its pieces', () => {
    for (const edge of [20, 5, -0.8, -5, -12])
      expect(Math.abs(Math.log2(clearSkyLux(edge + 1e-6) / clearSkyLux(edge - 1e-6)))).toBeLessThan(0.1);
  });
  it('sky colours stay in range', () => {
    for (let deg = -95; deg <= 95; deg += 1)
      for (const part of skyColour(deg)) {
        expect(part).toBeGreaterThanOrEqual(0);
        expect(part).toBeLessThanOrEqual(255);
      }
  });
});

describe('sun against the camera', () => {
  it('is in the lens when the camera looks at it', () => {
    expect(angleToSun(120, 10, { altitudeDeg: 10, azimuthDeg: 120 })).toBeCloseTo(0, 5);
    expect(angleToSun(300, 0, { altitudeDeg: 0, azimuthDeg: 120 })).toBeCloseTo(180, 5);
  });
  it('names the side', () => {
    const sun = { altitudeDeg: 20, azimuthDeg: 90 };
    expect([90, 180, 270].map((h) => sunSide(h, sun))).toEqual(['back', 'side', 'front']);
    expect(sunSide(90, { altitudeDeg: -5, azimuthDeg: 90 })).toBe('none');
  });
});
