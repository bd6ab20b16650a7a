import { readingsOf, type LitPlace } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { PlaceFacts } from '@core/day';
import { computed } from 'vue';
import { filterNameOf } from '../../format/names';
import { useFilm } from '../../stores/film';
import { useLooking } from '../../stores/selection';
import { useReckoning } from '../../stores/derived-film';

/** The place in view with its light and its slates. */
export const useLightPlace = () => {
  const film = useFilm();
  const looking = useLooking();
  const reckoning = useReckoning();
  const place = computed<PlaceFacts | null>(() => looking.place);
  const lit = computed<LitPlace | null>(() => {
    const here = place.value;
    return here?.light && Number.isFinite(here.windowFromMs)
      ? {
          location: here.location,
          day: here.light,
          readings: readingsOf(here.location, here.light, film.list('reading')),
        }
      : null;
  });
  const shots = computed<DerivedShot[]>(() =>
    [...(reckoning.derived?.shots.values() ?? [])].filter(
      (s) => s.facts.location.id === place.value?.location.id,
    ),
  );
  const filterName = (id: string | null, stops?: number): string =>
    filterNameOf(film.list('filter'), id, stops);
  const packName = (id: string | null): string =>
    id === null ? 'a pack that is missing' : (film.get('pack', id)?.name ?? 'a pack');
  return { place, lit, shots, filterName, packName };
};
