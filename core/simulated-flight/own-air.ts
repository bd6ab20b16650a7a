import type { Wind } from '../air';
import { bearing } from '../geometry';
import { heaviestFilterKg } from '../payload';
import { hoverCost, legCost, type LegFlyer } from '../energy';
import type { FlightSpan, TimedFlight } from '../day';
import type { Film, Kit, Location } from '../model';
import { flyerOf, windOf } from '../shot';
import { locationAt } from '../weather';

/** What the wind of a day is like against its forecast, which the plan does not know. */
export interface WindNature {
  /** Real mean wind for each m/s of the forecast. */
  readonly windShare: number;
  /** How far it has turned, clockwise, deg. */
  readonly windTurnDeg: number;
}

/** The air a flight is flown in: as it is, beside the forecast it was planned for. */
export interface OwnAir {
  readonly flyer: LegFlyer;
  readonly forecast: Wind;
  readonly real: Wind;
}

/** The air of a flight's minute with a nature of its own; null where the aircraft is not in the kit. */
export const ownAir = (
  film: Film,
  kit: Pick<Kit, 'aircraft' | 'filters'>,
  location: Location,
  flight: Pick<TimedFlight, 'aircraftId' | 'startMs'>,
  { windShare, windTurnDeg }: WindNature,
): OwnAir | null => {
  const aircraft = kit.aircraft.find((a) => a.id === flight.aircraftId);
  if (!aircraft) return null;
  const forecast = windOf(locationAt(location, flight.startMs));
  const speedAt10mMs = forecast.speedAt10mMs * windShare;
  return {
    flyer: flyerOf(aircraft, location, film, heaviestFilterKg(kit.filters, aircraft.id, null)),
    forecast,
    real: {
      ...forecast,
      speedAt10mMs,
      gustAt10mMs: Math.max(speedAt10mMs, forecast.gustAt10mMs * windShare),
      fromDeg: bearing(forecast.fromDeg + windTurnDeg),
    },
  };
};

/** What a stretch really takes for each reckoned second and watt-hour: a leg against its wind, all else standing in it. */
export const inOwnAir = (
  span: Pick<FlightSpan, 'phase' | 'from' | 'to'>,
  { flyer, forecast, real }: OwnAir,
): { readonly time: number; readonly energy: number } => {
  if (span.phase !== 'leg' && span.phase !== 'home') {
    const heightM = Math.max(0, (span.from.z + span.to.z) / 2);
    const [as, plan] = [real, forecast].map((w) => hoverCost(flyer.power, w, heightM, 1).wattHours);
    return { time: 1, energy: (as ?? 1) / (plan ?? 1) };
  }
  const [as, plan] = [real, forecast].map((w) => legCost(flyer, w, span.from, span.to));
  // Where the wind lets nobody through the plan has no leg either: it is flown as reckoned.
  return as?.ok && plan?.ok && plan.value.seconds > 0
    ? {
        time: as.value.seconds / plan.value.seconds,
        energy: as.value.wattHours / plan.value.wattHours,
      }
    : { time: 1, energy: 1 };
};
