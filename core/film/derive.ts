import { type FilmPlan, type FlightFilter, kitOnLocation, type LocationPlan } from '../day';
import type { FilmInput, Kit } from '../model';
import type { ShotFacts } from '../shot';
import { inOrder, KeyedMemo, toEnd } from '../units';
import { locationWarnings, type Warning } from '../warnings';
import { DayStage } from './day-stage';
import type { DerivedShot } from './derived';
import { LightStage } from './light-stage';
import { ShotStage } from './shot-stage';
import { totalsOf, type FilmTotals } from './totals';
import { WarningStage } from './warning-stage';

export interface DerivedFilm extends FilmPlan<DerivedShot> {
  readonly locationWarnings: ReadonlyMap<string, readonly Warning[]>;
  readonly budget: FilmTotals;
}

const byId = <T extends { readonly id: string }>(list: readonly T[], id: string | null): T | null =>
  list.find((x) => x.id === id) ?? null;

/** When a shot is flown; the start of the window where it is in no flight. */
const plannedMs = (place: LocationPlan, flightOf: ReadonlyMap<string, number>, id: string): number =>
  place.flights[flightOf.get(id) ?? -1]?.shotMs[id] ?? place.windowFromMs;

interface KitInputs {
  readonly kit: Kit;
  readonly leftHome: readonly string[];
  readonly learn: boolean;
  readonly countRehearsed: boolean;
}

/**
 * Works a film out: everything on screen follows from this. Keep one and feed it each new state; what did not change is
 * remembered by the identity of its parts, so a slider recomputes one shot and the sums above it.
 */
export class FilmDeriver {
  private readonly kits = new KeyedMemo(({ kit, ...film }: KitInputs) =>
    kitOnLocation(kit, { leftHome: film.leftHome, preferences: film }),
  );
  private readonly shots = new ShotStage();
  private readonly days = new DayStage();
  private readonly lights = new LightStage();
  private readonly warnings = new WarningStage();
  private readonly factsAt = (facts: ShotFacts, utcMs: number): ShotFacts => this.shots.at(facts, utcMs);

  derive(whole: FilmInput): DerivedFilm {
    return toEnd(this.steps(whole));
  }

  /** The same in small steps, for who must not be kept waiting: each of them is one shot or one place. Other questions may be asked in between. */
  *steps(whole: FilmInput): Generator<undefined, DerivedFilm> {
    this.shots.begin();
    const input = this.along(whole);
    const locations = inOrder(input.locations);
    const shots = yield* this.shots.byLocation(input, locations);
    const { places, charges, done } = yield* this.days.places(input, locations, shots, this.factsAt);
    const derived = new Map<string, DerivedShot>();
    for (const location of locations)
      yield* this.lightsOf(input, shots.get(location.id) ?? [], places.get(location.id), done, derived);
    const order = [...derived.keys()];
    const keep = new Set(order);
    const here = new Set(locations.map((l) => l.id));
    this.shots.keep(keep, here);
    this.days.keep(here);
    this.lights.keep(keep, here);
    this.warnings.keep(keep);
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
    const shots = toEnd(this.shots.byLocation(input, locations));
    return toEnd(this.days.places(input, locations, shots, this.factsAt)).places;
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
    const base = this.shots.of(
      shot,
      input,
      location,
      byId(input.subjects, shot.subjectId),
      byId(input.kit.aircraft, shot.aircraftId),
    );
    const flightOf = new Map(known.flightIndex === null ? [] : [[id, known.flightIndex] as const]);
    const facts = this.shots.at(base, plannedMs(place, flightOf, id));
    const lit = this.lights.ofLocation(input, place);
    const light = this.lights.ofShot(input, facts, lit, place, known.flightIndex ?? -1, known.filter);
    return this.warnings.of(input.kit, { ...known, facts, light }, place);
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

  private *lightsOf(
    input: FilmInput,
    shots: readonly ShotFacts[],
    place: LocationPlan | undefined,
    done: ReadonlySet<string>,
    into: Map<string, DerivedShot>,
  ): Generator<undefined, void> {
    if (!place) return;
    const lit = this.lights.ofLocation(input, place);
    const flightOf = new Map(place.flights.flatMap((f, i) => f.stops.map((s) => [s.shotId, i] as const)));
    const unfitOf = new Map(place.fill.unfit.map((u) => [u.shotId, u]));
    // In the weather of the hour each is flown in.
    const flown = shots.map((f) => this.shots.at(f, plannedMs(place, flightOf, f.shot.id)));
    const filters = lit ? this.lights.filtersOf(input, flown, place, lit) : new Map<string, FlightFilter>();
    for (const facts of flown) {
      const { id } = facts.shot;
      const flightIndex = flightOf.get(id) ?? null;
      const filter = filters.get(id) ?? null;
      const light = this.lights.ofShot(input, facts, lit, place, flightIndex ?? -1, filter);
      into.set(
        id,
        this.warnings.of(
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
}

/** Works a film out once, remembering nothing. */
export const deriveFilm = (input: FilmInput): DerivedFilm => new FilmDeriver().derive(input);
