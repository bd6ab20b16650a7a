<script setup lang="ts">
import { defineAsyncComponent, ref, useId, useTemplateRef, watch } from 'vue';
import { language } from '../language';
import { helpFor, type HelpKey } from './help';
import { tr } from './messages';

/** A mark behind a label that opens one line: what is asked for, where to find it, what happens when it is empty. */
const props = defineProps<{ label: string; help?: HelpKey | undefined; hint?: string | undefined }>();
const HelpBubble = defineAsyncComponent(() => import('./HelpBubble.vue'));
const button = useTemplateRef<HTMLElement>('button');
const id = useId();
/** The bubble comes when it is first asked for. */
const wanted = ref(false);
const open = ref(false);
const text = ref('');
const fill = async (): Promise<void> => {
  text.value = props.help ? await helpFor(props.help).catch(() => props.hint ?? '') : (props.hint ?? '');
};
watch([open, language], () => {
  if (open.value) void fill();
});
const toggle = (): void => {
  wanted.value = true;
  open.value = !open.value;
};
</script>

<template>
  <button
    ref="button"
    type="button"
    class="ask"
    :title="tr('helpOnLabel', { label })"
    :aria-expanded="open"
    :aria-describedby="open && text ? id : undefined"
    @click="toggle"
    @keydown.esc.stop="open = false"
  >
    <span aria-hidden="true">{{ tr('questionMark') }}</span>
  </button>
  <HelpBubble v-if="wanted && button && text" :id="id" v-model="open" :anchor="button" :text="text" />
</template>

<style scoped>
/* Quiet until the field is looked at; always there for a thumb. */
.ask {
  flex: none;
  width: 24px;
  height: 24px;
  position: relative;
  z-index: 1;
  margin: -3px 0 -3px -4px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--chalk-3);
  font-size: 12px;
  line-height: 24px;
  text-align: left;
  text-indent: 8px;
  cursor: help;
}
.ask:hover,
.ask:focus-visible,
.ask[aria-expanded='true'] {
  color: var(--chalk);
  background: var(--slab-3);
}
/* Over a narrow column it lies on the label, and shows where one is: the label is never cut for it. */
@container (max-width: 116px) {
  @media (pointer: fine) {
    .ask {
      position: absolute;
      right: 0;
      top: 0;
      opacity: 0;
      background: var(--slab-3);
    }
    .ask:focus-visible,
    .ask[aria-expanded='true'],
    :global(.field:hover .ask) {
      opacity: 1;
    }
  }
}
@media (pointer: coarse) {
  .ask {
    width: 32px;
    height: 32px;
    /* Large for a thumb, and no taller in its row than a label without it: fields side by side stay level. */
    margin-block: -7px;
    line-height: 32px;
    font-size: 15px;
  }
}
</style>
