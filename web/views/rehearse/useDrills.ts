import {
  DRILL_IDS,
  drillFacts,
  drillHandling,
  drillRecord,
  DRILLS,
  drillsForToday,
  type DrillId,
  type DrillLevel,
} from '@core/drills';
import type { DerivedShot } from '@core/film';
import { computed, ref, watch, watchEffect, type ComputedRef } from 'vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';

const isDrill = (value: string | null): value is DrillId =>
  (DRILL_IDS as readonly string[]).includes(value ?? '');

/** Drills at the shot's location: which one is chosen, how the pilot stands with each, and the shot it is flown as. */
export const useDrills = (base: ComputedRef<DerivedShot | null>, pilotId: ComputedRef<string>) => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const chosen = ref<DrillId | null>(null);
  const begunMs = Date.now();
  const pilot = computed(() => store.get('pilot', pilotId.value) ?? null);
  const asked = computed(
    () => new Set([...(derivedFilm.derived?.shots.values() ?? [])].map((s) => s.facts.shot.move.kind)),
  );
  /** Chosen for the day when the film is first worked out here: a try does not change what today's are. */
  const today = ref<readonly DrillId[]>([]);
  watch(pilotId, () => {
    today.value = [];
  });
  watchEffect(() => {
    if (!derivedFilm.derived || today.value.length > 0) return;
    today.value = drillsForToday(pilot.value, store.list('practice'), asked.value, begunMs).map((d) => d.id);
  });
  const rows = computed(() =>
    [...DRILLS]
      .map((drill) => ({
        drill,
        today: today.value.includes(drill.id),
        record: drillRecord(store.list('practice'), pilot.value?.id ?? '', drill),
      }))
      .sort((a, b) => Number(b.today) - Number(a.today)),
  );
  /** Stays while a drill is chosen: a good try shows its marks before the next level begins. */
  const level = ref<DrillLevel>(1);
  const row = computed(() => rows.value.find((r) => r.drill.id === chosen.value) ?? null);
  const drill = computed(() => row.value?.drill ?? null);
  const handling = computed(() => drillHandling(level.value));
  /** The drill as a shot at the same place, for cockpit and marks; null where no drill is chosen or it cannot be flown here. */
  const flown = computed<DerivedShot | null>(() => {
    if (!base.value || !drill.value) return null;
    const facts = drillFacts(drill.value, level.value, base.value.facts, base.value.light);
    return facts && { ...base.value, facts, light: null };
  });
  /** Takes up the level the record has come to. */
  const goOn = (): void => {
    level.value = row.value?.record.level ?? 1;
  };
  const choose = (id: string | null): void => {
    chosen.value = isDrill(id) ? id : null;
    goOn();
  };
  return { rows, drill, level, handling, flown, choose, goOn };
};
