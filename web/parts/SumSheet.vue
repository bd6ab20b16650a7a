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
    <dl>
      <div v-for="t in sum.terms" :key="messageKey(t.label)" class="term">
        <dt>{{ text(t.label) }}</dt>
        <dd><Fig :value="t.value" :quantity="t.quantity" /></dd>
        <dd class="quiet">{{ t.note ? text(t.note) : '' }}</dd>
      </div>
      <div class="term total">
        <dt>{{ text(sum.label) }}</dt>
        <dd><Fig :value="sum.value" :quantity="sum.quantity" /></dd>
        <dd />
      </div>
    </dl>
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
dl {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  margin: 0;
}
.term {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  column-gap: 14px;
  padding-block: 1px;
}
dd {
  margin: 0;
}
dt + dd {
  text-align: right;
  white-space: nowrap;
}
.total {
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
