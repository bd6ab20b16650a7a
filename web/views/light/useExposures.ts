import { type ExposureInputs, exposureSteps, type FlightExposure } from '@core/light-timeline';
import type { LocationPlan } from '@core/day';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { inSlices } from '../../composables/slices';

/** What is worked out at once, so that a day of a few flights stands as soon as its view does, ms. */
const AT_ONCE_MS = 12;

/**
 * Exposure of a location's flights, worked out a little at a time: a day of fifty flights takes longer than a picture. What was
 * known stays until the new plan is whole.
 */
export const useExposures = (
  inputs: () => ExposureInputs & { readonly place: LocationPlan },
): Readonly<Ref<readonly FlightExposure[]>> => {
  const plan = shallowRef<readonly FlightExposure[]>([]);
  let leave = (): void => undefined;
  watch(
    inputs,
    ({ place, ...rest }, before) => {
      leave();
      if (before && before.place.location.id !== place.location.id) plan.value = [];
      leave = inSlices(
        exposureSteps(place, rest),
        (made) => {
          plan.value = made;
        },
        AT_ONCE_MS,
      );
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    leave();
  });
  return plan;
};
