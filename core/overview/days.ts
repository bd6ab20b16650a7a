import type { LocationPlan, PlannedShot } from '../day';
import type { DerivedFilm } from '../film';

/** What a location asks of its day. */
export interface LocationOverview {
  readonly id: string;
  readonly name: string;
  readonly shots: number;
  readonly musts: number;
  readonly done: number;
  readonly flights: number;
  /** First take-off and last landing, UTC ms; the window where nothing flies. */
  readonly fromMs: number;
  readonly toMs: number;
}

/** A day of shooting with what it takes. */
export interface DayOverview {
  readonly date: string;
  readonly locations: readonly LocationOverview[];
  readonly flights: number;
  readonly airborneS: number;
  /** Different packs flown. */
  readonly packs: number;
  /** Recorded by what is still to be flown. */
  readonly bytes: number;
}

const locationOf = (plan: LocationPlan, shots: readonly PlannedShot[]): LocationOverview => ({
  id: plan.location.id,
  name: plan.location.name,
  shots: shots.length,
  musts: shots.filter((s) => s.facts.shot.priority === 'must').length,
  done: shots.filter((s) => s.done).length,
  flights: plan.flights.length,
  fromMs: plan.flights[0]?.startMs ?? plan.windowFromMs,
  toMs: plan.flights.at(-1)?.endMs ?? plan.windowToMs,
});

/** A film by day, in order, each day's locations in the order of their first minute. */
export const daysOf = ({ places, shots }: Pick<DerivedFilm, 'places' | 'shots'>): readonly DayOverview[] => {
  const all = [...shots.values()];
  const dates = [...new Set([...places.values()].map((p) => p.location.date))].sort();
  return dates.map((date) => {
    const plans = [...places.values()].filter((p) => p.location.date === date);
    const flights = plans.flatMap((p) => [...p.flights]);
    const here = new Set(plans.map((p) => p.location.id));
    return {
      date,
      locations: plans
        .map((p) =>
          locationOf(
            p,
            all.filter((s) => s.facts.location.id === p.location.id),
          ),
        )
        .sort((a, b) => a.fromMs - b.fromMs),
      flights: flights.length,
      airborneS: flights.reduce((sum, f) => sum + f.seconds, 0),
      packs: new Set(flights.map((f) => f.packId)).size,
      bytes: all
        .filter((s) => here.has(s.facts.location.id) && !s.done)
        .reduce((sum, s) => sum + s.facts.bytes, 0),
    };
  });
};
