import { watch } from 'vue';
import { useRouter } from 'vue-router';
import { useLooking } from '../stores/selection';

/** The place in the address and the one being looked at follow each other. */
export const usePlaceRoute = (
  name: string,
  props: { readonly film: string; readonly place?: string },
): void => {
  const router = useRouter();
  const looking = useLooking();
  watch(
    () => props.place,
    (id) => {
      if (id && id !== looking.place?.location.id) looking.pickPlace(id);
    },
    { immediate: true },
  );
  watch(
    () => looking.place?.location.id,
    (id) => {
      if (id && props.place !== id) void router.replace({ name, params: { film: props.film, place: id } });
    },
  );
};
