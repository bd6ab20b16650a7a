<script setup lang="ts">
import { ElButton } from './element-button';
import { messageKey, type Sum } from '@core/messages';
import { useMessages } from '../composables/useMessages';
import { inSentence } from '../format';
import Fig from './Fig.vue';
import { tr } from './messages';

defineProps<{ sum: Sum }>();
defineEmits<{ close: [] }>();
const { text } = useMessages();
</script>

<template>
  <section class="sheet" :aria-label="tr('howLabelComesAbout', { label: inSentence(text(sum.label)) })">
    <header>
      <h3>{{ text(sum.label) }}</h3>
      <ElButton class="btn bare" :aria-label="tr('close')" @click="$emit('close')">
        {{ tr('closeLower') }}
      </ElButton>
    </header>
    <table>
      <tbody>
        <tr v-for="t in sum.terms" :key="messageKey(t.label)">
          <th scope="row">{{ text(t.label) }}</th>
          <td><Fig :value="t.value" :quantity="t.quantity" /></td>
          <td class="quiet">{{ t.note ? text(t.note) : '' }}</td>
        </tr>
        <tr class="total">
          <th scope="row">{{ text(sum.label) }}</th>
          <td><Fig :value="sum.value" :quantity="sum.quantity" /></td>
          <td />
        </tr>
      </tbody>
    </table>
    <p class="formula">{{ text(sum.formula) }}</p>
    <p class="faint source">{{ text(sum.source) }}</p>
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
