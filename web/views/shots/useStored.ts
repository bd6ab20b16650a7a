import type { Entity } from '@core/model';
import type { DerivedShot } from '@core/film';
import { computed, type ComputedRef } from 'vue';
import { useFilm } from '../../stores/film';

/** The shot as it is kept now: what is changed is changed on this, since what is worked out of it may be a picture behind. */
export const useStored = (shot: () => DerivedShot): ComputedRef<Entity<'shot'>> => {
  const film = useFilm();
  return computed(() => {
    const { shot: known } = shot().facts;
    return film.get('shot', known.id) ?? (known as Entity<'shot'>);
  });
};
