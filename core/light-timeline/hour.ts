import { MINUTE_MS } from '../time';
import { exposureSpan, filterStops, spanHolds } from '../exposure';
import type { Kit } from '../model';
import { sceneLight } from '../light';
import { conditionsOf, exposureTask, filtersFor, type LocationLight, type ShotFacts } from '../shot';

/** Minutes of an hour in which a filter, or the bare lens, keeps a shot within its exposure. */
export interface FilterHour {
  /** Null for the bare lens. */
  readonly filterId: string | null;
  readonly factor: number;
  readonly stops: number;
  /** How many of the 61 minutes it holds. */
  readonly minutes: number;
  readonly fromMs: number;
  readonly toMs: number;
}

/**
 * What each filter of the kit is good for over the hour that begins at an instant: the longest first, those that hold for a
 * minute or less left out.
 * @param cleanStops stops above base ISO that still count as clean
 */
export const filterHours = (
  facts: ShotFacts,
  kit: Kit,
  lit: LocationLight,
  startMs: number,
  cleanStops: number,
): { readonly ev100: number; readonly endEv100: number; readonly filters: readonly FilterHour[] } => {
  const conditions = conditionsOf(lit, facts);
  const scene = sceneLight(startMs, conditions);
  const evs = Array.from({ length: 61 }, (_, i) => sceneLight(startMs + i * MINUTE_MS, conditions).ev100);
  const task = exposureTask(facts, kit, scene, conditions.altitudeAt(startMs), undefined);
  const span = exposureSpan({ ...task, fixed: {} }, cleanStops);
  const filters = [{ id: null as string | null, factor: 1 }, ...filtersFor(facts, kit)].flatMap(
    ({ id, factor }) => {
      const stops = filterStops(factor);
      const good = span ? evs.map((ev) => spanHolds(span, ev, stops)) : [];
      const minutes = good.filter(Boolean).length;
      return minutes > 1
        ? [
            {
              filterId: id,
              factor,
              stops,
              minutes,
              fromMs: startMs + good.indexOf(true) * MINUTE_MS,
              toMs: startMs + good.lastIndexOf(true) * MINUTE_MS,
            },
          ]
        : [];
    },
  );
  return {
    ev100: scene.ev100,
    endEv100: evs.at(-1) ?? scene.ev100,
    filters: filters.sort((a, b) => b.minutes - a.minutes),
  };
};
