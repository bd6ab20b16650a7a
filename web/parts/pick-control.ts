import { defineAsyncComponent } from 'vue';
import { afterFirstView } from '../composables/idle';
import PickShape from './PickShape.vue';

const load = () => import('./PickControl.vue');
// It comes after the first view, before anybody reaches for it.
void afterFirstView()
  .then(load)
  .catch(() => undefined);

/** The list and its pop-over, made when somebody reaches for it: a page of hundreds of choices is drawn at once. */
export const PickControl = defineAsyncComponent({ loader: load, loadingComponent: PickShape, delay: 0 });
