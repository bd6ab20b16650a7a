import { cardsHold, type DayProblem } from './day';
import type { LaunchSpan, Route } from './route';
import { pastBreaks, tablesOf, type Tables } from './tables';

/** A flight of a draft: its group, its pack, its route. */
export interface DraftFlight {
  readonly group: number;
  readonly pack: number;
  readonly route: Route;
  readonly fixed: boolean;
  /** Shots through the whole day are told apart by group and number. */
  readonly notBeforeS: number;
}

export type Flights = readonly DraftFlight[];

/** A day with the legs of each of its groups worked out once. */
export interface DayTables {
  readonly problem: DayProblem;
  readonly groups: readonly Tables[];
  /** Where each shot of the day is: its group and its number in it. */
  readonly at: ReadonlyMap<string, { readonly group: number; readonly shot: number }>;
}

export const dayTables = (problem: DayProblem): DayTables => ({
  problem,
  groups: problem.groups.map((g, i) =>
    tablesOf({
      ...g,
      swapS: problem.swapS,
      packs: problem.packs.map((p) => ({ id: p.id, usableWh: p.usableWh[i] ?? 0 })),
      before: problem.before,
    }),
  ),
  at: new Map(
    problem.groups.flatMap((g, group) => g.shots.map((s, shot) => [s.id, { group, shot }] as const)),
  ),
});

export interface Launched {
  readonly launchS: number;
  readonly span: LaunchSpan;
}

/** A pack on the ground: when it may fly, full again or with the rest it has, and what flights took of it since it was full, as a share. */
interface Rested {
  readonly fullS: number;
  readonly restS: number;
  readonly taken: number;
  readonly slot: number;
  readonly slotFreeS: number;
}

interface Clock {
  readonly crews: Map<string, number>;
  place: number;
  end: number;
  readonly slots: number[];
  readonly packs: (Rested | undefined)[];
}

/** Packs come down, cool, and go on the slot that is free first. */
const rested = (
  problem: DayProblem,
  clock: Clock,
  { pack, group, route }: DraftFlight,
  landS: number,
  flownOn: Rested | undefined,
): Rested => {
  const { again, fullWh } = problem.packs[pack] ?? { again: null };
  const full = fullWh?.[group] ?? 0;
  const taken = (flownOn?.taken ?? 0) + (full > 0 ? route.wattHours / full : 1);
  if (!again) return { fullS: Infinity, restS: landS, taken, slot: -1, slotFreeS: 0 };
  const slot = again.slots.reduce(
    (best, s) => ((clock.slots[s] ?? 0) < (clock.slots[best] ?? 0) ? s : best),
    again.slots[0] ?? 0,
  );
  const slotFreeS = clock.slots[slot] ?? 0;
  const fullS =
    Math.max(landS + again.coolS, slotFreeS) + again.chargeS(full > 0 ? taken * full : route.wattHours);
  clock.slots[slot] = fullS;
  return { fullS, restS: landS, taken, slot, slotFreeS };
};

/** What is left in a pack for a flight, Wh. */
const restWh = (problem: DayProblem, { pack, group }: DraftFlight, { taken }: Rested): number => {
  const { usableWh, fullWh } = problem.packs[pack] ?? { usableWh: [] };
  return fullWh ? (usableWh[group] ?? 0) - taken * (fullWh[group] ?? 0) : 0;
};

/** Takes a pack off the charger again before it is full, where nothing was planned on that slot after it. */
const takenOff = (clock: Clock, { slot, fullS, slotFreeS }: Rested): void => {
  if (slot >= 0 && clock.slots[slot] === fullS) clock.slots[slot] = slotFreeS;
};

const launchOf = (t: DayTables, f: DraftFlight, clock: Clock, packS: number): Launched | null => {
  const group = t.problem.groups[f.group];
  if (!group) return null;
  if (group.place !== clock.place) {
    const arrive = clock.end + (t.problem.travelS[group.place] ?? 0);
    clock.place = group.place;
    clock.crews.clear();
    clock.crews.set('*', arrive);
  }
  const ready = Math.max(
    clock.crews.get(group.crew) ?? clock.crews.get('*') ?? 0,
    group.openS,
    packS,
    f.notBeforeS,
  );
  let best: Launched | null = null;
  for (const span of f.route.spans) {
    const launchS = pastBreaks(Math.max(ready, span.from), f.route.seconds, group.breaks);
    if (launchS <= span.to + 1e-9 && (!best || launchS < best.launchS)) best = { launchS, span };
  }
  return best;
};

/** Launch of each flight in a row, as early as its pilot, its pack, its shots and breaks allow; null where one comes too late. */
export const timeline = (t: DayTables, flights: Flights): Launched[] | null => {
  const { problem } = t;
  const clock: Clock = {
    crews: new Map(),
    place: -1,
    end: 0,
    slots: Array.from({ length: problem.chargerSlots }, () => 0),
    packs: [],
  };
  const launched: Launched[] = [];
  for (const f of flights) {
    const before = clock.packs[f.pack];
    const flownOn = before && restWh(problem, f, before) + 1e-9 >= f.route.wattHours ? before : undefined;
    if (flownOn) takenOff(clock, flownOn);
    const at = launchOf(t, f, clock, flownOn?.restS ?? before?.fullS ?? problem.packs[f.pack]?.readyS ?? 0);
    if (!at) return null;
    launched.push(at);
    const landS = at.launchS + f.route.seconds;
    clock.crews.set(problem.groups[f.group]?.crew ?? '', landS + problem.swapS);
    clock.end = Math.max(clock.end, landS);
    clock.packs[f.pack] = rested(problem, clock, f, landS, flownOn);
  }
  return launched;
};

const bytesOf = (t: DayTables, f: DraftFlight): number =>
  f.route.shots.reduce((sum, s) => sum + (t.groups[f.group]?.problem.shots[s]?.bytes ?? 0), 0);

/** Whether shots come in the order a person wants, and find room on the cards. */
export const allowed = (t: DayTables, flights: Flights): boolean => {
  const { before, cards } = t.problem;
  if (before.length > 0) {
    const rank = new Map(
      flights
        .flatMap((f) => f.route.shots.map((s) => t.groups[f.group]?.problem.shots[s]?.id ?? ''))
        .map((id, i) => [id, i]),
    );
    for (const [a, b] of before) {
      const [x, y] = [rank.get(a), rank.get(b)];
      if (x !== undefined && y !== undefined && x > y) return false;
    }
  }
  return (
    !cards ||
    cardsHold(
      cards,
      flights.map((f) => bytesOf(t, f)),
    )
  );
};
