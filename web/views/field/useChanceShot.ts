import { dayDifference, type DayDifference } from '@core/field';
import { clockText } from '@core/time';
import { computed, nextTick, shallowRef, type Ref } from 'vue';
import type { LocationPlan } from '@core/day';
import { keyBetween, newShot } from '../../composables/new-shot';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** A chance shot that has just begun, and what it takes away from the rest of the day. */
export interface Chance {
  readonly id: string;
  readonly title: string;
  readonly takes: DayDifference;
}

/** A subject that was not planned: a shot at once, named later; it counts from now on. */
export const useChanceShot = (place: Ref<LocationPlan | null>) => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const selection = useSelection();
  const made = shallowRef<Chance | null>(null);
  /** Gone with its shot, when that is taken back. */
  const chance = computed(() => (derivedFilm.derived?.shots.has(made.value?.id ?? '') ? made.value : null));
  const begin = async (): Promise<void> => {
    const here = place.value?.location;
    if (!here) return;
    const last = store
      .list('shot')
      .filter((s) => s.locationId === here.id)
      .map((s) => s.position)
      .sort()
      .at(-1);
    const shot = {
      ...newShot(store, here.id, keyBetween(last, undefined)),
      chance: true,
      takes: 1,
      title: tr('chanceNow', { now: clockText(Date.now(), here.zone) }),
    };
    const before = derivedFilm.derived;
    if (store.create('shot', shot, tr('chanceShotLower')).length > 0) return;
    selection.pick(shot.id);
    await nextTick();
    const after = derivedFilm.derived;
    if (!before || !after) return;
    const { gained, ...takes } = dayDifference(before, after);
    // That it is flown itself is no news.
    const own = { ...takes, gained: gained.filter((id) => id !== shot.id) };
    made.value = { id: shot.id, title: shot.title, takes: own };
  };
  const close = (): void => {
    made.value = null;
  };
  return { chance, begin, close };
};
