<script setup lang="ts">
import { ElButton } from './element-button';
import { useMessages } from '../composables/useMessages';
import { messageKey } from '@core/messages';
import type { Warning } from '@core/warnings';
import MarkSign from './MarkSign.vue';
import { useShotCommands } from '../composables/useShotCommands';

defineProps<{ warnings: readonly Warning[] }>();
const acts = useShotCommands();
const { text, loaded } = useMessages();
</script>

<template>
  <ul v-if="loaded && warnings.length > 0" class="warnings">
    <li v-for="w in warnings" :key="w.code + JSON.stringify(w.subject)" :data-code="w.code">
      <MarkSign :severity="w.severity" />
      <div>
        <p>
          {{ text(w.say) }} <span class="quiet">{{ text(w.why) }}</span>
        </p>
        <p v-if="w.cures.length > 0" class="cures">
          <template v-for="cure in w.cures" :key="messageKey(cure.say)">
            <ElButton v-if="cure.set" class="btn cure" @click="acts.applyCure(cure)">
              {{ text(cure.say) }}
            </ElButton>
            <span v-else class="faint">{{ text(cure.say) }}</span>
          </template>
        </p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.warnings li {
  display: grid;
  grid-template-columns: 15px 1fr;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.warnings li:first-child {
  border-top: 0;
}
.warnings svg {
  margin-top: 3px;
}
.cures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin-top: 2px;
}
.cure {
  min-height: 26px;
  padding: 1px 8px;
}
@media (max-width: 1099px) {
  .cure {
    min-height: var(--touch);
  }
}
</style>
