import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airDensity, legSeconds, windSpeedAt, type Wind } from '../air';
import type { AirframeFigures } from '../model';
import { fly, moveOf, initialValues } from '../moves';
import vectors from '../vectors/power.json';
import { chargeMinutes, packEnergy, selfDischarged, temperatureFactor } from './pack';
import { bestAirspeed } from './best-airspeed';
import { hoverCost, legCost, legFlyer, wayHome } from './leg';
import { pathEnergy } from './path';
import { powerModel } from './power';
import { numberIn, Reached, said } from '../testing';

const craft = new Map(vectors.craft.map((c) => [c.name, c as AirframeFigures & { name: string }]));
const plover = craft.get('Plover 720')!;
const near = (mine: number, theirs: number): void =>
  expect(Math.abs(mine - theirs)).toBeLessThan(Math.max(vectors.tolerance * Math.abs(theirs), 0.0005));

describe('power', () => {
  it.each(vectors.cases)('$craft at $airspeedMs m/s climbing $climbMs', (c) =>
    near(
      powerModel(craft.get(c.craft)!, c.densityKgM3, c.addedMassKg).watts(c.airspeedMs, c.climbMs),
      c.watts,
    ),
  );
  it.each(vectors.density)('air at $elevationM m', (d) =>
    near(airDensity(d.elevationM, d.temperatureC), d.densityKgM3),
  );
  it.each(vectors.wind)('wind at $heightM m', (w) =>
    near(windSpeedAt(w.speedAt10mMs, w.heightM, w.shear), w.speedMs),
  );
  it.each(vectors.temperature)('cell at $cellC °C', (t) =>
    near(temperatureFactor(t.cellC), t.capacityFactor),
  );
  it.each(vectors.charge)('charge $fromFraction to $toFraction', (c) =>
    near(chargeMinutes(c.fullMinutes, c.fromFraction, c.toFraction), c.minutes),
  );
  it.each(vectors.legs)('leg on $bearingDeg° in $windMs m/s from $windFromDeg°', (l) => {
    const leg = legSeconds(l.lengthM, l.bearingDeg, l.airspeedMs, l.windMs, l.windFromDeg);
    if (l.seconds === null) expect(leg).toBeNull();
    else near(leg ?? NaN, l.seconds);
  });

  it('flags a craft whose cruise is unknown and still hovers right', () => {
    const model = powerModel({ ...plover, dragAreaM2: 0, cruiseMinutes: 0, cruiseSpeedMs: 0 }, 1.225);
    expect(model.basis).toBe('unknown');
    near(model.watts(0, 0), 89.032);
  });

  it('more mass never costs less, thinner air never less in the hover', () => {
    fc.assert(
      fc.property(numberIn(0, 20), numberIn(0, 0.3), (v, kg) => {
        expect(powerModel(plover, 1.1, kg + 0.05).watts(v, 1)).toBeGreaterThan(
          powerModel(plover, 1.1, kg).watts(v, 1),
        );
        expect(powerModel(plover, 1.0).watts(0, 0)).toBeGreaterThan(powerModel(plover, 1.2).watts(0, 0));
      }),
    );
  });
});

const figures = {
  power: powerModel(plover, 1.225),
  repositionMs: 10,
  topAirspeedMs: 0.8 * plover.maxSpeedMs,
  maxClimbMs: 5,
  maxDescentMs: 3,
  homeGustShare: 0.5,
};
const flyer = legFlyer(figures);
const wind = (speedAt10mMs: number, fromDeg = 0): Wind => ({
  speedAt10mMs,
  gustAt10mMs: speedAt10mMs,
  fromDeg,
  shear: 0.14,
});

describe('legs', () => {
  it('out and back along the wind never costs less in more wind', () => {
    fc.assert(
      fc.property(numberIn(0, 6), numberIn(0.1, 2), (w, more) => {
        const trip = (speed: number): number => {
          const a = { x: 0, y: 0, z: 30 };
          const b = { x: 0, y: 400, z: 30 };
          const out = legCost(flyer, wind(speed), a, b);
          const back = legCost(flyer, wind(speed), b, a);
          return out.ok && back.ok ? out.value.seconds + back.value.seconds : Infinity;
        };
        expect(trip(w + more)).toBeGreaterThanOrEqual(trip(w) - 1e-9);
      }),
    );
  });
  it('in still air a level leg is distance over the speed wished for', () => {
    const leg = legCost(flyer, wind(0), { x: 0, y: 0, z: 20 }, { x: 300, y: 0, z: 20 });
    expect(leg.ok && leg.value.seconds).toBeCloseTo(30, 9);
  });
  it('a steep leg waits for the climb', () => {
    const leg = legCost(flyer, wind(0), { x: 0, y: 0, z: 0 }, { x: 10, y: 0, z: 100 });
    expect(leg.ok && leg.value.seconds).toBeCloseTo(20, 9);
  });
  it('has no way home when the wind wins, and says by how much and at which height', () => {
    const home = wayHome(flyer, wind(15), { x: 0, y: -500, z: 60 }, 60);
    expect(home).toMatchObject({ ok: false, reason: { heightM: 60 } });
    const felt = windSpeedAt(15, 60, 0.14);
    if (!home.ok) expect(home.reason.lackingMs).toBeCloseTo(felt - 0.8 * plover.maxSpeedMs, 9);
  });
  it('the way home climbs to the return height first', () => {
    const low = wayHome(flyer, wind(0), { x: 100, y: 0, z: 10 }, 60);
    expect(low.ok && low.value.seconds).toBeCloseTo(50 / 5 + 100 / flyer.thriftyMs() + 60 / 3, 6);
  });
  it('gusts count in the way home as far as is chosen', () => {
    const gusty = { ...wind(5), gustAt10mMs: 9 };
    const at = { x: 0, y: -400, z: 60 };
    const counted = (homeGustShare: number): unknown =>
      wayHome(legFlyer({ ...figures, homeGustShare }), gusty, at, 60);
    expect(counted(0)).toEqual(wayHome(flyer, wind(5), at, 60));
    expect(counted(0.5)).toEqual(wayHome(flyer, wind(7), at, 60));
    expect(counted(1)).toEqual(wayHome(flyer, wind(9), at, 60));
  });
});

/** Least energy a metre by trying every speed: what the search must find. */
const denseSearch = (watts: (v: number) => number, head: number, cross: number, top: number): number => {
  let least = Infinity;
  for (let v = Math.abs(cross); v <= top; v += 0.002) {
    const ground = Math.sqrt(v * v - cross * cross) - head;
    if (ground > 1e-3) least = Math.min(least, watts(v) / ground);
  }
  return least;
};

describe('airspeed of least energy over ground', () => {
  it.each(vectors.bestLegs)('$craft, $windMs m/s from $windFromDeg° on $bearingDeg°', (l) => {
    const figures = craft.get(l.craft)!;
    const { watts } = powerModel(figures, 1.225);
    const angle = ((l.windFromDeg - l.bearingDeg) * Math.PI) / 180;
    const [head, cross] = [l.windMs * Math.cos(angle), l.windMs * Math.sin(angle)];
    const best = bestAirspeed((v) => watts(v, 0), head, cross, l.topSpeedShare * figures.maxSpeedMs);
    if (l.airspeedMs === null) {
      expect(best).toBeNull();
      return;
    }
    const seconds = l.lengthM / (Math.sqrt(best! * best! - cross * cross) - head);
    expect(best).toBeCloseTo(l.airspeedMs, 1);
    near(seconds, l.seconds);
    near((watts(best!, 0) * seconds) / 3600, l.wattHours);
  });
  it('is as good as the best of a dense search, in any wind', () => {
    const met = new Reached();
    fc.assert(
      fc.property(numberIn(-14, 16), numberIn(-12, 12), numberIn(4, 18), (head, cross, top) => {
        for (const figures of craft.values()) {
          const { watts } = powerModel(figures, 1.1);
          const level = (v: number): number => watts(v, 0);
          const best = bestAirspeed(level, head, cross, top);
          const least = denseSearch(level, head, cross, top);
          met.when(best === null ? 'no headway' : best === top ? 'the fastest' : 'between', true);
          if (best === null) expect(least).toBe(Infinity);
          else
            expect(level(best) / (Math.sqrt(best * best - cross * cross) - head)).toBeLessThan(
              least * 1.0005,
            );
        }
      }),
      { numRuns: 60 },
    );
    for (const found of ['no headway', 'the fastest', 'between']) met.atLeast(found, 10);
  });
  it('more top speed never makes a way home costlier or impossible', () => {
    const met = new Reached();
    fc.assert(
      fc.property(
        numberIn(6, 25),
        numberIn(0, 6),
        numberIn(0, 16),
        numberIn(0, 360),
        numberIn(5, 110),
        (top, more, speed, fromDeg, z) => {
          const at = { x: 120, y: -300, z };
          const slow = wayHome(legFlyer({ ...figures, topAirspeedMs: top }), wind(speed, fromDeg), at, 60);
          const fast = wayHome(
            legFlyer({ ...figures, topAirspeedMs: top + more }),
            wind(speed, fromDeg),
            at,
            60,
          );
          met.when(slow.ok ? 'home' : 'never', true);
          if (!slow.ok) return;
          expect(fast.ok && fast.value.wattHours).toBeLessThanOrEqual(slow.value.wattHours * 1.0002);
        },
      ),
    );
    for (const found of ['home', 'never']) met.atLeast(found, 10);
  });
  it('a leg changes smoothly with the wind until it cannot be flown', () => {
    const [a, b] = [
      { x: 0, y: 0, z: 30 },
      { x: 0, y: 300, z: 30 },
    ];
    let before: number | null = null;
    for (let speed = 0; speed < 16; speed += 0.01) {
      const leg = legCost(flyer, wind(speed), a, b);
      if (!leg.ok) break;
      if (before !== null) expect(Math.abs(leg.value.wattHours / before - 1)).toBeLessThan(0.05);
      before = leg.value.seconds > 600 ? null : leg.value.wattHours;
    }
    expect(legCost(flyer, wind(8), a, b)).toMatchObject({ ok: true });
    expect(legCost(flyer, wind(4, 180), a, b)).toMatchObject({ ok: true, value: { seconds: 30 } });
  });
});

describe('energy of a path', () => {
  const subject = { aim: { x: 0, y: 100, z: 5 }, heightM: 10, widthM: 10, headingDeg: 0, speedMs: 0 };
  it('agrees with a fine direct sum for every move', () => {
    for (const kind of ['push-in', 'rise', 'orbit', 'low-to-high', 'slide']) {
      const move = moveOf(kind)!;
      const shape = move.shape(initialValues(move.parameters), subject);
      if (!shape.ok) throw new Error(said(shape.reason));
      const flown = fly(shape.value, { accelMs2: 1, turnAccelDegS2: 8 }, 'in-motion', 8);
      if (!flown.ok) throw new Error(said(flown.reason));
      const model = powerModel(plover, 1.2);
      const mine = pathEnergy(flown.value, model, wind(3, 250)).there;
      expect(mine.wattHours).toBeGreaterThan(0);
      let sum = 0;
      const pieces = flown.value.samples;
      for (let i = 1; i < pieces.length; i += 1) {
        const a = pieces[i - 1]!;
        const b = pieces[i]!;
        const dt = b.timeS - a.timeS;
        const air = windSpeedAt(3, (a.pose.at.z + b.pose.at.z) / 2, 0.14);
        const to = ((250 + 180) * Math.PI) / 180;
        sum +=
          model.watts(
            Math.hypot(
              (b.pose.at.x - a.pose.at.x) / dt - air * Math.sin(to),
              (b.pose.at.y - a.pose.at.y) / dt - air * Math.cos(to),
            ),
            (b.pose.at.z - a.pose.at.z) / dt,
          ) * dt;
      }
      expect(mine.wattHours / (sum / 3600)).toBeCloseTo(1, 1);
    }
  });
  it('a hold costs exactly the hover', () => {
    const move = moveOf('hold')!;
    const shape = move.shape(initialValues(move.parameters), subject);
    const flown = shape.ok ? fly(shape.value, { accelMs2: 1, turnAccelDegS2: 8 }, 'whole', 12) : shape;
    if (!flown.ok) throw new Error(said(flown.reason));
    expect(pathEnergy(flown.value, flyer.power, wind(4)).there.wattHours).toBeCloseTo(
      hoverCost(flyer.power, wind(4), 15, 12).wattHours,
      9,
    );
  });
});

describe('packs', () => {
  it('the reserve is never under the critical level, and nothing goes below zero', () => {
    expect(packEnergy({ ratedWh: 46, charge: 1, health: 0.9 }, 25, 0.05).reserveWh).toBeCloseTo(4.6, 9);
    // 46 × 0.9 × 0.8 × 0.86 at 0 °C, less 30 % of 46; a tenth more for each planned watt-hour.
    const worn = { ratedWh: 46, charge: 0.9, health: 0.8 };
    const cold = packEnergy(worn, 0, 0.3);
    expect(cold.availableWh).toBeCloseTo(28.4832, 9);
    expect(cold.usableWh).toBeCloseTo(28.4832 - 13.8, 9);
    expect(packEnergy({ ...worn, drawFactor: 1.1 }, 0, 0.3).availableWh).toBeCloseTo(28.4832 / 1.1, 9);
    expect(packEnergy({ ratedWh: 46, charge: 0.2, health: 0.9 }, 0, 0.3).usableWh).toBe(0);
  });
  it('a full pack holds three days, then drains toward 60 % over two', () => {
    expect([0, 3, 4, 5, 30].map((d) => selfDischarged(1, d))).toEqual([1, 1, 0.8, 0.6, 0.6]);
    expect(selfDischarged(0.4, 30)).toBe(0.4);
  });
});
