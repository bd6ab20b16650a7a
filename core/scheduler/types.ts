import type { Vec3 } from '../geometry';

/** One way a shot may be flown: where its takes begin and where the last one leaves the aircraft. */
export interface Way {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly reversed: boolean;
}

/** A shot as the planner sees it. */
export interface PlanShot {
  readonly id: string;
  /** What flying it is worth; a must outweighs every should and could together. */
  readonly weight: number;
  readonly ways: readonly Way[];
  /** Seconds and energy of everything between the legs: set-up, takes, settling. */
  readonly performS: number;
  readonly performWh: number;
  /** Keys of the settings it can be flown with: filters, where nothing else separates flights. A flight has one that all its shots share. */
  readonly settings: readonly string[];
  /** Seconds from the start of the day: not begun before, ended by. */
  readonly earliestS: number;
  readonly latestS: number;
  /** Narrower where it is flown with a setting: while a filter bears its light. */
  readonly windows?: Readonly<Record<string, Span>>;
  /** Only on this pack: a person pinned it to a flight. */
  readonly packId?: string;
  /** What it leaves on the card. */
  readonly bytes?: number;
}

/** Seconds from the start of the day between which something may happen. */
export interface Span {
  readonly earliestS: number;
  readonly latestS: number;
}

/** A charged pack, good for one flight; one that comes back from the charger is another, ready later. */
export interface PlanPack {
  readonly id: string;
  readonly usableWh: number;
  readonly readyS?: number;
}

/** What is flown between the shots. */
export interface Leg {
  readonly seconds: number;
  readonly wattHours: number;
}

/** Shots of one launch point and one aircraft, the packs at hand, and what legs cost. */
export interface PlanProblem {
  readonly shots: readonly PlanShot[];
  readonly packs: readonly PlanPack[];
  /** Take-off to where the first leg begins, and the last metres of a landing. */
  readonly takeoff: Leg;
  readonly landing: Leg;
  /** From the launch point, or from where a shot ended, to where the next begins, settling counted. */
  readonly leg: (from: Vec3 | null, to: Vec3) => Leg;
  readonly home: (from: Vec3) => Leg;
  /** Seconds on the ground between a landing and the next launch. */
  readonly swapS: number;
  /** Pairs of shots of which the first, where both are flown, is flown before. */
  readonly before?: readonly (readonly [string, string])[];
  /** Most shots of a flight; as many as fit where left out. */
  readonly mostStops?: number;
  /** Stretches in which nobody is in the air. */
  readonly breaks?: readonly Span[];
}

/** A shot in a planned flight. */
export interface PlannedStop {
  readonly shotId: string;
  readonly reversed: boolean;
  /** Seconds from the start of the day at which it is begun. */
  readonly startS: number;
}

export interface PlannedFlight {
  readonly packId: string;
  readonly setting: string;
  readonly launchS: number;
  readonly airborneS: number;
  readonly wattHours: number;
  readonly stops: readonly PlannedStop[];
}

export interface Plan {
  readonly flights: readonly PlannedFlight[];
  readonly weight: number;
  readonly airborneS: number;
  readonly left: readonly string[];
}

/** A plan with what is known of how good it is. */
export interface PlanAnswer {
  readonly plan: Plan;
  /** No plan is better in weight, then flights, then seconds in the air. */
  readonly proven: boolean;
  /** No plan is worth more than this. */
  readonly weightBound: number;
}

/** Order of plans: most weight, then fewest flights, then least time in the air. Negative when a is better. */
export const comparePlans = (
  a: Pick<Plan, 'weight' | 'flights' | 'airborneS'>,
  b: Pick<Plan, 'weight' | 'flights' | 'airborneS'>,
): number =>
  (Math.abs(b.weight - a.weight) > 1e-9 ? b.weight - a.weight : 0) ||
  a.flights.length - b.flights.length ||
  a.airborneS - b.airborneS;
