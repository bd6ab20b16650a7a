import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { airDensity, type Wind } from '../air';
import { legCost, legFlyer, powerModel } from '../energy';
import { FilmDeriver, type DerivedShot } from '../film';
import { distance, vec } from '../geometry';
import type { Aircraft, Handling } from '../model';
import { numberIn, Reached, said } from '../testing';
import { mean } from '../units';
import {
  callAt,
  callOuts,
  CALM,
  controlsFrom,
  correctionsIn,
  ghostControls,
  HANDS_OFF,
  hovering,
  jerkAlong,
  levelAccel,
  markTry,
  MODE_AXES,
  nextGust,
  posedAt,
  poseOf,
  profileGives,
  type RehearsedCraft,
  type RehearsedPlace,
  replay,
  STEP_S,
  STICK_MODES,
  stepFlight,
  stepsIn,
  Try,
  turbulence,
  type Controls,
} from '.';

const input = demoFilm();
const derived = new FilmDeriver().derive(input);
const shots = [...derived.shots.values()].filter((s) => s.facts.trajectory && s.facts.aircraft);
const seeded = (seed: number) => {
  const rng = xoroshiro128plus(seed);
  for (let i = 0; i < 20; i += 1) rng.next();
  return () => (rng.next() >>> 0) / 2 ** 32;
};
const STILL: Wind = { speedAt10mMs: 0, gustAt10mMs: 0, fromDeg: 0, shear: 0.14 };
const placeOf = (wind: Wind = STILL, seed = 1): RehearsedPlace => ({
  wind,
  groundAt: () => 0,
  leavesAt: () => 0,
  random: seeded(seed),
});
const craftOf = (aircraft: Aircraft, profile: Handling = aircraft.handling.normal): RehearsedCraft => ({
  profile,
  topSpeedMs: aircraft.maxSpeedMs,
  maxClimbMs: aircraft.maxClimbMs,
  maxDescentMs: aircraft.maxDescentMs,
  power: powerModel(aircraft, airDensity(0, 15)),
  fixedTiltDeg: null,
  rateDegS: null,
});
const HIGH = { at: vec(0, 0, 50), headingDeg: 30, tiltDeg: -10 };
const flown = (craft: RehearsedCraft, c: Controls, seconds: number, place = placeOf()): Try => {
  const t = new Try(HIGH, craft, place);
  t.fly(c, stepsIn(seconds));
  return t;
};
const speed = (v: { x: number; y: number; z: number }): number => Math.hypot(v.x, v.y, v.z);

describe('the aircraft by hand', () => {
  it('flies at full stick as fast, climbs and turns as the kit says, within 2 %', () => {
    for (const aircraft of input.kit.aircraft)
      for (const profile of Object.values(aircraft.handling)) {
        const craft = craftOf(aircraft, profile);
        const most = Math.min(profile.maxSpeedMs, aircraft.maxSpeedMs);
        const fast = flown(craft, { ...HANDS_OFF, forward: 1 }, 15).state;
        expect(speed(fast.velocity) / most).toBeCloseTo(1, 1.7);
        expect(fast.at.x / Math.max(1e-9, fast.at.y)).toBeCloseTo(Math.tan((30 * Math.PI) / 180), 6);
        const corner = flown(craft, { ...HANDS_OFF, forward: 1, right: 1 }, 15).state;
        expect(speed(corner.velocity)).toBeLessThan(most * 1.02);
        expect(flown(craft, { ...HANDS_OFF, up: 1 }, 6).state.velocity.z / aircraft.maxClimbMs).toBeCloseTo(
          1,
          1.7,
        );
        const turn = flown(craft, { ...HANDS_OFF, yaw: 1, tilt: -1 }, 12).state.sticks;
        expect(turn.yawDegS / profile.maxYawDegS).toBeCloseTo(1, 1.7);
        expect(-turn.tiltDegS / profile.maxTiltDegS).toBeCloseTo(1, 1.7);
      }
  });

  it('takes the energy of a leg as the plan reckons it, within 5 %', () => {
    const aircraft = input.kit.aircraft[0]!;
    const craft = craftOf(aircraft);
    const power = craft.power;
    for (const [windMs, fromDeg] of [
      [0, 0],
      [4, 30],
      [4, 210],
    ] as const) {
      const wind = { ...STILL, speedAt10mMs: windMs, gustAt10mMs: windMs, fromDeg };
      const t = new Try(HIGH, craft, { wind, groundAt: () => 0, leavesAt: () => 0, random: () => 0.5 });
      t.fly({ ...HANDS_OFF, forward: 1 }, stepsIn(5));
      const from = t.state;
      t.fly({ ...HANDS_OFF, forward: 1 }, stepsIn(60));
      const to = t.state;
      const flyer = legFlyer({
        power,
        repositionMs: craft.profile.maxSpeedMs,
        topAirspeedMs: aircraft.maxSpeedMs,
        homeGustShare: 0,
        maxClimbMs: aircraft.maxClimbMs,
        maxDescentMs: aircraft.maxDescentMs,
      });
      const leg = legCost(flyer, wind, from.at, to.at);
      expect(leg.ok).toBe(true);
      if (leg.ok) expect(Math.abs((to.usedWh - from.usedWh) / leg.value.wattHours - 1)).toBeLessThan(0.05);
    }
  });

  it('speeds up no faster than it leans, stops when the sticks are let go, and stays above the ground', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.constantFrom(...input.kit.aircraft),
        numberIn(-1, 1),
        numberIn(-1, 1),
        numberIn(-1, 1),
        numberIn(0.5, 5),
        (aircraft, forward, right, up, seconds) => {
          const craft = craftOf(aircraft);
          const t = new Try(HIGH, craft, placeOf());
          let before = t.state.velocity;
          for (let i = 0; i < stepsIn(seconds); i += 1) {
            t.fly({ ...HANDS_OFF, forward, right, up });
            const { velocity, at, touched } = t.state;
            if (!touched)
              expect(Math.hypot(velocity.x - before.x, velocity.y - before.y) / STEP_S).toBeLessThan(
                levelAccel(craft.profile) + 1e-6,
              );
            reached.when('touched', touched);
            expect(at.z).toBeGreaterThanOrEqual(0.25 - 1e-9);
            before = velocity;
          }
          t.fly(HANDS_OFF, stepsIn(12));
          expect(speed(t.state.velocity)).toBeLessThan(0.02);
        },
      ),
      { numRuns: 60 },
    );
    const low = new Try({ ...HIGH, at: vec(0, 0, 2) }, craftOf(input.kit.aircraft[0]!), placeOf());
    low.fly({ ...HANDS_OFF, up: -1 }, stepsIn(5));
    expect(low.state.touched).toBe(true);
    expect(low.state.at.z).toBeCloseTo(0.25, 6);
  });

  it('holds its place in a steady wind, and is pushed about by gusts, more by stronger ones', () => {
    const craft = craftOf(input.kit.aircraft[0]!);
    const wander = (gustAt10mMs: number): number => {
      const t = new Try(HIGH, craft, placeOf({ ...STILL, speedAt10mMs: 5, gustAt10mMs, fromDeg: 90 }, 5));
      let most = 0;
      for (let i = 0; i < stepsIn(40); i += 1) {
        t.fly(HANDS_OFF);
        most = Math.max(most, distance(t.state.at, HIGH.at));
      }
      return most;
    };
    const steady = new Try(HIGH, craft, {
      ...placeOf({ ...STILL, speedAt10mMs: 5, gustAt10mMs: 5 }),
      random: () => 0.5,
    });
    steady.fly(HANDS_OFF, stepsIn(20));
    expect(wander(14)).toBeGreaterThan(wander(8));
    expect(wander(14)).toBeGreaterThan(0.2);
    expect(speed(steady.state.velocity)).toBeLessThan(1);
  });

  it('is the same flight when it is flown again from what was recorded', () => {
    const craft = craftOf(input.kit.aircraft[0]!);
    const wind = { ...STILL, speedAt10mMs: 4, gustAt10mMs: 9, fromDeg: 70 };
    const first = new Try(HIGH, craft, placeOf(wind, 9));
    const random = seeded(4);
    for (let i = 0; i < 200; i += 1)
      first.fly({ forward: random(), right: -random(), up: random() - 0.5, yaw: random() - 0.5, tilt: 0 }, 5);
    const again = replay(HIGH, craft, placeOf(wind, 9), first.recorded);
    expect(again.state).toEqual(first.state);
    expect(again.samples).toEqual(first.samples);
    expect(replay(HIGH, craft, placeOf(wind, 10), first.recorded).state.at).not.toEqual(first.state.at);
  });
});

describe('where the camera was', () => {
  it('is the sample at its second, between two of them on the straight way, the short way round, and stands at the ends', () => {
    const pose = (x: number, headingDeg: number) => ({ at: vec(x, 0, 9), headingDeg, tiltDeg: x });
    const samples = [0, 1, 2, 4].map((tS, i) => ({ tS, pose: pose(tS * 10, [350, 10, 20, 20][i]!) }));
    for (const s of samples)
      expect(posedAt(samples, s.tS)).toMatchObject({ at: s.pose.at, tiltDeg: s.pose.tiltDeg });
    expect(((posedAt(samples, 0.5)!.headingDeg % 360) + 360) % 360).toBeCloseTo(0, 9);
    fc.assert(
      fc.property(numberIn(0, 4), (tS) => {
        const { at, tiltDeg } = posedAt(samples, tS)!;
        expect(at.x).toBeCloseTo(10 * tS, 9);
        expect(tiltDeg).toBeCloseTo(10 * tS, 9);
      }),
    );
    expect(posedAt(samples, -3)).toBe(samples[0]!.pose);
    expect(posedAt(samples, 99)).toBe(samples[3]!.pose);
    expect(posedAt([], 1)).toBeNull();
  });
});

describe('going back', () => {
  it('stands where it was, forgets what came after, and flies on the same from there', () => {
    const craft = craftOf(input.kit.aircraft[0]!);
    const t = flown(craft, { ...HANDS_OFF, forward: 0.8, yaw: 0.3 }, 3);
    const then = t.state;
    t.fly({ ...HANDS_OFF, right: 1 }, stepsIn(5));
    t.rewind(5);
    expect(t.rewound).toBe(true);
    expect(t.state.tS).toBeCloseTo(then.tS, 9);
    expect(t.state.at).toEqual(then.at);
    expect(t.samples.every((s) => s.tS < then.tS)).toBe(true);
    expect(t.recorded.reduce((sum, r) => sum + r.steps, 0)).toBe(stepsIn(3));
    t.rewind(100);
    expect(t.state.tS).toBe(0);
    expect(t.samples).toEqual([]);
    t.fly(HANDS_OFF, 8);
    expect(t.samples.map((s) => s.tS)).toEqual([0, expect.closeTo(4 * STEP_S)]);
  });
});

describe('turbulence', () => {
  it('has the strength of its forecast, and no mean', () => {
    const wind = { ...STILL, speedAt10mMs: 6, gustAt10mMs: 11 };
    const { sigmaU, sigmaW } = turbulence(wind, 30);
    expect(sigmaU).toBeCloseTo(2, 9);
    expect(sigmaW).toBeLessThan(sigmaU);
    const random = seeded(2);
    const xs: number[] = [];
    let gust = CALM;
    for (let i = 0; i < 60_000; i += 1) {
      gust = nextGust(gust, wind, 30, 5, 0.25, random);
      xs.push(gust.x);
    }
    const mean = xs.reduce((a, b) => a + b, 0) / xs.length;
    const sigma = Math.sqrt(xs.reduce((a, b) => a + (b - mean) ** 2, 0) / xs.length);
    expect(Math.abs(mean)).toBeLessThan(0.15);
    expect(sigma / sigmaU).toBeCloseTo(1, 1);
  });
  it('is none in still air, and moves on more slowly high up', () => {
    expect(turbulence(STILL, 30).sigmaU).toBe(0);
    expect(turbulence(STILL, 100).lengthU).toBeGreaterThan(turbulence(STILL, 10).lengthU);
  });
});

/** Flies a shot as its ghost would, the sticks shaken by so much. */
const tried = (shot: DerivedShot, shake: number, seed = 3): Try => {
  const { trajectory, aircraft, shot: own } = shot.facts;
  const craft = craftOf(aircraft!, aircraft!.handling[own.handling]);
  const t = new Try(trajectory!.start, craft, placeOf());
  const random = seeded(seed);
  let off = HANDS_OFF;
  for (let i = 0; i < stepsIn(trajectory!.totalS + 0.5); i += 1) {
    // A hand shakes at about two hertz.
    if (i % 60 === 0)
      off = {
        forward: random() - 0.5,
        right: random() - 0.5,
        up: random() - 0.5,
        yaw: random() - 0.5,
        tilt: random() - 0.5,
      };
    const c = ghostControls(t.state, trajectory!, craft);
    t.fly({
      forward: c.forward + shake * off.forward,
      right: c.right + shake * off.right,
      up: c.up + shake * off.up,
      yaw: c.yaw + shake * off.yaw,
      tilt: c.tilt + shake * off.tilt,
    });
  }
  return t;
};
const marksOf = (shot: DerivedShot, shake: number) => {
  const { trajectory, frame, aim } = shot.facts;
  const aimM = distance(trajectory!.start.at, aim.aim);
  return markTry(tried(shot, shake).samples, trajectory!, frame.fov.verticalDeg, aimM)!;
};

describe('marks', () => {
  it('are high for the ghost on the planned line, and lower the more the sticks shake', () => {
    const reached = new Reached();
    for (const shot of shots) {
      const { trajectory, aircraft, shot: own, camera } = shot.facts;
      if (!profileGives(aircraft!.handling[own.handling], trajectory!)) continue;
      if (trajectory!.frames || camera?.fixedTiltDeg != null) continue;
      const perfect = marksOf(shot, 0);
      const loose = marksOf(shot, 0.5);
      const wild = marksOf(shot, 1.2);
      expect(perfect.mark, own.title).toBeGreaterThan(75);
      expect(loose.mark, own.title).toBeLessThan(perfect.mark);
      expect(wild.mark, own.title).toBeLessThan(loose.mark + 8);
      expect(perfect.usableS).toBeGreaterThan(0.8 * trajectory!.totalS);
      expect(wild.marks.find((m) => m.kind === 'corrections')!.value).toBeGreaterThan(
        perfect.marks.find((m) => m.kind === 'corrections')!.value,
      );
      reached.when('shot', true);
      for (const m of [...perfect.marks, ...wild.marks]) {
        expect(m.mark).toBeGreaterThanOrEqual(0);
        expect(m.mark).toBeLessThanOrEqual(100);
        expect(said(m.say)).not.toContain('undefined');
      }
      expect(said(wild.first).length).toBeGreaterThan(20);
    }
    reached.atLeast('shot', 8);
  });

  it('count a correction each time a stick turns back, and none for a stick that goes once', () => {
    const way = (values: number[]) =>
      values.map((forward, i) => ({
        tS: i / 30,
        pose: HIGH,
        velocity: vec(0, 0, 0),
        controls: { ...HANDS_OFF, forward },
      }));
    const ramp = Array.from({ length: 60 }, (_, i) => i / 60);
    expect(correctionsIn(way(ramp))).toEqual([]);
    const wave = Array.from({ length: 300 }, (_, i) => 0.5 * Math.sin((2 * Math.PI * i) / 60));
    expect(correctionsIn(way(wave)).length).toBeGreaterThanOrEqual(6);
    expect(correctionsIn(way(wave.map((x) => x * 0.1)))).toEqual([]);
    // A period of two seconds turns once a second, and is noticed an eighth of the stick later.
    const at = correctionsIn(way(wave));
    at.slice(1).forEach((tS, i) => expect(tS - at[i]!).toBeCloseTo(1, 1));
  });

  it('are what their curves show: a mean, the steepest change, the seconds of the corrections', () => {
    const shot = shots.find((s) => s.facts.trajectory!.peakSpeedMs > 1)!;
    const { samples } = tried(shot, 0.6);
    for (const m of markTry(samples, shot.facts.trajectory!, 40, 40)!.marks) {
      const values = m.curve.map((p) => p.value);
      const shown = {
        softness: Math.max(...values),
        corrections: m.moments.length,
        framing: mean(values),
        path: mean(values),
        speed: mean(values),
      }[m.kind];
      expect(m.value).toBeCloseTo(shown, 9);
      expect(m.curve.map((p) => p.tS)).toEqual(samples.map((s) => s.tS));
      expect(m.value).toBeGreaterThan(0);
    }
    // A speed that grows with the square of time changes its acceleration by the same at every moment.
    const even = samples.map((s) => ({ ...s, velocity: vec(0, 1.5 * s.tS ** 2, 0) }));
    for (const jerk of jerkAlong(even).slice(8, -8)) expect(jerk).toBeCloseTo(3, 6);
  });
  it('count for the part that was flown: a try broken off is worth less, and is told so first', () => {
    const { facts } = shots.find((s) => s.facts.trajectory!.peakSpeedMs > 1 && !s.facts.trajectory!.frames)!;
    const whole = tried(
      shots.find((s) => s.facts === facts)!,
      0,
    ).samples;
    const of = (share: number) =>
      markTry(whole.slice(0, Math.ceil(share * whole.length)), facts.trajectory!, 40, 40)!;
    expect(of(1).flownShare).toBeGreaterThan(0.95);
    expect(of(0.4).flownShare).toBeCloseTo(0.4, 1);
    expect(of(0.4).mark).toBeLessThan(0.5 * of(1).mark);
    expect(said(of(0.4).first)).toContain('to the end');
  });
  it('say nothing of a try that has hardly begun', () => {
    expect(markTry([], shots[0]!.facts.trajectory!, 40, 30)).toBeNull();
  });
});

describe('sticks', () => {
  it('reach every control in every mode, nothing from sticks at rest, no more than full', () => {
    const rest = { leftX: 0.02, leftY: -0.03, rightX: 0, rightY: 0.01 };
    for (const mode of STICK_MODES) {
      expect(Object.values(controlsFrom(mode, rest, 0))).toEqual(
        [0, 0, 0, 0, 0].map((x) => expect.closeTo(x)),
      );
      expect(new Set(Object.values(MODE_AXES[mode])).size).toBe(4);
      for (const axis of ['leftX', 'leftY', 'rightX', 'rightY'] as const) {
        const c = controlsFrom(mode, { ...rest, [axis]: 1.4 }, 0);
        expect(c[MODE_AXES[mode][axis]]).toBe(1);
      }
    }
    expect(controlsFrom(2, rest, NaN).tilt).toBe(0);
  });
});

describe('call-outs', () => {
  it('come in order within the move, begin with the first, and go after a moment', () => {
    for (const { facts } of shots) {
      const calls = callOuts(facts.trajectory!);
      expect(calls[0]!.atS).toBe(0);
      for (const [i, c] of calls.entries()) {
        expect(c.atS).toBeLessThanOrEqual(facts.trajectory!.totalS);
        if (i > 0) expect(c.atS).toBeGreaterThanOrEqual(calls[i - 1]!.atS);
        expect(said(c.say)).toMatch(/\.$/);
      }
      expect(callAt(calls, 0)).not.toBeNull();
      expect(callAt(calls, facts.trajectory!.totalS + 60)).toBeNull();
    }
  });
});

describe('a step of the flight', () => {
  it('knows the pose it began with until something is asked', () => {
    const state = hovering(HIGH);
    expect(poseOf(state, { fixedTiltDeg: null, rateDegS: null })).toEqual(HIGH);
    expect(poseOf(state, { fixedTiltDeg: 25, rateDegS: null }).tiltDeg).toBe(25);
    const next = stepFlight(state, HANDS_OFF, craftOf(input.kit.aircraft[0]!), placeOf());
    expect(next.at).toEqual(HIGH.at);
    expect(next.usedWh).toBeGreaterThan(0);
  });
});
