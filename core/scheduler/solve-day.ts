import { LANDING_S, LOW_HOVER_M, TAKEOFF_S } from '../budget';
import { hoverCost, legCost, wayHome, type LegCost } from '../energy';
import { searchDay } from './search';
import type { DayAnswer, DayGroup, DayProblem } from './day';
import type { Result } from '../units';
import { flyerOf, windOf } from '../shot';
import type { Film } from '../model';
import { refillS, type DayJob, type JobGroup } from './day-job';

const NEVER: LegCost = { seconds: Infinity, wattHours: Infinity };
const orNever = (r: Result<LegCost, unknown>): LegCost => (r.ok ? r.value : NEVER);

/** The costlier of two legs, in energy and in seconds. */
const dearer = (a: LegCost, b: LegCost): LegCost => ({
  seconds: Math.max(a.seconds, b.seconds),
  wattHours: Math.max(a.wattHours, b.wattHours),
});

const groupOf = (job: DayJob, g: JobGroup): DayGroup => {
  const film = { preferences: job.preferences } as Film;
  const airs = g.weathers.map((at) => ({
    wind: windOf(at),
    flyer: flyerOf(g.aircraft, at, film, g.addedKg),
  }));
  /** What something costs at the most over the weather of the window. */
  const most = (of: (air: (typeof airs)[number]) => LegCost): LegCost => {
    const [first, ...rest] = airs;
    return first ? rest.reduce((worst, air) => dearer(worst, of(air)), of(first)) : NEVER;
  };
  const hover = (s: number): LegCost =>
    most(({ flyer, wind }) => hoverCost(flyer.power, wind, LOW_HOVER_M, s));
  return {
    id: g.id,
    place: g.place,
    crew: job.preferences.flyAtOnce ? g.aircraft.id : '',
    openS: g.openS,
    breaks: g.breaks,
    shots: g.shots,
    takeoff: hover(TAKEOFF_S),
    landing: hover(LANDING_S),
    ...(job.preferences.packUse === 'one-shot' ? { mostStops: 1 } : {}),
    leg: (from, to) => most(({ flyer, wind }) => orNever(legCost(flyer, wind, from ?? g.launch, to))),
    home: (from) =>
      most(({ flyer, wind }) => orNever(wayHome(flyer, wind, from, g.location.returnHeightM, g.launch))),
  };
};

/** A job as the planner takes it: legs through the wind of each place. */
export const dayProblem = (job: DayJob): DayProblem => ({
  groups: job.groups.map((g) => groupOf(job, g)),
  packs: job.packs.map((p) => ({
    id: p.id,
    usableWh: p.usableWh,
    ...(job.preferences.packUse === 'one-shot' ? {} : { fullWh: p.fullWhOf }),
    again:
      p.slots.length > 0
        ? { slots: p.slots, coolS: job.preferences.coolMinutes * 60, chargeS: (wh) => refillS(p, wh) }
        : null,
  })),
  swapS: job.preferences.swapMinutes * 60,
  travelS: job.travelS,
  before: job.before,
  cards: job.cards,
  chargerSlots: job.chargerSlots,
  fixed: job.fixed,
});

/**
 * Works on a day until it is proven or told to stop.
 * @param random numbers in [0, 1), seeded by the caller
 * @param more told the best so far; whether to go on
 */
export const solveDay = (
  job: DayJob,
  random: () => number,
  more: (answer: DayAnswer) => boolean,
): DayAnswer => {
  const search = searchDay(dayProblem(job), random);
  let answer = search.next().value;
  while (!answer.proven && more(answer)) answer = search.next().value;
  return answer;
};
