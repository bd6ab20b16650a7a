import { routeOf, type Route } from './route';
import { valid, type Draft, type Where } from './draft';
import type { DayTables, DraftFlight, Flights } from './timeline';

const replaced = <T>(list: readonly T[], i: number, value: T): T[] =>
  list.map((v, n) => (n === i ? value : v));
const inserted = <T>(list: readonly T[], i: number, value: T): T[] => [
  ...list.slice(0, i),
  value,
  ...list.slice(i),
];

/** A flight with one shot more, at each place in its order that its setting and its pack allow. */
const longer = (t: DayTables, f: DraftFlight, shot: number, blink: () => boolean): Route[] => {
  const own = t.groups[f.group];
  const usableWh = t.problem.packs[f.pack]?.usableWh[f.group] ?? 0;
  const pinned = own?.packOf[shot] ?? -1;
  if (
    !own ||
    f.fixed ||
    f.route.shots.length >= (own.problem.mostStops ?? Infinity) ||
    (f.route.bits & (own.settingBits[shot] ?? 0)) === 0 ||
    (pinned !== -1 && pinned !== f.pack)
  )
    return [];
  return Array.from({ length: f.route.shots.length + 1 }, (_, at) =>
    blink() ? null : routeOf(own, inserted(f.route.shots, at, shot)),
  ).filter((made): made is Route => made !== null && made.wattHours <= usableWh + 1e-9);
};

/** Puts a shot where it adds least: into a flight there is, else into a new one on the pack that suits it best. */
const placed = (
  t: DayTables,
  flights: Flights,
  { group, shot }: Where,
  blink: () => boolean,
): Flights | null => {
  const options = flights
    .flatMap((f, i) =>
      f.group === group
        ? longer(t, f, shot, blink).map((route) => ({ i, route, more: route.seconds - f.route.seconds }))
        : [],
    )
    .sort((a, b) => a.more - b.more);
  for (const { i, route } of options) {
    const f = flights[i];
    const next = f && replaced(flights, i, { ...f, route });
    if (next && valid(t, next)) return next;
  }
  return onNewPack(t, flights, { group, shot });
};

/** Where in a row of flights one of a group may come: places keep their order. */
const gaps = (t: DayTables, flights: Flights, group: number): number[] => {
  const placeOf = (g: number): number => t.problem.groups[g]?.place ?? 0;
  const place = placeOf(group);
  return Array.from({ length: flights.length + 1 }, (_, at) => at).filter(
    (at) =>
      (at === 0 || placeOf(flights[at - 1]?.group ?? 0) <= place) &&
      (at === flights.length || placeOf(flights[at]?.group ?? 0) >= place),
  );
};

/** A flight of its own for a shot: on the biggest pack left, else on one that flew and has enough left, or comes back from the charger. */
const onNewPack = (t: DayTables, flights: Flights, { group, shot }: Where): Flights | null => {
  const own = t.groups[group];
  const alone = own && routeOf(own, [shot]);
  if (!alone || !own) return null;
  const used = new Set(flights.map((f) => f.pack));
  const pinned = own.packOf[shot] ?? -1;
  const usable = (i: number): number => t.problem.packs[i]?.usableWh[group] ?? 0;
  const packs = t.problem.packs
    .map((p, i) => ({ p, i }))
    .filter(
      ({ p, i }) =>
        (!used.has(i) || p.again || p.fullWh) &&
        usable(i) + 1e-9 >= alone.wattHours &&
        (pinned === -1 || pinned === i),
    )
    .sort((a, b) => Number(used.has(a.i)) - Number(used.has(b.i)) || usable(b.i) - usable(a.i));
  for (const { i } of packs)
    for (const at of gaps(t, flights, group)) {
      const next = inserted(flights, at, { route: alone, pack: i, group, fixed: false, notBeforeS: 0 });
      if (valid(t, next)) return next;
    }
  return null;
};

/** Puts in what waits, one after another as it waits; what finds no place is left. */
export const filled = (
  t: DayTables,
  flights: Flights,
  waiting: readonly Where[],
  blink: () => boolean,
): Draft => {
  const left: Where[] = [];
  let now = flights;
  for (const w of waiting) {
    const next = placed(t, now, w, blink);
    if (next) now = next;
    else left.push(w);
  }
  return { flights: now, left };
};
