import type { Aircraft, ExposeFor, Kit, FilmInput, FlightPlan, Location, Shot, Subject } from '../model';
import { groupBy, inOrder, KeyedMemo, toEnd } from '../units';
import type { UnfitReason } from '../budget';
import type { WindTooStrong } from '../energy';
import type { LightDay } from '../light';
import { type ShotContext, type Warning, locationWarnings, shotWarnings } from '../warnings';
import { totalsOf, type FilmTotals } from './totals';
import type { DerivedShot } from './derived';
import {
  type FilmPlan,
  endOfFlown,
  loggedOn,
  PackDay,
  filterFitOf,
  flightFilters,
  type FlightFilter,
  kitOnLocation,
  locationDay,
  locationPlan,
  packsToFly,
  type DayPlace,
  lightPreferences,
  type LightPreferences,
  type LocationPlan,
  shotsDone,
} from '../day';
import {
  pilotSkillOf,
  knownScene,
  shotLight,
  type KnownScene,
  locationLight,
  type LocationLight,
  type ShotLight,
  type ShotParts,
  factsInWeather,
  shotFacts,
  type ShotFacts,
} from '../shot';
import { launchOf } from '../location';
import { surfaceOver } from '../site';
import { hardestWeather, locationAt, WEATHER_STEP_MS } from '../weather';
import type { Ground } from '../terrain';
import { heaviestFilterKg } from '../payload';

export interface DerivedFilm extends FilmPlan<DerivedShot> {
  readonly locationWarnings: ReadonlyMap<string, readonly Warning[]>;
  readonly budget: FilmTotals;
}

const byId = <T extends { readonly id: string }>(list: readonly T[], id: string | null): T | null =>
  list.find((x) => x.id === id) ?? null;

/** Packs that flights laid down for later places of a day were given. */
const reservedLater = (
  locations: readonly Location[],
  at: Location,
  laid: ReadonlyMap<string, readonly FlightPlan[]>,
): ReadonlySet<string> =>
  new Set(
    locations
      .slice(locations.indexOf(at) + 1)
      .filter((l) => l.date === at.date)
      .flatMap((l) => (laid.get(l.id) ?? []).flatMap((f) => f.packId ?? [])),
  );

/** When a shot is flown; the start of the window where it is in no flight. */
const plannedMs = (place: LocationPlan, flightOf: ReadonlyMap<string, number>, id: string): number =>
  place.flights[flightOf.get(id) ?? -1]?.shotMs[id] ?? place.windowFromMs;

/** Minutes an exposure is reckoned for are rounded to this, so that a moving budget does not re-solve every shot. */
const LIGHT_STEP_MS = 30_000;
const stepped = (utcMs: number): number => Math.ceil(utcMs / LIGHT_STEP_MS) * LIGHT_STEP_MS;

interface KitInputs {
  readonly kit: Kit;
  readonly leftHome: readonly string[];
  readonly learn: boolean;
  readonly countRehearsed: boolean;
}
/** A shot as worked out for its location, and the location in the weather of another hour. */
interface HourInputs {
  readonly base: ShotFacts;
  readonly location: Location;
}
interface SurfaceInputs {
  readonly features: FilmInput['features'];
  readonly ground: Ground | undefined;
  readonly locationId: string;
}
interface SceneInputs {
  readonly facts: ShotFacts;
  readonly filters: Kit['filters'];
  readonly lit: LocationLight;
  readonly atMs: number;
}
interface LightInputs {
  readonly facts: ShotFacts;
  readonly scene: KnownScene;
  readonly atMs: number;
  readonly filter: FlightFilter | null;
}
interface FilterFitInputs {
  readonly facts: ShotFacts;
  readonly scene: KnownScene;
  readonly lit: LocationLight;
  readonly toMs: number;
}
interface LitInputs {
  readonly location: Location;
  readonly day: LightDay;
  readonly readings: FilmInput['readings'];
  readonly meterFadeMin: number;
  readonly exposeFor: ExposeFor;
}
interface SkillInputs {
  readonly facts: ShotFacts;
  readonly pilots: Kit['pilots'];
  readonly practice: Kit['practice'];
}
type WholeInputs = Omit<DerivedShot, 'unfit'> & {
  readonly unfitReason: UnfitReason | null;
  readonly shortWh: number;
  readonly unfitWind: WindTooStrong | null;
};

const wholeShot = (parts: WholeInputs): DerivedShot => {
  // Field by field: this runs for every shot, and taking three fields out of the rest costs more than all that is put in.
  const {
    number,
    facts,
    light,
    filter,
    flightIndex,
    done,
    hands,
    warnings,
    unfitReason,
    shortWh,
    unfitWind,
  } = parts;
  const wind = unfitWind ? { wind: unfitWind } : {};
  const unfit =
    unfitReason === null ? null : { shotId: facts.shot.id, reason: unfitReason, shortWh, ...wind };
  return { number, facts, light, filter, flightIndex, done, hands, warnings, unfit };
};

/**
 * Works a film out: everything on screen follows from this. Keep one and feed it each new state; what did not change is
 * remembered by the identity of its parts, so a slider recomputes one shot and the sums above it.
 */
export class FilmDeriver {
  private readonly kits = new KeyedMemo(({ kit, ...film }: KitInputs) =>
    kitOnLocation(kit, { leftHome: film.leftHome, preferences: film }),
  );
  private readonly surfaces = new KeyedMemo(({ features, ground, locationId }: SurfaceInputs) =>
    surfaceOver(
      features.filter((f) => f.locationId === locationId),
      ground,
    ),
  );
  private readonly facts = new KeyedMemo((parts: ShotParts): ShotFacts => {
    const facts = shotFacts(parts);
    this.partsOf.set(facts, parts);
    return facts;
  });
  private readonly partsOf = new WeakMap<ShotFacts, ShotParts>();
  /** The same in the weather of other hours, by shot and step of the weather. */
  private readonly hourFacts = new KeyedMemo(({ base, location }: HourInputs): ShotFacts => {
    const parts = this.partsOf.get(base);
    return parts ? factsInWeather(base, { ...parts, location }) : base;
  });
  private hourKeys = new Set<string>();
  private readonly scenes = new KeyedMemo(({ facts, filters, lit, atMs }: SceneInputs) =>
    knownScene(facts, { filters }, lit, atMs),
  );
  private readonly lights = new KeyedMemo(({ facts, scene, atMs, filter }: LightInputs) =>
    shotLight(facts, scene, atMs, filter ?? undefined),
  );
  private readonly filterFits = new KeyedMemo(({ facts, scene, lit, toMs }: FilterFitInputs) =>
    filterFitOf(facts, scene, lit, toMs),
  );
  private readonly lit = new KeyedMemo(({ location, day, readings, ...preferences }: LitInputs) =>
    locationLight(location, day, readings, preferences),
  );
  private readonly filters = new KeyedMemo<FlightFilter, FlightFilter>((filter) => filter);
  private readonly days = new KeyedMemo((inputs: DayPlace & LightPreferences) =>
    locationDay(inputs, { preferences: inputs }),
  );
  private readonly warned = new KeyedMemo<ShotContext, readonly Warning[]>(shotWarnings);
  private readonly skills = new KeyedMemo(({ facts, pilots, practice }: SkillInputs) =>
    pilotSkillOf(facts, { pilots, practice }),
  );
  private readonly whole = new KeyedMemo(wholeShot);

  derive(whole: FilmInput): DerivedFilm {
    return toEnd(this.steps(whole));
  }

  /** The same in small steps, for who must not be kept waiting: each of them is one shot or one place. Other questions may be asked in between. */
  *steps(whole: FilmInput): Generator<undefined, DerivedFilm> {
    this.hourKeys = new Set();
    const input = this.along(whole);
    const locations = inOrder(input.locations);
    const shots = yield* this.shotsOf(input, locations);
    const { places, charges, done } = yield* this.placesOf(input, locations, shots);
    const derived = new Map<string, DerivedShot>();
    for (const location of locations)
      yield* this.lightsOf(input, shots.get(location.id) ?? [], places.get(location.id), done, derived);
    const order = [...derived.keys()];
    const keep = new Set(order);
    for (const memo of [
      this.facts,
      this.lights,
      this.scenes,
      this.filterFits,
      this.filters,
      this.skills,
      this.warned,
      this.whole,
    ])
      memo.keep(keep);
    this.hourFacts.keep(this.hourKeys);
    const here = new Set(locations.map((l) => l.id));
    this.days.keep(here);
    this.lit.keep(here);
    return {
      shots: derived,
      order,
      places,
      charges,
      done,
      locationWarnings: new Map(
        locations.map((l) => {
          const place = places.get(l.id);
          return [l.id, place ? locationWarnings(place, shots.get(l.id) ?? []) : []];
        }),
      ),
      budget: totalsOf(
        input,
        locations.map((l) => places.get(l.id)).filter((p) => p !== undefined),
        derived,
      ),
    };
  }

  /** The flights of every place and nothing else: what a move of a shot is judged by while it is still in the hand. */
  flights(whole: FilmInput): ReadonlyMap<string, LocationPlan> {
    const input = this.along(whole);
    const locations = inOrder(input.locations);
    return toEnd(this.placesOf(input, locations, toEnd(this.shotsOf(input, locations)))).places;
  }

  /**
   * One shot as it stands in an input newer than the film was worked out for: its own facts at once, its place in the day as
   * last known. What the rest of the film makes of it follows with `derive`.
   */
  shot(whole: FilmInput, before: DerivedFilm, id: string): DerivedShot | null {
    const known = before.shots.get(id) ?? null;
    const shot = whole.shots.find((s) => s.id === id);
    const location = whole.locations.find((l) => l.id === shot?.locationId);
    const place = location && before.places.get(location.id);
    if (!known || !shot || !location || !place || place.location !== location) return known;
    const input = this.along(whole);
    const base = this.factsOf(
      shot,
      input,
      location,
      byId(input.subjects, shot.subjectId),
      byId(input.kit.aircraft, shot.aircraftId),
    );
    const flightOf = new Map(known.flightIndex === null ? [] : [[id, known.flightIndex] as const]);
    const facts = this.factsAt(base, plannedMs(place, flightOf, id));
    const light = this.lightOf(
      input,
      facts,
      this.locationLight(input, place),
      place,
      known.flightIndex ?? -1,
      known.filter,
    );
    return this.assemble(input.kit, { ...known, facts, light }, place);
  }

  private along(whole: FilmInput): FilmInput {
    return {
      ...whole,
      kit: this.kits.get('kit', {
        kit: whole.kit,
        leftHome: whole.film.leftHome,
        learn: whole.film.preferences.learn,
        countRehearsed: whole.film.preferences.countRehearsed,
      }),
    };
  }

  private factsOf(
    shot: Shot,
    { film, kit, terrain, features }: FilmInput,
    location: Location,
    subject: Subject | null,
    aircraft: Aircraft | null,
  ): ShotFacts {
    const ground = terrain?.get(location.id);
    const addedKg = heaviestFilterKg(kit.filters, shot.aircraftId, shot.exposure.filterId);
    const surfaceAt = this.surfaces.get(location.id, { features, ground, locationId: location.id });
    return this.facts.get(shot.id, {
      shot,
      film,
      location,
      subject,
      aircraft,
      ground,
      surfaceAt,
      addedKg,
    });
  }

  /** A shot in the weather of an instant; in that of its location where it has no hours, or for no instant. */
  private factsAt(base: ShotFacts, utcMs: number): ShotFacts {
    const parts = this.partsOf.get(base);
    const location = parts && Number.isFinite(utcMs) ? locationAt(parts.location, utcMs) : undefined;
    if (!parts || !location || location === parts.location) return base;
    const key = `${base.shot.id}|${Math.floor(utcMs / WEATHER_STEP_MS)}`;
    this.hourKeys.add(key);
    return this.hourFacts.get(key, { base, location });
  }

  private *shotsOf(
    input: FilmInput,
    locations: readonly Location[],
  ): Generator<undefined, Map<string, ShotFacts[]>> {
    const subjects = new Map(input.subjects.map((s) => [s.id, s]));
    const aircraft = new Map(input.kit.aircraft.map((a) => [a.id, a]));
    const groups = new Map<string, Shot[]>(locations.map((l) => [l.id, []]));
    for (const shot of input.shots) groups.get(shot.locationId)?.push(shot);
    const facts = new Map<string, ShotFacts[]>();
    for (const location of locations) {
      const here: ShotFacts[] = [];
      for (const shot of inOrder(groups.get(location.id) ?? [])) {
        const subject = shot.subjectId ? (subjects.get(shot.subjectId) ?? null) : null;
        const craft = shot.aircraftId ? (aircraft.get(shot.aircraftId) ?? null) : null;
        here.push(this.factsOf(shot, input, location, subject, craft));
        yield;
      }
      facts.set(location.id, here);
    }
    return facts;
  }

  private *placesOf(
    input: FilmInput,
    locations: readonly Location[],
    shots: ReadonlyMap<string, ShotFacts[]>,
  ) {
    const { film, kit } = input;
    const packs = packsToFly(kit, film);
    const definitions = lightPreferences(film.preferences);
    const own = kit.flightLog.filter((f) => f.filmId === film.id);
    const done = shotsDone(own, input.takes);
    const flownPlans = new Set(own.map((f) => f.flightId));
    const flightIdsTaken = new Set([
      ...input.flights.map((f) => f.id),
      ...kit.flightLog.flatMap((f) => f.flightId ?? []),
    ]);
    const laid = groupBy(inOrder(input.flights.filter((f) => !flownPlans.has(f.id))), (f) => f.locationId);
    const dates = locations.map((l) => l.date).sort();
    const days = new Map<string, { packs: PackDay; readyMs: number }>();
    const places = new Map<string, LocationPlan>();
    for (const location of locations) {
      const { date, zone, placed, latitude, longitude, windowStart, windowEnd } = location;
      const day = this.days.get(location.id, {
        date,
        zone,
        placed,
        latitude,
        longitude,
        windowStart,
        windowEnd,
        ...definitions,
      });
      let today = days.get(location.date);
      const travelMs = today ? location.travelMin * 60_000 : 0;
      if (!today) {
        const log = loggedOn(own, film, location);
        const last = log.at(-1);
        // Packs are charged again for a later day.
        days.set(
          location.date,
          (today = {
            packs: new PackDay(packs, kit, film, location.date, location.date !== dates[0], log),
            readyMs: last ? endOfFlown(last) + film.preferences.swapMinutes * 60_000 : -Infinity,
          }),
        );
      }
      const fromMs = Number.isFinite(day.windowFromMs) ? day.windowFromMs : 0;
      const readyMs = Math.max(fromMs, today.readyMs + travelMs);
      const place = locationPlan({
        location,
        film,
        kit,
        shots: shots.get(location.id) ?? [],
        ...today.packs.arrive(hardestWeather(location, day.windowFromMs, day.windowToMs), fromMs / 1000),
        day,
        readyS: (readyMs - fromMs) / 1000,
        laid: laid.get(location.id) ?? [],
        done,
        reservedPacks: reservedLater(locations, location, laid),
        flightIdsTaken,
        launchFor: (shot) => launchOf(input.features, input.terrain?.get(location.id), location, shot),
        factsAt: (facts, utcMs) => this.factsAt(facts, utcMs),
      });
      const endMs = place.flights.reduce((end, f) => Math.max(end, f.endMs), readyMs);
      today.packs.leave(
        new Set(place.flights.map((f) => f.packId)),
        place.fill.remainingPacks,
        place.fill.landedPacks,
        endMs / 1000,
      );
      today.readyMs = place.flights.length > 0 ? endMs : today.readyMs;
      places.set(location.id, place);
      yield;
    }
    return { places, done, charges: new Map([...days].map(([date, d]) => [date, d.packs.runs])) };
  }

  private *lightsOf(
    input: FilmInput,
    shots: readonly ShotFacts[],
    place: LocationPlan | undefined,
    done: ReadonlySet<string>,
    into: Map<string, DerivedShot>,
  ): Generator<undefined, void> {
    if (!place) return;
    const lit = this.locationLight(input, place);
    const flightOf = new Map(place.flights.flatMap((f, i) => f.stops.map((s) => [s.shotId, i] as const)));
    const unfitOf = new Map(place.fill.unfit.map((u) => [u.shotId, u]));
    // In the weather of the hour each is flown in.
    const flown = shots.map((f) => this.factsAt(f, plannedMs(place, flightOf, f.shot.id)));
    const filters = lit ? this.filtersOf(input, flown, place, lit) : new Map<string, FlightFilter>();
    for (const facts of flown) {
      const { id } = facts.shot;
      const flightIndex = flightOf.get(id) ?? null;
      const filter = filters.get(id) ?? null;
      const light = this.lightOf(input, facts, lit, place, flightIndex ?? -1, filter);
      into.set(
        id,
        this.assemble(
          input.kit,
          {
            number: into.size + 1,
            facts,
            light,
            filter,
            unfit: unfitOf.get(id) ?? null,
            flightIndex,
            done: done.has(id),
          },
          place,
        ),
      );
      yield;
    }
  }

  private locationLight(input: FilmInput, { location, light }: LocationPlan): LocationLight | null {
    if (!light) return null;
    const { meterFadeMin, exposeFor } = input.film.preferences;
    return this.lit.get(location.id, {
      location,
      day: light,
      readings: input.readings,
      meterFadeMin,
      exposeFor,
    });
  }

  /** One filter for each flight, or as few changes as its light allows. */
  private filtersOf(
    input: FilmInput,
    shots: readonly ShotFacts[],
    place: LocationPlan,
    lit: LocationLight,
  ): Map<string, FlightFilter> {
    const byShot = new Map(shots.map((f) => [f.shot.id, f]));
    const chosen = new Map<string, FlightFilter>();
    for (const flight of place.flights) {
      const flown = flight.stops.flatMap((s) => {
        const facts = byShot.get(s.shotId);
        return facts ? [{ facts, airS: s.airS }] : [];
      });
      const fits = flown.map(({ facts, airS }) => {
        const fromMs = stepped(flight.shotMs[facts.shot.id] ?? flight.startMs);
        const toMs = stepped(fromMs + airS * 1000);
        const scene = this.sceneOf(input, facts, lit, fromMs);
        return this.filterFits.get(facts.shot.id, { facts, scene, lit, toMs });
      });
      flightFilters(fits).forEach((filter, i) => {
        const id = flown[i]?.facts.shot.id;
        if (id !== undefined) chosen.set(id, this.filters.get(id, filter));
      });
    }
    return chosen;
  }

  private lightOf(
    input: FilmInput,
    facts: ShotFacts,
    lit: LocationLight | null,
    place: LocationPlan,
    index: number,
    filter: FlightFilter | null,
  ): ShotLight | null {
    if (!lit || !Number.isFinite(place.windowFromMs)) return null;
    const atMs = stepped(place.flights[index]?.shotMs[facts.shot.id] ?? place.windowFromMs);
    const scene = this.sceneOf(input, facts, lit, atMs);
    return this.lights.get(facts.shot.id, { facts, scene, atMs, filter });
  }

  private sceneOf({ kit }: FilmInput, facts: ShotFacts, lit: LocationLight, atMs: number): KnownScene {
    return this.scenes.get(facts.shot.id, { facts, filters: kit.filters, lit, atMs });
  }

  private assemble(
    kit: Kit,
    parts: Omit<DerivedShot, 'hands' | 'warnings'>,
    place: LocationPlan,
  ): DerivedShot {
    const { number, facts, light, filter, unfit, flightIndex, done } = parts;
    const { id } = facts.shot;
    const shortWh = unfit?.shortWh ?? 0;
    const unfitReason = unfit?.reason ?? null;
    const unfitWind = unfit?.wind ?? null;
    const hands = this.skills.get(id, { facts, pilots: kit.pilots, practice: kit.practice });
    const { windowToMs, light: dayLight } = place;
    const context = { facts, dayLight, windowToMs, light, filter, unfitReason, shortWh, unfitWind, hands };
    const warnings = this.warned.get(id, context);
    return this.whole.get(id, {
      number,
      facts,
      light,
      filter,
      unfitReason,
      shortWh,
      unfitWind,
      flightIndex,
      done,
      hands,
      warnings,
    });
  }
}

/** Works a film out once, remembering nothing. */
export const deriveFilm = (input: FilmInput): DerivedFilm => new FilmDeriver().derive(input);
