<script setup lang="ts">
import { SCHEMAS } from '@core/model';
import { counted, phrase } from '../../format';
import { computed } from 'vue';
import { typicalOf } from './useKit';
import { tr } from './messages';

/** Which figures of a piece of kit are still those of its class. */
const props = defineProps<{
  kind: 'aircraft' | 'pack' | 'card' | 'filter';
  thing: object;
  short?: boolean;
}>();
const titles = computed(() => {
  const fields: Readonly<Record<string, { readonly title?: string }>> = SCHEMAS[props.kind].properties;
  return typicalOf(props.thing).map((field) => phrase(fields[field]?.title ?? field));
});
const count = computed(() => counted(titles.value.length, 'typical figure'));
</script>

<template>
  <p v-if="titles.length > 0" class="typical" :title="titles.join(', ')">
    <b>{{ count }}</b><template v-if="!short">{{
      tr('titlesReplaceThemWithThose', { titles: titles.join(', ') })
    }}</template>
  </p>
</template>

<style scoped>
.typical {
  border-left: 3px solid var(--note);
  padding-left: 8px;
  font-size: 13.5px;
  color: var(--chalk-2);
}
.typical b {
  color: var(--note);
  font-weight: 600;
}
</style>
