import { clockText } from '@core/time';
import type { Ref } from 'vue';
import type { LocationPlan } from '@core/day';
import { keyBetween, newShot } from '../../composables/new-shot';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** A subject that was not planned: a shot at once, named later; it counts from now on. */
export const useChanceShot = (place: Ref<LocationPlan | null>): (() => void) => {
  const store = useFilm();
  const selection = useSelection();
  return () => {
    const here = place.value?.location;
    if (!here) return;
    const last = store
      .list('shot')
      .filter((s) => s.locationId === here.id)
      .map((s) => s.position)
      .sort()
      .at(-1);
    const made = {
      ...newShot(store, here.id, keyBetween(last, undefined)),
      chance: true,
      takes: 1,
      title: tr('chanceNow', { now: clockText(Date.now(), here.zone) }),
    };
    if (store.create('shot', made, tr('chanceShotLower')).length === 0) selection.pick(made.id);
  };
};
