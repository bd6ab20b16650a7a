import { LOW_HOVER_M, TAKEOFF_S } from '../budget';
import type { RiskAnswer, RiskDay, RiskFlight, RiskShot, RiskSpare } from './types';
import { hoverCost, calibrationOf } from '../energy';
import { flyerOf, takesOf, windOf } from '../shot';
import {
  type FilmPlan,
  type PlannedShot,
  kitOnLocation,
  lightEndMs,
  type LocationPlan,
  type TimedFlight,
} from '../day';
import { heaviestFilterKg } from '../payload';
import type { FilmInput } from '../model';

/** Keeper rate where nobody knows the pilot. Own estimate. */
const KEEPER_RATE = 0.65;
/** Spreads until logged flights say better, as shares. Own estimates. */
const PACK_SPREAD = 0.04;
const AIR_SPREAD = 0.06;
const SETUP_SPREAD = 0.35;
/** What gusts above the mean wind add to the spread of the air, for each m/s. Own estimate. */
const GUST_SPREAD = 0.01;

const riskShot = (
  shot: PlannedShot,
  stop: TimedFlight['stops'][number],
  flight: TimedFlight,
  place: LocationPlan,
  zeroMs: number,
): RiskShot => {
  const { facts } = shot;
  const takes = Math.max(1, takesOf(facts.shot));
  const energy = facts.energy ?? { setupWh: 0, movesWh: 0, rollsWh: 0, betweenWh: 0 };
  const takeS = facts.seconds.recordedTakeS;
  const setUpShare = shot.hands?.setUpShare ?? 1;
  return {
    id: facts.shot.id,
    must: facts.shot.priority === 'must',
    takes,
    keeperRate: facts.shot.records === 'stills' ? 1 : (shot.hands?.rate ?? KEEPER_RATE),
    legS: stop.leg.seconds,
    legWh: stop.leg.wattHours,
    setupS:
      setUpShare * Math.max(0, facts.seconds.airS - takes * takeS - (takes - 1) * facts.seconds.betweenS),
    setupWh: setUpShare * energy.setupWh,
    setUpShare,
    takeS,
    takeWh: (energy.movesWh + energy.rollsWh) / takes,
    betweenS: facts.seconds.betweenS,
    betweenWh: takes > 1 ? energy.betweenWh / (takes - 1) : energy.setupWh / 4,
    homeS: flight.home.seconds,
    homeWh: stop.homeWh,
    latestS: (lightEndMs(place, place.location, facts.shot) - zeroMs) / 1000,
  };
};

/** Packs no flight of the day uses, as they stand when its last place is left. */
const sparesOf = (input: FilmInput, places: readonly LocationPlan[]): RiskSpare[] => {
  const place = places.at(-1);
  const kit = kitOnLocation(input.kit, input.film);
  if (!place) return [];
  const used = new Set(places.flatMap((p) => p.flights.map((f) => f.packId)));
  const wind = windOf(place.hardest);
  return place.fill.remainingPacks
    .filter((s) => !used.has(s.packId))
    .flatMap((s): RiskSpare[] => {
      const aircraft = kit.aircraft.find((a) => s.aircraftIds.includes(a.id));
      if (!aircraft) return [];
      const flyer = flyerOf(
        aircraft,
        place.location,
        input.film,
        heaviestFilterKg(kit.filters, aircraft.id, null),
      );
      return [
        {
          kind: aircraft.id,
          usableWh: s.usableWh,
          heldWh: s.availableWh,
          takeoffS: TAKEOFF_S,
          takeoffWh: hoverCost(flyer.power, wind, LOW_HOVER_M, TAKEOFF_S).wattHours,
        },
      ];
    });
};

const spreadsOf = (input: FilmInput, places: readonly LocationPlan[]) => {
  const { craft } = calibrationOf(input.kit);
  const flown = new Set(places.flatMap((p) => p.flights.map((f) => f.aircraftId)));
  const known = [...craft].filter(([id]) => flown.has(id)).map(([, f]) => f.spread);
  const gusts = Math.max(0, ...places.map((p) => p.hardest.gustMs - p.hardest.windMs));
  return {
    packSpread: PACK_SPREAD,
    airSpread: (known.length > 0 ? Math.max(...known) : AIR_SPREAD) + GUST_SPREAD * gusts,
    setupSpread: SETUP_SPREAD,
  };
};

/** A date's flights as the dice see them; null where nothing is planned. */
export const riskDay = (input: FilmInput, derived: FilmPlan, date: string): RiskDay | null => {
  const places = [...derived.places.values()].filter(
    (p) => p.location.date === date && Number.isFinite(p.windowFromMs),
  );
  const zeroMs = Math.min(...places.map((p) => p.windowFromMs));
  const shots = [...derived.shots.values()].filter((s) => s.facts.location.date === date && !s.done);
  if (places.length === 0 || shots.length === 0) return null;
  const flights = places
    .flatMap((place) =>
      place.flights.map((f): RiskFlight => ({
        crew: input.film.preferences.flyAtOnce ? f.aircraftId : '',
        kind: f.aircraftId,
        usableWh: f.supply.usableWh,
        heldWh: f.supply.availableWh,
        launchS: (f.startMs - zeroMs) / 1000,
        takeoffS: f.takeoff.seconds,
        takeoffWh: f.takeoff.wattHours,
        stops: f.stops.flatMap((stop) => {
          const shot = derived.shots.get(stop.shotId);
          return shot ? [riskShot(shot, stop, f, place, zeroMs)] : [];
        }),
      })),
    )
    .sort((a, b) => a.launchS - b.launchS);
  const seconds = places.reduce((sum, p) => sum + p.flights.reduce((s, f) => s + f.seconds, 0), 0);
  const used = places.reduce((sum, p) => sum + p.flights.reduce((s, f) => s + f.usedWh, 0), 0);
  const { packSpread, airSpread, setupSpread } = spreadsOf(input, places);
  return {
    flights,
    spares: sparesOf(input, places),
    unplanned: shots
      .filter((s) => s.flightIndex === null)
      .map((s) => ({ id: s.facts.shot.id, must: s.facts.shot.priority === 'must' })),
    swapS: input.film.preferences.swapMinutes * 60,
    packSpread,
    airSpread,
    setupSpread,
    meanW: seconds > 0 ? (used / seconds) * 3600 : 0,
  };
};

/** The same day with one pack more of the aircraft that would need it most. */
export const withPackMore = (day: RiskDay, missing: RiskAnswer['missing']): RiskDay => {
  const flightOf = (id: string): RiskFlight | undefined =>
    day.flights.find((f) => f.stops.some((s) => s.id === id));
  const model = missing.map((m) => flightOf(m.id)).find((f) => f !== undefined) ?? day.flights[0];
  if (!model) return day;
  const best = day.flights
    .filter((f) => f.kind === model.kind)
    .reduce((a, b) => (b.usableWh > a.usableWh ? b : a), model);
  return {
    ...day,
    spares: [
      ...day.spares,
      {
        kind: best.kind,
        usableWh: best.usableWh,
        heldWh: best.heldWh,
        takeoffS: best.takeoffS,
        takeoffWh: best.takeoffWh,
      },
    ],
  };
};

/** The shot that costs most in takes beyond the first, and the day with one take of it less. */
export const withTakeLess = (day: RiskDay): { readonly id: string; readonly day: RiskDay } | null => {
  const all = day.flights.flatMap((f) => f.stops).filter((s) => s.takes > 1);
  if (all.length === 0) return null;
  const heavy = all.reduce((a, b) => (b.takeWh + b.betweenWh > a.takeWh + a.betweenWh ? b : a));
  return {
    id: heavy.id,
    day: {
      ...day,
      flights: day.flights.map((f) => ({
        ...f,
        stops: f.stops.map((s) => (s === heavy ? { ...s, takes: s.takes - 1 } : s)),
      })),
    },
  };
};
