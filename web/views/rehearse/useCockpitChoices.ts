import type { DerivedShot } from '@core/film';
import type { StickMode } from '@core/rehearsal';
import { computed, ref, watch, type Ref } from 'vue';

const MODE_KEY = 'dusk-stick-mode';
const ATTITUDE_KEY = 'dusk-by-attitude';

/** How a shot is rehearsed: stick mode and attitude stay with the device, the helps are those of this visit. */
export const useCockpitChoices = (shot: Ref<DerivedShot | null>) => {
  const mode = ref<StickMode>((Number(localStorage.getItem(MODE_KEY)) || 2) as StickMode);
  watch(mode, (m) => {
    localStorage.setItem(MODE_KEY, String(m));
  });
  const wantsAttitude = ref(localStorage.getItem(ATTITUDE_KEY) === 'yes');
  watch(wantsAttitude, (on) => {
    localStorage.setItem(ATTITUDE_KEY, on ? 'yes' : 'no');
  });
  /** A camera that is screwed on may be flown by attitude; one on a gimbal flies with position hold. */
  const fixedCamera = computed(() => shot.value?.facts.camera?.fixedTiltDeg != null);
  return {
    mode,
    calm: ref(false),
    tunnel: ref(true),
    ghost: ref(false),
    calling: ref(true),
    fixedCamera,
    wantsAttitude,
    byAttitude: computed(() => fixedCamera.value && wantsAttitude.value),
  };
};
