<script setup lang="ts" generic="T extends string">
import { ElButton } from './element-button';
import type { Verdict } from '@core/verdict';
import InTurn from './InTurn.vue';
import TabRow from './TabRow.vue';
import VerdictLine from './VerdictLine.vue';

interface Choice {
  readonly id: string;
  readonly label: string;
  readonly note?: string;
}
/** A view of one thing out of a few, a place or a day, in parts: what it is, which one, how it stands, the part that is open. */
defineProps<{
  name: string;
  title: string;
  note?: string;
  tabs: readonly { readonly id: T; readonly label: string }[];
  tab: T;
  tabsLabel: string;
  choices: readonly Choice[];
  chosen: string | undefined;
  choicesLabel: string;
  verdict?: Verdict;
  /** What there is, in a few words. */
  counts?: string;
}>();
defineEmits<{ tab: [id: T]; choose: [id: string] }>();
</script>

<template>
  <main class="parted scroll" tabindex="-1">
    <header>
      <h1 dir="auto">{{ title }}</h1>
      <p v-if="note" class="quiet">{{ note }}</p>
      <nav class="choices no-print" :aria-label="choicesLabel">
        <ElButton
          v-for="c in choices"
          :key="c.id"
          class="btn"
          :class="{ on: c.id === chosen }"
          :aria-current="c.id === chosen"
          @click="$emit('choose', c.id)"
        >
          <span dir="auto">{{ c.label }}</span><span v-if="c.note" class="unit">{{ c.note }}</span>
        </ElButton>
      </nav>
      <VerdictLine v-if="verdict" class="verdict-line" :verdict="verdict" />
      <p v-if="counts" class="counts quiet">{{ counts }}</p>
    </header>
    <TabRow :name="name" :label="tabsLabel" :tabs="tabs" :value="tab" @pick="(id) => $emit('tab', id)" />
    <div :id="`${name}-panel`" role="tabpanel" :aria-labelledby="`${name}-${tab}`">
      <InTurn :key="tab"><slot /></InTurn>
    </div>
  </main>
</template>

<style scoped>
.parted {
  background: var(--slab);
  padding: 10px 20px 24px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.parted > * {
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.choices {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.on .unit {
  color: var(--chalk);
}

.verdict-line {
  margin-left: auto;
  align-self: start;
  width: 62ch;
  max-width: 100%;
  /* Headline and a reason of two lines: its room is held while it is not known yet. */
  min-height: 62px;
}
@media (max-width: 1099px) {
  .verdict-line {
    margin-left: 0;
    width: 100%;
  }
  .parted {
    padding: 8px 12px 24px;
  }
}
</style>
