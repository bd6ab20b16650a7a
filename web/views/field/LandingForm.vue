<script setup lang="ts">
import { ref } from 'vue';

/** What the display showed at landing; the plan's own figure stands there until somebody knows better. */
const props = defineProps<{ planned: number; number: number }>();
const emit = defineEmits<{ log: [endShare: number]; cancel: [] }>();
const percent = ref(String(Math.round(props.planned * 100)));
const fault = ref('');
const enter = (): void => {
  const value = Number(percent.value.replace(',', '.'));
  fault.value = value >= 0 && value <= 100 ? '' : 'Enter the charge in percent, 0 to 100.';
  if (fault.value === '') emit('log', value / 100);
};
</script>

<template>
  <form class="landing" aria-label="Landing" @submit.prevent="enter">
    <label for="landed">Charge at landing of flight {{ number }}</label>
    <input id="landed" v-model="percent" inputmode="decimal" />
    <span class="unit">%</span>
    <button class="btn lead" type="submit">Log flight</button>
    <button class="btn" type="button" @click="emit('cancel')">Still flying</button>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </form>
</template>

<style scoped>
.landing {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  background: var(--slab-2);
  padding: 10px 14px;
}
.landing input {
  width: 76px;
  min-height: 48px;
  font: inherit;
  font-size: 22px;
  background: var(--bench);
  color: var(--chalk);
  border: 0;
  border-bottom: 2px solid var(--chalk-3);
  padding: 0 8px;
}
.landing .btn {
  min-height: 48px;
  font-size: 17px;
}
</style>
