import { TAKEOFF_S, type Flight } from '../budget';
import type { Vec3 } from '../geometry';
import { takesOf, type ShotFacts } from '../shot';
import type { FilmPlan } from './plan';

/** What a stretch of a flight is for. */
export type FlightPhase = 'takeoff' | 'leg' | 'set-up' | 'take' | 'home';

/** A stretch of a planned flight: from where to where, how long, what it takes. */
export interface FlightSpan {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly seconds: number;
  readonly wattHours: number;
  readonly phase: FlightPhase;
  readonly shotId: string | null;
  readonly path?: readonly Vec3[];
}

/** Places a take is thinned to. */
export const STEPS_PER_TAKE = 10;

/** A path thinned to a few places, from start to end. */
const thinned = (facts: ShotFacts): Vec3[] => {
  const samples = facts.trajectory?.samples ?? [];
  return Array.from(
    { length: STEPS_PER_TAKE + 1 },
    (_, i) => samples[Math.round((i * (samples.length - 1)) / STEPS_PER_TAKE)]?.pose.at,
  ).filter((at) => at !== undefined);
};

/** A shot as a row of stretches: set-up, each take along its path, what lies between takes. */
const shotSpans = (facts: ShotFacts): FlightSpan[] => {
  const { trajectory, energy, shot, seconds } = facts;
  if (!trajectory || !energy) return [];
  const shotId = shot.id;
  const takes = takesOf(shot);
  const path = thinned(facts);
  const [start, end] = [trajectory.start.at, trajectory.end.at];
  const both = shot.takeStyle === 'there-and-back';
  const spans: FlightSpan[] = [
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

/** The stretches of a flight up to the end of its last shot, in order; the sums of the budget, taken apart. */
export const flightSpans = (flight: Flight, derived: FilmPlan): FlightSpan[] => {
  let at = flight.launch.at;
  const spans: FlightSpan[] = [
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
