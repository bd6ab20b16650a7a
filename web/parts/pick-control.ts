import { defineAsyncComponent } from 'vue';
import { idle } from '../composables/idle';
import PickShape from './PickShape.vue';

/** The list and its pop-over come after the first view; until then the box shows what is chosen. */
export const PickControl = defineAsyncComponent({
  loader: () => idle().then(() => import('./PickControl.vue')),
  loadingComponent: PickShape,
  delay: 0,
});
