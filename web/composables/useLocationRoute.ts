import { watch } from 'vue';
import { useRouter } from 'vue-router';
import { useSelection } from '../stores/selection';

/** The place in the address and the one being looked at follow each other. */
export const useLocationRoute = (
  name: string,
  props: { readonly film: string; readonly location?: string },
): void => {
  const router = useRouter();
  const selection = useSelection();
  watch(
    () => props.location,
    (id) => {
      if (id && id !== selection.place?.location.id) selection.pickPlace(id);
    },
    { immediate: true },
  );
  watch(
    () => selection.place?.location.id,
    (id) => {
      if (id && props.location !== id)
        void router.replace({ name, params: { film: props.film, location: id } });
    },
  );
};
