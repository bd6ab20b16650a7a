import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { EARTH_M, fromLocal, greatCircle, toLocal } from './local';

const latitude = numberIn(-80, 80);
const longitude = numberIn(-180, 180);

describe('local metres', () => {
  it('lead back to the place they came from', () => {
    fc.assert(
      fc.property(latitude, longitude, numberIn(-1000, 1000), numberIn(-1000, 1000), (lat, lon, xM, yM) => {
        const place = fromLocal(lat, lon, xM, yM);
        const back = toLocal(lat, lon, place.latitude, place.longitude);
        expect(back.xM).toBeCloseTo(xM, 6);
        expect(back.yM).toBeCloseTo(yM, 6);
      }),
    );
  });
});

describe('great circle', () => {
  it('is as long as the way in local metres within a kilometre, and the same both ways', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        numberIn(-60, 60),
        longitude,
        numberIn(-700, 700),
        numberIn(-700, 700),
        (lat, lon, xM, yM) => {
          const from = { latitude: lat, longitude: lon };
          const to = fromLocal(lat, lon, xM, yM);
          const flat = Math.hypot(xM, yM);
          reached.when('over 300 m', flat > 300);
          expect(Math.abs(greatCircle(from, to) - flat)).toBeLessThan(0.1 + flat * 2e-4);
          expect(greatCircle(to, from)).toBeCloseTo(greatCircle(from, to), 6);
        },
      ),
    );
    reached.atLeast('over 300 m', 40);
  });

  it('from a pole to the equator is a quarter of the way round, and half from pole to pole', () => {
    const pole = { latitude: 90, longitude: 12 };
    expect(greatCircle(pole, { latitude: 0, longitude: -70 })).toBeCloseTo((Math.PI / 2) * EARTH_M, 3);
    expect(greatCircle(pole, { latitude: -90, longitude: 0 })).toBeCloseTo(Math.PI * EARTH_M, 3);
  });
});
