<script setup lang="ts">
import { inSentence } from '../format';
import type { Sum } from '@core/units';
import Fig from './Fig.vue';
import { tr } from './messages';

defineProps<{ sum: Sum }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <section class="sheet" :aria-label="tr('howLabelComesAbout', { label: inSentence(sum.label) })">
    <header>
      <h3>{{ sum.label }}</h3>
      <button class="btn bare" :aria-label="tr('close')" @click="$emit('close')">
        {{ tr('closeLower') }}
      </button>
    </header>
    <table>
      <tbody>
        <tr v-for="t in sum.terms" :key="t.label">
          <th scope="row">{{ t.label }}</th>
          <td><Fig :value="t.value" :quantity="t.quantity" /></td>
          <td class="quiet">{{ t.note }}</td>
        </tr>
        <tr class="total">
          <th scope="row">{{ sum.label }}</th>
          <td><Fig :value="sum.value" :quantity="sum.quantity" /></td>
          <td />
        </tr>
      </tbody>
    </table>
    <p class="formula">{{ sum.formula }}</p>
    <p class="faint source">{{ sum.source }}</p>
  </section>
</template>

<style scoped>
.sheet {
  background: var(--slab-2);
  border: 1px solid var(--line);
  border-top: 0;
  padding: 6px 10px 8px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 1px 12px 1px 0;
  white-space: nowrap;
  width: 1%;
}
td:nth-child(2) {
  text-align: right;
  padding-right: 14px;
  white-space: nowrap;
  width: 1%;
}
.total > * {
  border-top: 1px solid var(--line);
  font-weight: 640;
}
.formula {
  font-stretch: 92%;
  margin-top: 5px;
}
.source {
  font-size: 12px;
}
</style>
