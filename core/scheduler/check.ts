import type { Vec3 } from '../geometry';
import { cardsHold, dayOf, type DayFlight, type DayGroup, type DayPlan, type DayProblem } from './day';
import type { Plan, PlanProblem, PlanShot } from './types';

const EPS = 1e-6;

interface Flown {
  seconds: number;
  wattHours: number;
  bytes: number;
}

type Stop = DayFlight['stops'][number];

/** What a stop breaks, begun at a second. */
const stopFaults = (shot: PlanShot, stop: Stop, flight: DayFlight, startS: number): string[] => {
  const own = shot.windows?.[flight.setting];
  const [from, to] = [
    Math.max(shot.earliestS, own?.earliestS ?? -Infinity),
    Math.min(shot.latestS, own?.latestS ?? Infinity),
  ];
  return [
    ...(Math.abs(startS - stop.startS) > EPS
      ? [`${stop.shotId} begins at ${startS}, not ${stop.startS}`]
      : []),
    ...(!flight.fixed && (startS < from - EPS || startS + shot.performS > to + EPS)
      ? [`${stop.shotId} is outside its window`]
      : []),
    ...(!flight.fixed && !shot.settings.includes(flight.setting)
      ? [`${stop.shotId} cannot be flown with ${flight.setting}`]
      : []),
    ...(shot.packId !== undefined && shot.packId !== flight.packId
      ? [`${stop.shotId} is pinned to ${shot.packId}`]
      : []),
  ];
};

/** Flies one flight again from its launch point. */
const flownAgain = (group: DayGroup, flight: DayFlight, faults: string[]): Flown => {
  const flown: Flown = { seconds: group.takeoff.seconds, wattHours: group.takeoff.wattHours, bytes: 0 };
  let here: Vec3 | null = null;
  for (const stop of flight.stops) {
    const shot = group.shots.find((s) => s.id === stop.shotId);
    const way = shot?.ways.find((w) => w.reversed === stop.reversed);
    if (!shot || !way) {
      faults.push(`${stop.shotId} is not of this group, or not so flown`);
      continue;
    }
    const leg = group.leg(here, way.from);
    faults.push(...stopFaults(shot, stop, flight, flight.launchS + flown.seconds + leg.seconds));
    flown.seconds += leg.seconds + shot.performS;
    flown.wattHours += leg.wattHours + shot.performWh;
    flown.bytes += shot.bytes ?? 0;
    here = way.to;
  }
  const home = here ? group.home(here) : { seconds: 0, wattHours: 0 };
  return {
    ...flown,
    seconds: flown.seconds + home.seconds + group.landing.seconds,
    wattHours: flown.wattHours + home.wattHours + group.landing.wattHours,
  };
};

/** Flies a pack through the day: full again by the time it leaves, or on what the flights since it was full have left in it. */
const packFaults = (problem: DayProblem, plan: DayPlan): string[] =>
  problem.packs.flatMap((pack) => {
    const { again, fullWh } = pack;
    const groupOf = (f: DayFlight): number => problem.groups.findIndex((g) => g.id === f.groupId);
    const mine = plan.flights.filter((f) => f.packId === pack.id).sort((a, b) => a.launchS - b.launchS);
    let taken = 0;
    return mine.flatMap((f, i) => {
      const n = groupOf(f);
      const faults: string[] = [];
      const before = mine[i - 1];
      if (!before) {
        if (f.launchS < (pack.readyS ?? 0) - EPS) faults.push(`${pack.id} is flown before it is ready`);
      } else {
        const soonest = again
          ? before.launchS +
            before.airborneS +
            again.coolS +
            again.chargeS(fullWh ? taken * (fullWh[groupOf(before)] ?? 0) : before.wattHours)
          : Infinity;
        const rest = fullWh ? (pack.usableWh[n] ?? 0) - taken * (fullWh[n] ?? 0) : -Infinity;
        if (f.launchS >= soonest - EPS) taken = 0;
        else if (f.wattHours > rest + EPS)
          faults.push(
            again
              ? `${pack.id} is flown before it can be full again`
              : `${pack.id} is flown twice, and nothing charges it`,
          );
      }
      taken += f.wattHours / (fullWh?.[n] ?? Infinity);
      return faults;
    });
  });

const crewFaults = (problem: DayProblem, plan: DayPlan): string[] => {
  const faults: string[] = [];
  plan.flights.forEach((f, i) =>
    plan.flights.slice(0, i).forEach((before) => {
      const [a, b] = [
        problem.groups.find((g) => g.id === before.groupId),
        problem.groups.find((g) => g.id === f.groupId),
      ];
      const landS = before.launchS + before.airborneS;
      if (a && b && a.place < b.place && f.launchS < landS + (problem.travelS[b.place] ?? 0) - EPS)
        faults.push(`${f.packId} leaves before one has come there`);
      if (a && b && a.place > b.place) faults.push('places are gone back to');
      if (a && b && a.place === b.place && a.crew === b.crew && f.launchS < landS + problem.swapS - EPS)
        faults.push(`${f.packId} leaves before the flight before it is down`);
    }),
  );
  return faults;
};

/**
 * Flies a day again from nothing and says what it breaks: energy, windows, settings, pins, packs, pilots, travel, breaks, order, cards.
 * @returns an empty list for a day that holds
 */
export const faultsOfDay = (problem: DayProblem, plan: DayPlan): string[] => {
  const faults = [...packFaults(problem, plan), ...crewFaults(problem, plan)];
  const bytes: number[] = [];
  plan.flights.forEach((flight) => {
    const n = problem.groups.findIndex((g) => g.id === flight.groupId);
    const group = problem.groups[n];
    if (!group) {
      faults.push('a flight of nowhere');
      return;
    }
    const flown = flownAgain(group, flight, faults);
    bytes.push(flown.bytes);
    const usable = problem.packs.find((p) => p.id === flight.packId)?.usableWh[n] ?? 0;
    if (!flight.fixed && flown.wattHours > usable + EPS)
      faults.push(`${flight.packId} gives ${usable} Wh, ${flown.wattHours} are asked`);
    if (flight.launchS < group.openS - EPS) faults.push('launched before the place is open');
    if (
      group.breaks.some(
        (b) => flight.launchS < b.latestS - EPS && flight.launchS + flown.seconds > b.earliestS + EPS,
      )
    )
      faults.push('in the air during a break');
    if (
      Math.abs(flown.seconds - flight.airborneS) > EPS ||
      Math.abs(flown.wattHours - flight.wattHours) > EPS
    )
      faults.push(
        `a flight is told as ${flight.airborneS} s and ${flight.wattHours} Wh, and is ${flown.seconds} s and ${flown.wattHours} Wh`,
      );
    if (flight.stops.length > (group.mostStops ?? Infinity)) faults.push('too many shots in a flight');
  });
  const order = plan.flights.flatMap((f) => f.stops.map((s) => s.shotId));
  if (new Set(order).size !== order.length) faults.push('a shot is flown twice');
  const all = problem.groups.flatMap((g) => g.shots);
  if (order.length + plan.left.length !== all.length) faults.push('shots are lost');
  for (const [a, b] of problem.before)
    if (order.includes(a) && order.includes(b) && order.indexOf(a) > order.indexOf(b))
      faults.push(`${a} should come before ${b}`);
  if (problem.cards && !cardsHold(problem.cards, bytes)) faults.push('the cards are too small');
  const weight = all.filter((s) => order.includes(s.id)).reduce((sum, s) => sum + s.weight, 0);
  if (Math.abs(weight - plan.weight) > EPS) faults.push(`worth ${weight}, told ${plan.weight}`);
  return faults;
};

/** The same for a plan of one launch point. */
export const faultsOfPlan = (problem: PlanProblem, plan: Plan): string[] =>
  faultsOfDay(dayOf(problem), {
    ...plan,
    flights: plan.flights.map((f) => ({ ...f, groupId: '', fixed: false })),
  });
