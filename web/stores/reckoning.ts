import { FilmReckoner, inOrder, type DerivedFilm } from '@core/film';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useFilm } from './film';

/** Everything that is worked out from the open film. The reckoner remembers; a slider recomputes one shot and the sums. */
export const useReckoning = defineStore('reckoning', () => {
  const film = useFilm();
  const reckoner = new FilmReckoner();
  const derived = computed<DerivedFilm | null>(() => (film.input ? reckoner.derive(film.input) : null));
  const locations = computed(() => inOrder(film.list('location')));
  const units = computed(() => film.film?.units ?? 'metric');
  return { derived, locations, units };
});
