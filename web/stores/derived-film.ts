import { FilmDeriver, type DerivedFilm, type DerivedShot } from '@core/film';
import { inOrder } from '@core/units';
import { kitOnLocation } from '@core/day';
import type { FilmInput, Kit } from '@core/model';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { useFilm } from './film';
import { defer } from '../composables/deferred';

/** What the sums over the film may take of one frame; a step that is longer runs over it. */
const ROOM_MS = 3;

const sameRows = (a: FilmInput, b: FilmInput): boolean =>
  a.film.id === b.film.id &&
  (['locations', 'subjects', 'shots'] as const).every((k) => a[k].length === b[k].length);

/**
 * Everything that is worked out from the open film. The reckoner remembers; a slider recomputes one shot and the sums. The
 * shot in hand is worked out with the change, the sums over the film after the picture with it is out, so that neither holds up a frame.
 */
export const useDerivedFilm = defineStore('derived-film', () => {
  const film = useFilm();
  const reckoner = new FilmDeriver();
  const derived = shallowRef<DerivedFilm | null>(null);
  let reckoned: FilmInput | null = null;
  let under: { readonly input: FilmInput; readonly steps: ReturnType<FilmDeriver['steps']> } | null = null;

  const settle = (): void => {
    under = null;
    if (film.input === reckoned) return;
    reckoned = film.input;
    derived.value = reckoned && reckoner.derive(reckoned);
  };
  /** As many steps as a frame has room for. What was begun is finished before something newer is: with a slider in hand there is always something newer. */
  const go = (): void => {
    const { input } = film;
    if (!input || (!under && input === reckoned)) {
      settle();
      return;
    }
    under ??= { input, steps: reckoner.steps(input) };
    const until = performance.now() + ROOM_MS;
    do {
      const step = under.steps.next();
      if (!step.done) continue;
      derived.value = step.value;
      reckoned = under.input;
      under = null;
    } while (under && performance.now() < until);
    if (input !== reckoned) defer(reckoner, go);
  };
  watch(
    () => film.input,
    (input) => {
      if (!input || !reckoned || !sameRows(input, reckoned)) {
        settle();
        return;
      }
      defer(reckoner, go);
    },
    { immediate: true, flush: 'sync' },
  );

  /** A shot as it stands now. */
  const shotNow = (id: string): DerivedShot | null => {
    const { input } = film;
    const whole = derived.value;
    if (!input || !whole) return null;
    return input === reckoned ? (whole.shots.get(id) ?? null) : reckoner.shot(input, whole, id);
  };
  const locations = computed(() => inOrder(film.list('location')));
  /** The kit without what stays at home on this film: what every page about this film reckons with. */
  const along = computed<Kit>(() => (film.film ? kitOnLocation(film.kit, film.film) : film.kit));
  const units = computed(() => film.film?.units ?? 'metric');
  return { derived, shotNow, settle, locations, along, units };
});
