import {
  type DayPlace,
  endOfFlown,
  type LightPreferences,
  lightPreferences,
  locationDay,
  type LocationPlan,
  locationPlan,
  loggedOn,
  PackDay,
  packsToFly,
  shotsDone,
} from '../day';
import { launchOf } from '../location';
import type { FilmInput, FlightPlan, Location } from '../model';
import type { ShotFacts } from '../shot';
import { groupBy, inOrder, KeyedMemo } from '../units';
import { hardestWeather } from '../weather';

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

/** The flights of each location, day by day, with the packs as the flights before left them. Remembers the light of each day. */
export class DayStage {
  private readonly days = new KeyedMemo((inputs: DayPlace & LightPreferences) =>
    locationDay(inputs, { preferences: inputs }),
  );

  keep(locations: ReadonlySet<string>): void {
    this.days.keep(locations);
  }

  /**
   * Flights, charging and what is done already, one location after each step.
   * @param factsAt a shot in the weather of an instant
   */
  *places(
    input: FilmInput,
    locations: readonly Location[],
    shots: ReadonlyMap<string, ShotFacts[]>,
    factsAt: (facts: ShotFacts, utcMs: number) => ShotFacts,
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
        factsAt,
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
}
