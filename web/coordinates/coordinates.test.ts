import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { greatCircle } from '@core/geometry';
import { numberIn } from '@core/testing';
import { readCoordinates, writeCoordinates } from '.';

describe('coordinates as people paste them', () => {
  it.each([
    ['43.18, -4.83', 43.18, -4.83],
    ['43.18 -4.83', 43.18, -4.83],
    ['  -33.1; 151.2 ', -33.1, 151.2],
    ['43°10\u203248\u2033N 4°49\u203248\u2033W', 43.18, -4.83],
    ['43°10\'48"N 4°49\'48"W', 43.18, -4.83],
    ['43 10 48 N, 4 49 48 W', 43.18, -4.83],
  ])('%s', (text, latitude, longitude) => {
    const read = readCoordinates(text);
    expect(read.ok && read.value.latitude).toBeCloseTo(latitude, 5);
    expect(read.ok && read.value.longitude).toBeCloseTo(longitude, 5);
  });
  it.each([
    ['91, 3', /pole/],
    ['43, 181', /out of range/],
    ['north a bit', /Not read/],
    ['', /Not read/],
  ])('%s is refused with a reason', (text, why) => {
    const read = readCoordinates(text);
    expect(read.ok ? '' : read.reason).toMatch(why);
  });
});

describe('coordinates as text', () => {
  it('are read again to within what they are sure of, with no more digits than that', () => {
    const within = fc.integer({ min: 0, max: 5 }).map((power) => 0.15 * 10 ** power);
    fc.assert(
      fc.property(numberIn(-80, 80), numberIn(-179, 179), within, (latitude, longitude, withinM) => {
        const text = writeCoordinates({ latitude, longitude }, withinM);
        const read = readCoordinates(text);
        if (!read.ok) throw new Error(read.reason);
        expect(greatCircle({ latitude, longitude }, read.value)).toBeLessThan(withinM);
        const digits = /\.(\d+),/.exec(text)![1]!.length;
        expect(digits === 1 || 111_195 / 10 ** (digits - 1) > withinM).toBe(true);
      }),
    );
    expect(writeCoordinates({ latitude: 43.18, longitude: -4.83 })).toBe('43.18000, -4.83000');
  });
});
