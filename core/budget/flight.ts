import type { Wind } from '../air';
import { hoverCost, legCost, wayHome, type LegCost, type LegFlyer, type WindTooStrong } from '../energy';
import type { Vec3 } from '../geometry';
import { found, type Result } from '../units';

/** Seconds hovered after take-off before flying off, and before touching down. */
export const TAKEOFF_S = 30;
export const LANDING_S = 40;
export const LOW_HOVER_M = 2;

/** Where a flight takes off and comes home to. */
export interface Launch {
  readonly id: string | null;
  readonly at: Vec3;
}

/** The launch point of a place that has no other. */
export const ORIGIN: Launch = { id: null, at: { x: 0, y: 0, z: 0 } };

/** A shot as the budget sees it: where it starts and ends, what it costs. */
export interface ShotCost {
  readonly shotId: string;
  readonly aircraftId: string;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly airS: number;
  readonly wattHours: number;
  /** Seconds after the window opens before which the light it wants is not there; 0 when it may start at once. */
  readonly notBeforeS: number;
  /** Launch point it is flown from; the origin where left out. */
  readonly launch?: Launch;
  /** What it costs when begun at a second of the window, where that changes. */
  readonly costAt?: (atS: number) => { readonly airS: number; readonly wattHours: number };
}

export interface PackSupply {
  readonly packId: string;
  readonly aircraftIds: readonly string[];
  readonly usableWh: number;
  readonly reserveWh: number;
  readonly availableWh: number;
  /** What it holds when full, in the temperature of the place. */
  readonly fullWh: number;
}

export interface FlightStop {
  readonly shotId: string;
  /** Seconds after the window opens at which the shot's set-up begins. */
  readonly atS: number;
  readonly leg: LegCost;
  readonly airS: number;
  readonly wattHours: number;
  /** Energy used from take-off to the end of this shot, Wh. */
  readonly usedWh: number;
  /** Way home from the end of this shot with landing, Wh. */
  readonly homeWh: number;
  readonly pinned: boolean;
}

export interface Flight {
  /** Id of the flight a person laid down; null for one that fell out of the list. */
  readonly planId: string | null;
  readonly locked: boolean;
  /** null for a pack that is not there: what one more pack would fly. */
  readonly packId: string | null;
  readonly aircraftId: string;
  readonly launch: Launch;
  /** Seconds after the window opens at which it takes off. */
  readonly startS: number;
  readonly takeoff: LegCost;
  readonly stops: readonly FlightStop[];
  /** Way home from the last shot, with landing. */
  readonly home: LegCost;
  readonly usedWh: number;
  readonly seconds: number;
  readonly supply: PackSupply;
  /** Energy beyond what the pack may give, Wh; 0 for a flight that fits. */
  readonly overWh: number;
}

export interface FlightRules {
  readonly wind: Wind;
  /** The wind at a second of the window, where it changes; that of the rules all day where left out. */
  readonly windAt?: (atS: number) => Wind;
  readonly returnHeightM: number;
  readonly onePackOneShot: boolean;
  readonly swapS: number;
  readonly flyerOf: (aircraftId: string) => LegFlyer | undefined;
  /** Each aircraft has its own pilot: they need not wait for each other. */
  readonly atOnce: boolean;
  /** Stretches in which nobody flies, seconds after the window opens. */
  readonly breaks: readonly { readonly fromS: number; readonly toS: number }[];
  /** Seconds after the window opens at which the first flight may leave. */
  readonly readyS: number;
  /** Length of the window, s: a pack is not waited for beyond it. */
  readonly windowS: number;
  /** Packs given to flights that were laid down for a later place of the day: what only stands in the list leaves them alone. */
  readonly reservedPacks?: ReadonlySet<string>;
}

/** A flight being filled, and where its aircraft is. */
export interface OpenFlight {
  readonly flight: Flight;
  readonly at: Vec3;
}

export const endS = (flight: Flight): number => flight.startS + flight.seconds;

/** The wind at a second of the window. */
export const windIn = (rules: FlightRules, atS: number): Wind => rules.windAt?.(atS) ?? rules.wind;

const readyS = (flight: Flight): number => {
  const last = flight.stops.at(-1);
  return last ? last.atS + last.airS : flight.startS + flight.takeoff.seconds;
};

/** Earliest start from a second on at which so many seconds in the air meet no break. */
export const clearOfBreaks = (fromS: number, seconds: number, breaks: FlightRules['breaks']): number => {
  const hit = breaks.find((b) => fromS < b.toS && fromS + seconds > b.fromS);
  return hit ? clearOfBreaks(hit.toS, seconds, breaks) : fromS;
};

/** A flight with nothing flown yet. */
export const onGround = (
  supply: PackSupply,
  packId: string | null,
  aircraftId: string,
  launch: Launch,
  flyer: LegFlyer,
  rules: FlightRules,
  startS: number,
): OpenFlight => {
  const takeoff = hoverCost(flyer.power, windIn(rules, startS), LOW_HOVER_M, TAKEOFF_S);
  return {
    flight: {
      planId: null,
      locked: false,
      packId,
      aircraftId,
      launch,
      startS,
      takeoff,
      stops: [],
      home: { seconds: 0, wattHours: 0 },
      usedWh: takeoff.wattHours,
      seconds: takeoff.seconds,
      supply,
      overWh: 0,
    },
    at: launch.at,
  };
};

export interface Appended {
  readonly next: OpenFlight;
  readonly fits: boolean;
  readonly early: boolean;
  readonly broken: boolean;
}

/** Puts a shot at the end of a flight. @returns what is lacking when the wind forbids it */
export const append = (
  open: OpenFlight,
  shot: ShotCost,
  flyer: LegFlyer,
  rules: FlightRules,
  pinned = false,
): Result<Appended, WindTooStrong> => {
  const { flight } = open;
  const fromS = readyS(flight);
  const leg = legCost(flyer, windIn(rules, fromS), open.at, shot.from);
  if (!leg.ok) return leg;
  const atS = fromS + leg.value.seconds;
  const { airS, wattHours } = shot.costAt?.(atS) ?? shot;
  const homeWind = windIn(rules, atS + airS);
  const way = wayHome(flyer, homeWind, shot.to, rules.returnHeightM, flight.launch.at);
  if (!way.ok) return way;
  const landing = hoverCost(flyer.power, homeWind, LOW_HOVER_M, LANDING_S);
  const home = {
    seconds: way.value.seconds + landing.seconds,
    wattHours: way.value.wattHours + landing.wattHours,
    ...(way.value.level ? { level: way.value.level } : {}),
  };
  const spentWh = (flight.stops.at(-1)?.usedWh ?? flight.takeoff.wattHours) + leg.value.wattHours + wattHours;
  const stop: FlightStop = {
    shotId: shot.shotId,
    atS,
    leg: leg.value,
    airS,
    wattHours,
    usedWh: spentWh,
    homeWh: home.wattHours,
    pinned,
  };
  const seconds = atS + airS + home.seconds - flight.startS;
  const usedWh = spentWh + home.wattHours;
  const overWh = usedWh - flight.supply.usableWh;
  const fits = overWh <= 1e-9;
  return found({
    // Spelled out: spreading a flight for every shot costs as much as reckoning it.
    next: {
      flight: {
        planId: flight.planId,
        locked: flight.locked,
        packId: flight.packId,
        aircraftId: flight.aircraftId,
        launch: flight.launch,
        startS: flight.startS,
        takeoff: flight.takeoff,
        supply: flight.supply,
        stops: [...flight.stops, stop],
        home,
        usedWh,
        seconds,
        overWh: fits ? 0 : overWh,
      },
      at: shot.to,
    },
    fits,
    early: atS < shot.notBeforeS - 1,
    broken: rules.breaks.length > 0 && clearOfBreaks(flight.startS, seconds, rules.breaks) > flight.startS,
  });
};

/** The same flight begun at another second. */
export const startedAt = (flight: Flight, startS: number): Flight => {
  const shift = startS - flight.startS;
  return shift === 0
    ? flight
    : { ...flight, startS, stops: flight.stops.map((s) => ({ ...s, atS: s.atS + shift })) };
};
