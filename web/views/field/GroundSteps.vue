<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { GroundStep } from '@core/field';
import { ref, watch } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { tr } from './messages';

/**
 * What to do on the ground before the next take-off, ticked with a thumb; what stays as it is stands quieter. A plan that is
 * worked out again while somebody ticks takes back only what became another pack, card, filter or setting.
 */
const props = defineProps<{ landedId: string; steps: readonly GroundStep[] }>();
defineEmits<{ close: [] }>();
const { text } = useMessages();
const ticked = ref<ReadonlySet<string>>(new Set());
const key = (s: GroundStep): string => `${s.what} ${s.of}`;
watch(
  () => props.landedId,
  () => {
    ticked.value = new Set();
  },
);
const tick = (step: GroundStep): void => {
  const now = new Set(ticked.value);
  if (!now.delete(key(step))) now.add(key(step));
  ticked.value = now;
};
</script>

<template>
  <section class="ground" :aria-label="tr('beforeTheNextFlight')">
    <h2>{{ tr('beforeTheNextFlight') }}</h2>
    <ul>
      <li v-for="s in steps" :key="s.what">
        <button
          class="step"
          :class="{ same: s.same, on: ticked.has(key(s)) }"
          role="checkbox"
          :aria-checked="ticked.has(key(s))"
          @click="tick(s)"
        >
          <span class="box" aria-hidden="true" />{{ text(s.say) }}
        </button>
      </li>
    </ul>
    <ElButton class="btn" @click="$emit('close')">{{ tr('hideList') }}</ElButton>
  </section>
</template>

<style scoped>
.ground {
  background: var(--slab-2);
  padding: 10px 14px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
h2 {
  font-size: 18px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 4px 20px;
  width: 100%;
}
.step {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  font: inherit;
  font-size: 19px;
  font-weight: 600;
  text-align: start;
  color: var(--chalk);
  background: none;
  border: 0;
  cursor: pointer;
}
.step.same {
  font-weight: 400;
  color: var(--chalk-2);
}
.box {
  width: 20px;
  height: 20px;
  border: 2px solid var(--chalk-2);
}
.step.on .box {
  background: var(--verdigris);
  border-color: var(--verdigris);
}
.step.on {
  text-decoration: line-through;
  color: var(--chalk-2);
}
.btn {
  min-height: 44px;
}
</style>
