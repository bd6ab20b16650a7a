import { drillRecord, type Drill, type DrillLevel } from '@core/drills';
import { newRow } from '@core/model';
import { rehearsedOf } from '@core/pilot';
import { computed, ref, watch, type Ref } from 'vue';
import { v4 as uuid } from 'uuid';
import type { DerivedShot } from '@core/film';
import { useFilm } from '../../stores/film';
import { keepTry, keptTry, type KeptTry } from '../../composables/kept-tries';
import { tr } from './messages';

/** A try with this mark or more counts as a keeper. Own choice. */
export const KEEPER_MARK = 70;

/** Tries of a shot as practice of its move: one entry a visit, the best try kept on this device so that it can be seen again. */
export const useRehearsedLog = (
  shot: Ref<DerivedShot | null>,
  drilled: () => { readonly drill: Drill; readonly level: DrillLevel } | null,
  pilotId: Ref<string>,
) => {
  const store = useFilm();
  const best = ref<KeptTry | null>(null);
  let entryId = '';
  /** What is flown: a drill, or a shot. */
  const target = computed(() => {
    const drill = drilled();
    return drill ? `${drill.drill.id} ${drill.level}` : (shot.value?.facts.shot.id ?? '');
  });
  watch(pilotId, () => {
    entryId = '';
  });
  watch(
    target,
    (id) => {
      entryId = '';
      best.value = keptTry(id);
    },
    { immediate: true },
  );
  const sum = computed(() => {
    const drill = drilled();
    return drill
      ? drillRecord(store.list('practice'), pilotId.value, drill.drill)
      : rehearsedOf(
          store.list('practice').filter((p) => p.pilotId === pilotId.value),
          target.value,
        );
  });
  /** Counts a try. @returns why it is not counted; '' where it is */
  const add = (kept: KeptTry): string => {
    if (!best.value || kept.mark > best.value.mark) {
      best.value = kept;
      keepTry(target.value, kept);
    }
    const own = shot.value?.facts.shot;
    const drill = drilled();
    if (!pilotId.value || !own) return tr('chooseAPilotInThe');
    const now = store.get('practice', entryId);
    const keeper = kept.mark >= KEEPER_MARK ? 1 : 0;
    if (now) {
      const fields = {
        tries: now.tries + 1,
        keepers: now.keepers + keeper,
        mark: Math.max(now.mark ?? 0, kept.mark),
        utcMs: Date.now(),
      };
      return store.edit('practice', now.id, fields, tr('rehearsalLower'))[0]?.say ?? '';
    }
    entryId = uuid();
    const row = newRow('practice', {
      id: entryId,
      pilotId: pilotId.value,
      moveKind: own.move.kind,
      utcMs: Date.now(),
      handling: 'simulator',
      tries: 1,
      keepers: keeper,
      ...(drill ? { shotId: null, drillId: drill.drill.id } : { shotId: own.id }),
      mark: kept.mark,
    });
    return store.create('practice', row, tr('rehearsalLower'))[0]?.say ?? '';
  };
  return { best, sum, add };
};
