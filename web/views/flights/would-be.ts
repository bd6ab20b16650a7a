import { plannedShares, type LocationPlan, type TimedFlight } from '@core/day';
import type { Kit } from '@core/model';

/** What a flight would come to. Wh; share of what the pack holds when full in percent, as an aircraft shows it. */
export interface Would {
  readonly landsWith: number;
  readonly overWh: number;
  readonly usedWh: number;
  readonly ratedWh: number;
}

/** What a flight comes to, of its own pack. */
export const comesTo = (flight: TimedFlight, packs: Kit['packs']): Would => {
  const ratedWh = packs.find((p) => p.id === flight.packId)?.ratedWh ?? flight.supply.fullWh;
  return {
    landsWith: flight.supply.fullWh > 0 ? 100 * plannedShares(flight).endShare : NaN,
    overWh: flight.overWh,
    usedWh: flight.usedWh,
    ratedWh,
  };
};

/**
 * A flight as it would be with a shot moved; null where the move does not touch it.
 * @param into the shot would come into it
 */
export const wouldBe = (
  flight: TimedFlight,
  places: ReadonlyMap<string, LocationPlan>,
  packs: Kit['packs'],
  shotId: string,
  into: boolean,
): Would | null => {
  const others = flight.stops.map((s) => s.shotId).filter((id) => id !== shotId);
  if (!into && others.length === flight.stops.length) return null;
  const now = places
    .get(flight.locationId)
    ?.flights.find((f) => f.stops.some((s) => others.includes(s.shotId) || (into && s.shotId === shotId)));
  return now ? comesTo(now, packs) : null;
};
