import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** Whether the page is being printed: what is for paper alone is drawn then, and at no other time. */
export const usePrinting = (): Readonly<Ref<boolean>> => {
  const printing = ref(false);
  const begin = (): void => {
    printing.value = true;
  };
  const end = (): void => {
    printing.value = false;
  };
  onMounted(() => {
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
  });
  onBeforeUnmount(() => {
    window.removeEventListener('beforeprint', begin);
    window.removeEventListener('afterprint', end);
  });
  return printing;
};
