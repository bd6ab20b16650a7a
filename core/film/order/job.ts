import { hoverCost, legCost, wayHome, type LegCost } from '../../energy';
import { LANDING_S, LOW_HOVER_M, TAKEOFF_S } from '../../budget';
import type { Aircraft } from '../../kit';
import type { PlanProblem } from '../../plan';
import type { Result, Vec3 } from '../../units';
import { flyerOf, windOf } from '../costs';
import type { DerivedFilm } from '../derive';
import { launchOf } from '../launchPoint';
import { heaviestFilterKg } from '../light';
import { suppliesOf } from '../day';
import { costOf, kitAlong, withoutSpare, type PlaceFacts } from '../place';
import type { Film, FilmInput, Location, Priority } from '../types';

/** Shots of a place flown by one aircraft from one launch point, as plain data that can be sent beside the page. */
export interface OrderJob {
  readonly film: Pick<Film, 'preferences'>;
  readonly location: Location;
  readonly aircraft: Aircraft;
  readonly addedKg: number;
  readonly launch: Vec3;
  readonly shots: readonly { readonly id: string; readonly weight: number; readonly from: Vec3; readonly to: Vec3; readonly airS: number; readonly wattHours: number; readonly earliestS: number; readonly latestS: number }[];
  readonly packs: readonly { readonly id: string; readonly usableWh: number }[];
}

/** A must outweighs all the shoulds there could be, a should all the coulds. */
const WEIGHTS: Readonly<Record<Priority, number>> = { must: 1_000_000, should: 1000, could: 1 };

/** Seconds after the window opens by which a shot should be done: while its light lasts, else while the window is open. */
const latestOf = (place: PlaceFacts, wants: string): number => {
  const ends = place.light?.windows.filter((w) => w.kind === wants && w.toMs > place.windowFromMs && w.fromMs < place.windowToMs).map((w) => w.toMs) ?? [];
  return (Math.max(...(ends.length > 0 ? ends : [place.windowToMs])) - place.windowFromMs) / 1000;
};

/** What is asked of the planner for a place: a job for each aircraft and launch point, in the order the list first comes to them. */
export const orderJobs = (input: FilmInput, derived: DerivedFilm, locationId: string): OrderJob[] => {
  const place = derived.places.get(locationId);
  if (!place || !Number.isFinite(place.windowFromMs)) return [];
  const { film } = input;
  const kit = kitAlong(input.kit, film);
  const supplies = suppliesOf(film.preferences.holdBackSpare ? withoutSpare(kit.packs) : kit.packs, place.location, film, false);
  const groups = new Map<string, OrderJob & { shots: OrderJob['shots'][number][] }>();
  for (const { facts } of derived.shots.values()) {
    if (facts.location.id !== locationId || !facts.aircraft) continue;
    const launch = launchOf(input.features, input.terrain?.get(locationId), place.location, facts.shot);
    const cost = costOf(facts, place.location, place, launch);
    if (!cost) continue;
    const key = `${facts.aircraft.id}|${launch.id ?? ''}`;
    const { aircraft } = facts;
    const group = groups.get(key) ?? {
      film: { preferences: film.preferences }, location: place.location, aircraft, launch: launch.at, addedKg: heaviestFilterKg(kit.filters, aircraft.id, null), shots: [],
      packs: supplies.filter((s) => s.aircraftIds.includes(aircraft.id)).map((s) => ({ id: s.packId, usableWh: s.usableWh })),
    };
    group.shots.push({ id: facts.shot.id, weight: WEIGHTS[facts.shot.priority], from: cost.from, to: cost.to, airS: cost.airS, wattHours: cost.wattHours, earliestS: cost.notBeforeS, latestS: latestOf(place, facts.shot.wants) });
    groups.set(key, group);
  }
  return [...groups.values()];
};

const NEVER: LegCost = { seconds: Infinity, wattHours: Infinity };
const orNever = (r: Result<LegCost>): LegCost => (r.ok ? r.value : NEVER);

/** A job as the planner takes it: legs through the wind of the place. @param startS when the first flight may leave @param used packs flown already */
export const orderProblem = (job: OrderJob, startS: number, used: ReadonlySet<string>): PlanProblem => {
  const flyer = flyerOf(job.aircraft, job.location, job.film as Film, job.addedKg);
  const wind = windOf(job.location);
  const hover = (s: number): LegCost => hoverCost(flyer.power, wind, LOW_HOVER_M, s);
  return {
    packs: job.packs.filter((p) => !used.has(p.id)).map((p) => ({ ...p, readyS: startS })),
    takeoff: hover(TAKEOFF_S), landing: hover(LANDING_S), swapS: job.film.preferences.swapMinutes * 60,
    leg: (from, to) => orNever(legCost(flyer, wind, from ?? job.launch, to)),
    home: (from) => orNever(wayHome(flyer, wind, from, job.location.returnHeightM, job.launch)),
    shots: job.shots.map((s) => ({ id: s.id, weight: s.weight, ways: [{ from: s.from, to: s.to, reversed: false }], performS: s.airS, performWh: s.wattHours, settings: ['any'], earliestS: s.earliestS, latestS: s.latestS })),
  };
};
