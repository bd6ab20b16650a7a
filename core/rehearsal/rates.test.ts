import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GRAVITY } from '../air';
import { vec, type Vec3 } from '../geometry';
import type { Pose } from '../moves';
import { numberIn, Reached } from '../testing';
import { hovering, poseOf, STEP_S, stepFlight, type FlownState, type RehearsedCraft } from './flight';
import { axesOf, freeAccel, LEVEL } from './rates';
import { HANDS_OFF, type Controls } from './sticks';
import { replay, stepsIn, Try } from './try';

const CRAFT: RehearsedCraft = {
  profile: {
    maxSpeedMs: 20,
    maxYawDegS: 90,
    maxTiltDegS: 60,
    smoothing: 0.4,
    tiltSmoothing: 0.4,
    expo: 0.3,
  },
  topSpeedMs: 27,
  maxClimbMs: 8,
  maxDescentMs: 6,
  power: { watts: () => 400, hoverW: 400, basis: 'unknown' },
  fixedTiltDeg: 25,
  rateDegS: 240,
};
/** Even draws, always the same. */
const draws = () => {
  let x = 7;
  return () => (x = (x * 16807) % 2147483647) / 2147483647;
};
const placeWith = (windMs: number) => ({
  wind: { speedAt10mMs: windMs, gustAt10mMs: windMs, fromDeg: 270, shear: 0 },
  groundAt: () => -1000,
  leavesAt: () => 0,
  random: draws(),
});
const START: Pose = { at: vec(0, 0, 100), headingDeg: 0, tiltDeg: 0 };
const flown = (state: FlownState, c: Partial<Controls>, seconds: number, windMs = 0): FlownState => {
  const place = placeWith(windMs);
  let now = state;
  for (let i = 0; i < stepsIn(seconds); i += 1) now = stepFlight(now, { ...HANDS_OFF, ...c }, CRAFT, place);
  return now;
};
const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;

describe('an aircraft flown by attitude', () => {
  it('stands level and still in calm air with the sticks in their middle', () => {
    const after = flown(hovering(START), {}, 10);
    expect(Math.hypot(after.at.x, after.at.y, after.at.z - 100)).toBeLessThan(1e-6);
    expect(after.attitude).toEqual(LEVEL);
  });

  it('turns at full stick by the rates it is given, and stays as it was put', () => {
    const s = 0.25;
    const nosed = flown(hovering(START), { forward: 1 }, s);
    expect(nosed.attitude.pitchDeg).toBeCloseTo(-240 * s, 6);
    expect(flown(nosed, {}, 2).attitude).toEqual(nosed.attitude);
    expect(flown(hovering(START), { right: -1 }, s).attitude.rollDeg).toBeCloseTo(-240 * s, 6);
    const yawed = poseOf(flown(hovering(START), { yaw: 1 }, 1), CRAFT);
    expect(Math.abs(yawed.headingDeg - 90)).toBeLessThan(90 * 0.02);
  });

  it('flies its top speed at 45° with just the thrust that holds its height', () => {
    const leant: FlownState = { ...hovering(START), attitude: { pitchDeg: -45, rollDeg: 0 } };
    const up = (Math.SQRT2 - 1) / 2;
    const after = flown(leant, { up }, 40);
    expect(Math.abs(after.velocity.y - CRAFT.topSpeedMs)).toBeLessThan(CRAFT.topSpeedMs * 0.02);
    expect(Math.abs(after.velocity.z)).toBeLessThan(0.3);
    // Nobody holds the height: leant over with the middle of the stick it sinks.
    expect(flown(leant, {}, 2).at.z).toBeLessThan(leant.at.z - 2);
  });

  it('falls with the thrust off, no faster than air lets it', () => {
    const fallen = flown(hovering(START), { up: -1 }, 1);
    expect(fallen.velocity.z).toBeLessThan(-0.9 * GRAVITY);
    const terminal = flown(hovering({ ...START, at: vec(0, 0, 900) }), { up: -1 }, 30);
    expect(-terminal.velocity.z).toBeCloseTo(CRAFT.topSpeedMs, 0);
  });

  it('goes with an even wind when nobody leans against it, ever slower to gain on it, and never faster', () => {
    let now = vec(0, 0, 0);
    let gained = Infinity;
    for (let i = 0; i < 40 / STEP_S; i += 1) {
      const { x } = freeAccel(0, LEVEL, 0, vec(now.x - 6, now.y, now.z), CRAFT.topSpeedMs);
      expect(x).toBeLessThanOrEqual(gained);
      gained = x;
      now = vec(now.x + x * STEP_S, 0, 0);
    }
    // dv/dt = g/27²·(6 − v)²: v = 6 − 1/(1/6 + g/27²·t).
    expect(now.x).toBeCloseTo(6 - 1 / (1 / 6 + (GRAVITY / 27 ** 2) * 40), 2);
    // In the air of the place gusts push it about, and it goes along all the same.
    expect(flown(hovering(START), {}, 40, 6).at.x).toBeGreaterThan(60);
  });

  it('looks level with the nose down by the tilt of its camera, and rolls its picture as it rolls', () => {
    const nosed: FlownState = { ...hovering(START), attitude: { pitchDeg: -25, rollDeg: 0 } };
    expect(poseOf(nosed, CRAFT).tiltDeg).toBeCloseTo(0, 9);
    expect(poseOf(hovering(START), CRAFT).tiltDeg).toBeCloseTo(25, 9);
    const level = { ...CRAFT, fixedTiltDeg: 0 };
    for (const rollDeg of [-60, 0, 35])
      expect(poseOf({ ...hovering(START), attitude: { pitchDeg: 0, rollDeg } }, level).rollDeg).toBeCloseTo(
        rollDeg,
        9,
      );
  });

  it('has axes that stand on each other, whatever is done with the sticks, and never leaves what is known', () => {
    const reached = new Reached();
    const stick = numberIn(-1, 1);
    const step = fc.record({ forward: stick, right: stick, up: stick, yaw: stick });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        let now = hovering(START);
        for (const c of steps) now = flown(now, c, 20 * STEP_S, 5);
        const { forward, right, up } = axesOf(now.sticks.yawDeg, now.attitude);
        for (const [a, b] of [
          [forward, right],
          [right, up],
          [up, forward],
        ] as const) {
          expect(dot(a, b)).toBeCloseTo(0, 9);
          expect(dot(a, a)).toBeCloseTo(1, 9);
        }
        reached.when('leant far', Math.abs(now.attitude.rollDeg) > 60);
        for (const x of [now.at.x, now.velocity.z, poseOf(now, CRAFT).headingDeg])
          expect(Number.isFinite(x)).toBe(true);
      }),
    );
    reached.atLeast('leant far', 5);
  });

  it('flown again from what was asked of the sticks is the same flight', () => {
    const first = new Try(START, CRAFT, placeWith(4));
    for (let i = 0; i < 60; i += 1)
      first.fly({ ...HANDS_OFF, forward: Math.sin(i), right: Math.cos(i / 3), up: 0.2 }, 5);
    const again = replay(START, CRAFT, placeWith(4), first.recorded);
    expect(again.state).toEqual(first.state);
  });
});
