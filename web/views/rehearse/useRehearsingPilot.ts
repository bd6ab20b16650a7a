import { computed, ref } from 'vue';
import { useFilm } from '../../stores/film';

/** Who flies in the cockpit: the film's pilot until another is chosen. Tries count for whoever flew them. */
export const useRehearsingPilot = () => {
  const store = useFilm();
  const chosen = ref<string | null>(null);
  const pilots = computed(() => store.list('pilot').map((p) => ({ value: p.id, label: p.name })));
  const pilotId = computed(
    () => pilots.value.find((p) => p.value === chosen.value)?.value ?? store.film?.pilotId ?? '',
  );
  return {
    pilots,
    pilotId,
    choose: (id: string): void => {
      chosen.value = id;
    },
  };
};
