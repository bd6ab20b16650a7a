import type { Flight, PackSupply, Unfit } from '../budget';
import type { Aircraft, Kit } from '../kit';
import type { Ground } from '../terrain';
import { KeyedMemo } from '../units';
import type { Warning } from '../warnings';
import { budgetOf, type BudgetFacts } from './budget';
import type { DerivedShot } from './derived';
import { shotLight, type ShotLight } from './exposure';
import { handsOf, type Hands } from './hands';
import { launchOf } from './launchPoint';
import { kitAlong, placeDay, placeFacts, suppliesOf, withoutSpare, type PlaceDay, type PlaceFacts } from './place';
import { placeWarnings, shotWarnings } from './rules';
import { shotFacts, type ShotFacts } from './shot';
import type { Film, FilmInput, Location, Reading, Shot, Subject } from './types';

export interface DerivedFilm {
  readonly shots: ReadonlyMap<string, DerivedShot>;
  readonly order: readonly string[];
  readonly places: ReadonlyMap<string, PlaceFacts>;
  readonly placeWarnings: ReadonlyMap<string, readonly Warning[]>;
  readonly budget: BudgetFacts;
}

const byPosition = <T extends { readonly position: string; readonly id: string }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.position < b.position ? -1 : a.position > b.position ? 1 : a.id < b.id ? -1 : 1));

/** Rows in the order of their keys; equal keys fall back to the id so that every machine agrees. */
export const inOrder = byPosition;

const byId = <T extends { readonly id: string }>(list: readonly T[], id: string | null): T | null => list.find((x) => x.id === id) ?? null;

/** Filter that the shot before one leaves on the lens; undefined for the first of its flight. */
const filterAhead = (film: DerivedFilm, flight: Flight | undefined, id: string): string | null | undefined => {
  const at = flight?.stops.findIndex((s) => s.shotId === id) ?? 0;
  const exposure = film.shots.get(flight?.stops[at - 1]?.shotId ?? '')?.light?.exposure;
  return exposure?.ok ? exposure.value.choice.filterId : undefined;
};

/** Minutes an exposure is reckoned for are rounded to this, so that a moving budget does not re-solve every shot. */
const LIGHT_STEP_MS = 30_000;

/**
 * Works a film out: everything on screen follows from this. Keep one and feed it each new state; what did not change is
 * remembered by the identity of its parts, so a slider recomputes one shot and the sums above it.
 */
export class FilmReckoner {
  private readonly kits = new KeyedMemo<Kit>();
  private readonly facts = new KeyedMemo<ShotFacts>();
  private readonly lights = new KeyedMemo<ShotLight>();
  private readonly days = new KeyedMemo<PlaceDay>();
  private readonly warned = new KeyedMemo<readonly Warning[]>();
  private readonly hands = new KeyedMemo<Hands | null>();
  private readonly whole = new KeyedMemo<DerivedShot>();

  derive(whole: FilmInput): DerivedFilm {
    const input = this.along(whole);
    const locations = byPosition(input.locations);
    const shots = this.shotsOf(input, locations);
    const places = this.placesOf(input, locations, shots);
    const derived = new Map<string, DerivedShot>();
    for (const location of locations) this.lightsOf(input, shots.get(location.id) ?? [], places.get(location.id), derived);
    const order = [...derived.keys()];
    const keep = new Set(order);
    for (const memo of [this.facts, this.lights, this.hands, this.warned, this.whole]) memo.keep(keep);
    this.days.keep(new Set(locations.map((l) => l.id)));
    return {
      shots: derived, order, places,
      placeWarnings: new Map(locations.map((l) => { const place = places.get(l.id); return [l.id, place ? placeWarnings(place, shots.get(l.id) ?? []) : []]; })),
      budget: budgetOf(input, locations.map((l) => places.get(l.id)).filter((p) => p !== undefined), derived),
    };
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
    const facts = this.factsOf(shot, input.film, location, byId(input.subjects, shot.subjectId), byId(input.kit.aircraft, shot.aircraftId), input.terrain?.get(location.id));
    const readings = input.readings.filter((r) => r.locationId === location.id);
    const light = this.lightOf(input, facts, readings, place, known.flightIndex ?? -1, filterAhead(before, place.flights[known.flightIndex ?? -1], id));
    return this.assemble(input.kit, known.number, facts, light, known.unfit, known.flightIndex, place);
  }

  private along(whole: FilmInput): FilmInput {
    return { ...whole, kit: this.kits.get('kit', [whole.kit, whole.film.leftHome], () => kitAlong(whole.kit, whole.film)) };
  }

  private factsOf(shot: Shot, film: Film, location: Location, subject: Subject | null, aircraft: Aircraft | null, ground: Ground | undefined): ShotFacts {
    return this.facts.get(shot.id, [shot, film, location, subject, aircraft, ground], () => shotFacts({ shot, film, location, subject, aircraft, ground }));
  }

  private shotsOf(input: FilmInput, locations: readonly Location[]): Map<string, ShotFacts[]> {
    const subjects = new Map(input.subjects.map((s) => [s.id, s]));
    const aircraft = new Map(input.kit.aircraft.map((a) => [a.id, a]));
    const groups = new Map<string, Shot[]>(locations.map((l) => [l.id, []]));
    for (const shot of input.shots) groups.get(shot.locationId)?.push(shot);
    return new Map(locations.map((location) => [location.id, byPosition(groups.get(location.id) ?? []).map((shot) => {
      const subject = shot.subjectId ? subjects.get(shot.subjectId) ?? null : null;
      const craft = shot.aircraftId ? aircraft.get(shot.aircraftId) ?? null : null;
      return this.factsOf(shot, input.film, location, subject, craft, input.terrain?.get(location.id));
    })]));
  }

  private placesOf(input: FilmInput, locations: readonly Location[], shots: ReadonlyMap<string, ShotFacts[]>): Map<string, PlaceFacts> {
    const { film } = input;
    const packs = film.preferences.holdBackSpare ? withoutSpare(input.kit.packs) : input.kit.packs;
    const firstDate = locations.map((l) => l.date).sort()[0];
    const leftOn = new Map<string, readonly PackSupply[]>();
    const places = new Map<string, PlaceFacts>();
    for (const location of locations) {
      const day = this.days.get(location.id, [location.date, location.zone, location.latitude, location.longitude, location.windowStart, location.windowEnd], () => placeDay(location));
      // Packs are charged again for a later day; on the same day what an earlier place left of them is all there is.
      const supply = leftOn.get(location.date) ?? suppliesOf(packs, location, film, location.date !== firstDate);
      const place = placeFacts(location, film, input.kit, shots.get(location.id) ?? [], supply, day, (shot) => launchOf(input.features, input.terrain?.get(location.id), location, shot));
      leftOn.set(location.date, place.fill.left);
      places.set(location.id, place);
    }
    return places;
  }

  private lightsOf(input: FilmInput, shots: readonly ShotFacts[], place: PlaceFacts | undefined, into: Map<string, DerivedShot>): void {
    if (!place) return;
    const readings = input.readings.filter((r) => r.locationId === place.location.id);
    const seen = new Map<number, string | null>();
    const flightOf = new Map(place.flights.flatMap((f, i) => f.stops.map((s) => [s.shotId, i] as const)));
    const unfitOf = new Map(place.fill.unfit.map((u) => [u.shotId, u]));
    for (const facts of shots) {
      const { id } = facts.shot;
      const index = flightOf.get(id) ?? -1;
      const before = index >= 0 ? seen.get(index) : undefined;
      const light = this.lightOf(input, facts, readings, place, index, before);
      if (index >= 0 && light?.exposure.ok) seen.set(index, light.exposure.value.choice.filterId);
      const unfit = unfitOf.get(id) ?? null;
      into.set(id, this.assemble(input.kit, into.size + 1, facts, light, unfit, index >= 0 ? index : null, place));
    }
  }

  private lightOf(
    input: FilmInput, facts: ShotFacts, readings: readonly Reading[], place: PlaceFacts, index: number, before: string | null | undefined,
  ): ShotLight | null {
    if (!place.light || !Number.isFinite(place.windowFromMs)) return null;
    const planned = place.flights[index]?.shotMs[facts.shot.id] ?? place.windowFromMs;
    const atMs = Math.ceil(planned / LIGHT_STEP_MS) * LIGHT_STEP_MS;
    const readingKey = readings.length === 0 ? '' : readings.map((r) => `${r.id}${r.ev100}${r.utcMs}`).join();
    return this.lights.get(facts.shot.id, [facts, input.kit.filters, atMs, before, readingKey],
      () => shotLight(facts, input.kit, readings, atMs, before));
  }

  private assemble(kit: Kit, number: number, facts: ShotFacts, light: ShotLight | null, unfit: Unfit | null, flightIndex: number | null, place: PlaceFacts): DerivedShot {
    const { id } = facts.shot;
    const shortWh = unfit?.shortWh ?? 0;
    const hands = this.hands.get(id, [facts, kit.pilots, kit.practice], () => handsOf(facts, kit));
    const warnings = this.warned.get(id, [facts, light, hands, unfit?.reason, shortWh, place.windowToMs, place.light],
      () => shotWarnings({ facts, place, light, unfit, hands }));
    return this.whole.get(id, [number, facts, light, unfit?.reason, shortWh, flightIndex, warnings],
      () => ({ number, facts, light, unfit, flightIndex, hands, warnings }));
  }
}

/** Works a film out once, remembering nothing. */
export const deriveFilm = (input: FilmInput): DerivedFilm => new FilmReckoner().derive(input);
