import fc from 'fast-check';
import type { Sky } from '../model';
import { describe, expect, it } from 'vitest';
import { numberIn } from '../testing';
import { clearSkyLux, luxToEv } from './illuminance';
import { sceneLight, type SceneConditions } from './scene';
import { luminanceToEv, skyPatchEv } from './sky-luminance';

const SKIES = ['clear', 'thin-cloud', 'overcast', 'heavy'] as const;
const sunAtHeight = (altitudeDeg: number) => ({ altitudeDeg, azimuthDeg: 120 });
const luminance = (ev: number): number => (2 ** ev * 12.5) / 100;

/** A sky that stays as it is. */
const plain = (sky: Sky) => ({ from: sky, to: sky, share: 0 });

describe('luminance of the sky', () => {
  it('put together over the whole sky gives the diffuse light on level ground', () => {
    for (const sky of SKIES)
      for (const altitude of [-6, 0, 1.5, 12, 45]) {
        let lux = 0;
        const step = 3;
        for (let e = step / 2; e < 90; e += step)
          for (let a = step / 2; a < 360; a += step) {
            const [elevation, d] = [(e * Math.PI) / 180, (step * Math.PI) / 180];
            const ev = skyPatchEv(sunAtHeight(altitude), sky, { elevationDeg: e, headingDeg: a });
            lux += luminance(ev) * Math.sin(elevation) * Math.cos(elevation) * d * d;
          }
        const total = clearSkyLux(altitude);
        // All of it below the horizon; the clear formula of RP-21 above it; what clouds let through.
        const clear = Math.min(
          total,
          800 + 15_500 * Math.sqrt(Math.sin((Math.max(0, altitude) * Math.PI) / 180)),
        );
        const stops = { clear: 0, 'thin-cloud': -1, overcast: -2.5, heavy: -3.5 }[sky];
        expect(lux / (sky === 'clear' ? clear : total * 2 ** stops)).toBeCloseTo(1, 1);
      }
  });
  it('is brighter toward a low sun than away from it, by stops', () => {
    const at = (headingDeg: number) => skyPatchEv(sunAtHeight(2), 'clear', { elevationDeg: 8, headingDeg });
    expect(at(120) - at(300)).toBeGreaterThan(2);
    expect(at(120)).toBeGreaterThan(luxToEv(clearSkyLux(2)) + 3);
  });
  it('of a heavy overcast is three times as bright overhead as at the horizon, whichever way', () => {
    const at = (elevationDeg: number, headingDeg: number) =>
      skyPatchEv(sunAtHeight(40), 'heavy', { elevationDeg, headingDeg });
    expect(2 ** (at(90, 0) - at(2, 77))).toBeCloseTo(3, 0);
    expect(at(30, 10)).toBeCloseTo(at(30, 200), 9);
  });
  it('changes smoothly with the sun and with the camera', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SKIES),
        numberIn(-17, 85),
        numberIn(1, 89),
        numberIn(0, 360),
        (sky, altitude, elevationDeg, headingDeg) => {
          const at = (a: number, e: number, h: number): number =>
            skyPatchEv(sunAtHeight(a), sky, { elevationDeg: e, headingDeg: h });
          const here = at(altitude, elevationDeg, headingDeg);
          expect(Number.isFinite(here)).toBe(true);
          expect(Math.abs(at(altitude + 0.05, elevationDeg, headingDeg) - here)).toBeLessThan(0.1);
          expect(Math.abs(at(altitude, elevationDeg + 0.1, headingDeg) - here)).toBeLessThan(0.1);
          expect(Math.abs(at(altitude, elevationDeg, headingDeg + 0.1) - here)).toBeLessThan(0.1);
        },
      ),
    );
    expect(luminanceToEv(0.125)).toBeCloseTo(0, 9);
  });
});

describe('sky in the frame', () => {
  const c = (more: Partial<SceneConditions>): SceneConditions => ({
    altitudeAt: () => 1,
    azimuthAt: () => 120,
    skyAt: () => plain('clear'),
    lamps: 'none',
    lampsBelowAt: () => Infinity,
    litShare: 0,
    offsetStops: 0,
    readings: [],
    fadeMin: 60,
    skySeen: { share: 0.5, elevationDeg: 12, headingDeg: 110, headroomStops: 2.5 },
    skyWeight: 1,
    ...more,
  });
  it('is given way to as chosen: not at all, half, or until it holds', () => {
    const [ground, between, sky] = [0, 0.5, 1].map((skyWeight) => sceneLight(0, c({ skyWeight })));
    expect(ground!.ev100).toBe(ground!.groundEv100);
    expect(sky!.ev100).toBeCloseTo(sky!.sky!.ev100 - 2.5, 9);
    expect(sky!.ev100).toBeGreaterThan(ground!.ev100 + 1);
    expect(between!.ev100).toBeCloseTo((ground!.ev100 + sky!.ev100) / 2, 9);
  });
  it('counts less the less of it is seen, and nothing where it holds anyway', () => {
    const seen = { share: 0.05, elevationDeg: 12, headingDeg: 110, headroomStops: 2.5 };
    const little = sceneLight(0, c({ skySeen: seen }));
    expect(little.ev100).toBeLessThan(sceneLight(0, c({})).ev100);
    const roomy = sceneLight(0, c({ skySeen: { ...seen, share: 1, headroomStops: 12 } }));
    expect(roomy.ev100).toBe(roomy.groundEv100);
    expect(sceneLight(0, c({ skySeen: null })).sky).toBeNull();
  });
});
