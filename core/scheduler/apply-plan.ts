import { continuedIds, type FlightChange, type FilmPlan } from '../day';
import { generateNKeysBetween } from 'fractional-indexing';
import { clockText } from '../time';
import type { DayAnswer } from './day';
import { inOrder } from '../units';
import type { FilmInput, FlightPlan, Shot } from '../model';
import type { DayJob } from './day-job';

/** A flight the planner proposes. */
export interface ProposedFlight {
  readonly locationId: string;
  readonly launchId: string | null;
  readonly aircraftId: string;
  readonly packId: string;
  readonly launchMs: number;
  readonly airborneS: number;
  readonly wattHours: number;
  readonly stops: readonly {
    readonly shotId: string;
    /** Flown the other way round than it stands. */ readonly turned: boolean;
  }[];
  /** Locked by a person: it stays as it is. */
  readonly fixed: boolean;
}

/** A day as the planner proposes it, with how sure it is. */
export interface DayProposal {
  readonly date: string;
  readonly flights: readonly ProposedFlight[];
  readonly left: readonly string[];
  readonly proven: boolean;
  readonly weight: number;
  /** Nothing is worth more than this. */
  readonly weightBound: number;
}

/** What the planner answered, in terms of the film. */
export const proposalOf = (job: DayJob, { plan, proven, weightBound }: DayAnswer): DayProposal => {
  const groups = new Map(job.groups.map((g) => [g.id, g]));
  return {
    date: job.date,
    left: plan.left,
    proven,
    weight: plan.weight,
    weightBound,
    flights: plan.flights.flatMap((f): ProposedFlight[] => {
      const group = groups.get(f.groupId);
      return group
        ? [
            {
              locationId: group.location.id,
              launchId: group.launchId,
              aircraftId: group.aircraft.id,
              packId: f.packId,
              launchMs: job.zeroMs + f.launchS * 1000,
              airborneS: f.airborneS,
              wattHours: f.wattHours,
              stops: f.stops.map((s) => ({ shotId: s.shotId, turned: s.reversed })),
              fixed: f.fixed,
            },
          ]
        : [];
    }),
  };
};

/** A film as it would be with some changes. */
export const withChanges = (input: FilmInput, changes: readonly FlightChange[]): FilmInput => {
  const flights = new Map(input.flights.map((f) => [f.id, f]));
  const shots = new Map<string, Shot>();
  for (const c of changes) {
    if (c.kind === 'shot') shots.set(c.id, c.after);
    else if (c.after) flights.set(c.id, c.after);
    else flights.delete(c.id);
  }
  return {
    ...input,
    flights: [...flights.values()],
    shots: shots.size > 0 ? input.shots.map((s) => shots.get(s.id) ?? s) : input.shots,
  };
};

interface Ranked {
  readonly plan: FlightPlan;
  readonly atMs: number;
}

/** Flights with keys in a given order; only what changes is written. */
const rekeyed = (order: readonly FlightPlan[], before: ReadonlyMap<string, FlightPlan>): FlightChange[] => {
  const keys = generateNKeysBetween(null, null, order.length);
  return order.flatMap((plan, i): FlightChange[] => {
    const after = { ...plan, position: keys[i] ?? 'a0' };
    const was = before.get(plan.id);
    return was && was.position === after.position && was.stops === after.stops
      ? []
      : [{ kind: 'flight', id: plan.id, after }];
  });
};

interface Taking {
  readonly input: FilmInput;
  readonly derived: FilmPlan;
  readonly fresh: readonly ProposedFlight[];
  readonly all: boolean;
  readonly nowMs: number;
  readonly newId: () => string;
}

/** Flights of a place that stay, with what is left of them, and those that go. */
const staying = (
  { input, derived, fresh, all }: Taking,
  own: readonly FlightPlan[],
  locationId: string,
): { ranked: Ranked[]; gone: FlightChange[] } => {
  const taken = new Set(fresh.flatMap((f) => f.stops.map((s) => s.shotId)));
  const flownPlans = new Set(input.kit.flightLog.map((f) => f.flightId));
  const place = derived.places.get(locationId);
  const ranked: Ranked[] = [];
  const gone: FlightChange[] = [];
  for (const plan of own) {
    const keeps = plan.locked || flownPlans.has(plan.id);
    const stops = keeps ? plan.stops : all ? [] : plan.stops.filter((s) => !taken.has(s.shotId));
    if (stops.length === 0 && !plan.locked) gone.push({ kind: 'flight', id: plan.id, after: null });
    else
      ranked.push({
        plan: stops.length === plan.stops.length ? plan : { ...plan, stops },
        atMs: place?.flights.find((f) => f.planId === plan.id)?.startMs ?? -Infinity,
      });
  }
  return { ranked, gone };
};

/** Rows of the proposed flights of a location. One that flies shots of a flight there was continues it, under its id. */
const arriving = (
  { input, derived, fresh, nowMs, newId }: Taking,
  locationId: string,
  staying: ReadonlySet<string>,
): Ranked[] => {
  const pinned = new Set(input.flights.flatMap((f) => f.stops.filter((s) => s.pinned).map((s) => s.shotId)));
  const place = derived.places.get(locationId);
  const late = place && nowMs > place.windowFromMs ? clockText(nowMs, place.location.zone) : null;
  const here = fresh.filter((f) => f.locationId === locationId);
  const ids = continuedIds(
    (place?.flights ?? []).filter((f) => !staying.has(f.id)),
    here,
  );
  return here.map((f, i) => ({
    atMs: f.launchMs,
    plan: {
      id: ids[i] ?? newId(),
      locationId,
      position: '',
      aircraftId: f.aircraftId,
      launchId: f.launchId,
      packId: f.packId,
      stops: f.stops.map((s) => ({ shotId: s.shotId, pinned: pinned.has(s.shotId) })),
      locked: false,
      notBefore: late,
    },
  }));
};

/** Shots that are to be flown the other way round. */
const turning = (input: FilmInput, fresh: readonly ProposedFlight[]): FlightChange[] => {
  const turned = new Set(fresh.flatMap((f) => f.stops.filter((s) => s.turned).map((s) => s.shotId)));
  return input.shots
    .filter((s) => turned.has(s.id))
    .map((shot) => ({
      kind: 'shot',
      id: shot.id,
      after: { ...shot, move: { ...shot.move, reversed: !shot.move.reversed } },
    }));
};

/**
 * Takes flights a planner proposed, all or some. Their shots leave the flights they were in; where all are taken, flights that
 * were laid down before make way, but for locked ones. What is taken stands in the order of its minutes.
 * @param nowMs nothing of it is launched before; −Infinity where that does not matter
 * @param newId gives the id of a new row
 */
export const adopt = (
  input: FilmInput,
  derived: FilmPlan,
  accepted: readonly ProposedFlight[],
  all: boolean,
  nowMs: number,
  newId: () => string,
): FlightChange[] => {
  const taking: Taking = { input, derived, fresh: accepted.filter((f) => !f.fixed), all, nowMs, newId };
  const changes = [...new Set(accepted.map((f) => f.locationId))].flatMap((locationId) => {
    const own = inOrder(input.flights.filter((f) => f.locationId === locationId));
    const { ranked, gone } = staying(taking, own, locationId);
    const fresh = arriving(taking, locationId, new Set(ranked.map((r) => r.plan.id)));
    const continued = new Set(fresh.map((r) => r.plan.id));
    const order = [...ranked, ...fresh].sort((a, b) => a.atMs - b.atMs).map((r) => r.plan);
    return [
      ...gone.filter((g) => !continued.has(g.id)),
      ...rekeyed(order, new Map(own.map((f) => [f.id, f]))),
    ];
  });
  return [...changes, ...turning(input, taking.fresh)];
};
