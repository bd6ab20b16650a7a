import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue';

/** Steps a second where motion is not wanted. */
const STILL_STEP_S = 1;

/** A clock that runs from one second to another, at a rate, once or round and round. */
export const usePlayback = (fromS: Ref<number>, toS: Ref<number>) => {
  const timeS = ref(fromS.value);
  const playing = ref(false);
  const rate = ref(1);
  const loops = ref(true);
  const still =
    typeof window !== 'undefined' && window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  let handle = 0;
  let last = 0;
  let held = 0;

  const clamp = (t: number): number => Math.min(toS.value, Math.max(fromS.value, t));
  const advance = (by: number): void => {
    const next = timeS.value + by;
    if (next <= toS.value) {
      timeS.value = next;
      return;
    }
    if (loops.value) timeS.value = fromS.value;
    else {
      timeS.value = toS.value;
      playing.value = false;
    }
  };
  const frame = (now: number): void => {
    if (!playing.value) return;
    // A tab that was away comes back where it was, not minutes on.
    const passed = Math.min(0.1, (now - last) / 1000) * rate.value;
    last = now;
    // Where motion is not wanted the move goes by in stills.
    if (still) {
      held += passed;
      if (held >= STILL_STEP_S) {
        held = 0;
        advance(STILL_STEP_S);
      }
    } else advance(passed);
    handle = requestAnimationFrame(frame);
  };
  watch(playing, (on) => {
    cancelAnimationFrame(handle);
    if (!on) return;
    if (timeS.value >= toS.value - 1e-6) timeS.value = fromS.value;
    last = performance.now();
    handle = requestAnimationFrame(frame);
  });
  watch([fromS, toS], () => {
    timeS.value = clamp(timeS.value);
  });
  onBeforeUnmount(() => cancelAnimationFrame(handle));
  const seek = (t: number): void => {
    timeS.value = clamp(t);
  };
  return {
    timeS,
    playing,
    rate,
    loops,
    seek,
    toggle: (): void => {
      playing.value = !playing.value;
    },
    step: (by: number): void => {
      playing.value = false;
      seek(timeS.value + by);
    },
    atEnd: computed(() => timeS.value >= toS.value - 1e-6),
  };
};
