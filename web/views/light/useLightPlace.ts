import { locationLight, type LocationLight } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { LocationPlan } from '@core/day';
import { computed } from 'vue';
import { filterNameOf } from '../../format/names';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

/** The place in view with its light and its shots. */
export const useLightPlace = () => {
  const film = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const place = computed<LocationPlan | null>(() => selection.place);
  const lit = computed<LocationLight | null>(() => {
    const here = place.value;
    return here?.light && film.film && Number.isFinite(here.windowFromMs)
      ? locationLight(here.location, here.light, film.list('reading'), film.film.preferences)
      : null;
  });
  const shots = computed<DerivedShot[]>(() =>
    [...(derivedFilm.derived?.shots.values() ?? [])].filter(
      (s) => s.facts.location.id === place.value?.location.id,
    ),
  );
  const filterName = (id: string | null, stops?: number): string =>
    filterNameOf(film.list('filter'), id, stops);
  const packName = (id: string | null): string =>
    id === null ? tr('aPackThatIsMissing') : (film.get('pack', id)?.name ?? tr('aPack'));
  return { place, lit, shots, filterName, packName };
};
