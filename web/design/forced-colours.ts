import { ref, type Ref } from 'vue';

/** Whether the system's own few colours are in force, and whether they are dark; follows what the person sets. */
export const forcedColours = (): Ref<'dark' | 'light' | null> => {
  const [forced, dark] = [matchMedia('(forced-colors: active)'), matchMedia('(prefers-color-scheme: dark)')];
  const now = (): 'dark' | 'light' | null => (forced.matches ? (dark.matches ? 'dark' : 'light') : null);
  const state = ref(now());
  for (const list of [forced, dark])
    list.addEventListener('change', () => {
      state.value = now();
    });
  return state;
};
