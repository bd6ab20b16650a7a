import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { faultsOfDay } from './check';
import { dayOf, type DayAnswer, type DayProblem } from './day';
import { FLAT_AIR, problemOf } from './fixtures';
import { searchDay } from './search';
import type { PlanProblem, PlanShot, Way } from './types';

/*
 * Days with a charger, small enough to try every way there is: every order of every choice of shots, cut into flights at every
 * place, each way round, on every pack. Nothing here is shared with the planner but the costs of a leg.
 */
interface Worth {
  readonly weight: number;
  readonly flights: number;
  readonly airS: number;
}
interface Flown {
  readonly shots: readonly PlanShot[];
  readonly ways: readonly Way[];
}
interface Cost {
  readonly seconds: number;
  readonly wattHours: number;
  readonly fromS: number;
  readonly toS: number;
}

const better = (a: Worth, b: Worth): boolean =>
  a.weight !== b.weight
    ? a.weight > b.weight
    : a.flights !== b.flights
      ? a.flights < b.flights
      : a.airS < b.airS - 1e-9;

/** A flight by itself, and between which seconds it may be launched so that each shot is in its window. */
const costOf = (p: PlanProblem, { shots, ways }: Flown): Cost => {
  let [s, wh] = [p.takeoff.seconds, p.takeoff.wattHours];
  let [fromS, toS] = [0, Infinity];
  shots.forEach((shot, i) => {
    const leg = p.leg(ways[i - 1]?.to ?? null, ways[i]!.from);
    s += leg.seconds;
    fromS = Math.max(fromS, shot.earliestS - s);
    s += shot.performS;
    toS = Math.min(toS, shot.latestS - s);
    wh += leg.wattHours + shot.performWh;
  });
  const home = p.home(ways.at(-1)!.to);
  return {
    seconds: s + home.seconds + p.landing.seconds,
    wattHours: wh + home.wattHours + p.landing.wattHours,
    fromS,
    toS,
  };
};

/** The best day there is, by trying all. */
const exhaustive = (p: PlanProblem, day: DayProblem): Worth => {
  let best: Worth = { weight: 0, flights: 0, airS: 0 };
  interface State extends Worth {
    readonly freeS: number;
    readonly slotS: number;
    readonly readyS: readonly number[];
  }
  const fly = (state: State, left: readonly PlanShot[]): void => {
    if (better(state, best)) best = state;
    const extend = (flown: Flown, rest: readonly PlanShot[]): void => {
      for (const shot of rest)
        for (const way of shot.ways) {
          const longer = { shots: [...flown.shots, shot], ways: [...flown.ways, way] };
          const others = rest.filter((r) => r !== shot);
          extend(longer, others);
          const shared = longer.shots.reduce<readonly string[]>(
            (keys, s) => keys.filter((k) => s.settings.includes(k)),
            shot.settings,
          );
          if (shared.length === 0) continue;
          const cost = costOf(p, longer);
          day.packs.forEach((pack, n) => {
            if (cost.wattHours > pack.usableWh[0]! + 1e-9) return;
            const launchS = Math.max(state.freeS, state.readyS[n]!, cost.fromS);
            if (launchS > cost.toS + 1e-9) return;
            const landS = launchS + cost.seconds;
            const fullS = pack.again
              ? Math.max(landS + pack.again.coolS, state.slotS) + pack.again.chargeS(cost.wattHours)
              : Infinity;
            fly(
              {
                weight: state.weight + longer.shots.reduce((sum, s) => sum + s.weight, 0),
                flights: state.flights + 1,
                airS: state.airS + cost.seconds,
                freeS: landS + day.swapS,
                slotS: pack.again ? fullS : state.slotS,
                readyS: state.readyS.map((r, i) => (i === n ? fullS : r)),
              },
              others,
            );
          });
        }
    };
    extend({ shots: [], ways: [] }, left);
  };
  fly({ ...best, freeS: 0, slotS: 0, readyS: day.packs.map(() => 0) }, p.shots);
  return best;
};

const point = fc.tuple(numberIn(-160, 160), numberIn(-160, 160), numberIn(3, 80));
const shots = fc.array(
  fc.record({
    weight: fc.constantFrom(1, 10, 100),
    start: point,
    end: point,
    reversible: fc.boolean(),
    performSeconds: numberIn(60, 240),
    earliestSeconds: numberIn(0, 3000),
    lasts: numberIn(500, 4000),
    filters: fc.constantFrom([4], [8], [4, 8]),
  }),
  { minLength: 2, maxLength: 4 },
);
const packs = fc.array(fc.record({ wh: fc.constantFrom(7, 10, 14), again: fc.boolean() }), {
  minLength: 1,
  maxLength: 2,
});

describe('a small day with a charger', () => {
  it('what is called proven is the best of every way there is; what is not is never better, nor above its bound', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(shots, packs, fc.constantFrom(60, 150, 400), (list, kit, chargeSPerWh) => {
        const p = problemOf({
          ...FLAT_AIR,
          packs: kit.map((k, i) => ({ id: `P${i}`, usableWh: k.wh })),
          shots: list.map((s, i) => ({
            ...s,
            id: `s${i}`,
            performWh: s.performSeconds * 0.029,
            latestSeconds: s.earliestSeconds + s.lasts,
          })),
        });
        const day: DayProblem = {
          ...dayOf(p),
          chargerSlots: 1,
          packs: kit.map((k, i) => ({
            id: `P${i}`,
            usableWh: [k.wh],
            again: k.again ? { slots: [0], coolS: 600, chargeS: (wh) => wh * chargeSPerWh } : null,
          })),
        };
        const best = exhaustive(p, day);
        const rng = xoroshiro128plus(7);
        const search = searchDay(day, () => (rng.next() >>> 0) / 2 ** 32);
        let answer: DayAnswer = search.next().value;
        for (let i = 0; i < 8; i += 1) answer = search.next().value;
        const { plan, proven, weightBound } = answer;
        expect(faultsOfDay(day, plan)).toEqual([]);
        const mine = { weight: plan.weight, flights: plan.flights.length, airS: plan.airborneS };
        expect(better(mine, best), 'a plan beats every way there is').toBe(false);
        expect(best.weight).toBeLessThanOrEqual(weightBound + 1e-6);
        if (reached.when('proven', proven))
          expect(better(best, mine), 'proven, and not the best').toBe(false);
        reached.when('found the best', !better(best, mine));
        reached.when('a pack flies again', new Set(plan.flights.map((f) => f.packId)).size < mine.flights);
      }),
      { numRuns: 150 },
    );
    reached.atLeast('proven', 60);
    reached.atLeast('found the best', 140);
    reached.atLeast('a pack flies again', 20);
  }, 120_000);
});
