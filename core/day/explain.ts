import { CRITICAL_SHARE, temperatureFactor } from '../energy';
import { LANDING_S, TAKEOFF_S } from '../budget';
import type { Pack, Film, Location } from '../model';
import { measured, message, term, yesNo, type Sum, type Term } from '../messages';
import { shotName } from '../shot';
import type { FilmPlan } from './plan';
import type { TimedFlight } from './location-flights';

/** What a flight takes, piece by piece. */
export const explainFlight = (flight: TimedFlight, derived: FilmPlan): Sum => {
  const stops = flight.stops.flatMap((s): Term[] => {
    const shot = derived.shots.get(s.shotId);
    return [
      term(
        message('sum.leg', { number: shot?.number ?? '' }),
        s.leg.wattHours,
        'wattHours',
        message('sum.leg.note', { seconds: measured(s.leg.seconds, 'seconds', 0) }),
      ),
      term(
        shotName(shot?.number ?? '', shot?.facts.shot.title ?? ''),
        s.wattHours,
        'wattHours',
        message('sum.shot.note', { seconds: measured(s.airS, 'seconds', 0) }),
      ),
    ];
  });
  return {
    label: message('sum.flight'),
    value: flight.usedWh,
    quantity: 'wattHours',
    terms: [
      term(
        message('sum.take-off'),
        flight.takeoff.wattHours,
        'wattHours',
        message('sum.take-off.note', { seconds: measured(TAKEOFF_S, 'seconds', 0) }),
      ),
      ...stops,
      term(
        message('sum.home'),
        flight.home.wattHours,
        'wattHours',
        message('sum.home.note', {
          hover: measured(LANDING_S, 'seconds', 0),
          seconds: measured(flight.home.seconds, 'seconds', 0),
        }),
      ),
    ],
    formula: message('sum.flight.formula'),
    source: message('sum.flight.source'),
  };
};

/** What a pack may give to a flight. */
export const explainSupply = (flight: TimedFlight, pack: Pack, film: Film, location: Location): Sum => {
  const { availableWh, reserveWh, usableWh, fullWh } = flight.supply;
  const share = fullWh > 0 ? availableWh / fullWh : 0;
  const factor = temperatureFactor(location.temperatureC);
  return {
    label: message('sum.supply', { pack: pack.name }),
    value: usableWh,
    quantity: 'wattHours',
    terms: [
      term(
        message('sum.holds'),
        availableWh,
        'wattHours',
        message('sum.holds.note', {
          rated: measured(pack.ratedWh, 'wattHours', 1),
          charge: Math.round(share * 100),
          health: Math.round(pack.health * 100),
          factor: measured(factor, 'count', 2),
          temperature: measured(location.temperatureC, 'celsius', 0),
          learned: yesNo(Boolean(pack.drawFactor)),
          draw: measured(pack.drawFactor ?? 1, 'count', 2),
        }),
      ),
      term(
        message('sum.reserve'),
        -reserveWh,
        'wattHours',
        message('sum.reserve.note', {
          share: Math.round(Math.max(film.preferences.reserveShare, CRITICAL_SHARE) * 100),
        }),
      ),
    ],
    formula: message('sum.supply.formula'),
    source: message('sum.supply.source'),
  };
};
