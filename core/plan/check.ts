import type { Vec3 } from '../units';
import type { Plan, PlannedFlight, PlanProblem } from './types';

const EPS = 1e-6;

/** Flies one flight again from the launch point. */
const flownAgain = (problem: PlanProblem, flight: PlannedFlight, seen: Set<string>, faults: string[]): { seconds: number; wattHours: number } => {
  let [seconds, wattHours] = [problem.takeoff.seconds, problem.takeoff.wattHours];
  let here: Vec3 | null = null;
  for (const stop of flight.stops) {
    const shot = problem.shots.find((s) => s.id === stop.shotId);
    const way = shot?.ways.find((w) => w.reversed === stop.reversed);
    if (!shot || !way || seen.has(stop.shotId)) { faults.push(`shot ${stop.shotId} is not there, not so flown, or flown twice`); continue; }
    seen.add(stop.shotId);
    const leg = problem.leg(here, way.from);
    const startS = flight.launchS + seconds + leg.seconds;
    if (Math.abs(startS - stop.startS) > EPS) faults.push(`${stop.shotId} begins at ${startS}, not ${stop.startS}`);
    if (startS < shot.earliestS - EPS || startS + shot.performS > shot.latestS + EPS) faults.push(`${stop.shotId} is outside its window`);
    if (!shot.settings.includes(flight.setting)) faults.push(`${stop.shotId} cannot be flown with ${flight.setting}`);
    seconds += leg.seconds + shot.performS;
    wattHours += leg.wattHours + shot.performWh;
    here = way.to;
  }
  if (!here) faults.push('a flight without shots');
  const home = here ? problem.home(here) : { seconds: 0, wattHours: 0 };
  return { seconds: seconds + home.seconds + problem.landing.seconds, wattHours: wattHours + home.wattHours + problem.landing.wattHours };
};

/**
 * Flies a plan again from nothing and says what it breaks: energy, windows, settings, swaps, packs and shots used twice.
 * @returns an empty list for a plan that holds
 */
export const faultsOfPlan = (problem: PlanProblem, plan: Plan): string[] => {
  const faults: string[] = [];
  const seen = new Set<string>();
  const packs = new Set<string>();
  let ready = -Infinity;
  for (const flight of plan.flights) {
    const pack = problem.packs.find((p) => p.id === flight.packId);
    if (!pack || packs.has(flight.packId)) faults.push(`pack ${flight.packId} is not there or flown twice`);
    packs.add(flight.packId);
    if (flight.launchS < Math.max(ready, pack?.readyS ?? 0) - EPS) faults.push(`launched at ${flight.launchS} before it was ready`);
    const { seconds, wattHours } = flownAgain(problem, flight, seen, faults);
    if (wattHours > (pack?.usableWh ?? 0) + EPS) faults.push(`${flight.packId} gives ${pack?.usableWh ?? 0} Wh, ${wattHours} are asked`);
    if (Math.abs(seconds - flight.airborneS) > EPS || Math.abs(wattHours - flight.wattHours) > EPS) faults.push(`a flight is told as ${flight.airborneS} s and ${flight.wattHours} Wh, and is ${seconds} s and ${wattHours} Wh`);
    ready = flight.launchS + seconds + problem.swapS;
  }
  const weight = problem.shots.filter((s) => seen.has(s.id)).reduce((sum, s) => sum + s.weight, 0);
  if (Math.abs(weight - plan.weight) > EPS) faults.push(`worth ${weight}, told ${plan.weight}`);
  if (plan.left.length + seen.size !== problem.shots.length) faults.push('shots are lost');
  return faults;
};
