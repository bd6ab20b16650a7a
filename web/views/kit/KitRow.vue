<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import SwitchField from '../../parts/SwitchField.vue';
import { tr } from './messages';

// A boolean that is left out would else be false.
withDefaults(defineProps<{ name: string; retired: boolean; along?: boolean | undefined }>(), {
  along: undefined,
});
defineEmits<{ copy: []; retire: []; along: [value: boolean] }>();
</script>

<template>
  <li class="row" :class="{ retired, home: along === false }">
    <slot />
    <SwitchField
      help="kit.onThisFilm"
      v-if="along !== undefined"
      :label="tr('onThisFilm')"
      :value="along && !retired"
      :save="(v) => $emit('along', v)"
    />
    <span class="acts"
      ><ElButton class="btn" :aria-label="tr('copyName', { name })" @click="$emit('copy')">
        {{ tr('copy') }}</ElButton
      ><ElButton
        class="btn"
        :aria-label="`${retired ? tr('useAgain') : tr('retire')} ${name}`"
        @click="$emit('retire')"
      >
        {{ retired ? tr('useAgain') : tr('retire') }}
      </ElButton></span
    >
  </li>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding: 7px 0;
}
.row > :deep(.field) {
  flex: 1 1 100px;
  max-width: 190px;
}
.row > :deep(.field:has(.el-date-editor)) {
  flex-basis: 142px;
}
.row > :deep(.switch) {
  flex: 0 0 132px;
}
.acts {
  display: flex;
  gap: 6px;
  flex: none;
  margin-left: auto;
}
.retired > :deep(*:not(.acts)) {
  opacity: 0.55;
}
</style>
