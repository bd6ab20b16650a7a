import type { Entity } from '@core/model';
import type { DerivedShot } from '@core/film';
import { LEVEL_GROUND } from '@core/terrain';
import { computed, ref } from 'vue';
import type { Tool } from '../../map/draw-tool';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Picked } from './planState';
import { usePathDrags } from './usePathDrags';
import { usePlanActs } from './usePlanActs';

export type Thing = Entity<'feature'>;

/** What is on the plan of the place looked at, what of it is picked, and what is done to it. */
export const usePlan = () => {
  const film = useFilm();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const picked = ref<Picked>({ what: 'nothing', id: '' });
  const tool = ref<Tool>(null);
  const said = ref('');

  const place = computed(() => selection.place?.location ?? null);
  const placeId = computed(() => place.value?.id ?? '');
  const ground = computed(() => film.terrain.get(placeId.value) ?? LEVEL_GROUND);
  const things = computed(() => film.list('feature').filter((f) => f.locationId === placeId.value));
  const subjects = computed(() => film.list('subject').filter((s) => s.locationId === placeId.value));
  const shots = computed<DerivedShot[]>(() =>
    (derivedFilm.derived?.order ?? []).flatMap((id) => {
      const s = derivedFilm.derived?.shots.get(id);
      return s?.facts.location.id === placeId.value ? [s] : [];
    }),
  );
  const thing = computed(() =>
    picked.value.what === 'feature' ? (film.get('feature', picked.value.id) ?? null) : null,
  );
  const subject = computed(() =>
    picked.value.what === 'subject' ? (film.get('subject', picked.value.id) ?? null) : null,
  );

  const pick = (what: Picked['what'], id: string): void => {
    picked.value = { what, id };
    if (what === 'shot') selection.pick(id);
  };
  const state = { place, placeId, ground, subjects, picked, tool, said };
  const acts = { ...usePlanActs(state), ...usePathDrags(state) };

  return {
    place,
    placeId,
    ground,
    things,
    subjects,
    shots,
    thing,
    subject,
    picked,
    tool,
    said,
    pick,
    ...acts,
  };
};

export type Plan = ReturnType<typeof usePlan>;
