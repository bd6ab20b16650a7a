import type { Goal, LocationPlan, TimedFlight } from '@core/day';
import { shallowRef } from 'vue';
import { useFlightEdits } from '../../stores/flight-edits';
import { useDerivedFilm } from '../../stores/derived-film';
import { wouldBe, type Would } from './would-be';
import type { FlightActs } from './useFlightActs';

/** Id of the shot that is dragged; empty for anything else. */
export const draggedShot = (data: Record<string | symbol, unknown>): string =>
  typeof data['flightShot'] === 'string' ? data['flightShot'] : '';

/** The day as it would be with what is dragged let go where it is; tried once for each gap that is passed. */
export const useTryOut = (acts: FlightActs) => {
  const edits = useFlightEdits();
  const derivedFilm = useDerivedFilm();
  const tried = shallowRef<{
    readonly key: string;
    readonly places: ReadonlyMap<string, LocationPlan> | null;
    readonly shotId: string;
    readonly put: string;
  } | null>(null);
  let ids = 0;
  /** @param put what the shot is held over */
  const over = (shotId: string, goal: Goal, put: string): void => {
    const key = `${shotId}|${JSON.stringify(goal)}`;
    if (tried.value?.key === key) return;
    const changes = acts.wouldMove(shotId, goal, () => `try-${(ids += 1)}`);
    tried.value = { key, places: changes && edits.flightsWith(changes), shotId, put };
  };
  const would = (flight: TimedFlight, name: string): Would | null => {
    const t = tried.value;
    return t?.places ? wouldBe(flight, t.places, derivedFilm.along.packs, t.shotId, t.put === name) : null;
  };
  const clear = (): void => {
    tried.value = null;
  };
  const put = (shotId: string, goal: Goal): void => {
    clear();
    acts.move(shotId, goal);
  };
  return { tried, over, would, clear, put };
};
