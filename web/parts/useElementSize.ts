import { onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';

/** Size of the element a template refers to as `target`, followed as it changes. */
export const useElementSize = (width0: number, height0: number) => {
  const target = useTemplateRef<HTMLElement>('target');
  const width = ref(width0);
  const height = ref(height0);
  let watcher: ResizeObserver | null = null;
  onMounted(() => {
    if (!target.value) return;
    watcher = new ResizeObserver(([entry]) => {
      if (!entry) return;
      width.value = Math.max(1, entry.contentRect.width);
      height.value = Math.max(1, entry.contentRect.height);
    });
    watcher.observe(target.value);
  });
  onBeforeUnmount(() => watcher?.disconnect());
  return { width, height };
};
