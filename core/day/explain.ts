import { CRITICAL_SHARE, temperatureFactor } from '../energy';
import { LANDING_S, TAKEOFF_S } from '../budget';
import type { Pack, Film, Location } from '../model';
import { term, type Sum, type Term } from '../units';
import type { FilmPlan } from './plan';
import type { TimedFlight } from './location-flights';

/** What a flight takes, piece by piece. */
export const explainFlight = (flight: TimedFlight, derived: FilmPlan): Sum => {
  const stops = flight.stops.flatMap((s): Term[] => {
    const shot = derived.shots.get(s.shotId);
    return [
      term(
        `leg to ${shot?.number ?? ''}`,
        s.leg.wattHours,
        'wattHours',
        `${s.leg.seconds.toFixed(0)} s through the wind`,
      ),
      term(
        `${shot?.number ?? ''} ${shot?.facts.shot.title || 'untitled'}`,
        s.wattHours,
        'wattHours',
        `${s.airS.toFixed(0)} s, set-up to last take`,
      ),
    ];
  });
  return {
    label: 'What the flight takes',
    value: flight.usedWh,
    quantity: 'wattHours',
    terms: [
      term('take-off', flight.takeoff.wattHours, 'wattHours', `${TAKEOFF_S} s of hover`),
      ...stops,
      term(
        'way home and landing',
        flight.home.wattHours,
        'wattHours',
        `up to the return height, against the wind, down, ${LANDING_S} s of hover; ${flight.home.seconds.toFixed(0)} s in all`,
      ),
    ],
    formula: 'take-off + Σ (leg + shot) + way home',
    source:
      'Power at each airspeed and climb; wind and air of the location. Click a figure of a shot on the Shots page for its own sum.',
  };
};

/** What a pack may give to a flight. */
export const explainSupply = (flight: TimedFlight, pack: Pack, film: Film, location: Location): Sum => {
  const { availableWh, reserveWh, usableWh, fullWh } = flight.supply;
  const share = fullWh > 0 ? availableWh / fullWh : 0;
  const factor = temperatureFactor(location.temperatureC);
  const learned = pack.drawFactor
    ? `, less what its logged flights took more than its sisters\u2019 (\u00f7 ${pack.drawFactor.toFixed(2)})`
    : '';
  return {
    label: `What ${pack.name} may give`,
    value: usableWh,
    quantity: 'wattHours',
    terms: [
      term(
        'holds',
        availableWh,
        'wattHours',
        `${pack.ratedWh} Wh \u00d7 ${Math.round(share * 100)} % charge \u00d7 ${Math.round(pack.health * 100)} % health \u00d7 ${factor.toFixed(2)} at ${location.temperatureC} \u00b0C${learned}`,
      ),
      term(
        'reserve',
        -reserveWh,
        'wattHours',
        `${Math.round(Math.max(film.preferences.reserveShare, CRITICAL_SHARE) * 100)} % of the rated energy, never under 10 %`,
      ),
    ],
    formula: 'rated × charge × health × temperature − reserve',
    source:
      'Capacity by cell temperature, linear between −20 and 25 °C; charge as it stands at take-off, drained or charged meanwhile.',
  };
};
