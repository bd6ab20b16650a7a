<script setup lang="ts">
import { computed } from 'vue';
import { write, type Quantity } from '../format';
import { useDerivedFilm } from '../stores/derived-film';

const props = defineProps<{ value: number; quantity: Quantity }>();
const derivedFilm = useDerivedFilm();
const written = computed(() => write(props.value, props.quantity, derivedFilm.units));
</script>

<template>
  <span class="fig"
    >{{ written.number
    }}<span v-if="written.unit" :class="written.unit === '°' ? 'sign' : 'unit'">{{
      written.unit
    }}</span></span
  >
</template>

<style scoped>
.fig {
  white-space: nowrap;
}
</style>
