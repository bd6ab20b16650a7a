import type { DerivedShot } from '@core/film';
import type { Entity } from '@core/model';
import { marginsOf, type RehearsedShot, type Try, type TryMarks } from '@core/rehearsal';
import { solidOf } from '@core/site';
import { LEVEL_GROUND } from '@core/terrain';
import { computed, type Ref } from 'vue';
import { useFilm } from '../../stores/film';

interface Ended {
  readonly marks: Ref<TryMarks | null>;
  readonly flight: Ref<Try | null>;
  readonly rehearsed: Ref<RehearsedShot | null>;
}

/** What a marked try left free of what stands on the site map, and what it took, beside its plan; null before one is marked. */
export const useTryMargins = (
  shot: Ref<DerivedShot | null>,
  things: Ref<readonly Entity<'feature'>[]>,
  { marks, flight, rehearsed }: Ended,
) => {
  const store = useFilm();
  const solids = computed(() => {
    const ground = store.terrain.get(shot.value?.facts.location.id ?? '') ?? LEVEL_GROUND;
    return things.value.flatMap((f) => solidOf(f, ground) ?? []);
  });
  return computed(() => {
    const [t, r] = [flight.value, rehearsed.value];
    if (!marks.value || !t || !r) return null;
    // The part of the plan that was flown.
    const plannedWh = (shot.value?.facts.energy?.path.wattHours ?? NaN) * marks.value.flownShare;
    const leastM = store.film?.preferences.clearanceM ?? 0;
    return marginsOf(
      t.samples,
      r.trajectory,
      solids.value,
      r.place.groundAt,
      leastM,
      t.state.usedWh,
      plannedWh,
    );
  });
};
