import { describe, expect, it } from 'vitest';
import { legFlyer, powerModel } from '../energy';
import { append, onGround, type FlightRules, type PackSupply } from './flight';

const craft = {
  massKg: 0.72,
  rotors: 4,
  rotorDiameterM: 0.19,
  packWh: 46,
  hoverMinutes: 31,
  cruiseMinutes: 34,
  cruiseSpeedMs: 7,
  maxSpeedMs: 19,
  windLimitMs: 11.5,
};
const flyer = legFlyer({
  power: powerModel(craft, 1.225),
  repositionMs: 9,
  topAirspeedMs: 0.8 * craft.maxSpeedMs,
  maxClimbMs: 6,
  maxDescentMs: 4,
  homeGustShare: 0.5,
});
const rules: FlightRules = {
  wind: { speedAt10mMs: 3, gustAt10mMs: 6, fromDeg: 0, shear: 0.14 },
  returnHeightM: 40,
  onePackOneShot: false,
  swapS: 180,
  flyerOf: () => flyer,
  atOnce: false,
  breaks: [],
  readyS: 0,
  windowS: 20_000,
};
const supply: PackSupply = {
  packId: 'p',
  aircraftIds: ['A'],
  usableWh: 30,
  reserveWh: 14,
  availableWh: 44,
  fullWh: 44,
};
const homeFrom = (launchZ: number, returnHeightM: number): number => {
  const at = { x: 0, y: 0, z: launchZ };
  const open = onGround(supply, 'p', 'A', { id: null, at }, flyer, { ...rules, returnHeightM }, 0);
  const shot = {
    shotId: 's',
    aircraftId: 'A',
    from: { x: 20, y: 150, z: 12 },
    to: { x: 20, y: 150, z: 12 },
    airS: 60,
    wattHours: 2,
    notBeforeS: 0,
  };
  const tried = append(open, shot, flyer, { ...rules, returnHeightM });
  return tried.ok ? tried.value.next.flight.home.wattHours : NaN;
};

describe('the way home of a flight', () => {
  it('climbs to the return height above the launch point, wherever that lies', () => {
    // From the same spot, a launch point 25 m higher asks for a climb 25 m higher.
    expect(homeFrom(25, 40)).toBeGreaterThan(homeFrom(0, 40) + 0.1);
    expect(homeFrom(0, 65)).toBeGreaterThan(homeFrom(0, 40) + 0.1);
    // A launch point in a hole: what counts is its height, so less climb.
    expect(homeFrom(-20, 40)).toBeLessThan(homeFrom(0, 40));
  });
});
