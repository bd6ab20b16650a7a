import { defineAsyncComponent } from 'vue';
import { idle } from '../composables/idle';
import SliderShape from './SliderShape.vue';

/** The slider comes after the first view; until then a line shows how far it is. */
export const SliderControl = defineAsyncComponent({
  loader: () => idle().then(() => import('./SliderControl.vue')),
  loadingComponent: SliderShape,
  delay: 0,
});
