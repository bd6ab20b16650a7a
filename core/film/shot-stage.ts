import type { Aircraft, FilmInput, Location, Shot, Subject } from '../model';
import { heaviestFilterKg } from '../payload';
import { factsInWeather, shotFacts, type ShotFacts, type ShotParts } from '../shot';
import { surfaceOver } from '../site';
import type { Ground } from '../terrain';
import { inOrder, KeyedMemo } from '../units';
import { locationAt, WEATHER_STEP_MS } from '../weather';

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

/** Shots where they stand: what each costs and shows, and the same in the weather of other hours. Remembers what did not change. */
export class ShotStage {
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

  /** Forgets shots and locations that are there no more, and hours nobody asked for since the stage was begun. */
  keep(shots: ReadonlySet<string>, locations: ReadonlySet<string>): void {
    this.facts.keep(shots);
    this.hourFacts.keep(this.hourKeys);
    this.surfaces.keep(locations);
  }

  /** A whole film is about to be worked out. */
  begin(): void {
    this.hourKeys = new Set();
  }

  /** A shot in the weather of its location. */
  of(
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
  at(base: ShotFacts, utcMs: number): ShotFacts {
    const parts = this.partsOf.get(base);
    const location = parts && Number.isFinite(utcMs) ? locationAt(parts.location, utcMs) : undefined;
    if (!parts || !location || location === parts.location) return base;
    const key = `${base.shot.id}|${Math.floor(utcMs / WEATHER_STEP_MS)}`;
    this.hourKeys.add(key);
    return this.hourFacts.get(key, { base, location });
  }

  /** The shots of each location in their order, one after each step. */
  *byLocation(
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
        here.push(this.of(shot, input, location, subject, craft));
        yield;
      }
      facts.set(location.id, here);
    }
    return facts;
  }
}
