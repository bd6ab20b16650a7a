import { setUpTimes } from '../pilot';
import { flightIds } from './flight-identity';
import {
  fillFlights,
  type FillResult,
  type Flight,
  type FlightRules,
  type DecidedFlight,
  type Launch,
  type PackSupply,
  type Recharge,
  type ShotCost,
} from '../budget';
import { cardsNow } from '../cards';
import { learned, calibrationOf, flyable } from '../energy';
import type { Kit, Pack, LightWish, Film, FlightPlan, Location, Shot } from '../model';
import { suppliesOf } from './pack-day';
import { hardestWeather, locationAt } from '../weather';
import { addDays, isZone, localToUtc, minutesOf } from '../time';
import { LIGHT_DEFINITIONS, lightDay, type LightDay } from '../light';
import { heaviestFilterKg } from '../payload';
import { type ShotFacts, flyerOf, windOf } from '../shot';

/** A flight with the minutes it is planned at. */
export interface TimedFlight extends Flight {
  /** Stays when its shots change their order or the plan is applied again. */
  readonly id: string;
  readonly locationId: string;
  readonly startMs: number;
  readonly endMs: number;
  /** Instant each shot begins, by shot id. */
  readonly shotMs: Readonly<Record<string, number>>;
}

/** What is worked out for one location: its day's light, its flights, its window. */
export interface LocationPlan {
  readonly location: Location;
  /** The location in the hardest weather of its window: what packs give in its cold, what a plan must hold. */
  readonly hardest: Location;
  readonly light: LightDay | null;
  readonly windowFromMs: number;
  readonly windowToMs: number;
  readonly flights: readonly TimedFlight[];
  readonly fill: FillResult;
}

const comesAlong =
  (film: Pick<Film, 'leftHome'>) =>
  (thing: { readonly id: string; readonly retired: boolean }): boolean =>
    !thing.retired && !film.leftHome.includes(thing.id);

/** Aircraft and packs with what logged flights have taught: energy, drain of single packs, set-up time. */
const taught = (kit: Kit): Pick<Kit, 'aircraft' | 'packs'> => {
  const { aircraft, packs } = learned(kit.aircraft, kit.packs, calibrationOf(kit));
  const times = setUpTimes(kit.flightLog);
  return {
    packs,
    aircraft: aircraft.map((a) => {
      const time = times.get(a.id);
      return time ? { ...a, setUpFactor: time.factor } : a;
    }),
  };
};

/**
 * The kit without what is retired or stays at home on this film, its aircraft and packs with what logged flights have taught,
 * where the film learns. Aircraft stay: shots refer to them.
 */
export const kitOnLocation = (
  kit: Kit,
  film: Pick<Film, 'leftHome'> & {
    readonly preferences: Pick<Film['preferences'], 'learn' | 'countRehearsed'>;
  },
): Kit => {
  const comes = comesAlong(film);
  const { aircraft, packs } = film.preferences.learn ? taught(kit) : kit;
  return {
    aircraft,
    packs: packs.filter(comes),
    cards: cardsNow(kit.cards.filter(comes), kit.cardMoves),
    filters: kit.filters.filter(comes),
    pilots: kit.pilots,
    practice: film.preferences.countRehearsed
      ? kit.practice
      : kit.practice.filter((p) => p.handling !== 'simulator'),
    chargers: kit.chargers.filter(comes),
    devices: kit.devices.filter(comes),
    flightLog: kit.flightLog,
    gear: kit.gear.filter(comes),
    cardMoves: kit.cardMoves,
    checks: kit.checks,
  };
};

/** Packs a film may fly: sound ones, one held back for luck where the film wants that. */
export const packsToFly = (kit: Pick<Kit, 'packs'>, film: Film): Pack[] => {
  const sound = flyable(kit.packs);
  return film.preferences.holdBackSpare ? withoutSpare(sound) : sound;
};

/** Holds one pack back for luck from each aircraft that has more than one. */
const withoutSpare = (packs: readonly Pack[]): Pack[] =>
  packs.filter((pack) => {
    const sisters = packs.filter((p) => p.aircraftIds.join() === pack.aircraftIds.join());
    return sisters.length < 2 || sisters.at(-1) !== pack;
  });

/** What the day at a place is bounded by; instants in UTC ms. */
export interface LocationDay {
  readonly light: LightDay | null;
  readonly windowFromMs: number;
  readonly windowToMs: number;
}

/** What the day of a location hangs on. */
export type DayPlace = Pick<
  Location,
  'date' | 'zone' | 'placed' | 'latitude' | 'longitude' | 'windowStart' | 'windowEnd'
>;
/** What a film counts as golden and blue light, and when lamps come on. */
export type LightPreferences = Pick<
  Film['preferences'],
  | 'goldenTopDeg'
  | 'goldenBottomDeg'
  | 'civilDeg'
  | 'sunBandTopDeg'
  | 'sunBandBottomDeg'
  | 'lampsDelayMin'
  | 'lampsRampMin'
>;

/** What of a film's preferences the light of a day hangs on. */
export const lightPreferences = (p: Film['preferences']): LightPreferences => ({
  goldenTopDeg: p.goldenTopDeg,
  goldenBottomDeg: p.goldenBottomDeg,
  civilDeg: p.civilDeg,
  sunBandTopDeg: p.sunBandTopDeg,
  sunBandBottomDeg: p.sunBandBottomDeg,
  lampsDelayMin: p.lampsDelayMin,
  lampsRampMin: p.lampsRampMin,
});

/** Light and window of a location's day; no light where nobody said where it lies, neither when zone or date are unusable. */
export const locationDay = (
  location: DayPlace,
  { preferences: p }: { readonly preferences: LightPreferences },
): LocationDay => {
  const usable =
    isZone(location.zone) &&
    !Number.isNaN(Date.parse(`${location.date}T00:00:00Z`)) &&
    Math.abs(location.latitude) <= 90 &&
    Math.abs(location.longitude) <= 180;
  if (!usable) return { light: null, windowFromMs: NaN, windowToMs: NaN };
  const at = (text: string, date = location.date): number => localToUtc(date, minutesOf(text), location.zone);
  const windowFromMs = at(location.windowStart);
  const end = at(location.windowEnd);
  return {
    light: location.placed
      ? lightDay(
          location.date,
          location.zone,
          location.latitude,
          location.longitude,
          {
            ...LIGHT_DEFINITIONS,
            goldenTopDeg: p.goldenTopDeg,
            goldenBottomDeg: p.goldenBottomDeg,
            civilDeg: p.civilDeg,
            sunBandTopDeg: p.sunBandTopDeg,
            sunBandBottomDeg: p.sunBandBottomDeg,
            lampsRampMin: p.lampsRampMin,
          },
          p.lampsDelayMin,
        )
      : null,
    windowFromMs,
    // On the clock of the next day, which may be an hour off after a change.
    windowToMs: end > windowFromMs ? end : at(location.windowEnd, addDays(location.date, 1)),
  };
};

/** Stretches of the day that have the light a shot wants, as far as they follow from the sun; none for the other wishes. */
const wishedStretches = (wish: LightWish, { light }: LocationDay): { fromMs: number; toMs: number }[] => {
  if (!light) return [];
  if (wish === 'lamps') return [...light.lampSpans];
  if (wish === 'before-lamps')
    return light.lampSpans.map(({ fromMs }) => ({ fromMs: -Infinity, toMs: fromMs }));
  return light.windows.filter((w) => w.kind === wish);
};

const inWindow = (wish: LightWish, day: LocationDay): { fromMs: number; toMs: number }[] =>
  wishedStretches(wish, day).filter((w) => w.toMs > day.windowFromMs && w.fromMs < day.windowToMs);

/** Seconds after the window opens at which the light a shot wants begins; 0 when it is there already or never comes in the window. */
const wishFrom = (wish: LightWish, day: LocationDay): number => {
  const reached = inWindow(wish, day)[0]?.fromMs ?? -Infinity;
  return Math.max(0, (reached - day.windowFromMs) / 1000);
};

/** Instant by which a shot should be done: its own latest time, the light it wants, the end of the window. */
export const lightEndMs = (
  day: LocationDay,
  location: Location,
  { wants, notAfter }: Pick<Shot, 'wants' | 'notAfter'>,
): number => {
  const ends = inWindow(wants, day).map((w) => w.toMs);
  const pinned = notAfter === null ? Infinity : pinnedMs(notAfter, location, day);
  return Math.min(
    day.windowToMs,
    ends.length > 0 ? Math.max(...ends) : Infinity,
    Number.isFinite(pinned) ? pinned : Infinity,
  );
};

/** Instant a clock face stands for in a place's window: past midnight where the window is. */
export const pinnedMs = (clock: string, location: Location, day: LocationDay): number => {
  const ms = localToUtc(location.date, minutesOf(clock), location.zone);
  if (ms >= day.windowFromMs || !Number.isFinite(ms)) return ms;
  const next = localToUtc(addDays(location.date, 1), minutesOf(clock), location.zone);
  return next <= day.windowToMs ? next : ms;
};

/** Seconds after the window opens before which a shot is not flown: for its light, or because a person wants it so. */
const notBefore = (shot: Shot, location: Location, day: LocationDay): number => {
  const pinned =
    shot.notBefore === null ? 0 : (pinnedMs(shot.notBefore, location, day) - day.windowFromMs) / 1000;
  return Math.max(wishFrom(shot.wants, day), Number.isFinite(pinned) ? pinned : 0);
};

/** Seconds and energy of a shot in some weather. */
const flownCost = (facts: ShotFacts): { airS: number; wattHours: number } => ({
  airS: facts.seconds.airS,
  wattHours: facts.energy?.totalWh ?? 0,
});

/** A shot as the budget sees it; null where it has no path or no aircraft. */
export const costOf = (
  facts: ShotFacts,
  location: Location,
  day: LocationDay,
  launch: Launch,
): ShotCost | null =>
  facts.energy && facts.aircraft && !facts.aircraft.retired
    ? {
        shotId: facts.shot.id,
        aircraftId: facts.aircraft.id,
        from: facts.fromPoint,
        to: facts.toPoint,
        airS: facts.seconds.airS,
        wattHours: facts.energy.totalWh,
        notBeforeS: notBefore(facts.shot, location, day),
        launch,
      }
    : null;

const timed = (
  flights: readonly Flight[],
  location: Location,
  fromMs: number,
  taken: ReadonlySet<string>,
): TimedFlight[] => {
  const ids = flightIds(flights, location.id, taken);
  // What is new comes first: a field added behind a spread costs as much as ten before it, and this runs for every flight.
  return flights.map((flight, i) => ({
    id: ids[i] ?? '',
    locationId: location.id,
    startMs: fromMs + flight.startS * 1000,
    endMs: fromMs + (flight.startS + flight.seconds) * 1000,
    shotMs: Object.fromEntries(flight.stops.map((s) => [s.shotId, fromMs + s.atS * 1000])),
    ...flight,
  }));
};

/** What a place is flown with and from, and what was decided about it. */
export interface LocationPlanParts {
  readonly location: Location;
  readonly film: Film;
  readonly kit: Kit;
  readonly shots: readonly ShotFacts[];
  readonly packs: readonly PackSupply[];
  readonly recharge: Recharge | null;
  readonly day: LocationDay;
  /** Seconds after the window opens at which one is there and ready. */
  readonly readyS: number;
  /** Flights laid down for it, in order. */
  readonly laid: readonly FlightPlan[];
  /** Shots that are in the can. */
  readonly done: ReadonlySet<string>;
  /** Packs given to flights laid down for later places of the day. */
  readonly reservedPacks: ReadonlySet<string>;
  /** Ids of all flights that were decided or logged. */
  readonly flightIdsTaken: ReadonlySet<string>;
  readonly launchFor: (shot: Pick<Shot, 'launchId'>) => Launch;
  /** A shot in the weather of an instant; as it is where left out. */
  readonly factsAt?: (facts: ShotFacts, utcMs: number) => ShotFacts;
}

const breaksOf = (location: Location, day: LocationDay): FlightRules['breaks'] =>
  location.breaks.map(({ from, minutes }) => {
    const fromS = (pinnedMs(from, location, day) - day.windowFromMs) / 1000;
    return { fromS, toS: fromS + minutes * 60 };
  });

/** Flights as they were laid down, with what is left of them to fly: a shot is flown once, by the aircraft it asks for. */
const decidedFlights = (parts: LocationPlanParts, costs: ReadonlyMap<string, ShotCost>): DecidedFlight[] => {
  const taken = new Set<string>();
  return parts.laid.map((f) => {
    const stops = f.stops.flatMap(({ shotId, pinned }) => {
      const cost = costs.get(shotId);
      if (!cost || taken.has(shotId) || cost.aircraftId !== f.aircraftId) return [];
      taken.add(shotId);
      return [{ cost, pinned }];
    });
    const from =
      f.notBefore === null
        ? 0
        : (pinnedMs(f.notBefore, parts.location, parts.day) - parts.day.windowFromMs) / 1000;
    return {
      id: f.id,
      aircraftId: f.aircraftId,
      packId: f.packId,
      launch: parts.launchFor({ launchId: f.launchId }),
      locked: f.locked,
      notBeforeS: Number.isFinite(from) ? from : 0,
      stops,
    };
  });
};

/** Flights of a location: those laid down, then shots in list order put on the packs at hand, timed from the start of its window. */
export const locationPlan = (parts: LocationPlanParts): LocationPlan => {
  const { location, film, kit, shots, packs, recharge, day, readyS, launchFor } = parts;
  const flyers = new Map(
    kit.aircraft.map((a) => [a.id, flyerOf(a, location, film, heaviestFilterKg(kit.filters, a.id, null))]),
  );
  const windowS = (day.windowToMs - day.windowFromMs) / 1000;
  const changes = location.hours.length > 0 && Number.isFinite(day.windowFromMs);
  const utcAt = (atS: number): number => day.windowFromMs + atS * 1000;
  const hardest = hardestWeather(location, day.windowFromMs, day.windowToMs);
  const rules: FlightRules = {
    wind: windOf(location),
    ...(changes ? { windAt: (atS: number) => windOf(locationAt(location, utcAt(atS))) } : {}),
    returnHeightM: location.returnHeightM,
    onePackOneShot: film.preferences.packUse === 'one-shot',
    swapS: film.preferences.swapMinutes * 60,
    flyerOf: (id: string) => flyers.get(id),
    atOnce: film.preferences.flyAtOnce,
    breaks: breaksOf(location, day),
    readyS,
    reservedPacks: parts.reservedPacks,
    windowS: Number.isFinite(windowS) ? windowS : 0,
  };
  const open = shots.filter((f) => !parts.done.has(f.shot.id));
  const costs = new Map(
    open.flatMap((f) => {
      const cost = costOf(f, location, day, launchFor(f.shot));
      if (!cost) return [];
      const { factsAt } = parts;
      if (!changes || !factsAt) return [[f.shot.id, cost] as const];
      const costAt = (atS: number) => flownCost(factsAt(f, utcAt(atS)));
      return [[f.shot.id, { costAt, ...cost }] as const];
    }),
  );
  const laid = parts.laid.length > 0 ? decidedFlights(parts, costs) : [];
  const inFlights = new Set(laid.flatMap((f) => f.stops.map((s) => s.cost.shotId)));
  const loose = [...costs.values()].filter((c) => !inFlights.has(c.shotId));
  const fill = fillFlights(loose, packs, suppliesOf(kit.packs, hardest, film, true), rules, laid, recharge);
  const lost = open
    .filter((f) => !costs.has(f.shot.id))
    .map((f) => ({
      shotId: f.shot.id,
      reason: f.aircraft && !f.aircraft.retired ? ('no-path' as const) : ('no-aircraft' as const),
      shortWh: 0,
    }));
  return {
    location,
    hardest,
    ...day,
    flights: timed(fill.flights, location, day.windowFromMs, parts.flightIdsTaken),
    fill: { ...fill, unfit: [...fill.unfit, ...lost] },
  };
};
