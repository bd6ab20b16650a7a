import fc from 'fast-check';
import type { Sky } from '../model';
import { describe, expect, it } from 'vitest';
import { angleToSun, axesOf, flares, sunAlong } from './against';
import { BLACK_SKY_DEG, wishMet, WISHES, type LightMoment } from './wishes';
import { kelvinFor } from './kelvin';
import { lampsBelow, lampsBurn, LIGHT_DEFINITIONS, lightDay } from './windows';
import { lampEv, lightCurve, modelEv, sceneLight, sceneSpread, type SceneConditions } from './scene';
import { localToUtc, minutesOf } from '../time';
import { moonAt, moonPhase } from './moon';
import { sunAt } from './sun';
import { numberIn } from '../testing';

const MINUTE = 60_000;
const [LAT, LON, ZONE, DATE] = [43.18, -4.83, 'Europe/Madrid', '2027-05-14'];
const day = lightDay(DATE, ZONE, LAT, LON);
const at = (clock: string): number => localToUtc(DATE, minutesOf(clock), ZONE);
const moment = (clock: string, more: Partial<LightMoment> = {}): LightMoment => ({
  utcMs: at(clock),
  sun: sunAt(at(clock), LAT, LON),
  day,
  sky: 'clear',
  hasLamps: true,
  headingDeg: 90,
  ...more,
});

/** A sky that stays as it is. */
const plain = (sky: Sky) => ({ from: sky, to: sky, share: 0 });

describe('moon', () => {
  // Known phases: full 2027-05-20 11:00 UTC, new 2027-06-04 19:41 UTC, first quarter 2027-05-13 06:45 UTC (ephemeris).
  it.each([
    ['2027-05-20T11:00:00Z', 'full moon', 1],
    ['2027-06-04T19:41:00Z', 'new moon', 0],
    ['2027-05-13T06:45:00Z', 'first quarter', 0.5],
  ])('%s is %s', (utc, name, lit) => {
    const phase = moonPhase(Date.parse(utc));
    expect(phase.name).toBe(name);
    expect(phase.lit).toBeCloseTo(lit, 1);
  });
  it('a full moon is up when the sun is down, and the other way round', () => {
    const midnight = Date.parse('2027-05-20T00:20:00Z');
    expect(moonAt(midnight, LAT, LON).altitudeDeg).toBeGreaterThan(10);
    expect(moonAt(midnight + 12 * 3_600_000, LAT, LON).altitudeDeg).toBeLessThan(0);
  });
});

/** The open scene of the day, with what a case changes. */
function conditions(more: Partial<SceneConditions> = {}): SceneConditions {
  return {
    altitudeAt: (ms) => sunAt(ms, LAT, LON).altitudeDeg,
    azimuthAt: (ms) => sunAt(ms, LAT, LON).azimuthDeg,
    skyAt: () => plain('clear'),
    lamps: 'none',
    lampsBelowAt: () => 0,
    litShare: 1,
    offsetStops: 0,
    readings: [],
    fadeMin: 60,
    skySeen: null,
    skyWeight: 0.5,
    ...more,
  };
}

describe('lamps', () => {
  it('come on some minutes after sunset and go off as long before sunrise', () => {
    const later = lightDay(DATE, ZONE, LAT, LON, undefined, 30);
    expect((later.lampsOnMs! - later.sunsetMs!) / MINUTE).toBe(30);
    expect((later.sunriseMs! - later.lampsOffMs!) / MINUTE).toBe(30);
    expect(
      [at('23:30'), at('04:00'), at('12:00'), day.lampsOnMs! - 1, day.lampsOnMs!].map((ms) =>
        lampsBurn(day, ms),
      ),
    ).toEqual([true, true, false, false, true]);
  });
  it('burn all of a polar night and none of a polar day', () => {
    const night = lightDay('2027-12-21', 'Arctic/Longyearbyen', 78.2, 15.6);
    const bright = lightDay('2027-06-20', 'Arctic/Longyearbyen', 78.2, 15.6);
    for (let h = 0; h < 24; h += 1) {
      expect(lampsBurn(night, night.sun.startMs + h * 3_600_000)).toBe(true);
      expect(lampsBurn(bright, bright.sun.startMs + h * 3_600_000)).toBe(false);
    }
  });
  it('come up over minutes, and no minute of a night jumps by more than 0.3 stops', () => {
    for (const lamps of ['lit-street', 'signs', 'stage'] as const)
      for (const delay of [0, 20, 60])
        for (const litShare of [0.05, 0.3, 1]) {
          const night = lightDay(DATE, ZONE, LAT, LON, undefined, delay);
          const c = conditions({ lamps, litShare, lampsBelowAt: (ms) => lampsBelow(night, ms) });
          let before: number | null = null;
          for (let ms = night.sunsetMs! - 60 * MINUTE; ms < night.sunsetMs! + 600 * MINUTE; ms += MINUTE) {
            const { ev100 } = sceneLight(ms, c);
            if (before !== null) expect(Math.abs(ev100 - before)).toBeLessThanOrEqual(0.3 + 1e-9);
            before = ev100;
          }
          const { ev100, ambientEv100 } = sceneLight(night.lampsOnMs! + 12 * MINUTE, c);
          expect(2 ** ev100 - 2 ** ambientEv100).toBeCloseTo(litShare * 2 ** lampEv(lamps), 6);
        }
  });
  it('add what the lit share of the frame gives: none lit is the sky alone', () => {
    fc.assert(
      fc.property(numberIn(0, 1), numberIn(-12, 10), (litShare, deg) => {
        const c = conditions({ lamps: 'signs', litShare, altitudeAt: () => deg });
        const { ev100, ambientEv100 } = sceneLight(0, c);
        expect(2 ** ev100).toBeCloseTo(2 ** ambientEv100 + litShare * 2 ** 8, 6);
      }),
    );
  });
});

describe('meter readings', () => {
  const readings = [{ utcMs: 0, ev100: 11, of: 'sky' as const }];
  const c = conditions({ altitudeAt: () => 8, lamps: 'lit-street', lampsBelowAt: () => 0, readings });
  const plain = sceneLight(0, { ...c, readings: [] });
  it('are met at their moment, fade evenly to the model, and count for nothing before', () => {
    const shift = 11 - plain.ambientEv100;
    for (const [minutes, left] of [
      [-1, 0],
      [0, 1],
      [15, 0.75],
      [30, 0.5],
      [60, 0],
      [90, 0],
    ] as const)
      expect(sceneLight(minutes * MINUTE, c).ambientEv100 - plain.ambientEv100).toBeCloseTo(shift * left, 9);
  });
  it('of the sky leave the lamps alone, of the lamps the sky', () => {
    const lampsOf = (s: { ev100: number; ambientEv100: number }) => 2 ** s.ev100 - 2 ** s.ambientEv100;
    expect(lampsOf(sceneLight(MINUTE, c))).toBeCloseTo(lampsOf(plain), 6);
    const lamps = sceneLight(MINUTE, { ...c, readings: [{ utcMs: 0, ev100: 9, of: 'lamps' }] });
    expect(lamps.ambientEv100).toBe(plain.ambientEv100);
    expect(lampsOf(lamps)).toBeGreaterThan(lampsOf(plain));
  });
  it('left open are of whichever was stronger', () => {
    const open = [{ utcMs: 0, ev100: 4, of: null }];
    expect(sceneLight(0, { ...c, altitudeAt: () => -14, readings: open }).ambientEv100).toBe(
      sceneLight(0, { ...c, altitudeAt: () => -14, readings: [] }).ambientEv100,
    );
    expect(sceneLight(0, { ...c, readings: open }).ambientEv100).toBeCloseTo(4, 9);
  });
});

describe('days everywhere', () => {
  it.each([
    ['half-hour zone', '2027-03-10', 'Asia/Kolkata', 19, 73],
    ['quarter-hour zone', '2027-03-10', 'Asia/Kathmandu', 27.7, 85.3],
    ['southern summer', '2027-12-21', 'Australia/Hobart', -42.9, 147.3],
    ['spring change', '2027-03-28', ZONE, LAT, LON],
    ['autumn change', '2027-10-31', ZONE, LAT, LON],
    ['half-hour clock change', '2027-04-04', 'Australia/Lord_Howe', -31.5, 159.1],
  ])(
    '%s: sunrise before sunset, both inside the local day, the sun on the horizon at both',
    (_name, date, zone, lat, lon) => {
      const d = lightDay(date, zone, lat, lon);
      expect(d.sunriseMs!).toBeGreaterThan(d.sun.startMs);
      expect(d.sunsetMs!).toBeLessThan(d.sun.endMs);
      expect(d.sunriseMs!).toBeLessThan(d.sunsetMs!);
      for (const ms of [d.sunriseMs!, d.sunsetMs!])
        expect(sunAt(ms, lat, lon).altitudeDeg).toBeCloseTo(-0.833, 1);
    },
  );
  it('midsummer days are long in the north and short in the south', () => {
    const length = (lat: number, zone: string, lon: number): number => {
      const d = lightDay('2027-06-21', zone, lat, lon);
      return (d.sunsetMs! - d.sunriseMs!) / 3_600_000;
    };
    expect(length(LAT, ZONE, LON)).toBeGreaterThan(15);
    expect(length(-42.9, 'Australia/Hobart', 147.3)).toBeLessThan(9.5);
  });
  it('definitions move the windows with them', () => {
    const wide = lightDay(DATE, ZONE, LAT, LON, {
      ...LIGHT_DEFINITIONS,
      goldenTopDeg: 10,
      goldenBottomDeg: -2,
    });
    expect(wide.goldenMorningEndMs!).toBeGreaterThan(day.goldenMorningEndMs!);
    const blue = (d: typeof day): number =>
      d.windows.filter((w) => w.kind === 'blue').reduce((sum, w) => sum + w.toMs - w.fromMs, 0);
    expect(blue(wide)).toBeGreaterThan(blue(day));
  });
});

describe('wishes', () => {
  it('any light is always there; what nobody registered never', () => {
    for (const clock of ['03:00', '12:00', '22:00']) expect(wishMet('any', moment(clock))).toBe(true);
    expect(wishMet('glow' as 'any', moment('12:00'))).toBe(false);
  });
  it.each([
    ['golden', '07:20', '12:00'],
    ['blue', '22:02', '12:00'],
    ['day', '12:00', '23:00'],
    ['night', '23:30', '12:00'],
    ['lamps', '22:00', '12:00'],
    ['hard', '14:00', '07:30'],
    ['backlit', '07:40', '20:30'],
    ['frontlit', '20:30', '07:40'],
  ] as const)('%s at %s, not at %s', (kind, yes, no) => {
    expect(wishMet(kind, moment(yes))).toBe(true);
    expect(wishMet(kind, moment(no))).toBe(false);
  });
  it('cloud makes it flat and takes hard and sided light away', () => {
    const cloudy = moment('14:00', { sky: 'overcast' });
    expect(wishMet('flat', cloudy)).toBe(true);
    for (const kind of ['hard', 'backlit', 'sidelit', 'frontlit'] as const)
      expect(wishMet(kind, cloudy)).toBe(false);
  });
  it('lamps need lamps, and a sky that still holds light', () => {
    expect(wishMet('lamps', moment('22:00', { hasLamps: false }))).toBe(false);
    expect(sunAt(at('23:30'), LAT, LON).altitudeDeg).toBeLessThan(BLACK_SKY_DEG);
    expect(wishMet('lamps', moment('23:30'))).toBe(false);
  });
  it('looking down has no side, and each minute with sun has exactly one otherwise', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), numberIn(0, 360), (minute, heading) => {
        const clock = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
        const sides = (h: number | null) =>
          (['backlit', 'sidelit', 'frontlit'] as const).filter((k) =>
            wishMet(k, moment(clock, { headingDeg: h })),
          );
        expect(sides(null)).toEqual([]);
        expect(sides(heading).length).toBe(sunAt(at(clock), LAT, LON).altitudeDeg > 0 ? 1 : 0);
      }),
      { numRuns: 60 },
    );
  });
  it('every wish says what it is', () => {
    for (const w of WISHES) {
      expect(w.name).toMatch(/^[A-Z]/);
      expect(w.says).toMatch(/\.$/);
    }
  });
});

describe('how sure the light is', () => {
  const c = conditions;
  it('a reading narrows it and ages; it is never wider than without', () => {
    const readings = [{ utcMs: at('08:00'), ev100: 12, of: null }];
    for (const sky of ['clear', 'overcast', 'heavy'] as const)
      for (const clock of ['08:00', '08:30', '11:00', '19:00']) {
        expect(sceneSpread(at(clock), c({ skyAt: () => plain(sky), readings }))).toBeLessThanOrEqual(
          sceneSpread(at(clock), c({ skyAt: () => plain(sky) })) + 1e-9,
        );
      }
    expect(sceneSpread(at('08:00'), c({ skyAt: () => plain('heavy'), readings }))).toBeCloseTo(0.2, 9);
    expect(sceneSpread(at('07:30'), c({ skyAt: () => plain('heavy'), readings }))).toBe(
      sceneSpread(at('07:30'), c({ skyAt: () => plain('heavy') })),
    );
  });
  it('clouds and lamps make it wider', () => {
    expect(sceneSpread(at('12:00'), c({ skyAt: () => plain('heavy') }))).toBeGreaterThan(
      sceneSpread(at('12:00'), c()),
    );
    expect(sceneSpread(at('23:30'), c({ lamps: 'lit-street' }))).toBeCloseTo(1.5, 1);
  });
  it('goes with the height of the sun: 0.3 for a clear sky by day, 0.4 more in twilight, no jump on the way', () => {
    const byHeight = (deg: number): number => sceneSpread(0, c({ altitudeAt: () => deg }));
    expect([30, 4, 1, -2, -12].map(byHeight)).toEqual(
      [0.3, 0.3, 0.5, 0.7, 0.7].map((x) => expect.closeTo(x, 9)),
    );
    for (let deg = -20; deg < 30; deg += 0.05)
      expect(Math.abs(byHeight(deg + 0.05) - byHeight(deg))).toBeLessThan(0.01);
  });
  it('a curve has both its ends and is the scene at each of its minutes', () => {
    const curve = lightCurve(at('06:40'), at('08:05'), 10 * MINUTE, c());
    expect([curve[0]?.utcMs, curve.at(-1)?.utcMs]).toEqual([at('06:40'), at('08:05')]);
    for (const p of curve) expect(p.ev100).toBe(sceneLight(p.utcMs, c()).ev100);
    for (let i = 1; i < curve.length; i += 1) expect(curve[i]!.ev100).toBeGreaterThan(curve[i - 1]!.ev100);
  });
  it('a stop is a stop: an offset moves the scene by itself at every height', () => {
    fc.assert(
      fc.property(numberIn(-18, 80), numberIn(-4, 4), (deg, stops) => {
        expect(
          modelEv(deg, 'clear', 'none', stops).ev100 - modelEv(deg, 'clear', 'none', 0).ev100,
        ).toBeCloseTo(stops, 9);
      }),
    );
  });
});

describe('sun along a move', () => {
  const looks = fc.array(
    fc.record({
      timeS: numberIn(0, 30),
      headingDeg: numberIn(0, 360),
      tiltDeg: numberIn(-90, 20),
    }),
    { minLength: 1, maxLength: 12 },
  );
  const suns = fc.record({
    altitudeDeg: numberIn(-10, 80),
    azimuthDeg: numberIn(0, 360),
  });
  it('its shares make a whole, and the quick answer is the long one', () => {
    fc.assert(
      fc.property(looks, suns, numberIn(20, 110), (list, sun, fov) => {
        const along = sunAlong(list, fov, sun);
        expect(Object.values(along.shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        if (Math.abs(along.nearestDeg - fov / 2 - 5) > 1e-6)
          expect(flares(axesOf(list), fov, sun)).toBe(along.inLens > 0);
        const nearest = list.find((l) => l.timeS === along.nearestAtS)!;
        expect(angleToSun(nearest.headingDeg, nearest.tiltDeg, sun)).toBeGreaterThanOrEqual(
          along.nearestDeg - 1e-9,
        );
      }),
    );
  });
});

describe('white balance', () => {
  it('gets colder figures for warmer light and stays within what cameras take', () => {
    expect(kelvinFor(40, 'overcast', 'none').kelvin).toBeGreaterThan(kelvinFor(40, 'clear', 'none').kelvin);
    expect(kelvinFor(-10, 'clear', 'lit-street').kelvin).toBeLessThan(kelvinFor(-3, 'clear', 'none').kelvin);
    for (let deg = -20; deg < 90; deg += 1)
      for (const sky of ['clear', 'thin-cloud', 'overcast', 'heavy'] as const)
        for (const lamps of ['none', 'stage'] as const) {
          const { kelvin, why } = kelvinFor(deg, sky, lamps);
          expect(kelvin).toBeGreaterThanOrEqual(3000);
          expect(kelvin).toBeLessThanOrEqual(7500);
          expect(why).not.toBe('');
        }
  });
});
