import { forcedColours } from '../design/forced-colours';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useFilm } from './film';
import { useDerivedFilm } from './derived-film';

export type Theme = 'dusk' | 'noon';
export type Facet = 'move' | 'cut' | 'exposure';
const THEME_KEY = 'dusk-theme';

/** What the person is looking at: shot, place, facet, theme. Not stored with the film. */
export const useSelection = defineStore('selection', () => {
  const film = useFilm();
  const derivedFilm = useDerivedFilm();
  const shotId = ref('');
  const placeId = ref('');
  const facet = ref<Facet>('move');
  const theme = ref<Theme>(localStorage.getItem(THEME_KEY) === 'noon' ? 'noon' : 'dusk');
  const keysShown = ref(false);
  const varietyShown = ref(false);
  const coverageShown = ref(false);
  const previewing = ref(false);
  const movesShown = ref(false);
  /** Shot from the ground that is open; '' where none is. */
  const groundShotId = ref('');
  /** What was said last, an object of its own each time: the same words said twice are two messages. */
  const said = shallowRef({ text: '' });

  const shot = computed(() => derivedFilm.shotNow(shotId.value));
  const place = computed(() => {
    const wanted = shot.value?.facts.location.id ?? placeId.value;
    return (
      derivedFilm.derived?.places.get(wanted) ??
      derivedFilm.derived?.places.get(derivedFilm.locations[0]?.id ?? '') ??
      null
    );
  });

  const pick = (id: string): void => {
    shotId.value = id;
    const location = film.get('shot', id)?.locationId;
    if (location) placeId.value = location;
  };
  const pickPlace = (id: string): void => {
    placeId.value = id;
    const first = [...(derivedFilm.derived?.shots.values() ?? [])].find((s) => s.facts.location.id === id);
    shotId.value = first?.facts.shot.id ?? '';
  };
  /** Goes along the list by some shots. */
  const step = (by: number): void => {
    const order = derivedFilm.derived?.order ?? [];
    const at = order.indexOf(shotId.value);
    const next = order[Math.min(order.length - 1, Math.max(0, at + by))];
    if (next) pick(next);
  };

  const system = forcedColours();
  /** The colours in force; changes with everything that is drawn by them. */
  const colours = ref('');
  watch(
    [theme, system],
    ([value, forced]) => {
      // Colours with a meaning come from the display that is as light or dark as the system's own.
      const display = forced ? (forced === 'dark' ? 'dusk' : 'noon') : value;
      document.documentElement.dataset['theme'] = display;
      localStorage.setItem(THEME_KEY, value);
      colours.value = forced ? `system ${forced}` : display;
    },
    { immediate: true },
  );
  watch(
    () => [derivedFilm.derived?.order.length, film.filmId],
    () => {
      if (!derivedFilm.derived?.shots.has(shotId.value)) {
        const here = [...(derivedFilm.derived?.shots.values() ?? [])];
        shotId.value =
          (
            here.find((s) => s.facts.location.id === placeId.value) ??
            (placeId.value && film.get('location', placeId.value) ? undefined : here[0])
          )?.facts.shot.id ?? '';
      }
    },
    { immediate: true },
  );

  /** Says something once, to eyes and screen readers. */
  const say = (text: string): void => {
    said.value = { text };
  };

  return {
    shotId,
    placeId,
    facet,
    theme,
    colours,
    keysShown,
    varietyShown,
    coverageShown,
    previewing,
    movesShown,
    groundShotId,
    said,
    shot,
    place,
    pick,
    pickPlace,
    step,
    say,
  };
});
