import { assignCards } from '../cards';
import type { Plan, PlanAnswer, PlannedFlight, PlanProblem, Span } from './types';

/** Shots of one launch point and one aircraft at one place of a day. */
export interface DayGroup extends Omit<PlanProblem, 'packs' | 'swapS' | 'before' | 'breaks'> {
  readonly id: string;
  /** Number of its place in the order they are come to. */
  readonly place: number;
  /** Who flies it: one after another. */
  readonly crew: string;
  /** Seconds at which one is there and ready at the earliest. */
  readonly openS: number;
  readonly breaks: readonly Span[];
}

/** A pack through the day. */
export interface DayPack {
  readonly id: string;
  /** What a flight may use of it, by group; 0 where it does not fit. */
  readonly usableWh: readonly number[];
  readonly readyS?: number;
  /** Its energy when full, by group, where what a flight leaves in it may be flown as well; absent where a pack is good for one flight. */
  readonly fullWh?: readonly number[];
  /** How it comes back from the charger; null where none takes it. */
  readonly again: {
    readonly slots: readonly number[];
    readonly coolS: number;
    readonly chargeS: (usedWh: number) => number;
  } | null;
}

/** A flight a person locked: flown as it is. */
export interface FixedFlight {
  readonly groupId: string;
  readonly packId: string;
  readonly shotIds: readonly string[];
  readonly notBeforeS: number;
}

/** A day of places, launch points, aircraft, packs and cards. */
export interface DayProblem {
  readonly groups: readonly DayGroup[];
  readonly packs: readonly DayPack[];
  readonly swapS: number;
  /** Seconds from the last landing at the place before until ready, by place. */
  readonly travelS: readonly number[];
  /** Pairs of shots of which the first, where both are flown, is flown before. */
  readonly before: readonly (readonly [string, string])[];
  /** Room of the cards in the order they are taken; a card is only changed on the ground. null where nobody counts. */
  readonly cards: {
    readonly roomBytes: readonly number[];
    readonly used?: readonly boolean[];
    readonly fresh: boolean;
    /** What flights of earlier days put on them, flight by flight. */ readonly before?: readonly number[];
  } | null;
  readonly chargerSlots: number;
  readonly fixed: readonly FixedFlight[];
}

export interface DayFlight extends PlannedFlight {
  readonly groupId: string;
  readonly fixed: boolean;
}

export interface DayPlan extends Omit<Plan, 'flights'> {
  readonly flights: readonly DayFlight[];
}

export interface DayAnswer extends Omit<PlanAnswer, 'plan'> {
  readonly plan: DayPlan;
}

/** A problem of one launch point as a day. */
export const dayOf = (p: PlanProblem): DayProblem => ({
  groups: [
    {
      id: '',
      place: 0,
      crew: '',
      openS: 0,
      breaks: p.breaks ?? [],
      shots: p.shots,
      takeoff: p.takeoff,
      landing: p.landing,
      leg: p.leg,
      home: p.home,
      ...(p.mostStops === undefined ? {} : { mostStops: p.mostStops }),
    },
  ],
  packs: p.packs.map((pack) => ({
    id: pack.id,
    usableWh: [pack.usableWh],
    ...(pack.readyS === undefined ? {} : { readyS: pack.readyS }),
    again: null,
  })),
  swapS: p.swapS,
  travelS: [0],
  before: p.before ?? [],
  cards: null,
  chargerSlots: 0,
  fixed: [],
});

/** Whether every flight of a day finds room on a card. @param bytes what each of them records, in the order they are flown */
export const cardsHold = (
  { roomBytes, used, fresh, before = [] }: NonNullable<DayProblem['cards']>,
  bytes: readonly number[],
): boolean =>
  !assignCards([...before, ...bytes], roomBytes, { fresh, ...(used ? { used } : {}) })
    .slice(before.length)
    .includes(null);
