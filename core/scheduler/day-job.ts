import { chargeCurve, slotMinutes, type ChargeCurve } from '../charge';
import { plannableBytes } from '../cards';
import type {
  Aircraft,
  Charger,
  Pack,
  Preferences,
  FilmInput,
  FlightPlan,
  Location,
  Priority,
} from '../model';
import type { DayProblem } from './day';
import type { PlanShot, Span, Way } from './types';
import { groupBy, inOrder } from '../units';
import type { Vec3 } from '../geometry';
import {
  isUsed,
  endOfFlown,
  loggedOn,
  PackDay,
  type FilmPlan,
  costOf,
  kitOnLocation,
  lightEndMs,
  packsToFly,
  pinnedMs,
  type LocationPlan,
  beforePairs,
} from '../day';
import { weatherStates } from '../weather';
import { takesOf, locationLight, factsInWeather, shotFacts, type ShotFacts } from '../shot';
import { launchOf } from '../location';
import { heaviestFilterKg } from '../payload';
import { fewSettings } from './few-settings';
import { filterWindows } from './filter-windows';

/** A must outweighs all the shoulds there could be, a should all the coulds. */
export const WEIGHTS: Readonly<Record<Priority, number>> = { must: 1_000_000, should: 1000, could: 1 };

/** Shots of a launch point and an aircraft at a place, as plain data that can be sent beside the page. */
export interface JobGroup {
  readonly id: string;
  readonly location: Location;
  /** The location in the weather it goes through over its window. */
  readonly weathers: readonly Location[];
  readonly place: number;
  readonly aircraft: Aircraft;
  readonly launchId: string | null;
  readonly launch: Vec3;
  readonly addedKg: number;
  readonly openS: number;
  readonly breaks: readonly Span[];
  readonly shots: readonly PlanShot[];
}

/** What is asked of the planner for a date. */
export interface DayJob {
  readonly date: string;
  /** Instant of second zero. */
  readonly zeroMs: number;
  readonly preferences: Preferences;
  readonly groups: readonly JobGroup[];
  readonly packs: readonly {
    readonly id: string;
    readonly usableWh: readonly number[];
    readonly slots: readonly number[];
    readonly curve: ChargeCurve | null;
    readonly fullWh: number;
    /** Full, in the cold of each group. */ readonly fullWhOf: readonly number[];
  }[];
  readonly chargerSlots: number;
  readonly travelS: readonly number[];
  readonly before: readonly (readonly [string, string])[];
  readonly cards: DayProblem['cards'];
  readonly fixed: readonly {
    readonly groupId: string;
    readonly packId: string;
    readonly shotIds: readonly string[];
    readonly notBeforeS: number;
  }[];
}

/** Ways of flying a shot: as it stands, and from its end where it is flown both ways anyway. */
const waysOf = (facts: ShotFacts): Way[] => {
  const own: Way = { from: facts.fromPoint, to: facts.toPoint, reversed: false };
  const { shot, move } = facts;
  if (!move?.reversible || shot.takeStyle !== 'there-and-back' || takesOf(shot) < 2) return [own];
  const turned = shotFacts({
    ...facts,
    shot: { ...shot, move: { ...shot.move, reversed: !shot.move.reversed } },
  });
  return turned.trajectory ? [own, { from: turned.fromPoint, to: turned.toPoint, reversed: true }] : [own];
};

interface Day {
  readonly input: FilmInput;
  readonly derived: FilmPlan;
  readonly places: readonly LocationPlan[];
  readonly zeroMs: number;
  readonly nowMs: number;
  readonly pinned: ReadonlyMap<string, string>;
}

/** What a shot costs at the most over the weather of its window: a plan made of that holds whenever it is flown. */
const costliest = ({ input }: Day, place: LocationPlan, facts: ShotFacts): ShotFacts => {
  if (place.location.hours.length === 0) return facts;
  const addedKg = heaviestFilterKg(input.kit.filters, facts.shot.aircraftId, facts.shot.exposure.filterId);
  const all = weatherStates(place.location, place.windowFromMs, place.windowToMs).map((location) =>
    factsInWeather(facts, { ...facts, location, addedKg }),
  );
  const most = all.reduce((a, b) => ((b.energy?.totalWh ?? 0) > (a.energy?.totalWh ?? 0) ? b : a), facts);
  const airS = Math.max(...all.map((f) => f.seconds.airS), facts.seconds.airS);
  return { ...most, seconds: { ...most.seconds, airS } };
};

const planShot = (day: Day, place: LocationPlan, flown: ShotFacts): PlanShot | null => {
  const { input, zeroMs, pinned } = day;
  const facts = costliest(day, place, flown);
  const launch = launchOf(input.features, input.terrain?.get(place.location.id), place.location, facts.shot);
  const cost = costOf(facts, place.location, place, launch);
  if (!cost) return null;
  const offS = (place.windowFromMs - zeroMs) / 1000;
  const span = {
    earliestS: cost.notBeforeS,
    latestS: Math.max(
      (lightEndMs(place, place.location, facts.shot) - place.windowFromMs) / 1000,
      cost.notBeforeS,
    ),
  };
  const lit = place.light
    ? locationLight(place.location, place.light, input.readings, input.film.preferences)
    : null;
  const light = lit ? filterWindows(facts, input.kit, lit, place.windowFromMs, span) : null;
  const shifted = (s: Span): Span => ({ earliestS: s.earliestS + offS, latestS: s.latestS + offS });
  const packId = pinned.get(facts.shot.id);
  return {
    id: facts.shot.id,
    weight: WEIGHTS[facts.shot.priority],
    ways: waysOf(facts),
    performS: cost.airS,
    performWh: cost.wattHours,
    bytes: facts.bytes,
    ...shifted(span),
    settings: light ? light.settings : ['any'],
    ...(packId === undefined ? {} : { packId }),
    ...(light
      ? { windows: Object.fromEntries(Object.entries(light.windows).map(([key, s]) => [key, shifted(s)])) }
      : {}),
  };
};

const groupsOf = (day: Day): JobGroup[] =>
  day.places.flatMap((place, n) => {
    const { input, derived, zeroMs, nowMs } = day;
    const { location } = place;
    if (place.windowToMs <= nowMs) return [];
    const facts = [...derived.shots.values()]
      .filter((s) => s.facts.location.id === location.id && !s.done)
      .map((s) => s.facts);
    const withLaunch = facts.map((f) => ({
      f,
      launch: launchOf(input.features, input.terrain?.get(location.id), location, f.shot),
    }));
    return [
      ...groupBy(
        withLaunch.filter((x) => x.f.aircraft),
        ({ f, launch }) => `${location.id}|${f.aircraft?.id ?? ''}|${launch.id ?? ''}`,
      ),
    ].flatMap(([id, list]): JobGroup[] => {
      const [first] = list;
      if (!first?.f.aircraft) return [];
      const { aircraft } = first.f;
      const planned = list.map((x) => planShot(day, place, x.f)).filter((s) => s !== null);
      const settings = fewSettings(planned.map((s) => s.settings));
      const shots = planned.map((s, i) => ({ ...s, settings: settings[i] ?? [] }));
      return shots.length === 0
        ? []
        : [
            {
              id,
              location,
              weathers: weatherStates(location, place.windowFromMs, place.windowToMs),
              place: n,
              aircraft,
              launchId: first.launch.id,
              launch: first.launch.at,
              addedKg: heaviestFilterKg(input.kit.filters, aircraft.id, null),
              openS: (Math.max(place.windowFromMs, nowMs) - zeroMs) / 1000,
              shots,
              breaks: location.breaks.map((b) => {
                const fromS = (pinnedMs(b.from, location, place) - zeroMs) / 1000;
                return { earliestS: fromS, latestS: fromS + b.minutes * 60 };
              }),
            },
          ];
    });
  });

/** Chargers that are in reach wherever the day goes, slot by slot. */
const slotsOf = (
  chargers: readonly Charger[],
  places: readonly LocationPlan[],
  between: boolean,
): Charger[] =>
  (between ? chargers : [])
    .filter((c) => c.source !== 'wall' || places.every((p) => p.location.wallPower))
    .flatMap((c) => Array.from({ length: c.manner === 'in-turn' ? 1 : c.slots }, () => c));

const packsOf = (
  day: Day,
  groups: readonly JobGroup[],
  packs: readonly Pack[],
  chargers: readonly Charger[],
  full: boolean,
): DayJob['packs'] => {
  const { input, places } = day;
  const [first] = places;
  const log = first ? loggedOn(input.kit.flightLog, input.film, first.location) : [];
  const today = new PackDay(packs, input.kit, input.film, first?.location.date ?? '', full, log);
  const held = places.map(
    (p) =>
      new Map(
        today.arrive(p.hardest, Math.max(p.windowFromMs, day.nowMs) / 1000).packs.map((s) => [s.packId, s]),
      ),
  );
  return packs.map((pack) => {
    const slots = chargers.flatMap((c, i) =>
      c.aircraftIds.length === 0 || c.aircraftIds.some((a) => pack.aircraftIds.includes(a)) ? [i] : [],
    );
    const charger = chargers[slots[0] ?? -1];
    return {
      id: pack.id,
      slots,
      curve: charger ? chargeCurve(pack, charger) : null,
      fullWh: held[0]?.get(pack.id)?.fullWh ?? 0,
      usableWh: groups.map((g) =>
        pack.aircraftIds.includes(g.aircraft.id) ? (held[g.place]?.get(pack.id)?.usableWh ?? 0) : 0,
      ),
      fullWhOf: groups.map((g) => held[g.place]?.get(pack.id)?.fullWh ?? 0),
    };
  });
};

const fixedOf = (day: Day, groups: readonly JobGroup[], locked: readonly FlightPlan[]): DayJob['fixed'] =>
  locked.flatMap((f) => {
    const place = day.places.find((p) => p.location.id === f.locationId);
    const flight = place?.flights.find((x) => x.planId === f.id);
    const group = groups.find(
      (g) =>
        g.location.id === f.locationId &&
        g.aircraft.id === f.aircraftId &&
        g.launchId === (flight?.launch.id ?? null),
    );
    if (!flight || !group || flight.packId === null) return [];
    const from =
      f.notBefore === null
        ? 0
        : (pinnedMs(f.notBefore, group.location, place as LocationPlan) - day.zeroMs) / 1000;
    return [
      {
        groupId: group.id,
        packId: flight.packId,
        shotIds: flight.stops.map((s) => s.shotId),
        notBeforeS: from,
      },
    ];
  });

/** What flights of earlier dates put on the cards, in the order they are flown. */
const bytesBefore = (derived: FilmPlan, date: string): number[] =>
  [...derived.places.values()]
    .filter((p) => p.location.date < date)
    .flatMap((p) => p.flights)
    .sort((a, b) => a.startMs - b.startMs)
    .map((f) => f.stops.reduce((sum, s) => sum + (derived.shots.get(s.shotId)?.facts.bytes ?? 0), 0));

/** Packs that shots are pinned to, by the flights they are pinned in. */
const pinnedPacks = (places: readonly LocationPlan[]): Map<string, string> =>
  new Map(
    places.flatMap((p) =>
      p.flights.flatMap((f) =>
        f.stops.flatMap((s) =>
          s.pinned && !f.locked && f.packId !== null ? [[s.shotId, f.packId] as const] : [],
        ),
      ),
    ),
  );

/**
 * What is asked of the planner for the places of a date, in their order.
 * @param nowMs nothing is launched before this instant
 */
export const dayJob = (
  whole: FilmInput,
  derived: FilmPlan,
  date: string,
  nowMs = -Infinity,
): DayJob | null => {
  const input = { ...whole, kit: kitOnLocation(whole.kit, whole.film) };
  const locations = inOrder(input.locations).filter((l) => l.date === date);
  const places = locations.flatMap((l) => {
    const p = derived.places.get(l.id);
    return p && Number.isFinite(p.windowFromMs) ? [p] : [];
  });
  const [first] = places;
  if (!first) return null;
  const { film } = input;
  const day: Day = { input, derived, places, zeroMs: first.windowFromMs, nowMs, pinned: pinnedPacks(places) };
  const groups = groupsOf(day);
  const dates = input.locations.map((l) => l.date).sort();
  const chargers = slotsOf(input.kit.chargers, places, film.preferences.chargeBetween);
  const packs = packsToFly(input.kit, film);
  const cards = input.kit.cards;
  const lastLog = loggedOn(input.kit.flightLog, film, first.location).at(-1);
  const readyS = lastLog
    ? (endOfFlown(lastLog) - first.windowFromMs) / 1000 + film.preferences.swapMinutes * 60
    : 0;
  return {
    date,
    zeroMs: first.windowFromMs,
    preferences: film.preferences,
    groups: groups.map((g) => ({ ...g, openS: Math.max(g.openS, readyS) })),
    packs: packsOf(day, groups, packs, chargers, date !== dates[0]),
    chargerSlots: chargers.length,
    travelS: places.map((p, i) => (i === 0 ? 0 : p.location.travelMin * 60)),
    before: beforePairs(
      groups
        .flatMap((g) => g.shots)
        .flatMap((s) => {
          const shot = derived.shots.get(s.id)?.facts.shot;
          return shot ? [shot] : [];
        }),
    ),
    cards:
      cards.length > 0
        ? {
            roomBytes: cards.map(plannableBytes),
            used: cards.map(isUsed),
            fresh: film.preferences.cardPolicy === 'fresh',
            before: bytesBefore(derived, date),
          }
        : null,
    fixed: fixedOf(day, groups, inOrder(input.flights.filter((f) => f.locked))),
  };
};

/** Seconds to bring a pack back to full after a flight took so much of it. */
export const refillS = (pack: DayJob['packs'][number], usedWh: number): number =>
  pack.curve ? slotMinutes(pack.curve, Math.max(0, 1 - usedWh / Math.max(1, pack.fullWh)), 1) * 60 : 0;
