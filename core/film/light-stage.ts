import { filterFitOf, flightFilters, type FlightFilter, type LocationPlan } from '../day';
import type { LightDay } from '../light';
import type { ExposeFor, FilmInput, Kit, Location } from '../model';
import {
  knownScene,
  type KnownScene,
  locationLight,
  type LocationLight,
  type ShotFacts,
  shotLight,
  type ShotLight,
} from '../shot';
import { KeyedMemo } from '../units';

/** Minutes an exposure is reckoned for are rounded to this, so that a moving budget does not re-solve every shot. */
const LIGHT_STEP_MS = 30_000;
const stepped = (utcMs: number): number => Math.ceil(utcMs / LIGHT_STEP_MS) * LIGHT_STEP_MS;

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

/** The light of each location, the filter of each flight, the exposure of each shot in its minute. Remembers what did not change. */
export class LightStage {
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

  keep(shots: ReadonlySet<string>, locations: ReadonlySet<string>): void {
    for (const memo of [this.lights, this.scenes, this.filterFits, this.filters]) memo.keep(shots);
    this.lit.keep(locations);
  }

  /** The light a location's shots are exposed in; null where its day has none. */
  ofLocation(input: FilmInput, { location, light }: LocationPlan): LocationLight | null {
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
  filtersOf(
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

  /** Settings of a shot for the minute it is flown at; @param index its flight at the location, −1 for none */
  ofShot(
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
}
