import { CRITICAL_SHARE, hoverCost, wayHome, type LegFlyer } from '../energy';
import { LANDING_S, LOW_HOVER_M, type Flight } from '../budget';
import type { Wind } from '../air';
import { distance, type Vec3 } from '../geometry';
import { locationAt } from '../weather';
import { flyerOf, windOf } from '../shot';
import { flightSpans, type FlightPhase, STEPS_PER_TAKE } from './flight-spans';
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
  readonly phase: FlightPhase;
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
  for (const span of flightSpans(flight, derived)) {
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
  // The step before the first that is short: never too late.
  const short = steps.findIndex((s) => s.leftWh < s.homeWh + reserveWh);
  const turn = short < 0 ? undefined : steps[Math.max(0, short - 1)];
  steps.push({
    tS: flight.seconds,
    leftWh: flight.supply.availableWh - flight.usedWh,
    homeWh: 0,
    phase: 'home',
    shotId: null,
  });
  return { steps, reserveWh, criticalWh, noReturn, turnBackS: turn?.tS ?? null };
};
