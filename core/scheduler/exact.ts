import { pastBreaks, settingOf, spanOf, stopsOf, tablesOf, type Tables } from './tables';
import type { Plan, PlanAnswer, PlannedFlight, PlanPack, PlanProblem } from './types';

/** A flight begun: what it has cost so far, and when it may have been launched. */
interface Label {
  readonly seconds: number;
  readonly wattHours: number;
  /** Launches before `from` begin a shot too early, after `to` end one too late. */
  readonly from: number;
  readonly to: number;
  readonly way: number;
  readonly before: Label | null;
}

/** A whole flight over a set of shots. */
interface Tour extends Label {
  readonly bits: number;
}

const EPS = 1e-9;

const dominates = (a: Label, b: Label): boolean =>
  a.seconds <= b.seconds + EPS &&
  a.wattHours <= b.wattHours + EPS &&
  a.from <= b.from + EPS &&
  a.to >= b.to - EPS;

/** Keeps what nothing else is better than in every respect. */
const keep = <T extends Label>(list: T[], made: T): void => {
  if (list.some((l) => dominates(l, made))) return;
  for (let i = list.length - 1; i >= 0; i -= 1) {
    const l = list[i];
    if (l && dominates(made, l)) list.splice(i, 1);
  }
  list.push(made);
};

const extended = (t: Tables, before: Label | null, way: number, setting: string | null): Label | null => {
  const shot = t.problem.shots[t.shotOf[way] ?? -1];
  const leg = before ? t.between[before.way]?.[way] : t.out[way];
  const home = t.home[way];
  if (!shot || !leg || !home) return null;
  const so = before ?? { ...t.problem.takeoff, from: 0, to: Infinity };
  const start = so.seconds + leg.seconds;
  const seconds = start + shot.performS;
  const wattHours = so.wattHours + leg.wattHours + shot.performWh;
  const span = spanOf(shot, setting);
  const from = Math.max(so.from, span.earliestS - start);
  const to = Math.min(so.to, span.latestS - seconds);
  if (from > to + EPS || wattHours + home.wattHours + t.problem.landing.wattHours > t.biggestPackWh + EPS)
    return null;
  return { seconds, wattHours, from, to, way, before };
};

type Layer = Map<string, { readonly set: number; readonly bits: number; readonly labels: Label[] }>;

const addTo = (layer: Layer, set: number, bits: number, label: Label): void => {
  const key = `${set}|${label.way}`;
  let entry = layer.get(key);
  if (!entry) layer.set(key, (entry = { set, bits, labels: [] }));
  keep(entry.labels, label);
};

/** A begun flight with one shot more, each shot and each way of it. */
const grown = (
  t: Tables,
  into: Layer,
  set: number,
  bits: number,
  label: Label | null,
  setting: string | null,
): void => {
  t.problem.shots.forEach((_, shot) => {
    const both = bits & (t.settingBits[shot] ?? 0);
    // Nothing that has to come after it may have been flown.
    if (set & (1 << shot) || both === 0 || set & (t.afterBits[shot] ?? 0)) return;
    for (const way of t.waysOf[shot] ?? []) {
      const made = extended(t, label, way, setting);
      if (made) addTo(into, set | (1 << shot), both, made);
    }
  });
};

/** Every flight worth considering, by the set of its shots: shortest, cheapest and best placed in time, none beaten in all of it. */
const bitCount = (n: number): number => {
  let [left, count] = [n, 0];
  while (left) {
    left &= left - 1;
    count += 1;
  }
  return count;
};

const toursWith = (t: Tables, tours: Map<number, Tour[]>, wanted: number, setting: string | null): void => {
  const { landing } = t.problem;
  let layer: Layer = new Map();
  grown(t, layer, 0, wanted, null, setting);
  while (layer.size > 0) {
    const next: Layer = new Map();
    for (const { set, bits, labels } of layer.values())
      for (const label of labels) {
        const home = t.home[label.way];
        const list = tours.get(set) ?? [];
        if (home)
          keep(list, {
            ...label,
            bits,
            seconds: label.seconds + home.seconds + landing.seconds,
            wattHours: label.wattHours + home.wattHours + landing.wattHours,
          });
        tours.set(set, list);
        if (bitCount(set) < (t.problem.mostStops ?? Infinity)) grown(t, next, set, bits, label, setting);
      }
    layer = next;
  }
};

const toursOf = (t: Tables): Map<number, Tour[]> => {
  const tours = new Map<number, Tour[]>();
  // Where light opens and closes differently behind each filter, flights are sought filter by filter.
  if (t.problem.shots.some((s) => s.windows))
    t.settings.forEach((key, i) => toursWith(t, tours, 1 << i, key));
  else toursWith(t, tours, ~0, null);
  return tours;
};

/** A day begun: some shots flown on some packs. */
interface Day {
  readonly airborneS: number;
  readonly readyS: number;
  readonly last: {
    readonly tour: Tour;
    readonly pack: PlanPack;
    readonly launchS: number;
    readonly before: Day | null;
  } | null;
}

const dayKeep = (list: Day[], made: Day): void => {
  const better = (a: Day, b: Day): boolean => a.airborneS <= b.airborneS + EPS && a.readyS <= b.readyS + EPS;
  if (list.some((d) => better(d, made))) return;
  for (let i = list.length - 1; i >= 0; i -= 1) {
    const d = list[i];
    if (d && better(made, d)) list.splice(i, 1);
  }
  list.push(made);
};

const flightOf = (t: Tables, { tour, pack, launchS }: NonNullable<Day['last']>): PlannedFlight => {
  const ways: number[] = [];
  for (let l: Label | null = tour; l; l = l.before) ways.unshift(l.way);
  return {
    packId: pack.id,
    setting: settingOf(t, tour.bits),
    launchS,
    airborneS: tour.seconds,
    wattHours: tour.wattHours,
    stops: stopsOf(t, ways, launchS),
  };
};

const planOf = (t: Tables, set: number, day: Day): Plan => {
  const flights: PlannedFlight[] = [];
  for (let d: Day | null = day; d?.last; d = d.last.before) flights.unshift(flightOf(t, d.last));
  const flown = t.problem.shots.filter((_, i) => set & (1 << i));
  return {
    flights,
    airborneS: day.airborneS,
    weight: flown.reduce((sum, s) => sum + s.weight, 0),
    left: t.problem.shots.filter((_, i) => !(set & (1 << i))).map((s) => s.id),
  };
};

/** Packs of the same worth stand for each other: only the first unused of them is tried. */
const firstOfKind = (packs: readonly PlanPack[], used: number, pinned: readonly number[]): number[] =>
  packs.flatMap((p, i) => {
    if (used & (1 << i)) return [];
    const like = packs.findIndex(
      (q, k) =>
        !(used & (1 << k)) &&
        !pinned.includes(k) &&
        !pinned.includes(i) &&
        q.usableWh === p.usableWh &&
        (q.readyS ?? 0) === (p.readyS ?? 0),
    );
    return like === i || like === -1 ? [i] : [];
  });

const NO_DAY: Day = { airborneS: 0, readyS: 0, last: null };
/** Shots and packs of a state are bits of one number. */
const PACK_BITS = 16;

interface Best {
  readonly set: number;
  readonly flights: number;
  readonly weight: number;
  readonly day: Day;
}

const weigh = (problem: PlanProblem, set: number): number =>
  problem.shots.reduce((sum, s, i) => (set & (1 << i) ? sum + s.weight : sum), 0);

const better = (best: Best, so: Omit<Best, 'day'>, days: readonly Day[]): Best =>
  days.reduce((b, day) => {
    if (Math.abs(so.weight - b.weight) > EPS) return so.weight > b.weight ? { ...so, day } : b;
    return so.flights < b.flights || (so.flights === b.flights && day.airborneS < b.day.airborneS - EPS)
      ? { ...so, day }
      : b;
  }, best);

/** Flies some shots after the days so far, on each kind of pack left. */
const flownNext = (
  t: Tables,
  next: Map<number, Day[]>,
  key: number,
  days: readonly Day[],
  shots: number,
  tours: readonly Tour[],
): void => {
  const { packs, swapS } = t.problem;
  for (const p of firstOfKind(packs, key & ((1 << PACK_BITS) - 1), t.packOf)) {
    const pack = packs[p];
    if (!pack) continue;
    if (t.packOf.some((own, s) => own !== -1 && own !== p && shots & (1 << s))) continue;
    const to = key | (shots << PACK_BITS) | (1 << p);
    for (const tour of tours)
      for (const day of days) {
        const launchS = pastBreaks(
          Math.max(day.readyS, pack.readyS ?? 0, tour.from),
          tour.seconds,
          t.problem.breaks,
        );
        if (tour.wattHours > pack.usableWh + EPS || launchS > tour.to + EPS) continue;
        const made = next.get(to) ?? [];
        dayKeep(made, {
          airborneS: day.airborneS + tour.seconds,
          readyS: launchS + tour.seconds + swapS,
          last: { tour, pack, launchS, before: day },
        });
        next.set(to, made);
      }
  }
};

/** Whether one of some shots should have been flown before what was. */
const comesLate = (t: Tables, shots: number, flown: number): boolean =>
  t.afterBits.some((after, s) => shots & (1 << s) && after & flown);

/** Most shots for which every flight and every day is looked at. */
export const EXACT_SHOTS = 10;

/**
 * The best plan there is, proven: flights are found by labels over sets of shots, days by labels over sets flown and packs used
 * (dynamic programming with dominance; Desrochers & Soumis' labelling for routes with windows). Nobody waits in the air.
 * @throws RangeError beyond `EXACT_SHOTS` shots
 */
export const planExactly = (problem: PlanProblem): PlanAnswer => {
  if (problem.shots.length > EXACT_SHOTS)
    throw new RangeError(`${problem.shots.length} shots are too many for a proof`);
  const t = tablesOf(problem);
  const tours = [...toursOf(t)];
  let best: Best = { set: 0, flights: 0, weight: 0, day: NO_DAY };
  // Sets of packs grow with each flight: by their count, every state is whole before it is left.
  let level = new Map<number, Day[]>([[0, [NO_DAY]]]);
  for (let flights = 0; level.size > 0; flights += 1) {
    const next = new Map<number, Day[]>();
    for (const [key, days] of level) {
      const set = key >> PACK_BITS;
      best = better(best, { set, flights, weight: weigh(problem, set) }, days);
      for (const [shots, list] of tours)
        if ((shots & set) === 0 && !comesLate(t, shots, set)) flownNext(t, next, key, days, shots, list);
    }
    level = next;
  }
  return { plan: planOf(t, best.set, best.day), proven: true, weightBound: best.weight };
};
