import { CRITICAL_SHARE, hoverCost, wayHome, type LegFlyer } from '../energy';
import { LANDING_S, LOW_HOVER_M, TAKEOFF_S, type Flight } from '../budget';
import type { Wind } from '../air';
import { distance, type Vec3 } from '../geometry';
import { locationAt } from '../weather';
import { flyerOf, takesOf, windOf, type ShotFacts } from '../shot';
import type { FilmPlan } from './plan';
import { heaviestFilterKg } from '../payload';
import type { LocationPlan } from './location-flights';
import type { Film, Kit } from '../model';

/** A moment of a flight: what is left, and what the way home from there would take. */
export interface EnergyStep {
  /** Seconds after take-off. */
  readonly tS: number;
  readonly leftWh: number;
  /** Climb to the return height, the leg against the wind, descent, landing. */
  readonly homeWh: number;
  readonly phase: 'takeoff' | 'leg' | 'set-up' | 'take' | 'home';
  readonly shotId: string | null;
}

export interface EnergyCurve {
  readonly steps: readonly EnergyStep[];
  readonly reserveWh: number;
  readonly criticalWh: number;
  /** First step from which the way home would eat into what is never planned; null where there is none. */
  readonly noReturn: EnergyStep | null;
  /** Second by which one has to turn back to land with the reserve, were nothing flown after it; the end of the last take at the latest. */
  readonly turnBackS: number | null;
}

interface Span {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly seconds: number;
  readonly wattHours: number;
  readonly phase: EnergyStep['phase'];
  readonly shotId: string | null;
  readonly path?: readonly Vec3[];
}

const STEPS_PER_TAKE = 10;

/** A path thinned to a few places, from start to end. */
const thinned = (facts: ShotFacts): Vec3[] => {
  const samples = facts.trajectory?.samples ?? [];
  return Array.from(
    { length: STEPS_PER_TAKE + 1 },
    (_, i) => samples[Math.round((i * (samples.length - 1)) / STEPS_PER_TAKE)]?.pose.at,
  ).filter((at) => at !== undefined);
};

/** A shot as a row of stretches: set-up, each take along its path, what lies between takes. */
const shotSpans = (facts: ShotFacts): Span[] => {
  const { trajectory, energy, shot, seconds } = facts;
  if (!trajectory || !energy) return [];
  const shotId = shot.id;
  const takes = takesOf(shot);
  const path = thinned(facts);
  const [start, end] = [trajectory.start.at, trajectory.end.at];
  const both = shot.takeStyle === 'there-and-back';
  const spans: Span[] = [
    {
      from: start,
      to: start,
      seconds:
        seconds.airS -
        takes * (seconds.takeS + 2 * (shot.walkS ?? 0)) -
        Math.max(0, takes - 1) * seconds.betweenS,
      wattHours: energy.setupWh,
      phase: 'set-up',
      shotId,
    },
  ];
  for (let i = 0; i < takes; i += 1) {
    const back = both && i % 2 === 1;
    const here = back ? end : start;
    const there = back ? start : end;
    spans.push({
      from: here,
      to: there,
      seconds: seconds.takeS + 2 * (shot.walkS ?? 0),
      wattHours: (energy.movesWh + energy.rollsWh) / takes,
      phase: 'take',
      shotId,
      path: back ? [...path].reverse() : path,
    });
    if (i < takes - 1)
      spans.push({
        from: there,
        to: both ? there : start,
        seconds: seconds.betweenS,
        wattHours: energy.betweenWh / (takes - 1),
        phase: 'set-up',
        shotId,
      });
  }
  return spans;
};

const spansOf = (flight: Flight, derived: FilmPlan): Span[] => {
  let at = flight.launch.at;
  const spans: Span[] = [
    {
      from: at,
      to: at,
      seconds: TAKEOFF_S,
      wattHours: flight.takeoff.wattHours,
      phase: 'takeoff',
      shotId: null,
    },
  ];
  for (const stop of flight.stops) {
    const facts = derived.shots.get(stop.shotId)?.facts;
    if (!facts) continue;
    spans.push(
      {
        from: at,
        to: facts.fromPoint,
        seconds: stop.leg.seconds,
        wattHours: stop.leg.wattHours,
        phase: 'leg',
        shotId: null,
      },
      ...shotSpans(facts),
    );
    at = facts.toPoint;
  }
  return spans;
};

const along = (path: readonly Vec3[], share: number): Vec3 | undefined =>
  path[Math.round(share * (path.length - 1))];
const between = (a: Vec3, b: Vec3, t: number): Vec3 => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
  z: a.z + (b.z - a.z) * t,
});

/** Energy left along a flight with the way home at every step (reckoning as in the budget: the same spans, the same sums). */
export const energyCurve = (
  derived: FilmPlan,
  film: Film,
  kit: Pick<Kit, 'aircraft' | 'filters'>,
  place: LocationPlan,
  flight: Flight,
  ratedWh: number,
): EnergyCurve | null => {
  const aircraft = kit.aircraft.find((a) => a.id === flight.aircraftId);
  if (!aircraft) return null;
  const flyer: LegFlyer = flyerOf(
    aircraft,
    place.location,
    film,
    heaviestFilterKg(kit.filters, aircraft.id, null),
  );
  const windAt = (tS: number): Wind =>
    windOf(locationAt(place.location, place.windowFromMs + (flight.startS + tS) * 1000));
  const landingWh = (wind: Wind): number => hoverCost(flyer.power, wind, LOW_HOVER_M, LANDING_S).wattHours;
  const homeWh = (at: Vec3, tS: number): number => {
    const wind = windAt(tS);
    const way = wayHome(flyer, wind, at, place.location.returnHeightM, flight.launch.at);
    return way.ok ? way.value.wattHours + landingWh(wind) : Infinity;
  };
  const landing = landingWh(windAt(0));
  const steps: EnergyStep[] = [];
  let [tS, leftWh] = [0, flight.supply.availableWh];
  steps.push({ tS, leftWh, homeWh: landing, phase: 'takeoff', shotId: null });
  for (const span of spansOf(flight, derived)) {
    const n = span.path ? STEPS_PER_TAKE : distance(span.from, span.to) > 1 ? 4 : 1;
    for (let i = 1; i <= n; i += 1) {
      const at = (span.path && along(span.path, i / n)) ?? between(span.from, span.to, i / n);
      const atS = tS + (span.seconds * i) / n;
      steps.push({
        tS: atS,
        leftWh: leftWh - (span.wattHours * i) / n,
        homeWh: span.phase === 'takeoff' ? landing : homeWh(at, atS),
        phase: span.phase,
        shotId: span.shotId,
      });
    }
    tS += span.seconds;
    leftWh -= span.wattHours;
  }
  const criticalWh = ratedWh * CRITICAL_SHARE;
  const { reserveWh } = flight.supply;
  const noReturn = steps.find((s) => s.leftWh < s.homeWh + criticalWh) ?? null;
  const turn = steps.find((s) => s.leftWh < s.homeWh + reserveWh);
  steps.push({
    tS: flight.seconds,
    leftWh: flight.supply.availableWh - flight.usedWh,
    homeWh: 0,
    phase: 'home',
    shotId: null,
  });
  return { steps, reserveWh, criticalWh, noReturn, turnBackS: turn?.tS ?? null };
};
