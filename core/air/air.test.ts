import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, radians } from '../geometry';
import { airDensity, SEA_LEVEL_DENSITY } from './density';
import { legSeconds, SHEAR, windSpeedAt, windVector, windVectors, type Wind } from './wind';
import { numberIn } from '../testing';

const winds = fc.record({
  speedAt10mMs: numberIn(0, 25),
  gustAt10mMs: fc.constant(0),
  fromDeg: numberIn(0, 360),
  shear: fc.constantFrom(SHEAR.open, SHEAR.rough),
});

describe('density of the air', () => {
  it('is that of the table of the standard atmosphere', () => {
    // ISO 2533, geopotential altitude, m, against kg/m³; 15 °C less 6.5 °C a kilometre.
    for (const [h, rho] of [
      [0, 1.225],
      [500, 1.1673],
      [1000, 1.1117],
      [1500, 1.0581],
      [2000, 1.0066],
      [3000, 0.9093],
      [4000, 0.8194],
    ] as const) {
      expect(airDensity(h, 15 - 0.0065 * h)).toBeCloseTo(rho, 3);
    }
    expect(airDensity(0, 15)).toBeCloseTo(SEA_LEVEL_DENSITY, 4);
  });
  it('is less the higher and the warmer, below the sea as above it', () => {
    fc.assert(
      fc.property(numberIn(-400, 6000), numberIn(-30, 50), numberIn(1, 500), (h, t, more) => {
        expect(airDensity(h + more, t)).toBeLessThan(airDensity(h, t));
        expect(airDensity(h, t + more / 50)).toBeLessThan(airDensity(h, t));
        // An ideal gas at one pressure: density goes with the inverse of the absolute temperature.
        expect(airDensity(h, t) * (t + 273.15)).toBeCloseTo(airDensity(h, 0) * 273.15, 6);
      }),
    );
  });
});

describe('wind by height', () => {
  it('is the one given at 10 m, grows with height, and faster over rough ground; near the ground it stays as at 2 m', () => {
    fc.assert(
      fc.property(numberIn(0.1, 25), numberIn(2, 300), (v, h) => {
        expect(windSpeedAt(v, 10, SHEAR.rough)).toBeCloseTo(v, 12);
        expect(windSpeedAt(v, h + 1, SHEAR.open)).toBeGreaterThan(windSpeedAt(v, h, SHEAR.open));
        expect(Math.sign(windSpeedAt(v, h, SHEAR.rough) - windSpeedAt(v, h, SHEAR.open))).toBe(
          Math.abs(h - 10) < 1e-9 ? 0 : Math.sign(h - 10),
        );
      }),
    );
    expect([windSpeedAt(5, 0, 0.14), windSpeedAt(5, -30, 0.14)]).toEqual([
      windSpeedAt(5, 2, 0.14),
      windSpeedAt(5, 2, 0.14),
    ]);
  });
  it('blows away from where it comes from', () => {
    const from = (fromDeg: number): number[] => {
      const v = windVector({ speedAt10mMs: 6, gustAt10mMs: 6, fromDeg, shear: 0.14 }, 10);
      return [v.x, v.y].map((c) => Math.round(c * 1e9) / 1e9 + 0);
    };
    expect([from(0), from(90), from(180), from(270)]).toEqual([
      [0, -6],
      [-6, 0],
      [0, 6],
      [6, 0],
    ]);
  });
  it('asked for in a row is the same as asked for alone', () => {
    fc.assert(
      fc.property(
        winds,
        fc.array(fc.constantFrom(2, 10, 55, 120), { maxLength: 12 }),
        (wind: Wind, heights) => {
          const row = windVectors(wind);
          for (const h of heights) expect(row(h)).toEqual(windVector(wind, h));
        },
      ),
    );
  });
});

describe('a leg in the wind', () => {
  it('is flown at its airspeed through the moving air, straight along its bearing', () => {
    fc.assert(
      fc.property(
        numberIn(1, 2000),
        numberIn(0, 360),
        numberIn(3, 20),
        numberIn(0, 30),
        numberIn(0, 360),
        (lengthM, bearing, airspeed, wind, fromDeg) => {
          const leg = legSeconds(lengthM, bearing, airspeed, wind, fromDeg);
          const air = windVector({ speedAt10mMs: wind, gustAt10mMs: wind, fromDeg, shear: 0 }, 10);
          const along = { x: Math.sin(radians(bearing)), y: Math.cos(radians(bearing)), z: 0 };
          if (leg !== null) {
            // Velocity over the ground less that of the air is what the aircraft flies: its length is the airspeed.
            const ground = lengthM / leg;
            expect(distance({ x: along.x * ground, y: along.y * ground, z: 0 }, air)).toBeCloseTo(
              airspeed,
              6,
            );
            return;
          }
          // No heading holds it on its line with headway: tried all round.
          for (let deg = 0; deg < 360; deg += 0.5) {
            const v = {
              x: airspeed * Math.sin(radians(deg)) + air.x,
              y: airspeed * Math.cos(radians(deg)) + air.y,
            };
            const aside = v.x * along.y - v.y * along.x;
            const ahead = v.x * along.x + v.y * along.y;
            if (Math.abs(aside) < 1e-3) expect(ahead).toBeLessThan(0.02);
          }
        },
      ),
    );
  });
  it('there and back is longer than in still air, whatever the wind', () => {
    fc.assert(
      fc.property(numberIn(0, 360), numberIn(0.1, 9), numberIn(0, 360), (bearing, wind, fromDeg) => {
        const [out, back] = [
          legSeconds(500, bearing, 10, wind, fromDeg),
          legSeconds(500, bearing + 180, 10, wind, fromDeg),
        ];
        if (out !== null && back !== null) expect(out + back).toBeGreaterThan(100 - 1e-9);
      }),
    );
    expect(legSeconds(500, 40, 10, 0, 0)).toBe(50);
    expect(legSeconds(500, 40, 0, 3, 0)).toBeNull();
  });
});
