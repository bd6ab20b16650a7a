import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearing, bearingTo, fromLocal, offset, toLocal, turnBetween, vec } from '../geometry';
import { fromShown, toShown, write, writeClock, writeShutter, writeText } from './format';
import { KeyedMemo } from './memo';
import type { Quantity } from './figure';
import { numberIn } from '../testing';

const number = numberIn(-1e5, 1e5);

describe('angles and places', () => {
  it('a bearing is in [0, 360) and a turn in (−180, 180]', () => {
    fc.assert(
      fc.property(number, number, (a, b) => {
        expect(bearing(a)).toBeGreaterThanOrEqual(0);
        expect(bearing(a)).toBeLessThan(360);
        expect(Math.abs(turnBetween(a, b))).toBeLessThanOrEqual(180);
        expect(Math.cos(((a + turnBetween(a, b) - b) * Math.PI) / 180)).toBeCloseTo(1, 6);
      }),
    );
  });
  it('an offset is found again by its bearing', () => {
    fc.assert(
      fc.property(numberIn(0, 359.9), numberIn(0.1, 4000), (deg, m) => {
        const at = offset(vec(3, 4, 0), deg, m, 7);
        expect(Math.abs(turnBetween(bearingTo(vec(3, 4, 0), at), deg))).toBeLessThan(1e-6);
      }),
    );
  });
  it('local metres go there and back, anywhere but at the poles', () => {
    fc.assert(
      fc.property(numberIn(-85, 85), numberIn(-180, 180), numberIn(-4000, 4000), (lat, lon, m) => {
        const there = fromLocal(lat, lon, m, -m);
        const back = toLocal(lat, lon, there.latitude, there.longitude);
        expect(back.xM).toBeCloseTo(m, 4);
        expect(back.yM).toBeCloseTo(-m, 4);
      }),
    );
  });
});

describe('writing quantities', () => {
  it('imperial and back is exact', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Quantity>('metres', 'speed', 'celsius', 'accel', 'wattHours'),
        number,
        (quantity, value) => {
          expect(fromShown(toShown(value, quantity, 'imperial'), quantity, 'imperial')).toBeCloseTo(value, 8);
        },
      ),
    );
  });
  it('has one precision for each quantity and a dash for none', () => {
    expect(writeText(12.345, 'wattHours')).toBe('12.35 Wh');
    expect(writeText(12.345, 'metres', 'imperial')).toBe('41 ft');
    expect(write(NaN, 'seconds')).toEqual({ number: '–', unit: 's' });
    expect(write(Infinity, 'seconds').number).toBe('–');
    expect(write(-0.001, 'stops').number).toBe('0.0');
    expect([writeClock(125), writeClock(-3), writeShutter(1 / 48), writeShutter(0.5)]).toEqual([
      '2:05',
      '0:00',
      '1/48',
      '0.5 s',
    ]);
  });
});

describe('remembering', () => {
  it('works once for the same parts and again when one is another', () => {
    let worked = 0;
    const memo = new KeyedMemo(({ part, n }: { part: object; n: number }) => {
      worked += n;
      return [part, worked] as const;
    });
    const part = {};
    const get = (p: object) => memo.get('k', { part: p, n: 1 })[1];
    expect([get(part), get(part), get({}), get(part)]).toEqual([1, 1, 2, 3]);
    memo.keep(new Set());
    get(part);
    expect(worked).toBe(4);
  });
});
