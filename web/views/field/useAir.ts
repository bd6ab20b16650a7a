import { inTheAir, type AirState, type ShownCharge } from '@core/field';
import type { EnergyCurve } from '@core/day';
import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue';

interface Aloft {
  readonly tookOffMs: number;
  readonly shown: ShownCharge | null;
}
const keyOf = (flightId: string): string => `dusk-air:${flightId}`;
const read = (flightId: string): Aloft | null => {
  try {
    return JSON.parse(localStorage.getItem(keyOf(flightId)) ?? 'null') as Aloft | null;
  } catch {
    return null;
  }
};

/** The wall clock, a second a step. */
export const useNow = (): Ref<number> => {
  const now = ref(Date.now());
  const timer = setInterval(() => {
    now.value = Date.now();
  }, 1000);
  onBeforeUnmount(() => {
    clearInterval(timer);
  });
  return now;
};

/** A flight from its take-off on: kept on this device, so that a closed page does not forget that something is in the air. */
export const useAir = (
  flightId: Ref<string | null>,
  curve: Ref<EnergyCurve | null>,
  fullWh: Ref<number>,
  now: Ref<number>,
) => {
  const aloft = ref<Aloft | null>(null);
  watch(
    flightId,
    (id) => {
      aloft.value = id ? read(id) : null;
    },
    { immediate: true },
  );
  const keep = (state: Aloft | null): void => {
    aloft.value = state;
    if (!flightId.value) return;
    if (state) localStorage.setItem(keyOf(flightId.value), JSON.stringify(state));
    else localStorage.removeItem(keyOf(flightId.value));
  };
  const elapsedS = computed(() => (aloft.value ? Math.max(0, (now.value - aloft.value.tookOffMs) / 1000) : 0));
  const state = computed<AirState | null>(() =>
    aloft.value && curve.value
      ? inTheAir(curve.value, fullWh.value, elapsedS.value, aloft.value.shown)
      : null,
  );
  /** One step for the hand where the device has it: turning back must not be missed in the sun. */
  watch(
    () => state.value?.phase,
    (phase, before) => {
      if (before && phase && phase !== before && phase !== 'fly' && 'vibrate' in navigator)
        navigator.vibrate([300, 120, 300]);
    },
  );
  return {
    aloft,
    elapsedS,
    state,
    takeOff: () => {
      keep({ tookOffMs: Date.now(), shown: null });
    },
    /** What the display of the aircraft shows now, 0 to 1. */
    correct: (share: number) => {
      if (aloft.value) keep({ ...aloft.value, shown: { atS: elapsedS.value, share } });
    },
    landed: () => {
      keep(null);
    },
  };
};
